import type { TableName } from './tables.ts'

/** Ids as they go from thread to thread: one text in memory that threads share, for an import touches hundreds of thousands of rows. */
export type PackedIds = Uint8Array
/** No id holds it. */
export const BETWEEN_IDS = '\n'

/** Bytes in memory that threads share. */
export function shared(bytes: Uint8Array): PackedIds {
  const copy = new Uint8Array(new SharedArrayBuffer(bytes.length))
  copy.set(bytes)
  return copy
}
export const packIds = (ids: Iterable<string>): PackedIds =>
  shared(Buffer.from([...ids].join(BETWEEN_IDS)))
function unpackIds(ids: PackedIds, most?: number): string[] {
  let end = ids.length
  for (let count = 0, at = -1; most !== undefined && count < most; count++) {
    at = ids.indexOf(BETWEEN_CODE, at + 1)
    end = at < 0 ? ids.length : at
    if (at < 0) break
  }
  return end === 0 ? [] : Buffer.from(ids.buffer, ids.byteOffset, end).toString().split(BETWEEN_IDS)
}
const BETWEEN_CODE = BETWEEN_IDS.charCodeAt(0)

/** A change as it goes from thread to thread: which rows of which tables were written, and the parts they tell of. */
export interface PackedChange {
  readonly revision: number
  readonly who: string
  readonly command: string | null
  readonly touched: Readonly<Partial<Record<TableName, PackedIds>>>
  readonly parts: PackedIds
}

/** One landed transaction: what it touched, and who did it. */
export class Change {
  readonly packed: PackedChange
  readonly tables: readonly TableName[]
  #parts: readonly string[] | null = null

  constructor(packed: PackedChange) {
    this.packed = packed
    this.tables = Object.keys(packed.touched) as TableName[]
  }

  /** Rows of one table that it wrote. */
  rowsOf(table: TableName): readonly string[] {
    const ids = this.packed.touched[table]
    return ids ? unpackIds(ids) : []
  }

  /** Parts of which something changed: themselves, their ports, claims, numbers, supersessions or offers. */
  get parts(): readonly string[] {
    this.#parts ??= unpackIds(this.packed.parts)
    return this.#parts
  }

  /** The first rows of many, as `table:id`. */
  first(most: number): readonly string[] {
    return this.tables
      .flatMap((table) =>
        unpackIds(this.packed.touched[table]!, most).map((id) => `${table}:${id}`),
      )
      .slice(0, most)
  }
}

type Listener = (change: Change) => void
const listeners = new WeakMap<object, Set<Listener>>()

/** Hears of every change that landed in a database, until the returned function is called. */
export function onChange(root: object, listener: Listener): () => void {
  let held = listeners.get(root)
  if (!held) listeners.set(root, (held = new Set()))
  held.add(listener)
  return () => void held.delete(listener)
}

const counts = new WeakMap<object, number>()
const ofBuilds = new WeakMap<object, number>()
/** Nothing of a build is computed from these. */
const APART = new Set(['person', 'kept'])

/** How many changes were told of in a database: what is remembered under this number was computed from what it tells of. */
export const changesTold = (root: object): number => counts.get(root) ?? 0

/** The same, of changes that something of a build may be computed from. */
export const buildChangesTold = (root: object): number => ofBuilds.get(root) ?? 0

/** Tells everybody who listens; called after commit only, at once. */
export function announce(root: object, packed: PackedChange): void {
  counts.set(root, changesTold(root) + 1)
  const change = new Change(packed)
  if (change.tables.some((table) => !APART.has(table)))
    ofBuilds.set(root, buildChangesTold(root) + 1)
  for (const listener of listeners.get(root) ?? []) listener(change)
}
