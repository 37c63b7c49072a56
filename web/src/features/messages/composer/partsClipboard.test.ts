import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { PartDocument } from '@/api/types'
import { lineOf } from './words'
import { allParts, freshIds } from './parts'
import { copyParts, partsOf, pastedParts } from './partsClipboard'

const prose = (id: string, text: string): PartDocument => ({
  kind: 'prose',
  id,
  blocks: [{ kind: 'paragraph', words: lineOf(text).words }],
})
const button = (id: string, text: string) =>
  ({
    kind: 'button',
    id,
    words: lineOf(text),
    to: 'https://mosswick.example/',
  }) as unknown as PartDocument

/** The system's clipboard, as another program may fill it. */
let held: Record<string, string> | null
let mayLook: boolean

beforeEach(() => {
  localStorage.clear()
  held = null
  mayLook = true
  vi.stubGlobal('navigator', {
    clipboard: {
      writeText: async (words: string) => {
        if (!mayLook) throw new DOMException('no', 'NotAllowedError')
        held = { 'text/plain': words }
      },
      read: async () => {
        if (!mayLook) throw new DOMException('no', 'NotAllowedError')
        const all = held ?? {}
        return [
          { types: Object.keys(all), getType: async (type: string) => new Blob([all[type]!]) },
        ]
      },
    },
  })
})
afterEach(() => vi.unstubAllGlobals())

const fresh = () => freshIds([prose('p1', 'there already')])
const words = (parts: PartDocument[]) =>
  parts.flatMap((part) =>
    part.kind === 'prose'
      ? part.blocks.flatMap((block) =>
          (block.kind === 'items' ? block.items : [block]).map((line) =>
            line.words.map((one) => (one.kind === 'words' ? one.text : '')).join(''),
          ),
        )
      : [part.kind],
  )

describe('copied parts', () => {
  it('come whole, under ids of their own', async () => {
    await copyParts([prose('p1', 'Dear reader'), button('p2', 'To the shop')])
    const pasted = await pastedParts(fresh())
    expect(pasted.map((part) => part.kind)).toEqual(['prose', 'button'])
    expect(allParts(pasted).map((part) => part.id)).toEqual(['p2', 'p3'])
    expect(pasted[1]).toMatchObject({ to: 'https://mosswick.example/' })
  })

  it('are words for other programs', async () => {
    await copyParts([prose('p1', 'Dear reader'), button('p2', 'To the shop')])
    expect(held!['text/plain']).toBe('Dear reader\n\nTo the shop')
  })

  it('come also where the browser lets nobody look', async () => {
    mayLook = false
    await copyParts([prose('p1', 'Dear reader')])
    expect(words(await pastedParts(fresh()))).toEqual(['Dear reader'])
  })

  it('make way for what another program has copied since', async () => {
    await copyParts([prose('p1', 'Dear reader')])
    held = { 'text/plain': 'A line from elsewhere' }
    expect(words(await pastedParts(fresh()))).toEqual(['A line from elsewhere'])
  })

  it('that cannot be read any more are nothing, and what was copied elsewhere comes', async () => {
    localStorage.setItem('open-trellis.copied-parts', '{"words": "Dear rea')
    held = { 'text/plain': 'A line from elsewhere' }
    expect(words(await pastedParts(fresh()))).toEqual(['A line from elsewhere'])
    held = null
    mayLook = false
    expect(await pastedParts(fresh())).toEqual([])
  })

  it('that are too many for the browser to keep go out as words all the same', async () => {
    const full = vi.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError')
    })
    await copyParts([prose('p1', 'Dear reader')])
    full.mockRestore()
    expect(words(await pastedParts(fresh()))).toEqual(['Dear reader'])
  })
})

describe('what other programs copy', () => {
  it('keeps headings, paragraphs and lists', () => {
    const [part] = partsOf('<h1>News</h1><p>One</p><ul><li>a</li><li>b</li></ul>', '', fresh())
    expect(part).toMatchObject({ kind: 'prose', id: 'p2' })
    expect(words([part!])).toEqual(['News', 'One', 'a', 'b'])
  })

  it('leaves scripts, styles and pictures behind', () => {
    const html =
      '<style>p { color: red }</style><script>alert(1)</script>' +
      '<p onclick="alert(2)">Safe <img src="x" onerror="alert(3)">words</p>'
    const pasted = partsOf(html, '', fresh())
    expect(words(pasted).join('')).toBe('Safe words')
    expect(JSON.stringify(pasted)).not.toMatch(/alert|color|onerror/)
  })

  it('is a paragraph for each that an empty line parts, and takes nothing for a tag', () => {
    expect(words(partsOf('', 'First <b>line</b>\n\nSecond & last', fresh()))).toEqual([
      'First <b>line</b>',
      'Second & last',
    ])
  })

  it('may come from another text editor of the same make, with marks that only look like ours', () => {
    const html =
      '<p data-pm-slice="0 0 []">To <span data-field="name">Ada</span>, ' +
      '<span data-field="5">five</span>, <a data-link="x" href="https://mosswick.example/">here</a></p>'
    const pasted = partsOf(html, '', fresh())
    expect(words(pasted)).toEqual(['To Ada, five, here'])
    expect(JSON.stringify(pasted)).toContain('https://mosswick.example/')
  })

  it('keeps the fields and links of our own texts', () => {
    const field = { source: { kind: 'firstName' }, fallback: 'you', format: 'USUAL' }
    const link = { to: { kind: 'web', address: 'https://mosswick.example/' }, name: 'shop' }
    const attribute = (some: object) => JSON.stringify(some).replaceAll('"', '&quot;')
    const [part] = partsOf(
      `<p data-pm-slice="0 0 []">Dear <span data-field="${attribute(field)}"></span>` +
        `<a data-link="${attribute(link)}">look</a></p>`,
      '',
      fresh(),
    )
    expect(JSON.stringify(part)).toContain(JSON.stringify(field))
    expect(JSON.stringify(part)).toContain(JSON.stringify(link))
  })

  it('is nothing where there are no words', () => {
    expect(partsOf('<p> </p><ul></ul>', '', fresh())).toEqual([])
    expect(partsOf('', '', fresh())).toEqual([])
  })
})
