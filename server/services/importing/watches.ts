import type { z } from 'zod'
import type { watchInput } from '../../../contract/rows.ts'
import { groupBy } from '../../../core/group.ts'
import { convert } from '../../../core/money/money.ts'
import { rateBetween } from '../../../core/money/offer-price.ts'
import { newestDay } from '../../../core/sourcing/freshness.ts'
import { standingRefusal } from '../../../core/sourcing/standing.ts'
import type { RowOf, Store } from '../../database/store.ts'
import { shopDay } from '../shop/day.ts'
import { toRate } from '../shop/rate.ts'

/** Wants a part: told of when somebody sells it, for no more than is said. */
export const watch = (store: Store, input: z.output<typeof watchInput>): Promise<RowOf<'watch'>> =>
  store.transaction(async (tx) => {
    await tx.get('part', input.partId)
    return tx.insert('watch', { ...input, day: await shopDay(tx) })
  })

/** Parts that are wanted, each with the cheapest offer that is sold now; those that can be had for what is said first. */
export async function watches(store: Store) {
  const rows = await store.list('watch')
  const ids = [...new Set(rows.map(({ partId }) => partId))]
  const [parts, offers, suppliers, builds, rates] = await Promise.all([
    store.listIn('part', 'id', ids),
    store.readIn('offer', 'partId', ids),
    store.list('supplier'),
    store.list('build'),
    store.list('rate'),
  ])
  const ofPart = groupBy(offers, ({ partId }) => partId)
  const items = rows.map((row) => {
    const priced = (ofPart.get(row.partId) ?? [])
      .filter(({ standing }) => standingRefusal(standing) === null)
      .flatMap((offer) => {
        const rate = rateBetween(rates.map(toRate), offer.currency, row.currency)
        return rate === null
          ? []
          : [{ offer, minor: convert(offer.priceMinor, offer.currency, row.currency, rate) }]
      })
      .sort((p, q) => p.minor - q.minor)
    const [best] = priced
    const supplier = best && suppliers.find(({ id }) => id === best.offer.supplierId)
    const announced = (ofPart.get(row.partId) ?? []).some(
      ({ standing }) => standing === 'announced',
    )
    return {
      ...row,
      partName: parts.find(({ id }) => id === row.partId)?.name ?? row.partId,
      buildName: builds.find(({ id }) => id === row.buildId)?.name ?? null,
      best: best
        ? {
            supplier: supplier?.name ?? best.offer.supplierId,
            minor: best.minor,
            heardOn: newestDay(best.offer.seenOn, supplier?.feedReadOn),
          }
        : null,
      announced,
      isHad: best !== undefined && (row.mostMinor === null || best.minor <= row.mostMinor),
    }
  })
  return items.sort(
    (p, q) => Number(q.isHad) - Number(p.isHad) || (p.partName < q.partName ? -1 : 1),
  )
}
