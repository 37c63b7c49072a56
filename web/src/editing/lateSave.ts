import { Refused } from '@/api/client'

const BOTH_WAYS = 'Save again to put yours in its place, or undo to have theirs.'

/**
 * What to do about a save that was refused: if somebody else has saved meanwhile, the next one takes
 * the place of what they saved, which is said.
 *
 * @param goOn is given the version that is kept now
 * @returns what to tell
 */
export function lateSave(reason: unknown, goOn: (version: number) => void): unknown {
  if (!(reason instanceof Refused) || reason.problem.code !== 'save-lost') return reason
  const theirs = reason.problem.current as unknown as { version: number }
  goOn(theirs.version)
  return new Refused({ ...reason.problem, detail: `${reason.problem.detail} ${BOTH_WAYS}` })
}
