import { useTitle } from '@vueuse/core'
import { computed } from 'vue'

const APPLICATION = 'Open Trellis'

/** Names the tab of the browser by what is open in it. */
export function useTabTitle(name: () => string | null | undefined): void {
  useTitle(computed(() => (name() ? `${name()} · ${APPLICATION}` : APPLICATION)))
}
