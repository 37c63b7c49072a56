import createClient from 'openapi-fetch'
import type { paths } from './schema'
import type { DifferenceLine, JourneyDocument, JourneyView } from './types'

/**
 * Whatever changes something says that it is JSON, also where there is nothing to say. It leaves at
 * once: nobody waits for what is drawn meanwhile.
 */
function fetchStated(request: Request): Promise<Response> {
  const changes = request.method === 'POST' || request.method === 'PUT'
  if (changes && !request.headers.has('Content-Type')) {
    request.headers.set('Content-Type', 'application/json')
  }
  return fetch(request)
}

export const api = createClient<paths>({ baseUrl: '/', fetch: fetchStated })

/** Calls back whenever the server asks for the password. */
export function onPasswordNeeded(ask: () => void): void {
  api.use({
    onResponse({ response }) {
      if (response.status === 401) ask()
    },
  })
}

/** What the server says of a refused request (RFC 9457). */
export interface ApiProblem {
  status: number
  code: string
  detail: string
  problems?: { code: string; place: string; sentence: string }[]
  current?: JourneyView
  yours?: { journey: JourneyDocument; difference: DifferenceLine[]; changedHere: string[] }
}

export class Refused extends Error {
  readonly problem: ApiProblem

  constructor(problem: ApiProblem) {
    super(problem.detail)
    this.problem = problem
  }
}

/** What is wrong with fields, by their names, and with what is no field of theirs. */
export interface Faults {
  wrong: Partial<Record<string, string>>
  elsewhere: string | null
}

export const NO_FAULTS: Faults = { wrong: {}, elsewhere: null }

/**
 * Why something failed: at the fields that can tell it, each by the way to it in what was sent, such
 * as "address" or "entrance/title"; what is in a field is told there, too. Nothing is left untold.
 */
export function faultsOf(failure: unknown, fields: readonly string[]): Faults {
  const problems = failure instanceof Refused ? (failure.problem.problems ?? []) : []
  if (problems.length === 0) return { wrong: {}, elsewhere: reasonOf(failure) }
  const nearestFirst = [...fields].sort((one, other) => other.length - one.length)
  const said = new Map<string, string[]>()
  for (const { place, sentence } of problems) {
    const at = nearestFirst.find((field) => `${place}/`.startsWith(`/${field}/`)) ?? ''
    said.set(at, [...(said.get(at) ?? []), sentence])
  }
  const elsewhere = said.get('')?.join(' ') ?? null
  said.delete('')
  return {
    wrong: Object.fromEntries([...said].map(([field, why]) => [field, why.join(' ')])),
    elsewhere,
  }
}

type Answer<T> = { data?: T; error?: unknown; response: Response }

/** The answer's data; throws {@link Refused} with the server's reason, or that it is not there. */
export async function answerOf<T>(request: Promise<Answer<T>>): Promise<T> {
  let answer: Answer<T>
  try {
    answer = await request
  } catch {
    throw new Refused({
      status: 0,
      code: 'no-connection',
      detail: 'The application does not answer. Is it still running?',
    })
  }
  if (answer.response.status === 204) return undefined as T
  if (answer.error !== undefined || answer.data === undefined) {
    const problem = (answer.error ?? {}) as Partial<ApiProblem>
    throw new Refused({
      ...problem,
      status: answer.response.status,
      code: problem.code ?? 'unknown',
      detail: problem.detail ?? `The request failed with status ${answer.response.status}.`,
    })
  }
  return answer.data
}

export function reasonOf(failure: unknown): string {
  return failure instanceof Error ? failure.message : String(failure)
}
