import type { JSONContent } from '@tiptap/core'
import type { BlockDocument, InlineDocument, LinkDocument } from '@/api/types'

/* Between the blocks of a message and the document of the text editor. */

type Marks = NonNullable<JSONContent['marks']>

function marksOf(inline: Extract<InlineDocument, { bold: boolean }>): Marks {
  const marks: Marks = []
  if (inline.bold) marks.push({ type: 'bold' })
  if (inline.italic) marks.push({ type: 'italic' })
  if (inline.link) marks.push({ type: 'link', attrs: { link: inline.link } })
  return marks
}

function nodeOf(inline: InlineDocument): JSONContent[] {
  switch (inline.kind) {
    case 'break':
      return [{ type: 'hardBreak' }]
    case 'field':
      return [{ type: 'mergeField', attrs: { field: inline.field }, marks: marksOf(inline) }]
    case 'words':
      return inline.text ? [{ type: 'text', text: inline.text, marks: marksOf(inline) }] : []
  }
}

export function contentOf(words: InlineDocument[]): JSONContent[] {
  return words.flatMap(nodeOf)
}

export function documentOf(blocks: BlockDocument[]): JSONContent {
  const content = blocks.map((block): JSONContent => {
    switch (block.kind) {
      case 'paragraph':
        return { type: 'paragraph', content: contentOf(block.words) }
      case 'heading':
        return {
          type: 'heading',
          attrs: { level: block.level },
          content: contentOf(block.words),
        }
      case 'items':
        return {
          type: block.numbered ? 'orderedList' : 'bulletList',
          content: block.items.map((item) => ({
            type: 'listItem',
            content: [{ type: 'paragraph', content: contentOf(item.words) }],
          })),
        }
    }
  })
  return { type: 'doc', content: content.length ? content : [{ type: 'paragraph' }] }
}

function inlineOf(node: JSONContent): InlineDocument[] {
  const marks = node.marks ?? []
  const look = {
    bold: marks.some((mark) => mark.type === 'bold'),
    italic: marks.some((mark) => mark.type === 'italic'),
    link:
      (marks.find((mark) => mark.type === 'link')?.attrs?.['link'] as LinkDocument | undefined) ??
      null,
  }
  if (node.type === 'text') return [{ kind: 'words', text: node.text ?? '', ...look }]
  if (node.type === 'mergeField') return [{ kind: 'field', field: node.attrs!['field'], ...look }]
  if (node.type === 'hardBreak') return [{ kind: 'break' }]
  return (node.content ?? []).flatMap(inlineOf)
}

export function wordsOf(node: JSONContent): InlineDocument[] {
  return (node.content ?? []).flatMap(inlineOf)
}

export function blocksOf(document: JSONContent): BlockDocument[] {
  return (document.content ?? []).flatMap((node): BlockDocument[] => {
    switch (node.type) {
      case 'heading':
        return [{ kind: 'heading', level: node.attrs?.['level'] ?? 1, words: wordsOf(node) }]
      case 'bulletList':
      case 'orderedList':
        return [
          {
            kind: 'items',
            numbered: node.type === 'orderedList',
            items: (node.content ?? []).map((item) => ({ words: wordsOf(item) })),
          },
        ]
      default:
        return [{ kind: 'paragraph', words: wordsOf(node) }]
    }
  })
}
