import { timesRate } from './money.ts'
import { addRanges, type Range } from './range.ts'

/** A line that nothing bought answers yet: the range it may cost; null where none is known. */
export interface OpenLine {
  readonly words: string
  readonly price: Range | null
}

export interface BudgetInput {
  /** Of the plan: goods, bundles, strip labour, shipping, less resale and scrap; tax included. Null before there is one. */
  readonly planMinor: number | null
  /** Of the plan what sales and scrap are hoped to bring. */
  readonly salesMinor: number
  /** What the old engine and the recipient's leftovers are hoped to bring. */
  readonly leftoversMinor: number
  readonly open: readonly OpenLine[]
  readonly hours: Range
  readonly labourRateMinor: number
  /** Fraction, 0.2 = 20 %. */
  readonly contingency: number
  readonly likeForLikeMinor: number | null
}

export interface Budget {
  readonly likely: Range
  /** Half way between its ends. */
  readonly middleMinor: number
  readonly safeMinor: number
  readonly labour: Range
  readonly openLines: Range
  /** Open lines without any range: counted beside, never as 0. */
  readonly unpriced: number
  /** Likely less the like-for-like repair; null where that has no price. */
  readonly againstRepair: Range | null
  /** Open lines whose range is widest: what would settle it. */
  readonly widest: readonly {
    readonly words: string
    readonly low: number
    readonly high: number
  }[]
}

const WIDEST = 3

/**
 * Likely = plan + the range of every open line + hours × labour rate − what is sold of the old. Sums of lows and of highs: a
 * bound, not a likelihood. Safe = its high end and the contingency on what that end costs: hoped-for sales do not lower it.
 * Rounded half-even.
 */
export function budget(input: BudgetInput): Budget {
  const labour: Range = {
    low: timesRate(input.labourRateMinor, input.hours.low),
    high: timesRate(input.labourRateMinor, input.hours.high),
  }
  const openLines = addRanges(input.open.flatMap(({ price }) => price ?? []))
  const known = (input.planMinor ?? 0) - input.leftoversMinor
  const likely = addRanges([{ low: known, high: known }, openLines, labour])
  const costs = likely.high + input.salesMinor + input.leftoversMinor
  const repair = input.likeForLikeMinor
  return {
    likely,
    middleMinor: Math.round((likely.low + likely.high) / 2),
    safeMinor: likely.high + timesRate(costs, input.contingency),
    labour,
    openLines,
    unpriced: input.open.filter(({ price }) => price === null).length,
    againstRepair:
      repair === null ? null : { low: likely.low - repair, high: likely.high - repair },
    widest: input.open
      .flatMap(({ words, price }) => (price && price.high > price.low ? [{ words, ...price }] : []))
      .sort((p, q) => q.high - q.low - (p.high - p.low))
      .slice(0, WIDEST),
  }
}

/** On which side of a limit a range stands: said only where all of it does. */
export const sideOf = ({ low, high }: Range, limit: number): 'under' | 'over' | 'either' =>
  high <= limit ? 'under' : low > limit ? 'over' : 'either'

/** The totals of one build as they are shown, with what they were made from. */
export interface BuildTotals extends Budget {
  readonly currency: string
  readonly contingency: number
  readonly likeForLikeMinor: number | null
  readonly planMinor: number | null
  readonly leftoversMinor: number
  readonly planStatus: string | null
  readonly planIsCurrent: boolean
  readonly proven: string | null
  readonly hours: Range
  readonly pairing: string | null
  /** Lines nothing bought answers yet. */
  readonly open: number
}
