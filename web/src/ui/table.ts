import {
  createSortedRowModel,
  rowSortingFeature,
  tableFeatures,
  type ColumnDef,
  type RowData,
} from '@tanstack/vue-table'

/** A column of a table: what it says of a row stands in the slot of its id. */
export interface TableColumn<T> {
  id: string
  head: string
  /** What it is of, for those who ask. */
  title?: string
  /** The figure it is sorted by; a column without cannot be. */
  value?: (row: T) => number | null
  /** It names the row, and stands on the left. */
  names?: boolean
  /** Its head is only read aloud: what stands below it is a picture. */
  quiet?: boolean
  headClass?: string
  cellClass?: string | ((row: T) => string)
}

export const FEATURES = tableFeatures({
  rowSortingFeature,
  sortedRowModel: createSortedRowModel(),
})

/** The columns as the table library knows them; what has no figure comes last either way. */
export function definitions<T extends RowData>(
  columns: TableColumn<T>[],
): ColumnDef<typeof FEATURES, T>[] {
  return columns.map((column) => ({
    id: column.id,
    header: column.head,
    accessorFn: (row: T) => column.value?.(row) ?? undefined,
    enableSorting: !!column.value,
    sortUndefined: 'last' as const,
    sortFn: (a, b, id) => a.getValue<number>(id) - b.getValue<number>(id),
  })) as ColumnDef<typeof FEATURES, T>[]
}
