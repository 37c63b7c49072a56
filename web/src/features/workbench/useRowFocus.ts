import { nextTick, onBeforeUpdate, onMounted, onUpdated, watch, type Ref } from 'vue'

type Element = Readonly<Ref<HTMLElement | null>>

/** Keeps the current row of a list in sight, whoever has chosen it, as soon as it is there. */
export function useRowInSight(list: Element, current: Readonly<Ref<string | null>>): void {
  function show(block: ScrollLogicalPosition): void {
    if (current.value === null) return
    const row = list.value?.querySelector(`[data-row="${CSS.escape(current.value)}"]`)
    row?.scrollIntoView({ block })
  }
  watch(current, () => show('nearest'), { flush: 'post' })
  // Rows become higher as soon as there are figures; in the middle it stays in sight.
  onMounted(() => show('center'))
}

/** Puts the focus on the current row of a list. */
export function useRowFocus(list: Element) {
  return function focusRow(): void {
    void nextTick(() => {
      const row = list.value?.querySelector<HTMLElement>('[data-row][tabindex="0"]')
      row?.focus()
      row?.scrollIntoView({ block: 'nearest' })
    })
  }
}

/** A row that moves loses the focus; this tells the component that draws the rows when it did. */
export function useLostFocus(list: Element, lost: () => void): void {
  let held = false
  onBeforeUpdate(() => (held = !!list.value?.contains(document.activeElement)))
  onUpdated(() => {
    if (held && document.activeElement === document.body) lost()
  })
}
