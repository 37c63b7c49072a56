import type { JourneyDocument, JourneyView, ReadingView, Row, SheetLine } from '@/api/types'
import { allSteps } from './edits'

/** One answer of a server for component tests. */
export interface Asked {
  method: string
  path: string
  body: unknown
}

const words = (text: string) => ({ spans: [{ text, strong: false }] })

function line(id: string, text: string): SheetLine {
  return { id, sentence: words(text), typed: words(text) }
}

/** A sheet with a row for each step, called by its id. */
function sheetOf(journey: JourneyDocument): JourneyView['sheet'] {
  const rows = allSteps(journey.body).map((step): Row => ({
    id: step.id,
    kind: 'SEND',
    depth: 0,
    label: null,
    sentence: words(`Step ${step.id}`),
    typed: words(`step ${step.id}`),
    brief: step.id,
    ofStrand: false,
  }))
  return {
    opening: line('journey', 'Starts when someone comes'),
    rules: [line('window', 'Send only by day')],
    rows,
    goal: line('goal', 'Goal: bought anything'),
    secondaryGoals: [],
  } as JourneyView['sheet']
}

export function viewOf(journey: JourneyDocument, change: Partial<JourneyView> = {}): JourneyView {
  return {
    id: 1,
    version: 1,
    savedAt: '2026-01-01T00:00:00Z',
    journey,
    expanded: journey,
    sheet: sheetOf(journey),
    findings: [],
    behaviour: { groups: [] } as unknown as JourneyView['behaviour'],
    behaviourVersion: 1,
    state: { title: '', sentence: '' },
    stateChanges: [],
    mailLeavesTo: null,
    archived: false,
    starter: null,
    estimate: null,
    ...change,
  }
}

/** A server that keeps one journey, reads what it is told to, and notes what it was asked. */
export class TestServer {
  readonly asked: Asked[] = []
  reading: (text: string) => Partial<ReadingView> = () => ({})
  view: JourneyView

  constructor(journey: JourneyDocument, change: Partial<JourneyView> = {}) {
    this.view = viewOf(journey, change)
  }

  readonly fetch = async (request: Request): Promise<Response> => {
    const { pathname: path } = new URL(request.url)
    const sent = await request.text()
    const body = sent === '' ? null : (JSON.parse(sent) as Record<string, unknown>)
    this.asked.push({ method: request.method, path, body })
    return new Response(JSON.stringify(this.answer(request.method, path, body)), {
      headers: { 'Content-Type': 'application/json' },
    })
  }

  private answer(method: string, path: string, body: Record<string, unknown> | null): unknown {
    if (path.endsWith('/readings')) {
      const text = String(body!.text)
      return { understood: null, refused: null, completions: [], ...this.reading(text) }
    }
    if (path === '/api/arrangements') return { journey: this.view.journey, steps: [] }
    if (path.endsWith('/estimates'))
      return { measures: { people: 10, entered: 10, steps: [] }, nobody: [] }
    if (path !== '/api/journeys/1') return []
    if (method === 'PUT') {
      const journey = body!.journey as JourneyDocument
      this.view = { ...viewOf(journey), version: this.view.version + 1 }
    }
    return this.view
  }
}
