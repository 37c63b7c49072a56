import { generateJSON } from '@tiptap/vue-3'
import type { PartDocument } from '@/api/types'
import { pasted, proseParts } from './editorParts'
import { allParts, renewed } from './parts'
import { blocksOf } from './prose'

/* Parts go between messages by the clipboard: as words for other programs, whole for this one. */

const KEY = 'open-trellis.copied-parts'

interface Copied {
  words: string
  parts: PartDocument[]
}

function wordsOf(parts: PartDocument[]): string {
  return allParts(parts)
    .map((part) => {
      if (part.kind === 'prose') {
        return part.blocks
          .flatMap((block) => (block.kind === 'items' ? block.items : [block]))
          .map((line) => line.words.map((one) => (one.kind === 'words' ? one.text : '')).join(''))
          .join('\n')
      }
      return part.kind === 'button'
        ? part.words.words.map((one) => (one.kind === 'words' ? one.text : '')).join('')
        : part.kind
    })
    .join('\n\n')
}

export async function copyParts(parts: PartDocument[]): Promise<void> {
  const copied: Copied = { words: wordsOf(parts), parts }
  try {
    localStorage.setItem(KEY, JSON.stringify(copied))
  } catch {
    // Too much for the browser to keep: what is pasted then are the words.
    localStorage.removeItem(KEY)
  }
  try {
    await navigator.clipboard.writeText(copied.words)
  } catch {
    // Without the clipboard it can still be pasted here.
  }
}

function lastCopied(): Copied | null {
  try {
    return JSON.parse(localStorage.getItem(KEY) ?? 'null') as Copied | null
  } catch {
    return null
  }
}

/** What HTML or words come to: a text with headings, paragraphs, lists and links. */
export function partsOf(html: string, words: string, fresh: () => string): PartDocument[] {
  const page =
    html ||
    words
      .split(/\n{2,}/)
      .map((one) => `<p>${escaped(one)}</p>`)
      .join('')
  const blocks = blocksOf(generateJSON(pasted(page), proseParts))
    .map((block) =>
      block.kind === 'items'
        ? { ...block, items: block.items.filter((item) => item.words.length > 0) }
        : block,
    )
    .filter((block) => (block.kind === 'items' ? block.items : block.words).length > 0)
  return blocks.length ? [{ kind: 'prose', id: fresh(), blocks }] : []
}

function escaped(text: string): string {
  const holder = document.createElement('p')
  holder.textContent = text
  return holder.innerHTML
}

/** What the clipboard holds, as parts under ids of their own. */
export async function pastedParts(fresh: () => string): Promise<PartDocument[]> {
  const own = lastCopied()
  let html = ''
  let words: string | null = null
  try {
    for (const item of await navigator.clipboard.read()) {
      if (item.types.includes('text/html')) html = await (await item.getType('text/html')).text()
      if (item.types.includes('text/plain')) {
        words = await (await item.getType('text/plain')).text()
      }
    }
  } catch {
    // The browser does not let us look; what was copied here is known all the same.
  }
  const same = own && (words === null || words.trim() === own.words.trim())
  return same ? renewed(own.parts, fresh) : partsOf(html, words ?? '', fresh)
}
