<script setup lang="ts">
import { computed } from 'vue'
import type { PathReport } from '@/api/types'
import { count, interval, percent } from '@/ui/figures'

/** The distinct ways that people went; the chosen one lights up on the trellis. */
const props = defineProps<{ paths: PathReport; chosen: number | null; csv: string }>()
const emit = defineEmits<{ choose: [path: number | null] }>()

const most = computed(() => Math.max(0.01, ...props.paths.paths.map((p) => p.people.value ?? 0)))
const note = computed(() => {
  const { distinct, others, paths } = props.paths
  const more = others > 0 ? ' or more' : ''
  return `${paths.length} of ${count(distinct)}${more} different ways, the commonest first`
})
</script>

<template>
  <div class="flex min-h-0 flex-1 flex-col">
    <div class="flex items-center border-b border-line2 px-3 py-1">
      <span class="note">{{ note }}; choose one to see it on the trellis</span>
      <a class="button button-small ml-auto" :href="csv" download>CSV</a>
    </div>
    <div class="min-h-0 flex-1 overflow-auto" tabindex="0" role="group" aria-label="Paths">
      <table class="w-full">
        <thead class="sticky top-0 bg-panel text-right text-note text-ink2">
          <tr class="h-8 border-b border-line whitespace-nowrap">
            <th class="px-3 font-medium">people</th>
            <th class="px-2 font-medium">of entered</th>
            <th class="w-24"><span class="sr-only">picture</span></th>
            <th class="px-3 text-left font-medium">the way they went</th>
            <th class="px-2 font-medium">goal met</th>
            <th class="px-2 font-medium">emails each</th>
            <th class="px-3 font-medium">days</th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="(path, i) in paths.paths"
            :key="i"
            class="figure border-b border-line2 text-right text-note"
            :class="i === chosen ? 'bg-marigold-soft' : ''"
          >
            <td class="px-3">{{ count(path.people.count) }}</td>
            <td class="px-2" :title="interval(path.people)">
              {{ percent(path.people.value, 1) }}
            </td>
            <td class="px-2">
              <span class="block h-1.5 rounded-full bg-line2" aria-hidden="true">
                <span
                  class="block h-full rounded-full bg-vine"
                  :style="{ width: `${((path.people.value ?? 0) / most) * 100}%` }"
                />
              </span>
            </td>
            <th scope="row" class="px-3 py-1.5 text-left font-sans text-plain font-normal">
              <button
                type="button"
                class="text-left"
                :aria-pressed="i === chosen"
                @click="emit('choose', i === chosen ? null : i)"
              >
                {{ path.words }}
              </button>
            </th>
            <td class="px-2" :title="path.goal ? interval(path.goal) : undefined">
              {{ path.goal ? percent(path.goal.value, 1) : 'no goal' }}
            </td>
            <td class="px-2">{{ path.emails.toFixed(1) }}</td>
            <td class="px-3">{{ path.days.toFixed(1) }}</td>
          </tr>
          <tr v-if="paths.rest.count > 0" class="figure text-right text-note text-ink2">
            <td class="px-3">{{ count(paths.rest.count) }}</td>
            <td class="px-2">{{ percent(paths.rest.value, 1) }}</td>
            <td></td>
            <td class="px-3 py-1.5 text-left font-sans text-plain" colspan="4">
              went one of {{ count(paths.restOf) }} other ways
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </div>
</template>
