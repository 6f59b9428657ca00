import { paidPrice, type Rate } from '../../../core/money/offer-price.ts'
import type { Three } from '../../../core/money/three.ts'
import type { OfferRow } from '../../../core/sourcing/market.ts'
import type { Store } from '../../database/store.ts'
import type { BuildView } from '../builds/build-view.ts'
import { offeredOf } from '../catalogue/offered.ts'

/** What parts are asked for, by the best and the dearest of their offers in a build's money; absent where nobody sells one. */
export interface PartPrices {
  of(partId: string): Three | undefined
  /** Grows when a price changed. */
  readonly changes: number
}

export async function pricesOf(
  store: Store,
  { build, catalogue }: BuildView,
  parts: ReadonlySet<string>,
): Promise<PartPrices> {
  const { offers, changes } = await offeredOf(store, parts)
  const money = { currency: build.currency, taxRate: build.taxRate }
  const known = new Map<string, Three | undefined>()
  return {
    changes,
    of: (part) => {
      if (!known.has(part))
        known.set(part, askedFor(offers.get(part) ?? [], money, catalogue.trade.rates))
      return known.get(part)
    },
  }
}

/** Least, likely and most of offers; likeliest between them, nearer the least. */
function askedFor(
  offers: readonly OfferRow[],
  money: Parameters<typeof paidPrice>[3],
  rates: readonly Rate[],
): Three | undefined {
  const paid = offers.flatMap(
    (one) => paidPrice(one.priceMinor, one.currency, one.taxIncluded, money, rates) ?? [],
  )
  if (paid.length === 0) return undefined
  const [low, high] = [Math.min(...paid), Math.max(...paid)]
  return [low, Math.round(Math.sqrt(low * high)), high]
}
