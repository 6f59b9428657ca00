/** A column that is wanted, and what others call it. */
export interface WantedColumn<N extends string = string> {
  readonly name: N
  /** Words that it is known by, in plain letters and digits. */
  readonly called: readonly string[]
}
/** Which head of a file each wanted column is read from. */
export type Columns<N extends string = string> = Readonly<Partial<Record<N, string>>>

/** A head in plain letters and digits: "Part No." and "part_no" are one. */
const plain = (head: string): string =>
  head
    .normalize('NFKD')
    .replace(/\p{M}+/gu, '')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, '')

/** How well a head names a column: 4 as it is spelled, 3 by its name, 2 by a word it is known by, 1 by holding one, 0 not. */
function fitOf(head: string, { name, called }: WantedColumn): number {
  if (head === name) return 4
  const read = plain(head)
  if (read === '') return 0
  if (read === plain(name)) return 3
  const words = called.map(plain)
  if (words.includes(read)) return 2
  return words.some((word) => word.length > 3 && read.includes(word)) ? 1 : 0
}

/**
 * Suggests which head of a file holds which column: the best fits first, each head for one column and each column from one
 * head; of equals the first wanted, then the first in the file. What fits nothing stays open.
 */
export function suggestColumns<N extends string>(
  heads: readonly string[],
  wanted: readonly WantedColumn<N>[],
): Columns<N> {
  const pairs = wanted.flatMap((column, order) =>
    heads.map((head, at) => ({ name: column.name, head, at, order, fit: fitOf(head, column) })),
  )
  const found: Partial<Record<N, string>> = {}
  const taken = new Set<number>()
  for (const { name, head, at } of pairs
    .filter((one) => one.fit > 0)
    .sort((p, q) => q.fit - p.fit || p.order - q.order || p.at - q.at))
    if (found[name] === undefined && !taken.has(at)) {
      found[name] = head
      taken.add(at)
    }
  return found
}
