import { useStorage } from '@vueuse/core'
import { computed, shallowRef, watch } from 'vue'
import { answerOf, api } from '@/api/client'

/** Whether the reasons of starters are shown; kept in this browser. */
const shown = useStorage('open-trellis.show-reasons', true)

/** Why a journey's starter is as it is, by row; nothing if it began from none. */
export function useReasons(starter: () => string | null | undefined) {
  const all = shallowRef<Record<string, string>>({})

  watch(
    starter,
    async (id) => {
      all.value = {}
      if (!id) return
      // Reasons are an extra: without them the sheet is whole all the same.
      const starters = await answerOf(api.GET('/api/starters')).catch(() => [])
      all.value = starters.find((one) => one.id === id)?.reasons ?? {}
    },
    { immediate: true },
  )

  const reasons = computed(() => (shown.value ? all.value : {}))
  const has = computed(() => Object.keys(all.value).length > 0)
  const toggle = () => (shown.value = !shown.value)

  return { reasons, has, shown, toggle }
}
