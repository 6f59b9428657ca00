import { convert, timesRate } from '../money/money.ts'
import { type Rate, rateBetween } from '../money/offer-price.ts'
import { addRanges, type Range } from '../money/range.ts'
import type { Need } from '../needs/need.ts'
import { CONFIRM_OR_DROP } from '../needs/rules/confirm-or-drop.ts'
import { own } from '../own.ts'
import { RANGE_CURRENCY, RANGES } from './ranges.ts'

/** What a need costs and takes before anything is bought. */
export interface NeedRange {
  readonly need: string
  /** Null: no range is known, or no exchange rate to the build's currency. */
  readonly price: Range | null
  readonly hours: Range
  /** Prices of the market, or the range of the kind (assumed). */
  readonly from: 'kept' | 'typed' | 'offers' | 'assumed'
}

export interface FirstAnswer {
  readonly lines: readonly NeedRange[]
  /** Parts alone, minor units of the build's currency. */
  readonly parts: Range
  readonly hours: Range
  /** Hours at the build's labour rate. */
  readonly labour: Range
  readonly total: Range
  /** Needs without any range: they are in no sum. */
  readonly unpriced: number
  readonly toSettle: readonly string[]
}

/** Hours of a task seldom come out less, and double for a first-timer (common practice). */
const FIRST_TIMER = 2

/**
 * Price and hours of a list of needs as ranges: from the market where something is offered, else by kind, assumed.
 * Kept pieces cost nothing once it is settled that they stay; until then at most what another costs. The ends are sums of ends: bounds for planning, never a price to buy at.
 *
 * @param kept by need, whether it is settled that it stays
 * @param offered from least to most that a need is offered for in the build's currency, for its quantity; null where it is not
 */
export function firstAnswer(
  needs: readonly Need[],
  offered: (need: Need) => Range | null,
  kept: ReadonlyMap<string, boolean>,
  typed: ReadonlyMap<string, number>,
  settled: ReadonlySet<string>,
  build: { readonly currency: string; readonly labourRateMinor: number },
  rates: readonly Rate[],
): FirstAnswer {
  const lines = needs.map((need): NeedRange => {
    const known = own(RANGES, need.kind)
    const hours: Range = need.task
      ? { low: need.task.hours, high: need.task.hours * FIRST_TIMER }
      : known
        ? { low: known.hours[0], high: known.hours[1] }
        : { low: 0, high: 0 }
    if (need.task || kept.has(need.id)) {
      const isSettled = need.task !== undefined || kept.get(need.id) === true
      const another = isSettled
        ? { low: 0, high: 0 }
        : (offered(need) ?? assumedPrice(need.kind, build.currency, rates))
      return {
        need: need.id,
        price: another && { low: 0, high: another.high },
        hours: need.task ? hours : { low: 0, high: hours.high },
        from: 'kept',
      }
    }
    const said = typed.get(need.id)
    if (said !== undefined)
      return { need: need.id, price: { low: said, high: said }, hours, from: 'typed' }
    const offers = offered(need)
    if (offers) return { need: need.id, price: offers, hours, from: 'offers' }
    return {
      need: need.id,
      price: assumedPrice(need.kind, build.currency, rates),
      hours,
      from: 'assumed',
    }
  })
  const parts = addRanges(lines.flatMap((line) => line.price ?? []))
  const hours = addRanges(lines.map((line) => line.hours))
  const labour = {
    low: timesRate(build.labourRateMinor, hours.low),
    high: timesRate(build.labourRateMinor, hours.high),
  }
  return {
    lines,
    parts,
    hours,
    labour,
    total: addRanges([parts, labour]),
    unpriced: lines.filter((line) => line.price === null).length,
    toSettle: needs
      .filter(
        (need) =>
          need.why.some((reason) => reason.rule === CONFIRM_OR_DROP) && !settled.has(need.id),
      )
      .map((need) => need.id),
  }
}

/** What a kind of need costs where nothing better is known, minor units of a currency; null without a range or a rate. Grade assumed. */
export function assumedPrice(kind: string, currency: string, rates: readonly Rate[]): Range | null {
  const known = own(RANGES, kind)
  const rate = rateBetween(rates, RANGE_CURRENCY, currency)
  if (!known || rate === null) return null
  const inMinor = (whole: number): number => convert(whole * 100, RANGE_CURRENCY, currency, rate)
  return { low: inMinor(known.priceEur[0]), high: inMinor(known.priceEur[1]) }
}
