import clsx from 'clsx'
import { ArrowDown, ArrowUp } from 'lucide-react'
import type { Column } from './column.ts'

/** The head of a column: puts the rows in order where it can. */
export function TableHead<R>({
  column,
  isEdged,
  sorted,
  onSort,
}: {
  column: Column<R>
  isEdged: boolean
  sorted: 'asc' | 'desc' | false
  onSort: (() => void) | null
}) {
  const Arrow = sorted === 'desc' ? ArrowDown : ArrowUp
  const isRight = column.align === 'right'
  return (
    <th
      scope="col"
      aria-sort={sorted === 'asc' ? 'ascending' : sorted === 'desc' ? 'descending' : undefined}
      className={clsx(
        'py-1 pr-3',
        isEdged ? 'first:pl-4 last:pr-4' : 'last:pr-0',
        isRight && 'text-right',
      )}
    >
      {onSort ? (
        <button
          type="button"
          onClick={onSort}
          className={clsx('group inline-flex items-baseline gap-1', isRight && 'flex-row-reverse')}
        >
          {column.head}
          <Arrow
            aria-hidden
            size={12}
            className={clsx(
              'self-center',
              !sorted && 'text-steel opacity-0 group-hover:opacity-100',
            )}
          />
        </button>
      ) : (
        <span className={column.isActions ? 'sr-only' : ''}>{column.head}</span>
      )}
    </th>
  )
}
