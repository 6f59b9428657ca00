import { groupBy } from '../../../core/group.ts'
import { donorId, kitId } from '../../../core/sourcing/ids.ts'
import type { Market } from '../../../core/sourcing/market.ts'
import { mirrored } from '../../database/mirror.ts'
import type { RowOf, Store } from '../../database/store.ts'
import { shopNumbers } from '../numbers/shop-numbers.ts'
import { toRate } from '../shop/rate.ts'

/** Who sells, what comes together, and what money is worth: each piece the same object until a table it is made of changes. */
export interface Trade
  extends Pick<Market, 'serving' | 'issuers' | 'kits' | 'donors' | 'suppliers' | 'rates'> {
  /** A supplier by name, selling something now or not; its id where it is gone. */
  supplierName(id: string): string
  /** A kit or a donor by the id it has as a bundle; that id where it is gone. */
  bundleName(bundle: string): string
}

interface Piece {
  readonly madeOf: readonly unknown[]
  readonly value: unknown
}
interface Kept {
  readonly pieces: Map<string, Piece>
  /** The sellers last found, and under which number of changes. */
  sellers: { readonly told: string; readonly rows: readonly RowOf<'supplier'>[] } | null
}
const kept = new WeakMap<object, Kept>()

function keptOf(store: Store): Kept {
  let held = kept.get(store.root)
  if (!held) {
    held = { pieces: new Map(), sellers: null }
    kept.set(store.root, held)
  }
  return held
}

export async function loadTrade(store: Store): Promise<Trade> {
  const held = keptOf(store)
  const [kit, kitItem, donor, donorItem, supplier, rate, issuer] = await Promise.all([
    mirrored(store, 'kit'),
    mirrored(store, 'kitItem'),
    mirrored(store, 'donor'),
    mirrored(store, 'donorItem'),
    mirrored(store, 'supplier'),
    mirrored(store, 'rate'),
    mirrored(store, 'issuer'),
  ])
  const serving = await shopNumbers(store)
  const sellers = await sellersOf(store, held, supplier.list, kit.list)
  const once = <T>(name: string, madeOf: readonly unknown[], work: () => T): T => {
    const found = held.pieces.get(name)
    if (
      found &&
      found.madeOf.length === madeOf.length &&
      found.madeOf.every((one, i) => one === madeOf[i])
    )
      return found.value as T
    const value = work()
    held.pieces.set(name, { madeOf, value })
    return value
  }
  const pieces = {
    serving,
    issuers: once(
      'issuers',
      [issuer.list],
      () => new Map(issuer.list.map(({ id, name }) => [id, name])),
    ),
    kits: once('kits', [kit.list, kitItem.list], () =>
      withItems(kit.list, kitItem.list, (item) => item.kitId),
    ),
    donors: once('donors', [donor.list, donorItem.list], () =>
      withItems(donor.list, donorItem.list, (item) => item.donorId),
    ),
    suppliers: sellers,
    rates: once('rates', [rate.list], () => rate.list.map(toRate)),
  }
  return once('trade', Object.values(pieces), () => {
    const bundles = new Map([
      ...pieces.kits.map(({ id, name }) => [kitId(id), name] as const),
      ...pieces.donors.map(({ id, name }) => [donorId(id), name] as const),
    ])
    return {
      ...pieces,
      supplierName: (id: string) => supplier.rows.get(id)?.name ?? id,
      bundleName: (id: string) => bundles.get(id) ?? id,
    }
  })
}

/** Only who sells something: another on the list changes nothing. The same list while it holds the same rows. */
async function sellersOf(
  store: Store,
  held: Kept,
  suppliers: readonly RowOf<'supplier'>[],
  kits: readonly RowOf<'kit'>[],
): Promise<readonly RowOf<'supplier'>[]> {
  const { told } = store
  if (held.sellers?.told === told) return held.sellers.rows
  const offering = (await store
    .knex('supplier')
    .whereExists(store.knex('offer').whereRaw('offer.supplier_id = supplier.id').select('id'))
    .select('id')) as { id: string }[]
  const ids = new Set([...offering.map(({ id }) => id), ...kits.map((kit) => kit.supplierId)])
  const rows = suppliers.filter((row) => ids.has(row.id))
  const before = held.sellers?.rows
  const isSame = before?.length === rows.length && before.every((row, i) => row === rows[i])
  held.sellers = { told, rows: isSame ? before : rows }
  return held.sellers.rows
}

function withItems<R extends { readonly id: string }, I>(
  rows: readonly R[],
  items: readonly I[],
  ownerOf: (item: I) => string,
): (R & { readonly items: readonly I[] })[] {
  const groups = groupBy(items, ownerOf)
  return rows.map((row) => ({ ...row, items: groups.get(row.id) ?? [] }))
}
