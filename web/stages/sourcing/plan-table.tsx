import { useMemo } from 'react'
import type { SourcingView } from '../../../contract/answers/planning.ts'
import type { Column } from '../../components/table/column.ts'
import { moneyColumn } from '../../components/table/columns.tsx'
import { DataTable } from '../../components/table/data-table.tsx'
import { Money } from '../../components/ui.tsx'
import { NumberSays } from '../parts/number-says.tsx'
import { numberWords } from '../parts/words.ts'

type Line = SourcingView['lines'][number]

/** A row of the plan: a line with its source, or what bundles and shipping add. */
interface PlanRow {
  readonly id: string
  readonly group: 'Lines' | 'Kits and donors, whole' | 'Shipping'
  readonly words: string
  readonly from: string
  readonly line: Line | null
  readonly minor: number | null
}

const rowsOf = (view: SourcingView): readonly PlanRow[] => [
  ...view.lines.map((line) => ({
    id: line.need,
    group: 'Lines' as const,
    words: line.words,
    from: line.source?.words ?? line.bundleName ?? '',
    line,
    minor: line.costMinor,
  })),
  ...view.bundles.map((bundle) => ({
    id: bundle.bundle,
    group: 'Kits and donors, whole' as const,
    words: bundle.name,
    from: bundle.resaleMinor + bundle.scrapMinor > 0 ? 'its price less resale and scrap' : '',
    line: null,
    minor: bundle.priceMinor - bundle.resaleMinor - bundle.scrapMinor,
  })),
  ...view.baskets.map((basket) => ({
    id: basket.supplier,
    group: 'Shipping' as const,
    words: basket.name,
    from: basket.shippingMinor === 0 ? 'free over its limit, or fetched' : '',
    line: null,
    minor: basket.shippingMinor,
  })),
]

const columnsIn = (currency: string): readonly Column<PlanRow>[] => [
  {
    id: 'line',
    head: 'Line',
    isFixed: true,
    className: 'font-bold',
    value: ({ words }) => words,
  },
  { id: 'source', head: 'Source', value: ({ from }) => from },
  {
    id: 'number',
    head: 'Number says',
    value: ({ line }) => line?.source && numberWords(line.source.number),
    cell: ({ line }) => line?.source && <NumberSays verdict={line.source.number} />,
  },
  {
    id: 'fit',
    head: 'Fit',
    value: ({ line }) => line && (line.toProve.length > 0 ? 'to confirm' : ''),
    cell: ({ line }) =>
      line && line.toProve.length > 0 ? (
        <span title={line.toProve.join('; ')}>to confirm</span>
      ) : null,
  },
  { id: 'packs', head: 'Packs', align: 'right', value: ({ line }) => line?.packs },
  moneyColumn(
    'cost',
    currency,
    ({ minor }) => minor,
    () => currency,
  ),
]
const groupOf = ({ group }: PlanRow): string => group
const keyOf = ({ id }: PlanRow): string => id

/** The plan line by line, with what bundles and shipping add. */
export function PlanTable({
  view,
  selected,
  onSelect,
}: {
  view: SourcingView
  selected: string | null
  onSelect: (need: string) => void
}) {
  const rows = useMemo(() => rowsOf(view), [view])
  const columns = useMemo(() => columnsIn(view.currency), [view.currency])
  return (
    <>
      <DataTable
        id="plan"
        what="lines"
        isMain
        rows={rows}
        columns={columns}
        keyOf={keyOf}
        groupOf={groupOf}
        marked={selected}
        onMark={(row) => onSelect(row.id)}
      />
      <p className="flex items-baseline border-y border-ink px-4 py-2 font-bold">
        Total, tax included
        {view.boundMinor !== null && view.status === 'gap' && (
          <span>
            ; nothing is below <Money minor={view.boundMinor} currency={view.currency} />
          </span>
        )}
        <span className="ml-auto">
          <Money minor={view.totalMinor} currency={view.currency} />
        </span>
      </p>
    </>
  )
}
