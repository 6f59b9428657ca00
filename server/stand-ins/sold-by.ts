import type { SoldItem } from './feed-prices.ts'
import type { Feeding } from './price-feed.ts'

type Tables = Readonly<Record<string, readonly Readonly<Record<string, unknown>>[]>>

/** What each supplier of a shop's document sells by number, by id. */
export function soldBy({ tables }: { readonly tables: Tables }): Map<string, Feeding> {
  const names = new Map((tables.issuer ?? []).map(({ id, name }) => [id, String(name)]))
  const sold = new Map<string, Feeding & { items: SoldItem[] }>()
  for (const { id, currency } of tables.supplier ?? [])
    sold.set(String(id), { currency: String(currency), taxIncluded: true, items: [] })
  for (const offer of tables.offer ?? []) {
    const supplier = sold.get(String(offer.supplierId))
    if (!supplier || !offer.number || offer.currency !== supplier.currency) continue
    supplier.items.push({
      issuer: names.get(offer.issuerId) ?? String(offer.issuerId),
      number: String(offer.number),
      description: String(offer.description ?? ''),
      priceMinor: Number(offer.priceMinor),
      pack: Number(offer.pack),
      stock: typeof offer.stock === 'number' ? offer.stock : null,
      leadDays: typeof offer.leadDays === 'number' ? offer.leadDays : null,
      condition: String(offer.condition),
    })
  }
  return sold
}
