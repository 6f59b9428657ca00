import {
  type ColumnDef,
  columnVisibilityFeature,
  createSortedRowModel,
  rowSortingFeature,
  tableFeatures,
} from '@tanstack/react-table'
import type { ReactNode } from 'react'

/** What a cell holds: text or a figure to sort by; null and undefined come last, whichever way. */
export type Value = string | number | null | undefined

/** A column of a table. */
export interface Column<R> {
  readonly id: string
  readonly head: string
  /** What is sorted, searched and written to a file. */
  readonly value: (row: R) => Value
  /** How it is shown; its value otherwise. */
  readonly cell?: (row: R, isMarked: boolean) => ReactNode
  readonly align?: 'right'
  readonly className?: string
  /** Its head runs up the page: many narrow columns stand side by side. */
  readonly isUpright?: boolean
  /** Under its head: what the column is about, ways on from it. */
  readonly note?: ReactNode
  /** What its head means, in full. */
  readonly title?: string
  /** Always shown. */
  readonly isFixed?: boolean
  /** Shown when it is chosen. */
  readonly isAside?: boolean
  /** A column of buttons: neither sorted nor written to a file. */
  readonly isActions?: boolean
}

/** What of the table package is used. */
export const features = tableFeatures({
  rowSortingFeature,
  columnVisibilityFeature,
  sortedRowModel: createSortedRowModel(),
})
type Features = typeof features

const collator = new Intl.Collator('en', { numeric: true, sensitivity: 'base' })
/** Figures by size, text as people sort it. */
export const compare = (a: unknown, b: unknown): number =>
  typeof a === 'number' && typeof b === 'number' ? a - b : collator.compare(String(a), String(b))

/** A column as the table package wants it. */
export const definitionOf = <R extends object>(column: Column<R>): ColumnDef<Features, R> => ({
  id: column.id,
  header: column.head,
  accessorFn: (row) => column.value(row) ?? undefined,
  sortFn: (a, b, id) => compare(a.getValue(id), b.getValue(id)),
  sortUndefined: 'last',
  enableSorting: !column.isActions,
  enableHiding: !column.isFixed && !column.isActions,
})

/** What a row shows, as it is searched. */
export const textOf = (values: readonly Value[]): string => values.join(' ').toLowerCase()

/** Whether a text holds every word that is searched for, in any order. */
export const holds = (text: string, words: string): boolean =>
  words
    .toLowerCase()
    .split(/\s+/)
    .every((word) => text.includes(word))
