/** `old` was replaced by `new`; both normalised and prefixed by their issuer. One-way: the old no longer serves for the new. */
export interface Supersession {
  readonly old: string
  readonly new: string
  readonly oneWay: boolean
}

export type NumberVerdict =
  | { readonly says: 'exact' }
  | { readonly says: 'superseded by'; readonly path: readonly string[] }
  | { readonly says: 'not listed' }
  | { readonly says: 'no number wanted' }
  | { readonly says: 'bad data'; readonly path: readonly string[] }

/**
 * What a candidate's numbers are worth against the number wanted: exact, reached by following supersessions
 * (old to new; new to old only where that row is not one-way), or not listed. A cycle is reported as bad data.
 *
 * @param wanted issuer-qualified numbers of the part that raised the need; none = no number wanted
 */
export function numberVerdict(
  wanted: readonly string[],
  offered: readonly string[],
  rows: readonly Supersession[],
): NumberVerdict {
  if (wanted.length === 0) return { says: 'no number wanted' }
  const has = new Set(offered)
  if (wanted.some((number) => has.has(number))) return { says: 'exact' }
  for (const start of wanted) {
    const cycle = cycleFrom(start, rows)
    if (cycle) return { says: 'bad data', path: cycle }
    const path = pathTo(start, has, rows)
    if (path) return { says: 'superseded by', path }
  }
  return { says: 'not listed' }
}

function pathTo(
  start: string,
  goals: ReadonlySet<string>,
  rows: readonly Supersession[],
): string[] | null {
  const cameFrom = new Map<string, string | null>([[start, null]])
  const queue = [start]
  for (let at = queue.shift(); at !== undefined; at = queue.shift()) {
    if (goals.has(at)) {
      const path: string[] = []
      for (let step: string | null | undefined = at; step != null; step = cameFrom.get(step))
        path.unshift(step)
      return path
    }
    for (const row of rows) {
      const next = row.old === at ? row.new : row.new === at && !row.oneWay ? row.old : null
      if (next !== null && !cameFrom.has(next)) {
        cameFrom.set(next, at)
        queue.push(next)
      }
    }
  }
  return null
}

/** Follows old to new only; the loop it runs into, or null. */
function cycleFrom(start: string, rows: readonly Supersession[]): string[] | null {
  const path = [start]
  const seen = (number: string): string[] | null => {
    for (const row of rows) {
      if (row.old !== number) continue
      if (path.includes(row.new)) return [...path, row.new]
      path.push(row.new)
      const found = seen(row.new)
      if (found) return found
      path.pop()
    }
    return null
  }
  return seen(start)
}
