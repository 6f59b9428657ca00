import clsx from 'clsx'
import { type KeyboardEvent, type MouseEvent, memo, type ReactNode } from 'react'
import type { Column } from './column.ts'

interface RowProps<R> {
  readonly row: R
  /** Where it stands among all that are shown. */
  readonly index: number
  readonly columns: readonly Column<R>[]
  readonly measure: (row: HTMLElement | null) => void
  readonly isEdged: boolean
  /** A line of text high, no more. */
  readonly isDense: boolean
  readonly isMarked: boolean
  /** Whether one of them can be marked at all. */
  readonly isMarkable: boolean
  readonly onOpen: ((row: R) => void) | null
  /** What unfolds under it. */
  readonly below: ReactNode
  readonly isFolding: boolean
}

/** Room at the edge of the page for the mark of a row. */
const EDGE = 'first:border-l-[3px] first:border-transparent first:pl-[13px]'

function DrawnRow<R>({
  row,
  index,
  columns,
  measure,
  isEdged,
  isDense,
  isMarked,
  isMarkable,
  onOpen,
  below,
  isFolding,
}: RowProps<R>) {
  const click = ({ target }: MouseEvent): void => {
    if (onOpen && !(target as Element).closest('a, button, input, select, label')) onOpen(row)
  }
  const press = (event: KeyboardEvent): void => {
    if (event.key !== 'Enter' || event.target !== event.currentTarget || !onOpen) return
    // Or what opens and takes the focus would be pressed by the same key.
    event.preventDefault()
    onOpen(row)
  }
  const shown = (column: Column<R>): ReactNode =>
    column.cell ? column.cell(row, isMarked) : column.value(row)
  const drawn = (
    <tr
      ref={measure}
      data-index={index}
      data-row
      aria-rowindex={index + 2}
      aria-selected={isMarkable && !isFolding ? isMarked : undefined}
      tabIndex={onOpen && !isFolding ? 0 : -1}
      className={clsx(
        'scroll-my-9 border-b border-line align-top outline-offset-[-2px]',
        onOpen && 'cursor-pointer',
        isMarked ? 'bg-chosen' : onOpen && 'hover:bg-bench',
      )}
      onClick={click}
      onKeyDown={press}
    >
      {columns.map((column, i) => (
        <td
          key={column.id}
          className={clsx(
            column.isUpright ? 'px-0 text-center' : 'pr-3',
            isDense ? 'py-0.5' : column.isUpright ? 'py-1' : 'py-1.5',
            isEdged ? (isMarkable ? EDGE : 'first:pl-4') : '',
            isEdged ? 'last:pr-4' : 'last:pr-0',
            isMarked && 'first:border-accent',
            column.align === 'right' && 'whitespace-nowrap text-right',
            column.align === 'right' && !column.isActions && 'figure',
            column.className,
          )}
        >
          {isFolding && i === 0 ? (
            <button
              type="button"
              aria-expanded={isMarked}
              className="text-left"
              onClick={() => onOpen?.(row)}
            >
              {shown(column)}
            </button>
          ) : (
            shown(column)
          )}
        </td>
      ))}
    </tr>
  )
  return below === undefined ? (
    drawn
  ) : (
    <>
      {drawn}
      <tr className="border-b border-line">
        <td colSpan={columns.length} className={clsx('pb-2', isEdged && 'px-4')}>
          {below}
        </td>
      </tr>
    </>
  )
}

/** A row of a table: drawn again only where something of it changed. */
export const TableRow = memo(DrawnRow) as typeof DrawnRow
