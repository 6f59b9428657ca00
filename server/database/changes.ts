/** One landed transaction: what it touched, and who did it. */
export interface Change {
  readonly revision: number
  readonly who: string
  readonly command: string | null
  /** Rows, as `table:id`. */
  readonly touched: readonly string[]
  /** Parts of which something changed: themselves, their ports, claims, numbers, supersessions or offers. */
  readonly parts: readonly string[]
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

/** How many changes were told of in a database: what is remembered under this number was computed from what it tells of. */
export const changesTold = (root: object): number => counts.get(root) ?? 0

/** Tells everybody who listens; called after commit only, at once. */
export function announce(root: object, change: Change): void {
  counts.set(root, changesTold(root) + 1)
  for (const listener of listeners.get(root) ?? []) listener(change)
}
