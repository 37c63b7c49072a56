import { useQuery } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { reasonOf } from '@/api/client'
import { questions } from '@/api/queries'
import type { WalkChoice, Walker } from '@/api/types'

/** Somebody like most people, who comes on the next Monday at nine. */
export function newWalker(today: Date): Walker {
  const monday = new Date(today)
  monday.setDate(monday.getDate() + ((8 - monday.getDay()) % 7 || 7))
  const local = new Date(monday.getTime() - monday.getTimezoneOffset() * 60_000)
  return {
    group: 0,
    number: 0,
    start: `${local.toISOString().slice(0, 10)}T09:00:00`,
    tags: [],
    lists: [],
    agreesToTexts: true,
    choices: [],
    lots: {},
    modelDecides: false,
  }
}

/**
 * A walk through a journey. The server walks it anew from its start with each choice; how much of
 * it is shown is up to here, so that one can go step by step, and back.
 */
export function useWalk(journey: () => number, version: () => number, walker: () => Walker) {
  const shown = ref(0)
  const asked = useQuery(() => questions.walk(journey(), version(), walker()))
  const walk = computed(() => asked.data.value ?? null)
  const failure = computed(() => (asked.error.value ? reasonOf(asked.error.value) : null))

  watch(walk, (found) => {
    if (found) shown.value = Math.min(Math.max(shown.value, 1), found.lines.length)
  })

  const lines = computed(() => walk.value?.lines.slice(0, shown.value) ?? [])
  const atEnd = computed(() => shown.value >= (walk.value?.lines.length ?? 0))
  /** A choice is asked for once everything before it has been seen. */
  const ask = computed(() => (atEnd.value ? (walk.value?.ask ?? null) : null))

  function step(): void {
    shown.value = Math.min(shown.value + 1, walk.value?.lines.length ?? 0)
  }

  /** All that happens until something is to be chosen. */
  function skip(): void {
    shown.value = walk.value?.lines.length ?? 0
  }

  return { walk, lines, ask, atEnd, failure, step, skip, shown }
}

/** The choices without those from one message on: back to before it. */
export function before(choices: WalkChoice[], step: string): WalkChoice[] {
  const at = choices.findIndex((one) => one.step === step)
  return at < 0 ? choices : choices.slice(0, at)
}
