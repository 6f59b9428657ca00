import { setImmediate } from 'node:timers/promises'
import { groupBy } from '../../../core/group.ts'
import { type CompiledPart, compilePart } from '../../../core/ports/index.ts'
import { onChange } from '../../database/changes.ts'
import { asideOf } from '../../database/set-aside.ts'
import type { RowOf, Store } from '../../database/store.ts'
import { toCoreParts } from '../shop/core-parts.ts'

/** Every part compiled, as one build sees it: the same object until a part, a port, a claim or a specimen changed. */
export interface Shelf {
  readonly parts: ReadonlyMap<string, CompiledPart>
  /** Part rows by id: owner, default, years. */
  readonly rows: ReadonlyMap<string, RowOf<'part'>>
  /** Parts of each kind, by id: the same list until one of them changed. */
  readonly kinds: ReadonlyMap<string, readonly CompiledPart[]>
  /** Rows of the parts that came with a part, by id. */
  ownedBy(owner: string): readonly RowOf<'part'>[]
}

/** The shelf of a database as the shop sees it, and which parts changed since. Ports and claims are not kept, only what they compile to. */
interface Kept {
  readonly epoch: number
  shelf: Shelf | null
  readonly stale: Set<string>
  working: Promise<unknown>
  readonly builds: Map<string, OwnShelf>
}

/** A build's own: its very parts measured, laid over the shop's. */
interface OwnShelf {
  readonly over: Shelf
  /** By part: the specimen, and the part as the shop sees it: while both are the same, so is what is compiled. */
  readonly own: ReadonlyMap<
    string,
    {
      readonly specimen: string
      readonly from: CompiledPart
      readonly row: RowOf<'part'>
      readonly part: CompiledPart
    }
  >
  readonly shelf: Shelf
}

const kept = new WeakMap<object, Kept>()

/** The shelf of a build, or of the shop, brought up to date by what changed since it was last asked for. */
export async function compiledShelf(store: Store, buildId: string | null): Promise<Shelf> {
  const shelf = await shopShelf(store)
  const specimens = buildId ? await store.list('specimen', { buildId }) : []
  return specimens.length === 0 ? shelf : ownShelf(store, buildId!, shelf, specimens)
}

async function shopShelf(store: Store): Promise<Shelf> {
  let held = kept.get(store.root)
  if (held?.epoch !== store.epoch) {
    if (!held)
      onChange(store.root, ({ parts }) => {
        const now = kept.get(store.root)
        for (const id of parts) now?.stale.add(id)
      })
    kept.set(
      store.root,
      (held = {
        epoch: store.epoch,
        shelf: null,
        stale: new Set(),
        working: Promise.resolve(),
        builds: new Map(),
      }),
    )
  }
  const now = held
  // One after the other; one that failed is tried again by the next.
  const turn = now.working.catch(() => undefined).then(() => follow(store, now))
  now.working = turn
  return turn
}

async function follow(store: Store, now: Kept): Promise<Shelf> {
  const stale = [...now.stale]
  now.stale.clear()
  try {
    if (!now.shelf) now.shelf = await gathered(store)
    else if (stale.length > 0) now.shelf = await renewed(store, now.shelf, stale)
    return now.shelf
  } catch (error) {
    for (const id of stale) now.stale.add(id)
    throw error
  }
}

/** So many parts are read and compiled in one turn; others are answered between. */
const AT_ONCE = 200

async function gathered(store: Store): Promise<Shelf> {
  const ids = (await store.knex('part').orderBy('id').select('id')) as { id: string }[]
  const parts = new Map<string, CompiledPart>()
  const rows = new Map<string, RowOf<'part'>>()
  await compiled(
    store,
    ids.map(({ id }) => id),
    (part, row) => {
      parts.set(row.id, part)
      rows.set(row.id, row)
    },
  )
  return shelfOf(
    parts,
    rows,
    groupBy(parts.values(), ({ kind }) => kind),
  )
}

/** Reads parts with all that is said of them, and hands each on compiled; a part that cannot be read is left out. */
async function compiled(
  store: Store,
  ids: readonly string[],
  take: (part: CompiledPart, row: RowOf<'part'>) => void,
  specimens?: ReadonlyMap<string, string>,
): Promise<void> {
  for (let i = 0; i < ids.length; i += AT_ONCE) {
    if (i > 0) await setImmediate()
    const rows = await store.readIn('part', 'id', ids.slice(i, i + AT_ONCE))
    const idsOf = (list: readonly { readonly id: string }[]): string[] => list.map((row) => row.id)
    const ports = await store.readIn('port', 'partId', idsOf(rows))
    const claims = groupBy(await store.readIn('claim', 'portId', idsOf(ports)), (row) => row.portId)
    const portsOf = groupBy(ports, (row) => row.partId)
    for (const row of rows) {
      const own = portsOf.get(row.id) ?? []
      const [part] = toCoreParts(
        [row],
        own,
        own.flatMap((port) => claims.get(port.id) ?? []),
      )
      take(compilePart(part!, specimens?.get(row.id)), row)
    }
  }
}

