/** What narrowed a list, under the name it was kept by on this machine. */
export interface KeptFilter {
  readonly name: string
  readonly values: Readonly<Record<string, string>>
}
const KEY = 'filters:parts'

/** Filters kept here, by name; none where what is kept cannot be read. */
export function keptFilters(): readonly KeptFilter[] {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(KEY) ?? '[]')
    return Array.isArray(kept)
      ? kept.filter(
          (one): one is KeptFilter =>
            typeof one?.name === 'string' && typeof one.values === 'object' && one.values !== null,
        )
      : []
  } catch {
    return []
  }
}

/** Keeps a filter under its name, in place of one of that name; null forgets it. */
export function keepFilter(
  name: string,
  values: Readonly<Record<string, string>> | null,
): readonly KeptFilter[] {
  const next = [
    ...keptFilters().filter((one) => one.name !== name),
    ...(values === null ? [] : [{ name, values }]),
  ].sort((p, q) => p.name.localeCompare(q.name, 'en'))
  localStorage.setItem(KEY, JSON.stringify(next))
  return next
}
