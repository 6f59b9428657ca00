import { useMemo } from 'react'
import { useParams } from 'react-router'
import type { BudgetPage } from '../../../contract/answers/builds.ts'
import { useAnswer } from '../../api/answer.ts'
import { MoneyBars } from '../../components/charts/money-bars.tsx'
import { HistoryButton } from '../../components/history.tsx'
import { LIKE } from '../../components/likes.tsx'
import { type SumLine, Sums } from '../../components/sums.tsx'
import type { Column } from '../../components/table/column.ts'
import { moneyColumn } from '../../components/table/columns.tsx'
import { DataTable } from '../../components/table/data-table.tsx'
import { ButtonLink, Empty, Loaded, PageHead } from '../../components/ui.tsx'

const SOURCES: Record<string, string> = {
  keep: 'Kept',
  buy: 'Bought',
  kit: 'Kits',
  donor: 'Donors',
  typed: 'Typed sources',
  work: 'Work',
  estimate: 'Estimates',
  planned: 'Planned',
  shelf: 'Shelf',
  service: 'Services',
  made: 'Made',
}

type BudgetLine = BudgetPage['lines'][number]
const columnsIn = (currency: string): readonly Column<BudgetLine>[] => [
  { id: 'line', head: 'Line', isFixed: true, value: (line) => line.words },
  { id: 'place', head: 'Place', className: 'text-steel', value: (line) => line.group },
  { id: 'from', head: 'From', className: 'text-steel', value: (line) => line.from },
  moneyColumn(
    'amount',
    currency,
    (line) => line.minor,
    () => currency,
  ),
]

/** Lines and totals, by place and by source, against the like-for-like repair. */
export function Component() {
  const { build = '' } = useParams()
  const budget = useAnswer('GET /builds/{id}/budget', { params: { id: build } })
  return (
    <Loaded of={budget} what="the budget">
      {(page) =>
        page.totals === null ? (
          <Empty
            like={LIKE.budget}
            action={
              <ButtonLink to={`/builds/${build}/sourcing`} tone="main">
                Go to Sourcing
              </ButtonLink>
            }
          >
            The budget is added up from a solved plan. Choose a pairing, then solve its sourcing;
            nothing is shown before it is computed.
          </Empty>
        ) : (
          <Sheet build={build} page={page} totals={page.totals} />
        )
      }
    </Loaded>
  )
}

function Sheet({
  build,
  page,
  totals,
}: {
  build: string
  page: BudgetPage
  totals: NonNullable<BudgetPage['totals']>
}) {
  const { currency } = totals
  const columns = useMemo(() => columnsIn(currency), [currency])
  const bySource = useMemo(
    () => page.bySource.map((row) => ({ ...row, name: SOURCES[row.name] ?? row.name })),
    [page.bySource],
  )
  const sums: readonly SumLine[] = [
    { words: 'Plan: goods, shipping, strip labour, less resale', minor: totals.planMinor },
    { words: `Work, ${totals.taskHours} h`, minor: totals.labourMinor },
    { words: 'Typed estimates of open lines', minor: totals.estimatesMinor },
    { words: 'Likely', minor: totals.likelyMinor, isTotal: true },
    {
      words: `Safe, likely + ${Math.round(totals.contingency * 100)} %`,
      minor: totals.safeMinor,
      isTotal: true,
    },
    { words: 'Like-for-like repair', minor: totals.likeForLikeMinor },
    ...(totals.againstRepairMinor === null
      ? []
      : [
          {
            words:
              totals.againstRepairMinor > 0
                ? 'Dearer than the repair by'
                : 'Cheaper than the repair by',
            minor: Math.abs(totals.againstRepairMinor),
          },
        ]),
  ]
  return (
    <>
      <PageHead
        title="Budget"
        detail={`${totals.proven}${totals.planIsCurrent ? '' : ' · changed since the last plan: solve again'}`}
      >
        <HistoryButton entity="build" id={build} title="this build" />
      </PageHead>
      <div className="grid grid-cols-[minmax(0,1fr)_360px] gap-x-8 pb-10 max-[1000px]:grid-cols-1">
        <div>
          <DataTable
            id="budget"
            what="lines"
            isMain
            rows={page.lines}
            columns={columns}
            keyOf={(line) => String(page.lines.indexOf(line))}
          />
        </div>
        <div className="flex flex-col gap-5 px-4 max-[1000px]:pt-6">
          <Sums lines={sums} currency={currency} />
          {totals.unpriced > 0 && (
            <p className="border-l-[3px] border-unmeasured pl-2.5">
              {totals.unpriced} open {totals.unpriced === 1 ? 'line has' : 'lines have'} no price
              yet and {totals.unpriced === 1 ? 'is' : 'are'} not in these totals:{' '}
              {page.open.map((line) => line.words).join(', ')}.
            </p>
          )}
          <MoneyBars id="by-place" title="By place" rows={page.byGroup} currency={currency} />
          <MoneyBars id="by-source" title="By source" rows={bySource} currency={currency} />
        </div>
      </div>
    </>
  )
}
