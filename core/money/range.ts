/** Least and most, in minor units or hours. */
export interface Range {
  readonly low: number
  readonly high: number
}

export const NO_RANGE: Range = { low: 0, high: 0 }

/** Ranges add at both ends: every line at its least, every line at its most. A bound, not a likelihood. */
export const addRanges = (ranges: readonly Range[]): Range =>
  ranges.reduce((sum, one) => ({ low: sum.low + one.low, high: sum.high + one.high }), NO_RANGE)
