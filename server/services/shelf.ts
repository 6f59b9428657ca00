import { setImmediate } from 'node:timers/promises'
import { type CompiledPart, compilePart } from '../../core/ports/index.ts'
import { type Mirror, mirrored } from '../database/mirror.ts'
import type { Row, Store } from '../database/store.ts'
import { toCoreParts } from './core-parts.ts'

/** Every part compiled, as one build sees it: the same object until a part, a port, a claim or a specimen changed. */
export interface Shelf {
  readonly parts: ReadonlyMap<string, CompiledPart>
  readonly rows: ReadonlyMap<string, Row>
  /** Parts of each kind, by id. */
  readonly kinds: ReadonlyMap<string, readonly CompiledPart[]>
  readonly ownedBy: (owner: string) => readonly Row[]
}

interface Followed {
  readonly shelf: Shelf
  readonly mirrors: readonly Mirror[]
  readonly seqs: readonly number[]
  readonly specimens: ReadonlyMap<string, string>
}

const shelves = new WeakMap<object, Map<string, Followed>>()

/** The shelf of a build, brought up to date by what changed since it was last asked for. */
export async function compiledShelf(store: Store, buildId: string | null): Promise<Shelf> {
  const [parts, ports, claims, specimenRows] = await Promise.all([
    mirrored(store, 'part'),
    mirrored(store, 'port'),
    mirrored(store, 'claim'),
    buildId ? store.list('specimen', { buildId }) : [],
  ])
  const specimens = new Map(specimenRows.map((row) => [String(row.partId), row.id]))
  const tables = { parts, ports, claims, specimens }
  let held = shelves.get(store.root)
  if (!held) shelves.set(store.root, (held = new Map()))
  const before = held.get(buildId ?? '')
  const mirrors = [parts, ports, claims]
  const touched = before?.mirrors.every((one, i) => one === mirrors[i]) ? touchedSince(before, tables) : null
  if (before && touched?.size === 0) return before.shelf
  // What changes while many parts are compiled is taken in the next time.
  const seqs = mirrors.map((one) => one.seq)
  const shelf = before && touched ? await renewed(before.shelf, touched, tables) : await gathered(tables)
  held.set(buildId ?? '', { shelf, mirrors, seqs, specimens })
  return shelf
}

interface Tables {
  readonly parts: Mirror
  readonly ports: Mirror
  readonly claims: Mirror
  readonly specimens: ReadonlyMap<string, string>
}

/** Parts that something changed of; null where too much changed to say. */
function touchedSince({ seqs, specimens }: Followed, tables: Tables): Set<string> | null {
  const [parts, ports, claims] = [tables.parts.since(seqs[0]!), tables.ports.since(seqs[1]!), tables.claims.since(seqs[2]!)]
  if (!parts || !ports || !claims) return null
  const touched = new Set<string>()
  for (const { from, to } of parts) for (const row of [from, to]) if (row) touched.add(row.id)
  for (const { from, to } of ports) for (const row of [from, to]) if (row) touched.add(String(row.partId))
  for (const { from, to } of claims) for (const row of [from, to]) if (row) touched.add(String(row.portId).split('/')[0]!)
  for (const id of new Set([...specimens.keys(), ...tables.specimens.keys()])) if (specimens.get(id) !== tables.specimens.get(id)) touched.add(id)
  return touched
}

/** So many parts are compiled in one turn; others are answered between. */
const AT_ONCE = 200

async function gathered(tables: Tables): Promise<Shelf> {
  const parts = new Map<string, CompiledPart>()
  const kinds = new Map<string, CompiledPart[]>()
  let done = 0
  for (const row of tables.parts.list) {
    if (++done % AT_ONCE === 0) await setImmediate()
    const part = compiled(row, tables)
    parts.set(row.id, part)
    const kind = kinds.get(part.kind)
    if (kind) kind.push(part)
    else kinds.set(part.kind, [part])
  }
  return shelfOf(parts, kinds, tables)
}

/** Each kind that something changed of is listed anew, once. */
async function renewed(shelf: Shelf, touched: ReadonlySet<string>, tables: Tables): Promise<Shelf> {
  const parts = new Map(shelf.parts)
  const kinds = new Map(shelf.kinds)
  const fresh = new Map<string, CompiledPart[]>()
  const freshOf = (kind: string): CompiledPart[] => {
    let list = fresh.get(kind)
    if (!list) fresh.set(kind, (list = []))
    return list
  }
  let done = 0
  for (const id of touched) {
    if (++done % AT_ONCE === 0) await setImmediate()
    const old = parts.get(id)
    if (old) freshOf(old.kind)
    const row = tables.parts.rows.get(id)
    if (!row) {
      parts.delete(id)
      continue
    }
    const part = compiled(row, tables)
    parts.set(id, part)
    freshOf(part.kind).push(part)
  }
  for (const [kind, list] of fresh)
    kinds.set(
      kind,
      [...(kinds.get(kind) ?? []).filter(({ id }) => !touched.has(id)), ...list].sort((p, q) => (p.id < q.id ? -1 : 1)),
    )
  return shelfOf(parts, kinds, tables)
}

const shelfOf = (parts: Shelf['parts'], kinds: Shelf['kinds'], { parts: mirror }: Tables): Shelf => ({
  parts,
  kinds,
  rows: mirror.rows,
  ownedBy: (owner) => mirror.group('ownerId', owner),
})

interface Compiled {
  readonly sources: readonly unknown[]
  readonly part: CompiledPart
}
const compiledParts = new WeakMap<Row, Map<string, Compiled>>()

/** A part is compiled again only when one of its rows changed, so that what is remembered of it stays good. */
function compiled(row: Row, { ports, claims, specimens }: Tables): CompiledPart {
  const own = ports.group('partId', row.id)
  const said = own.flatMap((port) => claims.group('portId', port.id))
  const specimen = specimens.get(row.id)
  const sources: unknown[] = [...own, ...said]
  let held = compiledParts.get(row)
  if (!held) compiledParts.set(row, (held = new Map()))
  const found = held.get(specimen ?? '')
  if (found && found.sources.length === sources.length && found.sources.every((one, i) => one === sources[i])) return found.part
  const part = compilePart(toCoreParts([row], own, said)[0]!, specimen)
  held.set(specimen ?? '', { sources, part })
  return part
}
