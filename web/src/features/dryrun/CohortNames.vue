<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { answerOf, api } from '@/api/client'
import { outdated, questions } from '@/api/queries'
import type { CohortPlan, CohortView } from '@/api/types'
import { useAttempt } from '@/api/useAttempt'

/** Cohorts kept under a name: to begin from, and to keep this one. */
const props = defineProps<{ cohort: CohortPlan; chosen: number | null }>()
const emit = defineEmits<{ choose: [cohort: CohortView | null] }>()

const { data: all, error } = useQuery(questions.cohorts())
const name = ref('')
const naming = ref(false)
const { failure, attempt } = useAttempt(error)

const current = computed(() => all.value?.find((one) => one.id === props.chosen) ?? null)
const changed = computed(
  () => current.value && JSON.stringify(current.value.cohort) !== JSON.stringify(props.cohort),
)

const keep = (as: string) =>
  attempt(async () => {
    const body = { name: as, cohort: props.cohort }
    const kept = await answerOf(api.POST('/api/cohorts', { body }))
    await outdated('cohorts')
    naming.value = false
    emit('choose', kept)
  })

const forget = (id: number) =>
  attempt(async () => {
    await answerOf(api.DELETE('/api/cohorts/{id}', { params: { path: { id } } }))
    emit('choose', null)
    await outdated('cohorts')
  })

function choose(id: string) {
  emit('choose', all.value?.find((one) => one.id === Number(id)) ?? null)
}
</script>

<template>
  <div class="border-b border-line2 px-3 py-2">
    <label class="flex items-center gap-2">
      <span class="shrink-0">Cohort</span>
      <select
        class="field min-h-6.5!"
        :value="current?.id ?? ''"
        @change="choose(($event.target as HTMLSelectElement).value)"
      >
        <option value="">this journey’s own</option>
        <option v-for="one in all" :key="one.id" :value="one.id">{{ one.name }}</option>
      </select>
    </label>
    <p v-if="current" class="note mt-1">
      {{ changed ? 'Changed from what is kept.' : current.words }}
    </p>
    <form v-if="naming" class="mt-1.5 flex gap-1" @submit.prevent="keep(name)">
      <input
        v-model="name"
        class="field min-h-6.5!"
        placeholder="Spring sign-ups"
        aria-label="Name of the cohort"
        maxlength="80"
        required
      />
      <button type="submit" class="button button-small">Keep</button>
      <button type="button" class="button button-small" @click="naming = false">No</button>
    </form>
    <div v-else class="mt-1.5 flex gap-1">
      <button
        v-if="current && changed"
        type="button"
        class="button button-small"
        @click="keep(current.name)"
      >
        Keep the changes
      </button>
      <button type="button" class="button button-small" @click="naming = true">
        Keep under a name
      </button>
      <button v-if="current" type="button" class="button button-small" @click="forget(current.id)">
        Forget it
      </button>
    </div>
    <p v-if="failure" class="mt-1 text-clay" role="alert">{{ failure }}</p>
  </div>
</template>
