import { describe, expect, it } from 'vitest'
import { allSteps } from '@/features/workbench/edits'
import { folded } from './fold'
import { randomJourney } from './randomJourney'

describe('folding', () => {
  it('keeps a folded branch and its arms, and nothing inside', () => {
    let tried = 0
    for (let seed = 0; seed < 50; seed++) {
      const { body } = randomJourney(seed, 30)
      const forks = allSteps(body).filter((step) => step.kind === 'branch')
      const fork = forks[0]
      if (!fork) continue
      const drawn = allSteps(folded(body, new Set([fork.id])))
      const inside = allSteps([fork]).length - 1
      expect(drawn.map((step) => step.id)).toContain(fork.id)
      expect(drawn).toHaveLength(allSteps(body).length - inside)
      expect(folded(body, new Set())).toEqual(body)
      tried++
    }
    expect(tried).toBeGreaterThan(20)
  })
})
