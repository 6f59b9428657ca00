import type { DrawInput, DrawnLine } from './draw.ts'
import type { Range } from './range.ts'
import { meanOf, varianceOf } from './triangle.ts'

/** A line that stands by itself: what it costs and takes, and how often. */
export interface SpreadLine extends Pick<DrawnLine, 'price' | 'hours' | 'chance'> {
  /** How often it stands, 0 to 1. */
  readonly stands: number
}

/** Of a normal distribution, what lies nine times in ten below: 1.2816 deviations (Abramowitz & Stegun 26.2, from memory). */
const NINE_IN_TEN = 1.2816

export interface Spread {
  /** One build in ten costs less than the first, one in ten more than the second; minor units. */
  readonly money: Range
  readonly likelyMinor: number
  /** Hours, the same way. */
  readonly hours: Range
  readonly likelyHours: number
}

/** What one line adds: means and variances of its price and hours, and what they have in common. */
export interface Moments {
  readonly price: number
  readonly priceVar: number
  readonly hours: number
  readonly hoursVar: number
  readonly both: number
}

export function momentsOfLine({ price, hours, chance, stands }: SpreadLine): Moments {
  const got = stands * chance
  const [p, h] = [meanOf(price), meanOf(hours)]
  return {
    price: got * p,
    priceVar: got * (varianceOf(price) + p * p) - (got * p) ** 2,
    hours: stands * h,
    hoursVar: stands * (varianceOf(hours) + h * h) - (stands * h) ** 2,
    both: got * p * h - got * p * stands * h,
  }
}

/**
 * What a list may come to where each line stands by itself, in closed form: sums of independent triangles, with the levels that
 * prices and hours share, taken as normal. The draw (`draw.ts`) counts facts that several lines lean on as well; this is what
 * hundreds of lists are told apart by.
 */
export function spreadOf(
  lines: readonly Moments[],
  rateMinor: number,
  levels: DrawInput['levels'],
): Spread {
  let [price, priceVar, hours, hoursVar, both] = [0, 0, 0, 0, 0]
  for (const line of lines) {
    price += line.price
    priceVar += line.priceVar
    hours += line.hours
    hoursVar += line.hoursVar
    both += line.both
  }
  const [levelPrice, levelHours] = [meanOf(levels.price), meanOf(levels.hours)]
  const scaled = (
    level: readonly [number, number, number],
    mean: number,
    variance: number,
  ): number =>
    (varianceOf(level) + meanOf(level) ** 2) * (variance + mean * mean) -
    (meanOf(level) * mean) ** 2
  const workVar = scaled(levels.hours, hours, hoursVar)
  const moneyVar =
    scaled(levels.price, price, priceVar) +
    rateMinor ** 2 * workVar +
    2 * levelPrice * levelHours * rateMinor * both
  const money = levelPrice * price + levelHours * hours * rateMinor
  const work = levelHours * hours
  const around = (mean: number, variance: number): Range => {
    const off = NINE_IN_TEN * Math.sqrt(Math.max(0, variance))
    return { low: Math.max(0, mean - off), high: mean + off }
  }
  const { low, high } = around(money, moneyVar)
  return {
    money: { low: Math.round(low), high: Math.round(high) },
    likelyMinor: Math.round(money),
    hours: around(work, workVar),
    likelyHours: work,
  }
}
