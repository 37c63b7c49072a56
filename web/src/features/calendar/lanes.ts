import type { CalendarLane } from '@/api/types'

type Lane = Pick<CalendarLane, 'id' | 'kind'>

const PAGES: Record<CalendarLane['kind'], string> = {
  NEWSLETTER: 'newsletter',
  NEWS: 'news',
  JOURNEY: 'workbench',
  DRAFT: 'workbench',
}

/** Where what sends is looked at. */
export function placeOf(lane: Lane) {
  return { name: PAGES[lane.kind], params: { id: lane.id } }
}

/** Whether one email goes to many at a moment. */
export function isLetter(lane: Lane): boolean {
  return lane.kind === 'NEWSLETTER' || lane.kind === 'NEWS'
}
