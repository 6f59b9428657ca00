/** Items by key, in their order; those without one are left out. */
export function groupBy<T, K>(items: Iterable<T>, keyOf: (item: T) => K | null): Map<K, T[]> {
  const groups = new Map<K, T[]>()
  for (const item of items) {
    const key = keyOf(item)
    if (key === null) continue
    const group = groups.get(key)
    if (group) group.push(item)
    else groups.set(key, [item])
  }
  return groups
}
