import { type Currency, convert } from '../money/money.ts'
import { type Rate, rateBetween } from '../money/offer-price.ts'

/** How a build counts its money, and how many it buys from. */
export interface BuildMoney {
  readonly currency: Currency
  readonly taxRate: number
  readonly labourRateMinor: number
  readonly maxSuppliers?: number | null
  readonly maxDonors?: number | null
}

/** An amount in another currency; null where no rate is known. */
export function inCurrency(
  minor: number,
  from: Currency,
  to: Currency,
  rates: readonly Rate[],
): number | null {
  const rate = rateBetween(rates, from, to)
  return rate === null ? null : convert(minor, from, to, rate)
}
