import { useMemo } from 'react'
import { Link, useParams } from 'react-router'
import type { BudgetPage } from '../../../contract/answers/builds.ts'
import { sideOf } from '../../../core/money/budget.ts'
import { minorDigits } from '../../../core/money/money.ts'
import { useAnswer } from '../../api/answer.ts'
import { MoneyBars } from '../../components/charts/money-bars.tsx'
import { TwentyDots } from '../../components/charts/twenty-dots.tsx'
import { HistoryButton } from '../../components/history.tsx'
import { LIKE } from '../../components/likes.tsx'
import { Row, Rows } from '../../components/rows.tsx'
import { type SumLine, Sums } from '../../components/sums.tsx'
import type { Column } from '../../components/table/column.ts'
import { DataTable } from '../../components/table/data-table.tsx'
import { ButtonLink, Empty, Folded, Loaded, Money, PageHead, Span } from '../../components/ui.tsx'

const SOURCES: Record<string, string> = {
  get: 'To get',
  comes: 'Comes with what is bought',
  here: 'Here',
  settled: 'Priced by you',
  keep: 'Kept',
  buy: 'Bought',
  kit: 'Kits',
  donor: 'Donors',
  typed: 'Typed sources',
  planned: 'Planned',
  shelf: 'Shelf',
  service: 'Services',
  made: 'Made',
}
const WIDEST = 8

type BudgetLine = BudgetPage['lines'][number]
type Totals = NonNullable<BudgetPage['totals']>

const columnsIn = (currency: string): readonly Column<BudgetLine>[] => {
  const whole = (minor: number | null): number | null =>
    minor === null ? null : Math.round(minor / 10 ** minorDigits(currency))
  const money = (id: 'low' | 'minor' | 'high', head: string): Column<BudgetLine> => ({
    id,
    head,
    align: 'right',
    value: (line) => whole(line[id]),
    cell: (line) => <Money minor={line[id]} currency={currency} whole />,
  })
  return [
    { id: 'line', head: 'Line', isFixed: true, value: (line) => line.words },
    { id: 'place', head: 'Place', className: 'text-steel', value: (line) => line.group },
    { id: 'stage', head: 'Stage', className: 'text-steel', value: (line) => line.stage },
    {
      id: 'from',
      head: 'From',
      className: 'text-steel',
      value: (line) => line.from || (SOURCES[line.source] ?? line.source),
    },
    money('low', 'Low'),
    money('minor', 'Likely'),
    money('high', 'High'),
    {
      id: 'hours',
      head: 'Hours',
      align: 'right',
      value: (line) => line.hours,
      cell: (line) => <span className="figure">{line.hours ? line.hours.toFixed(1) : ''}</span>,
    },
  ]
}

/** What the build may come to, what drives it, and every line that adds to it. */
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
              <ButtonLink to={`/builds/${build}/pairing`} tone="main">
                Choose a pairing
              </ButtonLink>
            }
          >
            The budget follows from the list, and the list from a pairing. Choose one first.
          </Empty>
        ) : (
          <Sheet build={build} page={page} totals={page.totals} />
        )
      }
    </Loaded>
  )
}

function Sheet({ build, page, totals }: { build: string; page: BudgetPage; totals: Totals }) {
  const { currency } = totals
  const columns = useMemo(() => columnsIn(currency), [currency])
  const bySource = useMemo(
    () => page.bySource.map((row) => ({ ...row, name: SOURCES[row.name] ?? row.name })),
    [page.bySource],
  )
  const byStage = useMemo(
    () =>
      page.byStage.map((row) => ({ ...row, name: row.name.replace(/^./, (c) => c.toUpperCase()) })),
    [page.byStage],
  )
  return (
    <>
      <PageHead
        title="Budget"
        detail={`${totals.proven ?? 'No plan of sources yet'}${totals.planIsCurrent || totals.planMinor === null ? '' : ' · changed since the last plan: it is solved again'}`}
      >
        <HistoryButton entity="build" id={build} title="this build" />
      </PageHead>
      <Headline totals={totals} />
      <div className="grid grid-cols-2 gap-x-8 px-4 pb-6 max-[1000px]:grid-cols-1">
        <Drives build={build} totals={totals} />
        <OpenLines build={build} page={page} currency={currency} />
      </div>
      <div className="grid grid-cols-3 gap-x-8 px-4 pb-6 max-[1000px]:grid-cols-1">
        <MoneyBars id="by-place" title="By place" rows={page.byGroup} currency={currency} />
        <MoneyBars id="by-source" title="By source" rows={bySource} currency={currency} />
        <MoneyBars id="by-stage" title="Work by stage" rows={byStage} currency={currency} />
      </div>
      <DataTable
        id="budget"
        what="lines"
        isMain
        rows={page.lines}
        columns={columns}
        keyOf={(line) => line.id}
      />
    </>
  )
}

