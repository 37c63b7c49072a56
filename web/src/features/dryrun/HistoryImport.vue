<script setup lang="ts">
import { ref, shallowRef } from 'vue'
import { answerOf, api, reasonOf } from '@/api/client'
import type { BehaviourDocument, CalibrationView } from '@/api/types'
import { count, percent } from '@/ui/figures'

/** Fits the assumptions to a history, and shows model and history side by side before they count. */
const props = defineProps<{ journey: number }>()
const emit = defineEmits<{ use: [behaviour: BehaviourDocument] }>()

const fitted = shallowRef<CalibrationView | null>(null)
const failure = ref<string | null>(null)
const busy = ref(false)

async function read(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (!file) return
  busy.value = true
  failure.value = null
  fitted.value = null
  try {
    const text = await file.text()
    fitted.value = await answerOf(
      api.POST('/api/journeys/{id}/calibrations', {
        params: { path: { id: props.journey } },
        body: text,
        bodySerializer: (csv: unknown) => csv as string,
        headers: { 'Content-Type': 'text/csv' },
      }),
    )
  } catch (reason) {
    failure.value = reasonOf(reason)
  } finally {
    busy.value = false
    input.value = ''
  }
}

function use() {
  if (!fitted.value) return
  emit('use', fitted.value.behaviour)
  fitted.value = null
}
</script>

<template>
  <div class="border-t border-line px-3 py-2">
    <label class="button button-small">
      {{ busy ? 'Fitting…' : 'Measure from a history (CSV)' }}
      <input type="file" accept=".csv,text/csv" class="sr-only" :disabled="busy" @change="read" />
    </label>
    <span class="note ml-2">
      Columns person, message, sent, and any of delivered, opened, clicked, unsubscribed, bought,
      zone.
    </span>
    <p v-if="failure" class="mt-1 text-clay" role="alert">{{ failure }}</p>
    <div v-if="fitted" class="mt-2">
      <p>{{ fitted.sentences.join(' ') }}</p>
      <table v-if="fitted.checks.length" class="mt-1 w-full text-right">
        <thead class="text-note text-ink2">
          <tr>
            <th class="text-left font-medium">message</th>
            <th class="font-medium">delivered</th>
            <th class="font-medium">opened in the history</th>
            <th class="font-medium">in the model</th>
            <th class="font-medium">clicked in the history</th>
            <th class="font-medium">in the model</th>
            <th class="font-medium">fits</th>
          </tr>
        </thead>
        <tbody class="figure text-note">
          <tr v-for="check in fitted.checks" :key="check.step" class="border-t border-line2">
            <th class="text-left font-sans font-normal">{{ check.message }}</th>
            <td>{{ count(check.delivered) }}</td>
            <td>
              {{ percent(check.opened, 1) }} ({{ percent(check.openedLow, 1) }} to
              {{ percent(check.openedHigh, 1) }})
            </td>
            <td>{{ percent(check.openedInModel, 1) }}</td>
            <td>{{ percent(check.clicked, 1) }}</td>
            <td>{{ percent(check.clickedInModel, 1) }}</td>
            <td>{{ check.fits ? 'within the interval' : 'outside it' }}</td>
          </tr>
        </tbody>
      </table>
      <p v-else class="note mt-1">
        None of the messages in the history is sent by this journey; only what holds for all of them
        is measured.
      </p>
      <p v-if="fitted.unknown.length" class="note mt-1">
        Not sent by this journey: {{ fitted.unknown.join(', ') }}.
      </p>
      <p class="mt-2 flex gap-1.5">
        <button type="button" class="button button-small button-main" @click="use">
          Use what was measured
        </button>
        <button type="button" class="button button-small" @click="fitted = null">
          Leave it as it is
        </button>
      </p>
    </div>
  </div>
</template>
