import { groupBy } from '../../core/group.ts'
import { DEFAULT_RULE, normaliseNumber } from '../../core/identity/part-number.ts'
import type { Supersession } from '../../core/identity/supersession.ts'
import { donorId, kitId } from '../../core/sourcing/ids.ts'
import type { Market } from '../../core/sourcing/market.ts'
import { onChange } from '../database/changes.ts'
import { mirrored } from '../database/mirror.ts'
import type { Row, Store } from '../database/store.ts'

/** Who sells, what comes together, and what money is worth: each piece the same object until a table it is made of changes. */
export interface Trade
  extends Pick<Market, 'supersessions' | 'kits' | 'donors' | 'suppliers' | 'rates'> {
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
  supersessions: { readonly epoch: number; readonly rows: Promise<Row[]> } | null
  /** The sellers last found, and under which number of changes. */
  sellers: { readonly told: string; readonly rows: readonly Row[] } | null
}
const kept = new WeakMap<object, Kept>()

function keptOf(store: Store): Kept {
  let held = kept.get(store.root)
  if (!held) {
    const fresh: Kept = { pieces: new Map(), supersessions: null, sellers: null }
    kept.set(store.root, (held = fresh))
    onChange(store.root, ({ packed: { tables } }) => {
      if (tables.includes('supersession')) fresh.supersessions = null
    })
  }
  return held
}

export async function loadTrade(store: Store): Promise<Trade> {
  const held = keptOf(store)
  const names = ['kit', 'kitItem', 'donor', 'donorItem', 'supplier', 'rate', 'issuer'] as const
  const mirrors = await Promise.all(names.map((table) => mirrored(store, table)))
  const table = Object.fromEntries(names.map((name, i) => [name, mirrors[i]!.list])) as Record<
    (typeof names)[number],
    readonly Row[]
  >
  if (held.supersessions?.epoch !== store.epoch) {
    const rows = store.read('supersession')
    held.supersessions = { epoch: store.epoch, rows }
    rows.catch(() => {
      held.supersessions = null
    })
  }
  const supersessions = await held.supersessions.rows
  const sellers = await sellersOf(store, held, table.supplier, table.kit)
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
    supersessions: once('supersessions', [supersessions, table.issuer], () =>
      supersessionsOf(supersessions, table.issuer),
    ),
    kits: once('kits', [table.kit, table.kitItem], () =>
      withItems(table.kit, table.kitItem, 'kitId'),
    ) as unknown as Market['kits'],
    donors: once('donors', [table.donor, table.donorItem], () =>
      withItems(table.donor, table.donorItem, 'donorId'),
    ) as unknown as Market['donors'],
    suppliers: sellers as unknown as Market['suppliers'],
    rates: once('rates', [table.rate], () =>
      table.rate.map((row) => ({
        from: String(row.fromCurrency),
        to: String(row.toCurrency),
        rate: Number(row.rate),
        on: String(row.day),
      })),
    ),
  }
  const suppliers = mirrors[4]!
  return once('trade', Object.values(pieces), () => {
    const bundles = new Map([
      ...pieces.kits.map(({ id, name }) => [kitId(id), name] as const),
      ...pieces.donors.map(({ id, name }) => [donorId(id), name] as const),
    ])
    return {
      ...pieces,
      supplierName: (id: string) => String(suppliers.rows.get(id)?.name ?? id),
      bundleName: (id: string) => bundles.get(id) ?? id,
    }
  })
}

/** Only who sells something: another on the list changes nothing. The same list while it holds the same rows. */
async function sellersOf(
  store: Store,
  held: Kept,
  suppliers: readonly Row[],
  kits: readonly Row[],
): Promise<readonly Row[]> {
  const { told } = store
  if (held.sellers?.told === told) return held.sellers.rows
  const offering = (await store
    .knex('supplier')
    .whereExists(store.knex('offer').whereRaw('offer.supplier_id = supplier.id').select('id'))
    .select('id')) as { id: string }[]
  const ids = new Set([
    ...offering.map(({ id }) => id),
    ...kits.map((kit) => String(kit.supplierId)),
  ])
  const rows = suppliers.filter((row) => ids.has(row.id))
  const before = held.sellers?.rows
  const isSame = before?.length === rows.length && before.every((row, i) => row === rows[i])
  held.sellers = { told, rows: isSame ? before : rows }
  return held.sellers.rows
}

function withItems(rows: readonly Row[], items: readonly Row[], column: string): Row[] {
  const groups = groupBy(items, (row) => row[column])
  return rows.map((row) => ({ ...row, items: groups.get(row.id) ?? [] }))
}

function supersessionsOf(supersessions: readonly Row[], issuers: readonly Row[]): Supersession[] {
  const rule = new Map(
    issuers.map((row) => [row.id, { upper: row.upper as boolean, noise: String(row.noise) }]),
  )
  const numberOf = (issuer: unknown, number: unknown): string =>
    `${issuer}:${normaliseNumber(String(number), rule.get(String(issuer)) ?? DEFAULT_RULE)}`
  return supersessions.map(
    (row): Supersession => ({
      old: numberOf(row.issuerId, row.oldNumber),
      new: numberOf(row.issuerId, row.newNumber),
      oneWay: row.oneWay === true,
    }),
  )
}
