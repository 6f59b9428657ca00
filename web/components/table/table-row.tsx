import clsx from 'clsx'
import { type KeyboardEvent, type MouseEvent, memo } from 'react'
import type { Column } from './column.ts'

interface RowProps<R> {
  readonly row: R
  /** Where it stands among all that are shown. */
  readonly index: number
  readonly columns: readonly Column<R>[]
  readonly measure: (row: HTMLElement | null) => void
  readonly isEdged: boolean
  readonly isMarked: boolean | undefined
  readonly onOpen: ((row: R) => void) | null
}

function DrawnRow<R>({ row, index, columns, measure, isEdged, isMarked, onOpen }: RowProps<R>) {
  const click = ({ target }: MouseEvent): void => {
    if (onOpen && !(target as Element).closest('a, button, input, select, label')) onOpen(row)
  }
  const press = (event: KeyboardEvent): void => {
    if (event.key !== 'Enter' || event.target !== event.currentTarget || !onOpen) return
    // Or what opens and takes the focus would be pressed by the same key.
    event.preventDefault()
    onOpen(row)
  }
  return (
    <tr
      ref={measure}
      data-index={index}
      aria-rowindex={index + 2}
      aria-selected={isMarked}
      tabIndex={onOpen ? 0 : -1}
      className={clsx(
        'scroll-my-9 border-b border-line align-top outline-offset-[-2px]',
        onOpen && 'cursor-pointer hover:bg-bench',
        isMarked && 'bg-bench',
      )}
      onClick={click}
      onKeyDown={press}
    >
      {columns.map((column) => (
        <td
          key={column.id}
          className={clsx(
            'py-1.5 pr-3',
            isEdged ? 'first:pl-4 last:pr-4' : 'last:pr-0',
            column.align === 'right' && 'whitespace-nowrap text-right',
            column.align === 'right' && !column.isActions && 'figure',
            column.className,
          )}
        >
          {column.cell ? column.cell(row) : column.value(row)}
        </td>
      ))}
    </tr>
  )
}

/** A row of a table: drawn again only where something of it changed. */
export const TableRow = memo(DrawnRow) as typeof DrawnRow
