/** A change as it goes from thread to thread: an import touches tens of thousands of rows, and one text crosses at once. */
export interface PackedChange {
  readonly revision: number
  readonly who: string
  readonly command: string | null
  readonly tables: readonly string[]
  readonly touched: string
  readonly parts: string
}

/** No id holds it. */
const BETWEEN = '\u0000'
export const packIds = (ids: Iterable<string>): string => [...ids].join(BETWEEN)
const unpackIds = (ids: string, most?: number): string[] =>
  ids === '' ? [] : ids.split(BETWEEN, most)
/** Tables of rows told as `table:id`. */
export const tablesOf = (touched: Iterable<string>): string[] => [
  ...new Set([...touched].map((one) => one.slice(0, one.indexOf(':')))),
]

/** One landed transaction: what it touched, and who did it. */
export class Change {
  readonly packed: PackedChange
  #touched: readonly string[] | null = null
  #parts: readonly string[] | null = null

  constructor(packed: PackedChange) {
    this.packed = packed
  }

  /** Rows, as `table:id`. */
  get touched(): readonly string[] {
    this.#touched ??= unpackIds(this.packed.touched)
    return this.#touched
  }

  /** Parts of which something changed: themselves, their ports, claims, numbers, supersessions or offers. */
  get parts(): readonly string[] {
    this.#parts ??= unpackIds(this.packed.parts)
    return this.#parts
  }

  /** The first rows of many. */
  first(most: number): readonly string[] {
    return this.#touched?.slice(0, most) ?? unpackIds(this.packed.touched, most)
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
const APART = new Set(['person'])

/** How many changes were told of in a database: what is remembered under this number was computed from what it tells of. */
export const changesTold = (root: object): number => counts.get(root) ?? 0

/** The same, of changes that something of a build may be computed from. */
export const buildChangesTold = (root: object): number => ofBuilds.get(root) ?? 0

/** Tells everybody who listens; called after commit only, at once. */
export function announce(root: object, packed: PackedChange): void {
  counts.set(root, changesTold(root) + 1)
  if (packed.tables.some((table) => !APART.has(table)))
    ofBuilds.set(root, buildChangesTold(root) + 1)
  const change = new Change(packed)
  for (const listener of listeners.get(root) ?? []) listener(change)
}
