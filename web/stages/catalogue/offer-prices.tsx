import { lazy, Suspense } from 'react'
import { useAnswer } from '../../api/answer.ts'
import type { Column } from '../../components/table/column.ts'
import { moneyColumn } from '../../components/table/columns.tsx'
import { DataTable } from '../../components/table/data-table.tsx'
import { Loaded } from '../../components/ui.tsx'

const PriceLine = lazy(() => import('../../components/charts/price-line.tsx'))

interface Asked {
  readonly day: string
  readonly priceMinor: number
  readonly currency: string
}
const COLUMNS: readonly Column<Asked>[] = [
  { id: 'day', head: 'Day', isFixed: true, className: 'figure', value: ({ day }) => day },
  moneyColumn(
    'price',
    'Asked',
    ({ priceMinor }) => priceMinor,
    ({ currency }) => currency,
  ),
]

/** What was asked for an offer over time: a line, and the same as a table. */
export function OfferPrices({ offer, currency }: { offer: string; currency: string }) {
  const prices = useAnswer('GET /offers/{id}/prices', { params: { id: offer } })
  return (
    <Loaded of={prices} what="what was asked">
      {({ items }) => {
        const inOne = items.filter((one) => one.currency === currency)
        return (
          <>
            {inOne.length > 1 && (
              <div aria-hidden className="h-48">
                <Suspense fallback={null}>
                  <PriceLine prices={inOne} currency={currency} />
                </Suspense>
              </div>
            )}
            <DataTable
              id="offer-prices"
              what="prices"
              hasTools={false}
              isFixedOrder
              rows={items}
              columns={COLUMNS}
              keyOf={({ day, priceMinor }) => `${day} ${priceMinor}`}
            />
          </>
        )
      }}
    </Loaded>
  )
}
