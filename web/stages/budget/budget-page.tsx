import { useParams } from 'react-router'
import type { BudgetPage } from '../../../contract/answers/builds.ts'
import { useAnswer } from '../../api/answer.ts'
import { HistoryButton } from '../../components/history.tsx'
import { ButtonLink, Empty, Loaded, Money, PageHead } from '../../components/ui.tsx'

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

/** Lines and totals, by place and by source, against the like-for-like repair. */
export function Component() {
  const { build = '' } = useParams()
  const budget = useAnswer('GET /builds/{id}/budget', { params: { id: build } })
  return (
    <Loaded of={budget} what="the budget">
      {(page) =>
        page.totals === null ? (
          <Empty
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
  const rows: readonly (readonly [string, number | null])[] = [
    ['Plan: goods, shipping, strip labour, less resale', totals.planMinor],
    [`Work, ${totals.taskHours} h`, totals.labourMinor],
    ['Typed estimates of open lines', totals.estimatesMinor],
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
        <table className="w-full self-start">
          <thead>
            <tr className="border-b border-ink">
              <th className="py-1 pl-4">Line</th>
              <th>Place</th>
              <th>From</th>
              <th className="pr-4 text-right">{currency}</th>
            </tr>
          </thead>
          <tbody>
            {page.lines.map((line, index) => (
              <tr key={index} className="border-b border-line">
                <td className="py-1.5 pl-4">{line.words}</td>
                <td className="text-steel">{line.group}</td>
                <td className="text-steel">{line.from}</td>
                <td className="pr-4 text-right">
                  <Money minor={line.minor} currency={currency} />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        <div className="flex flex-col gap-5 px-4 max-[1000px]:pt-6">
          <table className="w-full">
            <tbody>
              {rows.map(([words, minor]) => (
                <tr key={words} className="border-b border-line">
                  <td className="py-1">{words}</td>
                  <td className="text-right">
                    <Money minor={minor} currency={currency} />
                  </td>
                </tr>
              ))}
              <Sum words="Likely" minor={totals.likelyMinor} currency={currency} />
              <Sum
                words={`Safe, likely + ${Math.round(totals.contingency * 100)} %`}
                minor={totals.safeMinor}
                currency={currency}
              />
              <tr className="border-b border-line">
                <td className="py-1">Like-for-like repair</td>
                <td className="text-right">
                  <Money minor={totals.likeForLikeMinor} currency={currency} />
                </td>
              </tr>
              {totals.againstRepairMinor !== null && (
                <tr>
                  <td className="py-1">
                    {totals.againstRepairMinor > 0
                      ? 'Dearer than the repair by'
                      : 'Cheaper than the repair by'}
                  </td>
                  <td className="text-right">
                    <Money minor={Math.abs(totals.againstRepairMinor)} currency={currency} />
                  </td>
                </tr>
              )}
            </tbody>
          </table>
          {totals.unpriced > 0 && (
            <p className="border-l-[3px] border-unmeasured pl-2.5">
              {totals.unpriced} open {totals.unpriced === 1 ? 'line has' : 'lines have'} no price
              yet and {totals.unpriced === 1 ? 'is' : 'are'} not in these totals:{' '}
              {page.open.map((line) => line.words).join(', ')}.
            </p>
          )}
          <Bars title="By place" rows={page.byGroup} currency={currency} />
          <Bars
            title="By source"
            rows={page.bySource.map((row) => ({ ...row, name: SOURCES[row.name] ?? row.name }))}
            currency={currency}
          />
        </div>
      </div>
    </>
  )
}

const Sum = ({ words, minor, currency }: { words: string; minor: number; currency: string }) => (
  <tr className="border-b border-ink font-bold">
    <td className="py-1.5">{words}</td>
    <td className="text-right">
      <Money minor={minor} currency={currency} />
    </td>
  </tr>
)

function Bars({
  title,
  rows,
  currency,
}: {
  title: string
  rows: BudgetPage['byGroup']
  currency: string
}) {
  const most = Math.max(1, ...rows.map((row) => Math.abs(row.minor)))
  return (
    <section>
      <h2 className="mb-1 font-bold">{title}</h2>
      {rows.map((row) => (
        <div key={row.name} className="grid grid-cols-[130px_1fr_auto] items-center gap-2 py-0.5">
          <span className="truncate">{row.name}</span>
          <span className="h-2.5 bg-bench">
            <span
              className={`block h-full ${row.minor < 0 ? 'bg-fits' : 'bg-steel'}`}
              style={{ width: `${(Math.abs(row.minor) / most) * 100}%` }}
            />
          </span>
          <Money minor={row.minor} currency={currency} whole />
        </div>
      ))}
    </section>
  )
}
