import { onScopeDispose, ref, shallowRef } from 'vue'
import { answerOf, api, reasonOf } from '@/api/client'
import { outdated } from '@/api/queries'
import type { SearchStand, SearchWish } from '@/api/types'

const ASK_EVERY_MILLIS = 250

/** One search at a time: begun, watched, cut short, or cancelled. */
export function useSearch(run: () => number, number: () => number) {
  const stand = shallowRef<SearchStand | null>(null)
  const failure = ref<string | null>(null)
  let gone = false
  onScopeDispose(() => (gone = true))

  function params(begun: SearchStand) {
    return { params: { path: { job: begun.job } } }
  }

  async function search(wish: SearchWish) {
    failure.value = null
    try {
      const begun = await answerOf(
        api.POST('/api/dry-runs/{id}/searches', {
          params: { path: { id: run() }, query: { number: number() } },
          body: wish,
        }),
      )
      stand.value = begun
      while (!gone && ['QUEUED', 'RUNNING'].includes(stand.value.state)) {
        await new Promise((done) => setTimeout(done, ASK_EVERY_MILLIS))
        stand.value = await answerOf(api.GET('/api/searches-on-their-way/{job}', params(begun)))
      }
      failure.value = stand.value.failure
      if (stand.value.state === 'DONE') await outdated('better-ways', run(), number())
    } catch (reason) {
      failure.value = reasonOf(reason)
    } finally {
      stand.value = null
    }
  }

  async function tell(how: (begun: SearchStand) => Promise<SearchStand>) {
    if (!stand.value) return
    try {
      await how(stand.value)
    } catch (reason) {
      failure.value = reasonOf(reason)
    }
  }

  const enough = () =>
    tell((begun) => answerOf(api.PUT('/api/searches-on-their-way/{job}/enough', params(begun))))
  const cancel = () =>
    tell((begun) => answerOf(api.DELETE('/api/searches-on-their-way/{job}', params(begun))))

  return { stand, failure, search, enough, cancel }
}
