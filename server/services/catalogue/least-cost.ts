import { paidPrice } from '../../../core/money/offer-price.ts'
import type { CompiledPart } from '../../../core/ports/index.ts'
import type { RowOf } from '../../database/store.ts'
import type { LeastPrice } from './offered.ts'
import type { Trade } from './trade.ts'

/** Cheapest known price of each part in a build's money, by itself or with the kit that holds it; Infinity where none is known. */
export function leastCost(
  build: RowOf<'build'>,
  parts: readonly CompiledPart[],
  least: ReadonlyMap<string, readonly LeastPrice[]>,
  { kits, rates }: Trade,
): (partId: string) => number {
  const money = { currency: build.currency, taxRate: build.taxRate }
  const known = new Map<string, number>()
  const take = (part: string, price: number | null): void =>
    void known.set(part, Math.min(known.get(part) ?? Infinity, price ?? Infinity))
  for (const kit of kits)
    for (const item of kit.items)
      take(item.partId, paidPrice(kit.priceMinor, kit.currency, kit.taxIncluded, money, rates))
  for (const { id } of parts)
    for (const offer of least.get(id) ?? [])
      take(id, paidPrice(offer.priceMinor, offer.currency, offer.taxIncluded, money, rates))
  return (part) => known.get(part) ?? Infinity
}
