import { json } from './testClient'

/** What was asked of a server that a test keeps. */
export interface Asked {
  /** Such as "PUT /api/newsletters/3". */
  door: string
  query: Record<string, string>
  body: unknown
}

type Answer = (asked: Asked) => unknown

/** What an answer is that refuses, with the server's reason and what is wrong with what was sent. */
class Refusal {
  constructor(
    readonly status: number,
    readonly problem: Record<string, unknown>,
  ) {}
}

const isJson = (request: Request) =>
  request.headers.get('Content-Type')?.startsWith('application/json') ?? true

/** A server for tests: its doors answer as they are told to, and what is asked is noted. */
export class Doors {
  readonly asked: Asked[] = []
  private answers = new Map<string, Answer>()
  private held: Promise<void> | null = null

  /** Forgets all. */
  clear(): void {
    this.asked.length = 0
    this.answers.clear()
    this.held = null
  }

  /** Answers so at a door; what is worked out, or promised, is given what was asked. */
  answer(door: string, body: unknown): void {
    this.answers.set(door, typeof body === 'function' ? (body as Answer) : () => body)
  }

  /** Refuses at a door, with what is wrong at places of what was sent. */
  refuse(door: string, detail: string, wrong: Record<string, string> = {}): void {
    const problems = Object.entries(wrong).map(([place, sentence]) => ({
      code: 'bad-value',
      place,
      sentence,
    }))
    this.answer(door, () => new Refusal(400, { code: 'bad-request', detail, problems }))
  }

  /** Refuses a save because somebody else has saved what is kept now. */
  tooLate(door: string, detail: string, current: unknown): void {
    this.answer(door, () => new Refusal(409, { code: 'save-lost', detail, current, yours: null }))
  }

  /** Answers nothing until it is let go on. */
  hold(): () => void {
    let go = () => {}
    this.held = new Promise((done) => (go = done))
    return () => {
      this.held = null
      go()
    }
  }

  /** What was asked at a door, the latest last. */
  at(door: string): Asked[] {
    return this.asked.filter((one) => one.door === door)
  }

  readonly fetch = async (request: Request): Promise<Response> => {
    const url = new URL(request.url)
    const text = await request.text()
    const asked: Asked = {
      door: `${request.method} ${url.pathname}`,
      query: Object.fromEntries(url.searchParams),
      body: text && isJson(request) ? (JSON.parse(text) as unknown) : text || null,
    }
    this.asked.push(asked)
    await this.held
    const answer = this.answers.get(asked.door)
    const body = answer ? await answer(asked) : request.method === 'GET' ? [] : null
    if (body instanceof Refusal) return json(body.problem, body.status)
    return body === undefined ? new Response(null, { status: 204 }) : json(body)
  }
}
