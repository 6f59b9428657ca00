import type { Three } from '../money/three.ts'
import type { Need } from './need.ts'
import { FAILS, type Supply } from './supply.ts'

/** What a line costs and takes before anything is bought. */
export interface LineCost {
  readonly need: string
  readonly supply: Supply
  /** Minor units of the build's currency if it must be got; null where no price or no rate is known. */
  readonly whole: Three | null
  /** By how it stands and where it comes from: bounds and what is likely. */
  readonly price: Three | null
  readonly hours: Three
  /** The chance that it must be got though it stands: 1, or that what is said to bring it fails. */
  readonly chance: number
  readonly from: 'here' | 'typed' | 'offers' | 'assumed'
}

/** What is known of a price beside the row's own. */
export interface Priced {
  readonly typedMinor?: number | undefined
  /** Least, likely, most that the market asks for its quantity, minor units. */
  readonly offered?: Three | null
  /** Of the row, converted. */
  readonly assumed: Three | null
}

const ZERO: Three = [0, 0, 0]

/** Bounds of what may or may not come, and what is likely of it. */
export function byOutcome(outcome: Need['outcome'], [low, likely, high]: Three): Three {
  if (outcome === 'yes') return [low, likely, high]
  // What is sold brings money: nothing is between the least and the most, whichever way it counts.
  const [least, most] = [Math.min(0, low), Math.max(0, high)]
  if (outcome === 'leans yes') return [least, likely, most]
  return [least, outcome === 'open' ? likely / 2 : 0, most]
}

/** A line's money and hours, in three figures each. Hours of fitting count wherever it comes from. */
export function lineCost(need: Need, supply: Supply, priced: Priced): LineCost {
  const from: LineCost['from'] =
    supply === 'here'
      ? 'here'
      : priced.typedMinor !== undefined
        ? 'typed'
        : priced.offered
          ? 'offers'
          : 'assumed'
  const whole: Three | null =
    need.sort === 'blocker'
      ? ZERO
      : priced.typedMinor !== undefined
        ? [priced.typedMinor, priced.typedMinor, priced.typedMinor]
        : (priced.offered ?? priced.assumed)
  const isComing = supply === 'comes' || supply === 'keep'
  const got: Three | null =
    supply === 'here'
      ? ZERO
      : whole && isComing
        ? [Math.min(0, whole[0]), whole[1] * FAILS, whole[2]]
        : whole
  return {
    need: need.id,
    supply,
    whole,
    price: got && byOutcome(need.outcome, got),
    hours: byOutcome(need.outcome, need.hours),
    chance: supply === 'here' ? 0 : isComing ? FAILS : 1,
    from,
  }
}
