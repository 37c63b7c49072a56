/** Writing takes a while, which is not taken from what is to be seen first. */
const SOON_MILLIS = 400

const waiting = new Map<string, () => void>()
let timer: ReturnType<typeof setTimeout> | undefined

/**
 * Writes something down in a moment; at the latest when the page goes. Of what waits under one key
 * only the newest is written.
 */
export function writeSoon(key: string, write: () => void): void {
  waiting.set(key, write)
  timer ??= setTimeout(writeNow, SOON_MILLIS)
}

/** Writes down what waits: before somebody reads it, or it becomes something else. */
export function writeNow(): void {
  clearTimeout(timer)
  timer = undefined
  const all = [...waiting.values()]
  waiting.clear()
  all.forEach((write) => write())
}

window.addEventListener('pagehide', writeNow)
