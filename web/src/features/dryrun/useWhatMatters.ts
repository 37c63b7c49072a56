import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { reasonOf } from '@/api/client'
import { questions } from '@/api/queries'

/** What moves the goal of a run most; null until it is known, and why if it is not to be had. */
export function useWhatMatters(run: () => number, number: () => number) {
  const asked = useQuery(() => questions.whatMatters(run(), number()))
  return {
    matters: computed(() => asked.data.value ?? null),
    failure: computed(() => (asked.error.value ? reasonOf(asked.error.value) : null)),
    again: () => asked.refetch(),
  }
}
