<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { answerOf, api } from '@/api/client'
import { isOver, outdated, questions } from '@/api/queries'
import type { SilentView } from '@/api/types'
import { useForm } from '@/api/useForm'
import ShareBar from '@/ui/ShareBar.vue'
import { count, percent } from '@/ui/figures'

/** Who opens nothing, by when they came, and what can be done about it. */
const props = defineProps<{
  silent: SilentView
  /** Whether others are asked for, who are not known yet: then nothing is done with these. */
  ofOthers: boolean
}>()

const QUIET = 'quiet'
const STARTER = 're-engagement'

const router = useRouter()
const { told, busy, send } = useForm()
const held = computed(() => busy.value || props.ofOthers)
const done = ref<string | null>(null)
const asksStop = ref(false)
const people = computed(() => props.silent.people.length)
watch(
  () => [props.ofOthers, props.silent.people],
  () => (asksStop.value = false),
)
const { data: acts } = useQuery(questions.acts())
const underWay = computed(() => acts.value?.some((act) => !isOver(act) && !act.failure) ?? false)
watch(underWay, (now) => {
  if (!now) void outdated('health')
})
const all = computed(() => (people.value === 1 ? 'this one' : `all ${count(people.value)}`))

async function act(change: 'TAG' | 'STOP_MAILING', name: string | null) {
  await answerOf(
    api.POST('/api/people-acts', {
      body: {
        people: { find: '', search: '', chosen: props.silent.people },
        change,
        name,
        value: null,
      },
    }),
  )
  await outdated('people')
}

async function tag() {
  await send(async () => {
    await act('TAG', QUIET)
    done.value = `They are being tagged “${QUIET}”: People shows how far, and takes it back.`
  })
}

async function stop() {
  asksStop.value = false
  await send(async () => {
    await act('STOP_MAILING', null)
    done.value = 'They are mailed no more: People shows how far, and takes it back.'
  })
}

async function winBack() {
  await send(async () => {
    const made = await answerOf(
      api.POST('/api/starters/{id}/journeys', { params: { path: { id: STARTER } } }),
    )
    await outdated('journeys')
    await router.push({ name: 'workbench', params: { id: made.id } })
  })
}
</script>

<template>
  <div>
    <ul class="mt-2 grid gap-1" aria-label="What is known of them">
      <li v-for="line in silent.says" :key="line">{{ line }}</li>
    </ul>
    <table v-if="silent.groups.length" class="mt-3 w-full" aria-label="By when they came">
      <thead>
        <tr class="note text-left">
          <th class="font-normal">came in</th>
          <th class="text-right font-normal">people</th>
          <th class="text-right font-normal">silent</th>
          <th class="pl-3 font-normal">share, with its 95% band</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="group in silent.groups" :key="group.came" class="border-t border-line2">
          <td class="py-1">{{ group.came }}</td>
          <td class="figure py-1 text-right">{{ count(group.people) }}</td>
          <td class="figure py-1 text-right">{{ count(group.silent) }}</td>
          <td class="py-1 pl-3">
            <span class="flex items-center gap-2">
              <ShareBar class="w-24" :value="group.share" />
              <span class="figure">{{ percent(group.share, 0) }}</span>
              <span class="note">{{ percent(group.low, 0) }} to {{ percent(group.high, 0) }}</span>
            </span>
          </td>
        </tr>
      </tbody>
    </table>
    <div v-if="people" class="mt-4 grid gap-2 border-t border-line2 pt-3">
      <p class="flex flex-wrap items-center gap-2">
        <button type="button" class="button button-small" :disabled="held" @click="winBack">
          Plan to win them back
        </button>
        <span class="note"
          >first: a journey from the starter, which begins when somebody gets the tag “{{
            QUIET
          }}”</span
        >
      </p>
      <p class="flex flex-wrap items-center gap-2">
        <button type="button" class="button button-small" :disabled="held" @click="tag">
          Tag {{ all }} “{{ QUIET }}”
        </button>
        <span class="note"
          >once that journey is open: whoever is tagged before does not come into it</span
        >
      </p>
      <p class="flex flex-wrap items-center gap-2">
        <button
          v-if="!asksStop"
          type="button"
          class="button button-small"
          :disabled="held"
          @click="asksStop = true"
        >
          Stop mailing {{ all }}
        </button>
        <template v-else>
          <span>Mail {{ all }} no more?</span>
          <button type="button" class="button button-small" :disabled="held" @click="stop">
            Stop it
          </button>
          <button type="button" class="button button-small" @click="asksStop = false">
            Not yet
          </button>
        </template>
      </p>
      <p v-if="told" class="warning" role="alert">{{ told }}</p>
    </div>
    <p v-if="done" class="note mt-2" role="status">{{ done }}</p>
  </div>
</template>
