<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { answerOf, api, reasonOf } from '@/api/client'
import { outdated, questions } from '@/api/queries'
import { useAttempt } from '@/api/useAttempt'
import PersonJourneys from '@/features/glasshouse/PersonJourneys.vue'
import GoneForGood from '@/ui/GoneForGood.vue'
import Trouble from '@/ui/Trouble.vue'
import EditPerson from './EditPerson.vue'
import { dayOf, HOW_OFTEN, MAILING } from './mailing'

/** One person: who they are, what they carry, and their story. */
const props = defineProps<{ id: number }>()

const emit = defineEmits<{ forgotten: [] }>()

const { data: person, error } = useQuery(() => questions.person(props.id))
const editing = ref(false)
const name = computed(() => {
  const one = person.value
  return one ? [one.firstName, one.lastName].filter(Boolean).join(' ') || 'No name' : ''
})
const about = computed(() => {
  const one = person.value
  return one ? [one.address, one.phone, one.zone].filter(Boolean).join(' · ') : ''
})

const { failure, busy, attempt } = useAttempt()

async function takeBack(act: number) {
  await attempt(() =>
    answerOf(api.POST('/api/people-acts/{id}/back', { params: { path: { id: act } } })),
  )
  await outdated('people')
}

async function forget() {
  const gone = await attempt(() =>
    answerOf(api.DELETE('/api/people/{id}', { params: { path: { id: props.id } } })),
  )
  if (!gone) return
  emit('forgotten')
  await outdated('people', 'found')
  await outdated('people', 'names')
}

function saved() {
  editing.value = false
  void outdated('people')
}
</script>

<template>
  <section class="panel flex min-h-0 flex-col overflow-y-auto" aria-labelledby="person">
    <Trouble v-if="error" class="m-3" :text="reasonOf(error)" />
    <template v-if="person">
      <header class="border-b border-line px-3 py-2.5">
        <div class="flex items-center gap-2">
          <h2 id="person" class="text-lead">{{ name }}</h2>
          <span class="chip">{{ MAILING[person.mailing] }}</span>
          <button
            v-if="!editing"
            type="button"
            class="button button-small ml-auto"
            @click="editing = true"
          >
            Edit
          </button>
        </div>
        <p class="figure mt-0.5 text-note wrap-anywhere text-ink2">{{ about }}</p>
        <p class="note mt-1">Since {{ dayOf(person.mailingSince) }}: {{ person.mailingHow }}</p>
        <p v-if="person.mailingWords && person.mailing === 'MAY_BE_MAILED'" class="note">
          They agreed: “{{ person.mailingWords }}”
        </p>
        <p v-if="person.textsSince" class="note">
          {{ person.texts ? 'Agreed to texts' : 'No texts' }} since {{ dayOf(person.textsSince) }}:
          {{ person.textsHow }}
        </p>
        <p v-if="person.howOften !== 'AS_IT_COMES'" class="note">
          Wants {{ HOW_OFTEN[person.howOften] }}; what comes sooner waits.
        </p>
        <p v-if="person.labels.length" class="mt-1.5 flex flex-wrap gap-1.5">
          <span
            v-for="label in person.labels"
            :key="label.kind + label.name"
            class="chip"
            :class="
              label.kind === 'LIST'
                ? 'border-slate-soft bg-slate-soft text-slate'
                : 'border-plum-soft bg-plum-soft text-plum'
            "
            :title="`${label.how}, ${dayOf(label.since)}`"
            >{{ label.name }}</span
          >
        </p>
        <p v-for="field in person.fields" :key="field.field" class="note mt-1">
          {{ field.field }}: {{ field.value }}
        </p>
      </header>
      <EditPerson
        v-if="editing"
        class="border-b border-line"
        :person="person"
        @saved="saved"
        @cancel="editing = false"
      />
      <PersonJourneys :person="person.id" />
      <h3 class="flex items-center px-3 pt-2.5 pb-1 font-semibold">
        Story
        <button
          v-if="person.lastEdit && !editing"
          type="button"
          class="button button-small ml-auto"
          :disabled="busy"
          @click="takeBack(person.lastEdit)"
        >
          Take the last change back
        </button>
      </h3>
      <Trouble v-if="failure" class="mx-3 mb-2" :text="failure" />
      <ol class="px-3 pb-3">
        <li
          v-for="(one, i) in person.story"
          :key="i"
          class="grid grid-cols-[88px_1fr] gap-2 border-b border-line2 py-1.5"
        >
          <span class="figure text-note text-ink2">{{ dayOf(one.at) }}</span>
          <span>{{ one.sentence }}</span>
        </li>
      </ol>
      <GoneForGood
        class="mx-3 mb-3"
        ask="Forget them for good…"
        does="Forget for good"
        keeps="Keep them"
        :busy="busy"
        @sure="forget"
      >
        <a class="underline" :href="`/api/people/${person.id}/file`" download
          >All of it as a file</a
        >
        <template #consequences
          >Everything that is known of them goes for good: name, address, fields, story. Counts
          stay, and a fingerprint keeps tables from bringing them back unasked.</template
        >
      </GoneForGood>
    </template>
  </section>
</template>
