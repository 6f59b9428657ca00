import clsx from 'clsx'
import { ArrowDown, ArrowUp } from 'lucide-react'
import { Tip } from '../tip.tsx'
import type { Column } from './column.ts'

const UPRIGHT = 'mx-auto rotate-180 whitespace-nowrap leading-none [writing-mode:vertical-rl]'

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
        'align-bottom',
        column.isUpright ? 'px-0 py-1' : 'py-1 pr-3',
        isEdged ? 'first:pl-4 last:pr-4' : 'last:pr-0',
        isRight && 'text-right',
      )}
    >
      {onSort ? (
        <Tip words={column.title}>
          <button
            type="button"
            onClick={onSort}
            className={clsx(
              'group inline-flex items-baseline gap-1 whitespace-nowrap',
              isRight && 'flex-row-reverse',
              column.isUpright && UPRIGHT,
            )}
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
        </Tip>
      ) : (
        <Tip words={column.title}>
          <span className={clsx(column.isActions && 'sr-only', column.isUpright && UPRIGHT)}>
            {column.head}
          </span>
        </Tip>
      )}
      {column.note}
    </th>
  )
}
