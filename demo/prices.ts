import type { DocumentWriter } from './document.ts'
import { offer } from './offer.ts'

/** Days on which the shop last heard of what its suppliers ask. */
const HEARD = ['2026-10-20', '2026-11-05', '2026-11-17', '2026-11-24'] as const
const EARLIER = ['2025-11-14', '2026-02-10', '2026-04-22', '2026-07-03', '2026-09-01'] as const
/** Suppliers whose prices are fetched, from the simulated service that starts with the demo. */
const FED = ['oarsman', 'lamplight'] as const
const RETURN_DAYS: Readonly<Record<string, number>> = {
  harbour: 30,
  tessil: 14,
  brimble: 7,
  skarvik: 14,
  oldquay: 3,
  fennmoor: 30,
}

/** When each offer was last heard of, what some asked before, what is announced, on trial or ended, and where prices are fetched. */
export function prices(doc: DocumentWriter): void {
  for (const supplier of doc.tables.supplier!) {
    const id = String(supplier.id)
    if (RETURN_DAYS[id] !== undefined) supplier.returnDays = RETURN_DAYS[id]
    if ((FED as readonly string[]).includes(id))
      supplier.feed = { address: `http://127.0.0.1:4174/${id}` }
  }
  for (const [i, one] of doc.tables.offer!.entries()) {
    one.seenOn = HEARD[i % HEARD.length]
    if (i % 6 !== 0) continue
    for (const [at, day] of EARLIER.entries())
      if ((i + at) % 3 !== 0)
        doc.add('pastPrice', {
          id: `past-${one.id}-${at}`,
          offerId: one.id,
          day,
          priceMinor: Math.round(
            Number(one.priceMinor) * (0.86 + 0.025 * at + ((i + at) % 5) / 100),
          ),
          currency: one.currency,
        })
  }
  // Cheap and not to be had: the trap is a plan that counts on it.
  offer(doc, 'announced-plate', 'plate-w2-12', 'tessil', 9900, {
    description: 'Plate for Wick 2nd, mark two',
    standing: 'announced',
    seenOn: '2026-11-24',
  })
  offer(doc, 'ended-disc', 'marlund-4-disc-20', 'oldquay', 1900, {
    description: 'Clutch disc 200, last of its kind',
    condition: 'used',
    standing: 'ended',
    seenOn: '2026-10-20',
  })
  offer(doc, 'trial-plate', 'plate-w2-12', 'fennmoor', 41900, {
    description: 'Plate for Wick 2nd, tried by three shops',
    standing: 'trial',
    seenOn: '2026-11-17',
  })
}
