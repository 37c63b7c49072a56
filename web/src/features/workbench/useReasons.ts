import { useQuery } from '@tanstack/vue-query'
import { useStorage } from '@vueuse/core'
import { computed } from 'vue'
import { questions } from '@/api/queries'

/** Whether the reasons of starters are shown; kept in this browser. */
const shown = useStorage('open-trellis.show-reasons', true)

/** Why a journey's starter is as it is, by row; nothing if it began from none. */
export function useReasons(starter: () => string | null | undefined) {
  // Reasons are an extra: without them the sheet is whole all the same.
  const { data } = useQuery(() => ({ ...questions.starters(), enabled: !!starter() }))
  const all = computed<Record<string, string>>(
    () => data.value?.find((one) => one.id === starter())?.reasons ?? {},
  )

  const reasons = computed(() => (shown.value ? all.value : {}))
  const has = computed(() => Object.keys(all.value).length > 0)
  const toggle = () => (shown.value = !shown.value)

  return { reasons, has, shown, toggle }
}
