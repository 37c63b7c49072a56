<script setup lang="ts">
import { computed } from 'vue'
import type { DropOff, RunSheet } from '@/api/types'
import { count, interval, percent } from '@/ui/figures'

/** Where people's way ends, and to what; whoever met the goal is not lost. */
const props = defineProps<{ dropOff: DropOff; sheet: RunSheet; selected: string | null }>()
const emit = defineEmits<{ select: [step: string] }>()

const KINDS = [
  { key: 'met', name: 'met the goal', color: 'var(--color-vine)' },
  { key: 'unsubscribed', name: 'unsubscribed', color: 'var(--color-clay)' },
  { key: 'bounced', name: 'address dead', color: 'var(--color-clay-mid)' },
  { key: 'complained', name: 'complained', color: 'var(--color-plum)' },
  { key: 'byRule', name: 'left by a rule', color: 'var(--color-slate)' },
  { key: 'erased', name: 'erased', color: 'var(--color-ink)' },
  { key: 'early', name: 'finished early', color: 'var(--color-straw)' },
  { key: 'waiting', name: 'still inside', color: 'var(--color-stone)' },
] as const

const names = computed(() => new Map(props.sheet.rows.map((row) => [row.id, row])))
const kinds = computed(() =>
  KINDS.filter((kind) => props.dropOff.places.some((place) => place[kind.key] > 0)),
)
const most = computed(() =>
  Math.max(
    1,
    ...props.dropOff.places.map((place) => KINDS.reduce((sum, kind) => sum + place[kind.key], 0)),
  ),
)
const words = computed(() => {
  const { through, met, lost, waiting } = props.dropOff
  return `${percent(through.value, 1)} went through to the end, ${percent(met.value, 1)} left with the goal met, ${percent(lost.value, 1)} were lost on the way, ${percent(waiting.value, 1)} are still inside.`
})
</script>

<template>
  <div class="flex min-h-0 flex-1 flex-col">
    <p class="border-b border-line2 px-3 py-1.5">{{ words }}</p>
    <div class="min-h-0 flex-1 overflow-auto" tabindex="0" role="group" aria-label="Drop-off">
      <table class="w-full">
        <thead class="sticky top-0 bg-panel text-right text-note text-ink2">
          <tr class="h-8 border-b border-line whitespace-nowrap">
            <th class="px-3 text-left font-medium">where their way ends</th>
            <th class="px-2 font-medium">got here</th>
            <th class="w-[22%]"><span class="sr-only">picture</span></th>
            <th v-for="kind in kinds" :key="kind.key" class="px-2 font-medium">
              <span
                class="mr-1 inline-block size-2 rounded-xs"
                :style="{ background: kind.color }"
              />{{ kind.name }}
            </th>
            <th class="px-3 font-medium">lost here</th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="place in dropOff.places"
            :key="place.step"
            class="figure h-8 border-b border-line2 text-right text-note"
            :class="place.step === selected ? 'bg-marigold-soft' : ''"
          >
            <th scope="row" class="px-3 text-left font-sans text-plain font-normal">
              <button type="button" class="text-left" @click="emit('select', place.step)">
                <span v-if="names.get(place.step)?.label" class="chip mr-1.5 px-1.5">{{
                  names.get(place.step)!.label
                }}</span>{{ names.get(place.step)?.brief ?? place.step }}
              </button>
            </th>
            <td class="px-2">{{ count(place.reached) }}</td>
            <td class="px-2">
              <span class="flex h-2.5 overflow-hidden rounded-full bg-line2" aria-hidden="true">
                <span
                  v-for="kind in kinds"
                  :key="kind.key"
                  :style="{ width: `${(place[kind.key] / most) * 100}%`, background: kind.color }"
                />
              </span>
            </td>
            <td v-for="kind in kinds" :key="kind.key" class="px-2">
              {{ place[kind.key] ? count(place[kind.key]) : '' }}
            </td>
            <td class="px-3" :title="interval(place.lost)">{{ percent(place.lost.value, 1) }}</td>
          </tr>
        </tbody>
      </table>
      <p v-if="dropOff.places.length === 0" class="p-4 text-ink2">
        Nobody’s way has ended yet: nobody entered.
      </p>
    </div>
  </div>
</template>
