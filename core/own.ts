/** What a table holds under a key that comes from data; `constructor` and its kin are not in it. */
export const own = <T>(table: Readonly<Record<string, T>>, key: string): T | undefined =>
  Object.hasOwn(table, key) ? table[key] : undefined
