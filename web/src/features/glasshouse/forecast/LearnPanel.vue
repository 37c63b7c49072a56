<script setup lang="ts">
import { onMounted, ref, shallowRef } from 'vue'
import { answerOf, api, reasonOf } from '@/api/client'
import { outdated } from '@/api/queries'
import type { JourneyView, LessonLine, LessonView } from '@/api/types'
import { useAssumptions } from '@/features/dryrun/useAssumptions'
import { count } from '@/ui/figures'
import Trouble from '@/ui/Trouble.vue'

/** What those who came say about the assumptions, before it is taken over. */
const props = defineProps<{ journey: number; names: Map<string, string> }>()
const emit = defineEmits<{ close: [] }>()

const ABOUT: Record<LessonLine['about'], string> = {
  OPENS: 'people who open it',
  CLICK_GIVEN_OPEN: 'of those, who click',
  UNSUBSCRIBE_GIVEN_OPEN: 'of those, who unsubscribe',
  PRELOADS: 'pictures loaded ahead',
  COMES_BACK: 'messages that come back',
  OPEN_MEDIAN: 'half of openers open within',
  BUY_AFTER_CLICK: 'buy after a click',
  BUY_MEAN: 'that takes on average',
  BUYS_ANYWAY: 'buy anyway within 30 days',
}

const lesson = shallowRef<LessonView | null>(null)
const journeyView = shallowRef<JourneyView | null>(null)
const failure = ref<string | null>(null)
/** Whether what was measured has been taken over here. */
const taken = ref(false)
const { change, recall, edits, saved } = useAssumptions(journeyView, failure)

onMounted(async () => {
  try {
    const params = { params: { path: { id: props.journey } } }
    journeyView.value = await answerOf(api.GET('/api/journeys/{id}', params))
    recall()
    lesson.value = await answerOf(
      api.POST('/api/live/journeys/{journey}/lessons', {
        params: { path: { journey: props.journey } },
      }),
    )
  } catch (reason) {
    failure.value = reasonOf(reason)
  }
})

function said(line: LessonLine, value: number): string {
  return line.unit === 'HOURS' ? `${value.toFixed(1)} h` : `${(100 * value).toFixed(1)}%`
}

function nameOf(line: LessonLine): string {
  return line.step === null ? '' : (props.names.get(line.step) ?? line.step)
}

/** Once it is saved, what was forecast by it is no longer true. */
async function settle() {
  await saved()
  await Promise.all([outdated('journeys'), outdated('live', 'forecast')])
}

async function takeOver() {
  change(lesson.value!.behaviour)
  await settle()
  taken.value = failure.value === null
}

async function takeBack() {
  edits.undo()
  await settle()
  taken.value = false
}
</script>

<template>
  <section class="px-3 py-2" aria-labelledby="learned">
    <h3 id="learned" class="font-semibold">What those who came say about the assumptions</h3>
    <Trouble v-if="failure" class="mt-2" :text="failure" />
    <button
      v-if="failure && !lesson"
      type="button"
      class="button button-small mt-2"
      @click="emit('close')"
    >
      Back
    </button>
    <p v-if="!lesson && !failure" class="py-4 text-ink2" role="status">It is being measured…</p>
    <template v-if="lesson">
      <p class="mt-1">
        <b>{{ lesson.verdict }}</b> {{ lesson.goal?.sentence }}
      </p>
      <p class="mt-2 flex flex-wrap items-center gap-1.5">
        <template v-if="!taken">
          <button
            type="button"
            class="button button-small"
            :class="{ 'button-main': lesson.lessons.some((line) => line.differs) }"
            @click="takeOver"
          >
            Take over what was measured
          </button>
          <button type="button" class="button button-small" @click="emit('close')">
            Leave it as it is
          </button>
          <button v-if="edits.canUndo" type="button" class="button button-small" @click="takeBack">
            Undo the last change
          </button>
        </template>
        <template v-else>
          <span class="text-vine" role="status">
            The journey assumes what was measured; each value says so.
          </span>
          <button type="button" class="button button-small" @click="takeBack">Undo</button>
          <button type="button" class="button button-small" @click="emit('close')">Done</button>
        </template>
      </p>
      <table class="mt-2 w-full">
        <thead class="text-note text-ink2">
          <tr>
            <th class="py-0.5 text-left font-medium" colspan="2">assumption</th>
            <th class="px-2 text-right font-medium">assumed</th>
            <th class="px-2 text-right font-medium">measured</th>
            <th class="px-2 text-right font-medium">95% interval</th>
            <th class="px-2 text-right font-medium">of</th>
            <th class="px-2 text-left font-medium">so</th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="line in lesson.lessons"
            :key="line.about + line.step"
            class="border-t border-line2"
          >
            <th class="max-w-44 truncate py-0.5 text-left font-semibold" :title="nameOf(line)">
              {{ nameOf(line) }}
            </th>
            <td>{{ ABOUT[line.about] }}</td>
            <td class="figure px-2 text-right text-ink2">{{ said(line, line.before) }}</td>
            <td class="figure px-2 text-right">
              <b>{{ said(line, line.now) }}</b>
            </td>
            <td class="figure px-2 text-right text-ink2">
              {{ said(line, line.low) }} to {{ said(line, line.high) }}
            </td>
            <td class="figure px-2 text-right text-ink2">{{ count(line.count) }}</td>
            <td class="px-2" :class="line.differs ? 'text-clay' : 'text-ink2'">
              {{ line.differs ? 'differs' : 'within' }}
            </td>
          </tr>
        </tbody>
      </table>
      <p class="note mt-2">{{ lesson.sentences.join(' ') }}</p>
    </template>
  </section>
</template>
