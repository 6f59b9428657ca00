import { type Currency, convert } from './money.ts'

/** A dated exchange rate: `rate` units of `to` for one of `from`. */
export interface Rate {
  readonly from: Currency
  readonly to: Currency
  readonly rate: number
  /** ISO date. */
  readonly on: string
}

/** The newest rate between two currencies, turned round where only the other way is known; null when there is none. */
export function rateBetween(rates: readonly Rate[], from: Currency, to: Currency): number | null {
  if (from === to) return 1
  const fitting = rates
    .filter((r) => (r.from === from && r.to === to) || (r.from === to && r.to === from))
    .sort((p, q) => (p.on < q.on ? 1 : p.on > q.on ? -1 : 0))
  const newest = fitting[0]
  return newest ? (newest.from === from ? newest.rate : 1 / newest.rate) : null
}

/**
 * What a listed price costs the build, tax included where it is not, in the build's currency; rounded once, half-even.
 * Null without an exchange rate.
 */
export function paidPrice(
  listedMinor: number,
  currency: Currency,
  taxIncluded: boolean,
  build: { currency: Currency; taxRate: number },
  rates: readonly Rate[],
): number | null {
  const rate = rateBetween(rates, currency, build.currency)
  if (rate === null) return null
  return convert(
    listedMinor,
    currency,
    build.currency,
    taxIncluded ? rate : rate * (1 + build.taxRate),
  )
}
