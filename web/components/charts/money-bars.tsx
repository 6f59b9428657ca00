import { lazy, Suspense, useMemo } from 'react'
import type { Column } from '../table/column.ts'
import { moneyColumn } from '../table/columns.tsx'
import { DataTable } from '../table/data-table.tsx'
import { Folded } from '../ui.tsx'
import type { Amount } from './bars.tsx'

const ROW_PX = 24
const Bars = lazy(() => import('./bars.tsx'))

/** Amounts side by side as bars, with a table behind them. The chart is fetched when one is shown. */
export function MoneyBars({
  id,
  title,
  rows,
  currency,
}: {
  id: string
  title: string
  rows: readonly Amount[]
  currency: string
}) {
  const columns = useMemo(
    (): readonly Column<Amount>[] => [
      { id: 'name', head: title, isFixed: true, value: (row) => row.name },
      moneyColumn(
        'amount',
        currency,
        (row) => row.minor,
        () => currency,
      ),
    ],
    [title, currency],
  )
  return (
    <section aria-label={title}>
      <h2 className="mb-1 font-bold">{title}</h2>
      <div aria-hidden style={{ height: rows.length * ROW_PX }}>
        <Suspense fallback={null}>
          <Bars rows={rows} currency={currency} />
        </Suspense>
      </div>
      <Folded words="The same as a table">
        <DataTable
          id={id}
          what={title.toLowerCase()}
          hasTools={false}
          rows={rows}
          columns={columns}
          keyOf={(row) => row.name}
        />
      </Folded>
    </section>
  )
}
