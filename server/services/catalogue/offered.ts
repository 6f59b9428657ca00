import { groupBy } from '../../../core/group.ts'
import type { Market, OfferRow } from '../../../core/sourcing/market.ts'
import type { KnownNumber } from '../../../core/sourcing/numbers-wanted.ts'
import { onChange } from '../../database/changes.ts'
import { asideChanges } from '../../database/set-aside.ts'
import type { Store } from '../../database/store.ts'

/** What some parts are sold for and numbered as. */
export interface Offered {
  readonly offers: Market['offers']
  readonly numbers: Market['numbers']
  /** Grows when something read earlier changed: under the same number the same parts give the same. */
  readonly changes: number
}

/** The least asked for a part in one kind of money, with or without tax. */
export interface LeastPrice {
  readonly currency: string
  readonly taxIncluded: boolean
  readonly priceMinor: number
}

/** What was read, by part, until something of that part changes. */
interface Kept {
  readonly epoch: number
  readonly aside: number
  readonly offers: Map<string, readonly OfferRow[]>
  readonly numbers: Map<string, readonly KnownNumber[]>
  readonly least: Map<string, readonly LeastPrice[]>
  readonly stale: Set<string>
  changes: number
}

const kept = new WeakMap<object, Kept>()
const followed = new WeakSet<object>()
/** Parts whose offers are kept at most; beyond it only those just asked for stay. */
const MOST = 60_000
const NONE: readonly never[] = []

function keptOf(store: Store): Kept {
  if (!followed.has(store.root)) {
    followed.add(store.root)
    onChange(store.root, ({ parts, tables }) => {
      const now = kept.get(store.root)
      for (const id of parts) now?.stale.add(id)
      // Numbers are told by the names of their issuers.
      if (tables.includes('issuer')) for (const id of now?.numbers.keys() ?? []) now?.stale.add(id)
    })
  }
  const before = kept.get(store.root)
  // Whether an offer can be read hangs on its supplier and issuer too.
  const aside = asideChanges(store.root)
  if (before?.epoch === store.epoch && before.aside === aside) return before
  const fresh: Kept = {
    epoch: store.epoch,
    aside,
    offers: new Map(),
    numbers: new Map(),
    least: new Map(),
    stale: new Set(),
    changes: (before?.changes ?? 0) + 1,
  }
  kept.set(store.root, fresh)
  return fresh
}

/** Forgets what was read of parts that changed since. What changes while others are read is forgotten the next time. */
function forgetStale(now: Kept): void {
  for (const id of now.stale) {
    const wasHeld = [now.offers, now.numbers, now.least]
      .map((held) => held.delete(id))
      .some(Boolean)
    if (wasHeld) now.changes++
  }
  now.stale.clear()
}

/** Offers and numbers of parts, read where they are not known yet. */
export async function offeredOf(store: Store, parts: ReadonlySet<string>): Promise<Offered> {
  await store.list('supplier')
  const now = keptOf(store)
  forgetStale(now)
  const missing = [...parts].filter((id) => !now.offers.has(id))
  if (missing.length > 0) {
    if (now.offers.size + missing.length > MOST)
      for (const id of now.offers.keys())
        if (!parts.has(id)) for (const held of [now.offers, now.numbers]) held.delete(id)
    const [offers, numbers] = [
      groupBy(await store.readIn('offer', 'partId', missing), (row) => row.partId),
      groupBy(await store.readIn('partNumber', 'partId', missing), (row) => row.partId),
    ]
    const names = new Map((await store.list('issuer')).map(({ id, name }) => [id, name]))
    for (const id of missing) {
      now.offers.set(id, offers.get(id) ?? NONE)
      now.numbers.set(
        id,
        (numbers.get(id) ?? []).flatMap((row) =>
          row.struckDay === null
            ? {
                issuer: names.get(row.issuerId) ?? row.issuerId,
                number: row.number,
                mark: row.mark,
                grade: row.grade,
                ...(row.scope ? { where: row.scope } : {}),
              }
            : [],
        ),
      )
    }
  }
  return { offers: now.offers, numbers: now.numbers, changes: now.changes }
}

const AT_ONCE = 500

/** The least asked for each of these parts, and a number that grows when one of them changed. */
export async function leastPrices(
  store: Store,
  parts: readonly string[],
): Promise<{ of: ReadonlyMap<string, readonly LeastPrice[]>; changes: number }> {
  await store.list('supplier')
  const now = keptOf(store)
  forgetStale(now)
  const missing = parts.filter((id) => !now.least.has(id))
  for (let i = 0; i < missing.length; i += AT_ONCE) {
    const ids = missing.slice(i, i + AT_ONCE)
    const rows = (await store
      .knex('offer')
      .whereIn('partId', ids)
      .where((sold) => void sold.whereNull('standing').orWhereIn('standing', ['trial', 'shipping']))
      .groupBy('partId', 'currency', 'taxIncluded')
      .select('partId', 'currency', 'taxIncluded')
      .min('priceMinor as priceMinor')) as {
      partId: string
      currency: string
      taxIncluded: number
      priceMinor: number
    }[]
    const found = groupBy(rows, (row) => row.partId)
    for (const id of ids)
      now.least.set(
        id,
        (found.get(id) ?? []).map((row) => ({
          currency: row.currency,
          taxIncluded: row.taxIncluded === 1,
          priceMinor: Number(row.priceMinor),
        })),
      )
  }
  return { of: now.least, changes: now.changes }
}