/** Parts that changed are compiled anew; those that came with one that can be read again, or no longer, are read anew too. */
async function renewed(store: Store, shelf: Shelf, stale: readonly string[]): Promise<Shelf> {
  const parts = new Map(shelf.parts)
  const rows = new Map(shelf.rows)
  const touched = new Set<string>()
  for (let ids = stale; ids.length > 0; ) {
    for (const id of ids) {
      touched.add(id)
      parts.delete(id)
      rows.delete(id)
    }
    await compiled(store, ids, (part, row) => {
      parts.set(row.id, part)
      rows.set(row.id, row)
    })
    const moved = ids.filter((id) => parts.has(id) !== shelf.parts.has(id))
    for (const id of moved)
      if (!parts.has(id) && !(await store.isThere('part', id)))
        asideOf(store.root).delete(`part:${id}`)
    ids = (await store.readIn('part', 'ownerId', moved))
      .map((row) => row.id)
      .filter((id) => !touched.has(id))
  }
  return shelfOf(byId(parts), byId(rows), relisted(shelf.kinds, shelf.parts, parts, touched))
}

/** Lists by kind with some parts other than before: each kind that something changed of is listed anew, once. */
function relisted(
  kinds: Shelf['kinds'],
  before: Shelf['parts'],
  now: Shelf['parts'],
  touched: ReadonlySet<string>,
): Map<string, readonly CompiledPart[]> {
  const fresh = new Map<string, CompiledPart[]>()
  for (const id of touched)
    for (const [part, isNow] of [
      [before.get(id), false],
      [now.get(id), true],
    ] as const) {
      if (!part) continue
      const list = fresh.get(part.kind) ?? []
      fresh.set(part.kind, list)
      if (isNow) list.push(part)
    }
  const relist = new Map(kinds)
  for (const [kind, list] of fresh)
    relist.set(
      kind,
      [...(kinds.get(kind) ?? []).filter(({ id }) => !touched.has(id)), ...list].sort((p, q) =>
        p.id < q.id ? -1 : 1,
      ),
    )
  return relist
}

/** In the order of ids, where something was put in behind. */
function byId<T>(held: Map<string, T>): Map<string, T> {
  let last = ''
  for (const id of held.keys()) {
    if (id < last) return new Map([...held].sort(([p], [q]) => (p < q ? -1 : 1)))
    last = id
  }
  return held
}

/** What came with what is listed when it is first asked for. */
function shelfOf(parts: Shelf['parts'], rows: Shelf['rows'], kinds: Shelf['kinds']): Shelf {
  let owners: Map<string, RowOf<'part'>[]> | null = null
  return {
    parts,
    rows,
    kinds,
    ownedBy(owner) {
      owners ??= groupBy(rows.values(), (row) => row.ownerId)
      return owners.get(owner) ?? []
    },
  }
}

async function ownShelf(
  store: Store,
  buildId: string,
  over: Shelf,
  rows: readonly RowOf<'specimen'>[],
): Promise<Shelf> {
  const builds = kept.get(store.root)!.builds
  const before = builds.get(buildId)
  const wanted = new Map(
    rows.flatMap(({ partId, id }) => (over.parts.has(partId) ? [[partId, id] as const] : [])),
  )
  if (
    before?.over === over &&
    before.own.size === wanted.size &&
    [...wanted].every(([part, specimen]) => before.own.get(part)?.specimen === specimen)
  )
    return before.shelf
  const own = new Map<string, OwnShelf['own'] extends ReadonlyMap<string, infer O> ? O : never>()
  const fresh: string[] = []
  for (const [id, specimen] of wanted) {
    const held = before?.own.get(id)
    if (held?.specimen === specimen && held.from === over.parts.get(id)) own.set(id, held)
    else fresh.push(id)
  }
  await compiled(
    store,
    fresh,
    (part, row) =>
      own.set(row.id, { specimen: wanted.get(row.id)!, from: over.parts.get(row.id)!, row, part }),
    wanted,
  )
  const parts = new Map(over.parts)
  for (const [id, { part }] of own) parts.set(id, part)
  const shelf = shelfOf(
    parts,
    over.rows,
    relisted(over.kinds, over.parts, parts, new Set(own.keys())),
  )
  builds.set(buildId, { over, own, shelf })
  return shelf
}
