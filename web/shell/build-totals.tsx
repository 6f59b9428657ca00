import type { BuildHeader } from '../../contract/answers/builds.ts'
import type { Range } from '../../core/money/range.ts'
import { ButtonLink, Money, Span } from '../components/ui.tsx'

/** The build's name, pairing, totals that move as choices are made, and one next action. */
export function BuildTotals({ header }: { header: BuildHeader }) {
  const { build, recipient, pairing, totals, next } = header
  return (
    <>
      <div className="min-w-0 border-l border-line pl-4 pr-5 max-[560px]:flex-1 max-[560px]:basis-[60%]">
        <div className="truncate text-[15px] font-bold">{build.name}</div>
        <div className="truncate text-steel">
          {[recipient, pairing].filter(Boolean).join(' · ') || 'No recipient yet'}
        </div>
      </div>
      <div className="flex shrink-0 max-[560px]:-ml-px">
        <Total
          words={
            totals?.planMinor != null && !totals.planIsCurrent ? 'Likely, before changes' : 'Likely'
          }
          sum={totals?.likely}
          currency={build.currency}
        />
      </div>
      <div className="flex max-[1000px]:hidden">
        <Total
          words="Like-for-like repair"
          sum={build.likeForLikeMinor}
          currency={build.currency}
        />
        {totals && totals.committedMinor > 0 && (
          <Total words="Paid, committed" sum={totals.committedMinor} currency={build.currency} />
        )}
        {totals && (
          <div className="border-l border-line px-4">
            <div className="text-[12px] text-steel">Open</div>
            <div className="figure whitespace-nowrap text-[15px] font-semibold">
              {totals.open} {totals.open === 1 ? 'line' : 'lines'}
            </div>
          </div>
        )}
      </div>
      <div className="ml-auto shrink-0 pr-4 max-[560px]:max-w-[52%] max-[560px]:shrink">
        <ButtonLink to={`/builds/${build.id}/${next.stage}`} tone="main">
          {next.words}
        </ButtonLink>
      </div>
    </>
  )
}

function Total({
  words,
  sum,
  currency,
}: {
  words: string
  sum: number | Range | null | undefined
  currency: string
}) {
  if (sum === null || sum === undefined) return null
  return (
    <div className="border-l border-line px-4">
      <div className="whitespace-nowrap text-[12px] text-steel">{words}</div>
      <div className="whitespace-nowrap text-[15px] font-semibold">
        {typeof sum === 'number' ? (
          <Money minor={sum} currency={currency} whole />
        ) : (
          <Span range={sum} currency={currency} />
        )}
      </div>
    </div>
  )
}
