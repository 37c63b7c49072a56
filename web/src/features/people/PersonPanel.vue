<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { reasonOf } from '@/api/client'
import { outdated, questions } from '@/api/queries'
import Trouble from '@/ui/Trouble.vue'
import EditPerson from './EditPerson.vue'
import { dayOf, MAILING } from './mailing'

/** One person: who they are, what they carry, and their story. */
const props = defineProps<{ id: number }>()

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
          <span class="chip" :title="person.mailingHow">{{ MAILING[person.mailing] }}</span>
          <button
            v-if="!editing"
            type="button"
            class="button button-small ml-auto"
            @click="editing = true"
          >
            Edit
          </button>
        </div>
        <p class="figure mt-0.5 text-note break-all text-ink2">{{ about }}</p>
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
      <h3 class="px-3 pt-2.5 pb-1 font-semibold">Story</h3>
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
    </template>
  </section>
</template>
