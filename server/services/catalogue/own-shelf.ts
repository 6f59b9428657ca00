import type { z } from 'zod'
import type { ownedInput } from '../../../contract/rows.ts'
import type { RowOf, Store } from '../../database/store.ts'
import { shopDay } from '../shop/day.ts'

/** The supplier that is the shop itself: no freight, no wait. */
export const OWN_SHELF = 'own-shelf'

/**
 * A part the shop owns: an offer of its own shelf at what it would fetch, so that it is planned, judged and locked like any
 * other source. Said again, the newer figure takes the place of the older.
 * @throws MissingError where there is no such part
 */
export const putOnShelf = (
  store: Store,
  partId: string,
  { pieces, worthMinor, currency }: z.output<typeof ownedInput>,
): Promise<RowOf<'offer'>> =>
  store.transaction(async (tx) => {
    await tx.get('part', partId)
    const [shelf] = await tx.list('supplier', { id: OWN_SHELF })
    if (!shelf)
      await tx.insert('supplier', {
        id: OWN_SHELF,
        name: 'Our shelf',
        currency,
        minimumMinor: 0,
        shippingMinor: 0,
      })
    const said = { priceMinor: worthMinor, currency, stock: pieces, seenOn: await shopDay(tx) }
    const [before] = await tx.list('offer', { partId, supplierId: OWN_SHELF })
    return before
      ? tx.update('offer', before.id, before.version, said)
      : tx.insert('offer', {
          partId,
          supplierId: OWN_SHELF,
          ...said,
          taxIncluded: true,
          pack: 1,
          leadDays: 0,
          condition: 'used',
        })
  })
