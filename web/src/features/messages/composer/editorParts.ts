import { type Editor, Mark, mergeAttributes, Node } from '@tiptap/core'
import { NodeSelection } from '@tiptap/pm/state'
import StarterKit from '@tiptap/starter-kit'
import { VueNodeViewRenderer } from '@tiptap/vue-3'
import type { LinkDocument, MergeField } from '@/api/types'
import FieldChip from './FieldChip.vue'

/** What an attribute of ours says; null where another program has one of that name. */
function keptIn<T>(element: HTMLElement, attribute: string, part: keyof T): T | null {
  try {
    const kept = JSON.parse(element.getAttribute(attribute) ?? 'null') as T | null
    return typeof kept?.[part] === 'object' ? kept : null
  } catch {
    return null
  }
}

const fieldIn = (element: HTMLElement) => keptIn<MergeField>(element, 'data-field', 'source')
const linkIn = (element: HTMLElement) => keptIn<LinkDocument>(element, 'data-link', 'to')

/** What is each person's own: a chip that moves as one letter does. */
export const MergeFieldNode = Node.create({
  name: 'mergeField',
  group: 'inline',
  inline: true,
  atom: true,
  marks: '_',
  addAttributes() {
    return {
      field: {
        parseHTML: fieldIn,
        renderHTML: (attributes) => ({ 'data-field': JSON.stringify(attributes['field']) }),
      },
    }
  },
  parseHTML() {
    return [{ tag: 'span[data-field]', getAttrs: (one) => (fieldIn(one) ? null : false) }]
  },
  renderHTML({ HTMLAttributes }) {
    return ['span', mergeAttributes(HTMLAttributes)]
  },
  addNodeView() {
    return VueNodeViewRenderer(FieldChip)
  },
})

/** A link with where it leads and what clicks on it are counted as. */
export const LinkMark = Mark.create({
  name: 'link',
  inclusive: false,
  addAttributes() {
    return {
      link: {
        parseHTML: (element): LinkDocument | null => {
          const address = element.getAttribute('href') ?? ''
          return linkIn(element) ?? { to: { kind: 'web', address }, name: null }
        },
        renderHTML: (attributes) => ({ 'data-link': JSON.stringify(attributes['link']) }),
      },
    }
  },
  parseHTML() {
    return [
      { tag: 'a[data-link]', getAttrs: (one) => (linkIn(one) ? null : false) },
      {
        tag: 'a[href]',
        getAttrs: (element) =>
          /^https?:\/\//i.test(element.getAttribute('href') ?? '') ? null : false,
      },
    ]
  },
  renderHTML({ HTMLAttributes }) {
    return ['a', mergeAttributes(HTMLAttributes, { class: 'prose-link' }), 0]
  },
})

const NOT_OURS = {
  blockquote: false,
  code: false,
  codeBlock: false,
  horizontalRule: false,
  strike: false,
  underline: false,
  link: false,
  trailingNode: false,
  dropcursor: false,
  gapcursor: false,
  /* What was written is taken back with all other edits. */
  undoRedo: false,
} as const

/** Paragraphs, headings, lists, bold, italic, links and fields. */
export const proseParts = [
  StarterKit.configure({ ...NOT_OURS, heading: { levels: [1, 2, 3] } }),
  MergeFieldNode,
  LinkMark,
]

/** One line of words and fields. */
export const lineParts = [
  StarterKit.configure({
    ...NOT_OURS,
    document: false,
    heading: false,
    bold: false,
    italic: false,
    bulletList: false,
    orderedList: false,
    listItem: false,
    listKeymap: false,
    hardBreak: false,
  }),
  Node.create({ name: 'doc', topNode: true, content: 'paragraph' }),
  MergeFieldNode,
]

/** The field that is chosen, if one is. */
export function chosenFieldOf({ state: { selection } }: Pick<Editor, 'state'>): MergeField | null {
  const node = selection instanceof NodeSelection ? selection.node : null
  return node?.type.name === 'mergeField' ? (node.attrs['field'] as MergeField) : null
}

/** Puts a field where the caret is, and chooses it. */
export function addField(editor: Editor): void {
  const field: MergeField = { source: { kind: 'firstName' }, fallback: '', format: 'USUAL' }
  const at = editor.state.selection.from
  editor
    .chain()
    .focus()
    .insertContent({ type: 'mergeField', attrs: { field } })
    .setNodeSelection(at)
    .run()
}

export function changeField(editor: Editor, field: MergeField): void {
  editor.chain().updateAttributes('mergeField', { field }).run()
}

/**
 * What is left of a page or a document of an office program: headings, paragraphs, lists and links.
 * Parts of our own texts keep all they have.
 */
export function pasted(html: string): string {
  if (html.includes('data-pm-slice')) return html
  const page = new DOMParser().parseFromString(html, 'text/html')
  page
    .querySelectorAll('style, script, meta, link, title, img, svg, xml')
    .forEach((one) => one.remove())
  page.querySelectorAll('b, strong, i, em').forEach((one) => one.replaceWith(...one.childNodes))
  page.querySelectorAll('h4, h5, h6').forEach((one) => {
    const heading = page.createElement('h3')
    heading.append(...one.childNodes)
    one.replaceWith(heading)
  })
  page.querySelectorAll('*').forEach((one) => {
    for (const { name } of [...one.attributes]) {
      if (!(one.tagName === 'A' && name === 'href')) one.removeAttribute(name)
    }
  })
  return page.body.innerHTML
}
