import { useMemo } from 'react'
import { useParams } from 'react-router'
import type { BudgetPage } from '../../../contract/answers/builds.ts'
import { sideOf } from '../../../core/money/budget.ts'
import { useAnswer } from '../../api/answer.ts'
import { LikelyBar } from '../../components/charts/likely-bar.tsx'
import { MoneyBars } from '../../components/charts/money-bars.tsx'
import { HistoryButton } from '../../components/history.tsx'
import { LIKE } from '../../components/likes.tsx'
import { type SumLine, Sums } from '../../components/sums.tsx'
import type { Column } from '../../components/table/column.ts'
import { moneyColumn } from '../../components/table/columns.tsx'
import { DataTable } from '../../components/table/data-table.tsx'
import { ButtonLink, Empty, Loaded, PageHead, Span } from '../../components/ui.tsx'

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
        page.totals === null || page.totals.planMinor === null ? (
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
    {
      words: `${totals.open} open ${totals.open === 1 ? 'line' : 'lines'}, by what they may cost`,
      minor: totals.openLines,
    },
    {
      words: `Work, ${Math.round(totals.hours.low)} to ${Math.round(totals.hours.high)} h`,
      minor: totals.labour,
    },
    ...(totals.leftoversMinor > 0
      ? [{ words: 'Sold of the old', minor: -totals.leftoversMinor }]
      : []),
    { words: 'Likely', minor: totals.likely, isTotal: true },
    {
      words: `Safe: its high end, + ${Math.round(totals.contingency * 100)} % of the costs`,
      minor: totals.safeMinor,
      isTotal: true,
    },
    { words: 'Like-for-like repair', minor: totals.likeForLikeMinor },
  ]
  return (
    <>
      <PageHead
        title="Budget"
        detail={`${totals.proven ?? ''}${totals.planIsCurrent ? '' : ' · changed since the last plan: solve again'}`}
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
          <LikelyBar
            likely={totals.likely}
            middleMinor={totals.middleMinor}
            repairMinor={totals.likeForLikeMinor}
            currency={currency}
          />
          <Sums lines={sums} currency={currency} />
          <AgainstRepair totals={totals} />
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

/** Cheaper or dearer is said only where the whole range is; else what would settle it. */
function AgainstRepair({ totals }: { totals: NonNullable<BudgetPage['totals']> }) {
  const { againstRepair, currency, widest } = totals
  if (!againstRepair) return null
  const side = sideOf(againstRepair, 0)
  const apart =
    side === 'under'
      ? { low: -againstRepair.high, high: -againstRepair.low }
      : { low: againstRepair.low, high: againstRepair.high }
  return (
    <p className="border-l-[3px] border-rule pl-2.5">
      {side === 'either' ? (
        <>
          It may come out cheaper or dearer than the repair.
          {widest.length > 0 && (
            <>
              {' '}
              What would settle it most: a price for {widest.map(({ words }) => words).join(', ')}.
            </>
          )}
        </>
      ) : (
        <>
          {side === 'under' ? 'Cheaper' : 'Dearer'} than the repair by{' '}
          <Span range={apart} currency={currency} />.
        </>
      )}
    </p>
  )
}
