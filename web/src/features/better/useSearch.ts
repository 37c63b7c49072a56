import { StorageSerializers, useStorage } from '@vueuse/core'
import { onScopeDispose, ref, shallowRef } from 'vue'
import { answerOf, api, reasonOf, Refused } from '@/api/client'
import { outdated } from '@/api/queries'
import type { SearchStand, SearchWish } from '@/api/types'

const ASK_EVERY_MILLIS = 250

/** One search at a time: begun, watched, cut short, or cancelled. */
export function useSearch(run: () => number, number: () => number) {
  const stand = shallowRef<SearchStand | null>(null)
  const failure = ref<string | null>(null)
  const underWay = useStorage<number | null>(
    `open-trellis.search-${run()}-${number()}`,
    null,
    sessionStorage,
    { serializer: StorageSerializers.number },
  )
  let gone = false
  onScopeDispose(() => (gone = true))

  function params(begun: SearchStand) {
    return { params: { path: { job: begun.job } } }
  }

  /**
   * Watches one until it is over; a reload goes on watching it.
   *
   * @param again whether it has been begun before, and may be over and forgotten
   */
  async function watch(begin: () => Promise<SearchStand>, again = false) {
    failure.value = null
    try {
      const begun = await begin()
      underWay.value = begun.job
      stand.value = begun
      while (!gone && ['QUEUED', 'RUNNING'].includes(stand.value.state)) {
        await new Promise((done) => setTimeout(done, ASK_EVERY_MILLIS))
        stand.value = await answerOf(api.GET('/api/searches-on-their-way/{job}', params(begun)))
      }
      if (gone) return
      failure.value = stand.value.failure
      if (stand.value.state === 'DONE') {
        // How long the next one will take is told by this one.
        await Promise.all([
          outdated('better-ways', run(), number()),
          outdated('runs', 'search-size', run(), number()),
        ])
      }
    } catch (reason) {
      const forgotten = again && reason instanceof Refused && reason.problem.status === 404
      failure.value = forgotten ? null : reasonOf(reason)
    }
    underWay.value = null
    stand.value = null
  }

  const search = (wish: SearchWish) =>
    watch(() =>
      answerOf(
        api.POST('/api/dry-runs/{id}/searches', {
          params: { path: { id: run() }, query: { number: number() } },
          body: wish,
        }),
      ),
    )

  if (underWay.value !== null) {
    const job = underWay.value
    const asked = () =>
      answerOf(api.GET('/api/searches-on-their-way/{job}', { params: { path: { job } } }))
    void watch(asked, true)
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