function Headline({ totals }: { totals: Totals }) {
  const { currency, likely, outer } = totals
  const sums: readonly SumLine[] = [
    { words: 'Plan: goods, shipping, strip labour, less resale', minor: totals.planMinor },
    { words: 'Lines the plan does not buy, low to high', minor: totals.openLines },
    {
      words: `Work, ${Math.round(totals.hours.low)} to ${Math.round(totals.hours.high)} h`,
      minor: totals.labour,
    },
    ...(totals.leftoversMinor > 0
      ? [{ words: 'Sold of the old', minor: -totals.leftoversMinor }]
      : []),
    ...(totals.contingencyMinor > 0
      ? [{ words: 'What nobody thought of', minor: totals.contingencyMinor }]
      : []),
    { words: 'Likely', minor: likely, isTotal: true },
    { words: 'Like-for-like repair', minor: totals.likeForLikeMinor },
  ]
  return (
    <section
      aria-label="Likely"
      className="grid grid-cols-[minmax(0,380px)_minmax(0,1fr)] gap-x-8 border-b border-line px-4 pb-4 max-[1000px]:grid-cols-1"
    >
      <div>
        <p className="text-steel">Likely</p>
        <p className="text-[28px] font-extrabold leading-tight">
          <Span range={likely} currency={currency} />
        </p>
        <p>
          Four builds in five like this one land here; half below{' '}
          <Money minor={totals.middleMinor} currency={currency} whole />. All lines low{' '}
          <Money minor={outer.low} currency={currency} whole />, all high{' '}
          <Money minor={outer.high} currency={currency} whole />.
        </p>
        <p className="pt-1">
          <b>
            {totals.settled} of {totals.lines} lines
          </b>{' '}
          are settled, {totals.questions} {totals.questions === 1 ? 'question is' : 'questions are'}{' '}
          open.
        </p>
        <AgainstRepair totals={totals} />
        {totals.unpriced > 0 && (
          <p className="border-l-[3px] border-unmeasured pl-2.5">
            {totals.unpriced} {totals.unpriced === 1 ? 'line has' : 'lines have'} no price in{' '}
            {currency}: add an exchange rate to EUR in Settings.
          </p>
        )}
        <Folded words="How it adds up">
          <Sums lines={sums} currency={currency} />
        </Folded>
      </div>
      <TwentyDots
        dots={totals.dots}
        outer={outer}
        likely={likely}
        middleMinor={totals.middleMinor}
        repairMinor={totals.likeForLikeMinor}
        currency={currency}
      />
    </section>
  )
}

/** Cheaper or dearer is said only where the whole range is; else what would settle it. */
function AgainstRepair({ totals }: { totals: Totals }) {
  const { againstRepair, currency, drives } = totals
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
          {drives.length > 0 && (
            <>
              {' '}
              What decides it:{' '}
              {drives
                .slice(0, 3)
                .map(({ words }) => words.toLowerCase())
                .join(', ')}
              .
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

const Drives = ({ build, totals }: { build: string; totals: Totals }) => (
  <section aria-label="What drives it">
    <h2 className="pt-3 font-bold">What drives it</h2>
    <p className="mb-1 text-steel">What would narrow the range most, once it is known.</p>
    <Rows label="What drives it">
      {totals.drives.map(({ words, fact, spreadMinor }) => (
        <Row key={words} end={<Money minor={spreadMinor} currency={totals.currency} whole />}>
          {fact ? (
            <Link to={`/builds/${build}/known`} className="text-accent underline">
              {words}
            </Link>
          ) : (
            words
          )}
        </Row>
      ))}
    </Rows>
  </section>
)

function OpenLines({
  build,
  page,
  currency,
}: {
  build: string
  page: BudgetPage
  currency: string
}) {
  const open = new Set(page.open.map(({ id }) => id))
  const widest = page.lines
    .filter(({ id, low, high }) => open.has(id) && low !== null && high !== null)
    .sort((p, q) => q.high! - q.low! - (p.high! - p.low!))
    .slice(0, WIDEST)
  return (
    <section aria-label="Open lines">
      <h2 className="pt-3 font-bold">Open lines</h2>
      <p className="mb-1 text-steel">
        {widest.length} of {page.open.length} without a source or a price, widest first.
      </p>
      <Rows label="Open lines, widest first">
        {widest.map(({ id, words, low, high }) => (
          <Row key={id} end={<Span range={{ low: low!, high: high! }} currency={currency} />}>
            <Link
              to={`/builds/${build}/parts?line=${encodeURIComponent(id)}`}
              className="text-accent underline"
            >
              {words}
            </Link>
          </Row>
        ))}
      </Rows>
    </section>
  )
}
