import type { Mention, NumberIndex, NumberNode, SupersessionRow } from './number-index.ts'

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
  const rows: SupersessionRow[] = []
  let at = wanted.at
  let found = at === had.at ? 0 : -1
  let came: SupersessionRow | null = null
  for (;;) {
    const node: NumberNode | undefined = index.nodes[at]
    if (!node) return { rows: found < 0 ? null : [], last: null }
    if (!node.isPlain) return null
    for (const row of node.backward) if (row !== came && row.back !== 'no') return null
    const [on, more] = node.onward
    if (!on) return { rows: found < 0 ? null : rows.slice(0, found), last: node }
    if (more || !on.isPlain) return null
    const next = on.new[0]!
    rows.push(on)
    came = on
    at = next.at
    if (at === had.at) found = rows.length
  }
}
