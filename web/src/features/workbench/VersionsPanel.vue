<script setup lang="ts">
import { storeToRefs } from 'pinia'
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { answerOf, api } from '@/api/client'
import { outdated, questions } from '@/api/queries'
import { useAttempt } from '@/api/useAttempt'
import DraftInput from '@/ui/DraftInput.vue'
import { clock, day } from '@/ui/figures'
import Trouble from '@/ui/Trouble.vue'
import DifferenceList from './DifferenceList.vue'
import { useJourneyStore } from './journeyStore'

/** Every version that was saved: when, by whom, what has changed since; and back to it. */
const store = useJourneyStore()
const { view, author } = storeToRefs(store)
const opened = ref<number | null>(null)
const all = ref(false)

const newest = computed(() => [view.value!.id, view.value!.version] as const)
const list = useQuery(() => questions.versions(...newest.value))
const whole = useQuery(() => ({
  ...questions.version(newest.value[0], opened.value ?? 0, newest.value[1]),
  enabled: opened.value !== null,
}))
const versions = computed(() => list.data.value ?? [])
const open = computed(() => (opened.value === null ? null : (whole.data.value ?? null)))
const { failure, attempt } = useAttempt(list.error, whole.error)
const lines = computed(() =>
  (open.value?.difference ?? []).filter((line) => all.value || line.kind !== 'SAME'),
)
const chosen = computed(() => versions.value.find((one) => one.version === open.value?.version))

const rename = (version: number, name: string) =>
  attempt(async () => {
    const [id] = newest.value
    await answerOf(
      api.PUT('/api/journeys/{id}/versions/{version}/name', {
        params: { path: { id, version } },
        body: { name },
      }),
    )
    await outdated('versions', id)
  })

function restore() {
  const then = open.value
  if (then) store.edit(`back to version ${then.version}`, () => then.journey)
}
</script>

<template>
  <div class="grid h-full grid-cols-[250px_1fr] gap-3">
    <div class="min-h-0 overflow-y-auto">
      <label class="mb-2 block"
        ><span class="label">Sign your versions as</span>
        <input v-model="author" class="field" maxlength="60" placeholder="your name" />
      </label>
      <ul aria-label="Versions">
        <li v-for="one in versions" :key="one.version">
          <button
            type="button"
            class="w-full rounded-md px-2 py-1 text-left"
            :class="one.version === opened ? 'bg-marigold-soft' : 'hover:bg-sunk'"
            :aria-pressed="one.version === opened"
            @click="opened = one.version"
          >
            <b>{{ one.name ?? `Version ${one.version}` }}</b>
            <span class="note block">
              {{ day(one.savedAt) }} {{ clock(one.savedAt)
              }}{{ one.savedBy ? `, ${one.savedBy}` : ''
              }}{{ one.saves > 1 ? `, ${one.saves} saves` : '' }}
            </span>
          </button>
        </li>
      </ul>
    </div>
    <div class="min-h-0 overflow-y-auto">
      <Trouble v-if="failure" class="mb-2" :text="failure" />
      <p v-if="!open" class="text-ink2">
        Choose a version to see what has changed since. Nothing that was saved is ever lost.
      </p>
      <template v-else>
        <div class="mb-2 flex items-end gap-2">
          <label class="flex-1"
            ><span class="label">Name of version {{ open.version }}</span>
            <DraftInput
              :key="open.version"
              class="field"
              :value="chosen?.name"
              maxlength="80"
              placeholder="such as: before the voucher"
              @change="rename(open.version, ($event.target as HTMLInputElement).value)"
            />
          </label>
          <label class="flex items-center gap-1.5 pb-1.5"
            ><input v-model="all" type="checkbox" /> all lines</label
          >
          <button
            type="button"
            class="button"
            :disabled="open.version === view?.version"
            @click="restore"
          >
            Go back to it
          </button>
        </div>
        <h3 class="mb-1 font-semibold">Since then</h3>
        <DifferenceList v-if="lines.length" :lines="lines" />
        <p v-else class="text-ink2">Nothing has changed since.</p>
      </template>
    </div>
  </div>
</template>
