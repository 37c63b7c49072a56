import { useQuery } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { answerOf, api } from '@/api/client'
import { queryClient, questions } from '@/api/queries'
import type { TryoutAct, TryoutView, TryoutWho } from '@/api/types'
import { useAttempt } from '@/api/useAttempt'

/** A private run of a journey: begun, gone on with, undone, thrown away. */
export function useTryout(journey: () => number) {
  const { data, error } = useQuery(computed(() => questions.tryout(journey())))
  const { failure, busy, attempt } = useAttempt(error)
  const run = computed(() => data.value?.run ?? null)

  /** The message that is read: the newest, until another is chosen. */
  const chosen = ref<number | null>(null)
  watch(
    () => run.value?.mails.length,
    () => (chosen.value = run.value?.mails[0]?.number ?? null),
    { immediate: true },
  )
  const mail = computed(
    () => run.value?.mails.find((one) => one.number === chosen.value) ?? run.value?.mails[0],
  )

  function take(view: TryoutView) {
    queryClient.setQueryData(questions.tryout(journey()).queryKey, view)
  }

  const path = () => ({ params: { path: { id: journey() } } })

  const begin = (who: TryoutWho) =>
    attempt(async () =>
      take(await answerOf(api.PUT('/api/journeys/{id}/tryout', { ...path(), body: who }))),
    )

  /** Does something; an act that somebody else was faster with is told, and all is read again. */
  async function act(deed: TryoutAct['deed'], more: Partial<TryoutAct> = {}) {
    const body = {
      deed,
      done: run.value?.done ?? 0,
      mail: null,
      link: null,
      product: null,
      ...more,
    }
    const well = await attempt(async () =>
      take(await answerOf(api.POST('/api/journeys/{id}/tryout/acts', { ...path(), body }))),
    )
    if (!well)
      await queryClient.invalidateQueries({ queryKey: questions.tryout(journey()).queryKey })
  }

  const end = () =>
    attempt(async () => take(await answerOf(api.DELETE('/api/journeys/{id}/tryout', path()))))

  return { view: data, run, mail, chosen, failure, busy, begin, act, end }
}
