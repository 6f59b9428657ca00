import type { Range } from '../../../core/money/range.ts'
import { Money } from '../ui.tsx'

/** A sum that is a range, from its least to its most with the middle, and the repair it is judged against; told below in figures. */
export function LikelyBar({
  likely,
  middleMinor,
  repairMinor,
  currency,
}: {
  likely: Range
  middleMinor: number
  repairMinor: number | null
  currency: string
}) {
  const ends = [0, likely.low, likely.high, repairMinor ?? 0]
  const [least, most] = [Math.min(...ends), Math.max(...ends, 1)]
  const at = (minor: number): string => `${((minor - least) / (most - least)) * 100}%`
  return (
    <figure aria-label="Likely, from low to high">
      <div className="relative mb-1 h-6 border-b border-ink" aria-hidden>
        <div
          className="absolute top-1.5 h-3 min-w-[2px] bg-ink"
          style={{ left: at(likely.low), right: `calc(100% - ${at(likely.high)})` }}
        />
        <div
          className="absolute top-0.5 h-5 w-[3px] -translate-x-1/2 bg-accent"
          style={{ left: at(middleMinor) }}
        />
        {repairMinor !== null && (
          <div
            className="absolute top-0 h-6 border-l-2 border-dashed border-rule"
            style={{ left: at(repairMinor) }}
          />
        )}
      </div>
      <figcaption className="text-steel">
        <Money minor={likely.low} currency={currency} whole /> to{' '}
        <Money minor={likely.high} currency={currency} whole />, middle{' '}
        <Money minor={middleMinor} currency={currency} whole />
        {repairMinor !== null && (
          <>
            {'; dashed, the repair at '}
            <Money minor={repairMinor} currency={currency} whole />
          </>
        )}
        .
      </figcaption>
    </figure>
  )
}
