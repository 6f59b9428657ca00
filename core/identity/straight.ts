import {
  ENDS,
  type Mention,
  NOT_PLAIN,
  type NumberIndex,
  type NumberNode,
  type SupersessionRow,
} from './number-index.ts'

/** A chain of numbers from one wanted, each with one way on and no other: how most of them lie. */
export interface StraightChain {
  /** Rows from the number wanted to the one had; null where that is not on the chain. */
  readonly rows: readonly SupersessionRow[] | null
  /** Where the chain ends. */
  readonly last: NumberNode | null
}

/**
 * The chain from a number wanted on to one had, where it is straight: every number has one row on, by one, without a where, a
 * day or a ring, and nothing else leads anywhere. Null where something else may be said, which is then gone through in full.
 */
export function straightChain(
  index: NumberIndex,
  wanted: Mention,
  had: Mention,
): StraightChain | null {
  if (wanted.aside.length > 0 || had.aside.length > 0) return null
  const { nodes, plainNext, plainRows, openBack } = index
  const rows: SupersessionRow[] = []
  let at = wanted.at
  let found = at === had.at ? 0 : -1
  let came: SupersessionRow | null = null
  while (at < nodes.length) {
    const next = plainNext[at]!
    if (next === NOT_PLAIN) return null
    // The only row that may lead back is the one that led here.
    if (openBack[at]! > (came && came.back !== 'no' ? 1 : 0)) return null
    if (next === ENDS) {
      const isWhole = found === rows.length
      return {
        rows: found < 0 ? null : isWhole ? rows : rows.slice(0, found),
        last: nodes[at]!,
      }
    }
    came = plainRows[at]!
    rows.push(came)
    at = next
    if (at === had.at) found = rows.length
  }
  return { rows: found < 0 ? null : [], last: null }
}
