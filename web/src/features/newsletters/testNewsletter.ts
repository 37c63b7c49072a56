import type { NewsletterDocument, NewsletterView } from '@/api/types'

/** A newsletter of our own scenario, as the server would answer with it. */
export function newsletterView(
  change: Partial<NewsletterView> = {},
  says: Partial<NewsletterDocument> = {},
): NewsletterView {
  return {
    id: 3,
    version: 1,
    phase: 'DRAFT',
    newsletter: {
      name: 'Spring at the hives',
      message: null,
      who: { kind: 'everybody' },
      butNot: null,
      notInside: [],
      going: null,
      overHours: 0,
      subjects: null,
      text: null,
      onceMore: null,
      sender: null,
      ...says,
    },
    whoSays: '',
    butNotSays: '',
    review: ['Goes to everybody.'],
    says: ['412 people get it.'],
    findings: [],
    people: 412,
    firstAt: null,
    lastAt: null,
    steps: [],
    ...change,
  }
}
