import { useTable } from '@tanstack/react-table'
import clsx from 'clsx'
import { type ReactNode, useCallback, useDeferredValue, useMemo, useRef } from 'react'
import { type Column, definitionOf, features, holds, textOf } from './column.ts'
import { GroupRow, inGroups } from './groups.tsx'
import { useMarking } from './marking.ts'
import { saveCsv } from './save-csv.ts'
import { saveXlsx } from './save-xlsx.ts'
import { TableHead } from './table-head.tsx'
import { TableRow } from './table-row.tsx'
import { useTableState } from './table-state.ts'
import { TableTools } from './table-tools.tsx'
import { usePrinting } from './use-printing.ts'
import { walk } from './walk.ts'
import { useRowWindow } from './window-of-rows.ts'

/** So few are seen at a glance. */
const FEW = 12
/** The same each time: the table follows whatever it is given anew. */
const UNSORTED: { id: string; desc: boolean }[] = []

/**
 * A list as a table: sorted by its heads, searched, its columns chosen and kept, walked by arrow keys, saved as CSV,
 * printed whole. Of a long list only what can be seen is drawn.
 */
export function DataTable<R extends object>({
  id,
  what,
  rows,
  columns,
  keyOf,
  onOpen,
  marked,
  onMark,
  groupOf,
  isFolded,
  below,
  isFixedOrder = false,
  isMain = false,
  isDense = false,
  hasTools = isMain || rows.length > FEW,
  search,
  isPartial = false,
  children,
}: {
  /** What it is remembered by. */
  id: string
  /** What it lists, in words. */
  what: string
  rows: readonly R[]
  columns: readonly Column<R>[]
  keyOf: (row: R) => string
  /** Opens a row: by Enter on it, or by a click beside its own buttons. */
  onOpen?: (row: R) => void
  /** Which row is marked, by its key. */
  marked?: string | null
  /** Marks a row: by j and k, by Enter on it, or by a click beside its own buttons. */
  onMark?: (row: R) => void
  /** Under which head a row stands, in the order they first come. */
  groupOf?: (row: R) => string
  /** Rows that another stands for, until it is unfolded: never where one searches, sorts or prints. */
  isFolded?: (row: R) => boolean
  /** What unfolds under the marked row. */
  below?: (row: R) => ReactNode
  /** Its order says something by itself: it is not put in another. */
  isFixedOrder?: boolean
  /** The table its page is about: its sorting and search stand plainly in the address. */
  isMain?: boolean
  /** Rows no higher than a line of text: many are seen. */
  isDense?: boolean
  /** By itself: where the page is about it, or it is long. */
  hasTools?: boolean
  /** Where the rows are searched elsewhere, among more than are here. */
  search?: { readonly words: string; readonly onSearch: (words: string) => void }
  /** More there are than are here: what is here is not put in order as if it were all. */
  isPartial?: boolean
  /** What the page puts beside the search. */
  children?: ReactNode
}) {
  const state = useTableState(id, columns, isMain)
  const definitions = useMemo(() => columns.map(definitionOf), [columns])
  const byId = useMemo(() => new Map(columns.map((column) => [column.id, column])), [columns])
  const searched = useMemo(() => columns.filter(({ isActions }) => !isActions), [columns])
  // Of a list of thousands each row is put into words once, not at each key.
  const textIn = useMemo(() => {
    const texts = new WeakMap<R, string>()
    return (row: R): string => {
      const held = texts.get(row) ?? textOf(searched.map(({ value }) => value(row)))
      texts.set(row, held)
      return held
    }
  }, [searched])
  const table = useTable({
    features,
    columns: definitions,
    data: rows,
    getRowId: keyOf,
    state: {
      sorting: isPartial || isFixedOrder ? UNSORTED : state.sorting,
      columnVisibility: state.visibility,
    },
    onSortingChange: state.onSortingChange,
    onColumnVisibilityChange: state.onVisibilityChange,
    enableMultiSort: false,
    sortDescFirst: false,
  })
  const ordered = table.getRowModel().rows
  // Whoever types comes first: what they find is drawn as soon as there is time.
  const filter = useDeferredValue(state.filter.trim())
  const sorted = useMemo(
    () =>
      search || filter === ''
        ? ordered
        : ordered.filter(({ original }) => holds(textIn(original), filter)),
    [ordered, textIn, filter, search],
  )
  const isPrinting = usePrinting()
  const isWhole = isPrinting || filter !== '' || state.sorting.length > 0
  const entries = useMemo(
    () =>
      inGroups(
        isFolded && !isWhole ? sorted.filter(({ original }) => !isFolded(original)) : sorted,
        groupOf && (({ original }) => groupOf(original)),
      ),
    [sorted, groupOf, isFolded, isWhole],
  )
  const shown = useMemo(() => entries.flatMap(({ row }) => (row ? [row] : [])), [entries])
  const body = useRef<HTMLTableSectionElement>(null)
  const view = useRowWindow(body, entries.length, isPrinting)
  useMarking({ shown, entries, marked, onMark, reveal: view.reveal })
  const { visibility } = state
  const visible = useMemo(
    () => columns.filter(({ id: one }) => visibility[one] !== false),
    [columns, visibility],
  )
  const opens = onOpen ?? onMark
  const opener = useRef(opens)
  opener.current = opens
  const open = useCallback((row: R): void => opener.current?.(row), [])
  const written = visible.filter(({ isActions }) => !isActions)

  return (
    <>
      {hasTools && (
        <TableTools
          isEdged={isMain}
          what={what}
          filter={search?.words ?? state.filter}
          onFilter={search?.onSearch ?? state.filterBy}
          shown={shown.length}
          of={rows.length}
          isPartial={isPartial}
          columns={table
            .getAllLeafColumns()
            .filter((column) => column.getCanHide())
            .map((column) => ({
              id: column.id,
              head: byId.get(column.id)!.head,
              isShown: column.getIsVisible(),
              toggle: () => column.toggleVisibility(),
            }))}
          onSave={(as) =>
            void (as === 'csv' ? saveCsv : saveXlsx)(
              what.replaceAll(' ', '-'),
              [...(groupOf ? ['Group'] : []), ...written.map(({ head }) => head)],
              sorted.map(({ original }) => [
                ...(groupOf ? [groupOf(original)] : []),
                ...written.map(({ value }) => value(original)),
              ]),
            )
          }
        >
          {children}
        </TableTools>
      )}
      <table
        className="w-full"
        aria-label={what}
        data-counted={isMain || undefined}
        aria-rowcount={view.last - view.first + 1 < entries.length ? entries.length + 1 : undefined}
      >
        <thead className={clsx(isMain && 'sticky top-0 z-10 bg-paper print:static')}>
          {table.getHeaderGroups().map((group) => (
            <tr key={group.id} className="border-b border-ink">
              {group.headers.map(({ id: one, column }) => (
                <TableHead
                  key={one}
                  column={byId.get(column.id)!}
                  isEdged={isMain}
                  sorted={column.getIsSorted()}
                  onSort={
                    column.getCanSort() && !isPartial && !isFixedOrder
                      ? () => column.toggleSorting()
                      : null
                  }
                />
              ))}
            </tr>
          ))}
        </thead>
        <tbody ref={body} onKeyDown={walk}>
          {view.abovePx > 0 && <Room px={view.abovePx} />}
          {entries
            .slice(view.first, view.last + 1)
            .map(({ row, group, count }, i) =>
              row ? (
                <TableRow
                  key={row.id}
                  row={row.original}
                  index={view.first + i}
                  columns={visible}
                  measure={view.measure}
                  isEdged={isMain}
                  isDense={isDense}
                  isMarked={row.id === marked}
                  isMarkable={onMark !== undefined}
                  onOpen={opens ? open : null}
                  below={row.id === marked ? below?.(row.original) : undefined}
                  isFolding={below !== undefined}
                />
              ) : (
                <GroupRow
                  key={`group ${group}`}
                  index={view.first + i}
                  measure={view.measure}
                  group={group}
                  count={count}
                  columns={visible.length}
                  isEdged={isMain}
                />
              ),
            )}
          {view.belowPx > 0 && <Room px={view.belowPx} />}
          {shown.length === 0 && (
            <tr>
              <td colSpan={visible.length} className={clsx('py-4 text-steel', isMain && 'px-4')}>
                {rows.length === 0 && !search?.words
                  ? `There are no ${what} here yet.`
                  : `Nothing here holds “${(search?.words ?? state.filter).trim()}”.`}
              </td>
            </tr>
          )}
        </tbody>
      </table>
    </>
  )
}

const Room = ({ px }: { px: number }) => (
  <tr>
    <td style={{ height: px, padding: 0 }} />
  </tr>
)
