import { expect, test } from 'vitest'
import type { BlockDocument } from '@/api/types'
import { pasted } from './editorParts'
import { partsOf } from './partsClipboard'
import { blocksOf, documentOf } from './prose'

const BLOCKS: BlockDocument[] = [
  {
    kind: 'heading',
    level: 2,
    words: [{ kind: 'words', text: 'In spring', bold: false, italic: false, link: null }],
  },
  {
    kind: 'paragraph',
    words: [
      { kind: 'words', text: 'Hello ', bold: true, italic: false, link: null },
      {
        kind: 'field',
        field: { source: { kind: 'firstName' }, fallback: 'there', format: 'USUAL' },
        bold: false,
        italic: false,
        link: null,
      },
      { kind: 'break' },
      {
        kind: 'words',
        text: 'the planner',
        bold: false,
        italic: true,
        link: { to: { kind: 'keptFile', file: 'hive-planner.pdf' }, name: 'Planner' },
      },
    ],
  },
  {
    kind: 'items',
    numbered: true,
    items: [
      { words: [{ kind: 'words', text: 'Print it', bold: false, italic: false, link: null }] },
      { words: [] },
    ],
  },
]

test('a text is the same after it was in the editor', () => {
  expect(blocksOf(documentOf(BLOCKS))).toEqual(BLOCKS)
})

const PAGE = `<html><head><style>p{color:red}</style></head><body>
  <h1 style="mso-style:1">Heading</h1><h5>Small</h5>
  <p class="MsoNormal"><b>Bold</b> and <a href="https://ambercomb.example" onclick="x()">a link</a>
  and <a href="javascript:x()">none</a><script>alert(1)</script><img src="x"></p>
  <ul><li>One</li><li>Two</li></ul></body></html>`

test('of a page or an office document stay headings, lists and links', () => {
  const [part] = partsOf(PAGE, '', () => 'p1')
  expect(part?.kind).toBe('prose')
  const text = JSON.stringify(part)
  expect(text).not.toMatch(/"bold":true|alert|javascript|Mso/)
  expect(part?.kind === 'prose' && part.blocks.map((one) => one.kind)).toEqual([
    'heading',
    'heading',
    'paragraph',
    'items',
  ])
  expect(text).toContain('"address":"https://ambercomb.example"')
})

test('plain words become paragraphs, whatever they look like', () => {
  const [part] = partsOf('', 'One <b>\n\nTwo & three', () => 'p1')
  expect(part?.kind === 'prose' && part.blocks).toHaveLength(2)
  expect(JSON.stringify(part)).toContain('One <b>')
})

test('what was copied here keeps all it has', () => {
  const html = '<p data-pm-slice="1 1 []"><strong>Bold</strong></p>'
  expect(pasted(html)).toBe(html)
})
