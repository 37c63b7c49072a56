import { mount, type VueWrapper } from '@vue/test-utils'
import { afterEach, describe, expect, it } from 'vitest'
import { h } from 'vue'
import DataTable from './DataTable.vue'
import type { TableColumn } from './table'

interface Line {
  id: string
  opened: number | null
}

const COLUMNS: TableColumn<Line>[] = [
  { id: 'id', head: 'step', names: true },
  { id: 'opened', head: 'opened', value: (line) => line.opened },
]
const LINES: Line[] = [
  { id: 'a', opened: 0.2 },
  { id: 'wait', opened: null },
  { id: 'b', opened: 0.5 },
  { id: 'none', opened: 0 },
]

let table: VueWrapper
afterEach(() => table.unmount())

function shown(rows: Line[], chosen: string | null = null) {
  table = mount(DataTable, {
    props: {
      label: 'Steps',
      columns: COLUMNS,
      rows,
      keyOf: (line: Line) => line.id,
      chosen,
    } as never,
    slots: {
      'cell-id': ({ row }: { row: Line }) => h('span', row.id),
      'cell-opened': ({ row }: { row: Line }) => h('span', String(row.opened)),
    } as never,
    attachTo: document.body,
  })
}

const order = () => table.findAll('tbody th').map((one) => one.text())
const sort = () => table.get('thead button').trigger('click')
const told = () => table.findAll('thead th').map((one) => one.attributes('aria-sort'))

describe('a table', () => {
  it('is sorted down, up and not at all, and what has no figure comes last', async () => {
    shown(LINES)
    expect(told()).toEqual([undefined, 'none'])
    await sort()
    expect(order()).toEqual(['b', 'a', 'none', 'wait'])
    expect(told()).toEqual([undefined, 'descending'])
    await sort()
    expect(order()).toEqual(['none', 'a', 'b', 'wait'])
    await sort()
    expect(order()).toEqual(['a', 'wait', 'b', 'none'])
  })

  it('stays sorted when its rows change, and marks the chosen one', async () => {
    shown(LINES, 'b')
    await sort()
    await table.setProps({ rows: [...LINES, { id: 'c', opened: 0.9 }] } as never)
    expect(order()[0]).toBe('c')
    const marked = table.findAll('tbody tr').filter((row) => row.classes('bg-marigold-soft'))
    expect(marked.map((row) => row.get('th').text())).toEqual(['b'])
  })

  it('draws a few of very many rows, and says how many there are', () => {
    shown(Array.from({ length: 5_000 }, (_, i) => ({ id: `s${i}`, opened: i })))
    expect(order().length).toBeLessThan(200)
    expect(table.get('table').attributes('aria-rowcount')).toBe('5001')
  })
})
