import type { Follower } from './follower.ts'
import type { NumberIndex } from './number-index.ts'
import type { Reach } from './reach.ts'
import { together } from './steps.ts'
import type { AskedFor, WhereAnswer } from './where.ts'

/** Something that is said against a path. */
export interface Denial {
  /** Told apart by it. */
  readonly place: number
  readonly row: string
  readonly words: string
  readonly strength: number
  /** Whether its where holds, or is not known. */
  readonly holds: boolean
  readonly open: readonly string[]
}

/** Denials that may touch a query: of a first or last number, and of a number behind another on a branch. */
export interface Denials {
  /** It does not fit what is asked. */
  readonly ofNumber: (at: number) => readonly Denial[]
  /** The second number does not serve for the first; by the second, then the first. */
  readonly ofPair: ReadonlyMap<number, ReadonlyMap<number, readonly Denial[]>>
}

const NONE: readonly never[] = []
const NOBODY: Denials = { ofNumber: () => NONE, ofPair: new Map() }

/** What is said against paths among some numbers. */
export function denialsAmong(
  index: NumberIndex,
  asked: AskedFor,
  follower: Follower,
  { reached, leadsTo }: Reach,
): Denials {
  if (!index.hasDenials) return NOBODY
  const known = new Map<string, Denial | null>()
  let place = 0
  const denial = (
    key: string,
    row: string,
    words: string,
    strength: number,
    where: WhereAnswer,
  ): Denial | null => {
    let held = known.get(key)
    if (held === undefined) {
      held =
        where.truth === 'holds' || where.truth === 'unknown'
          ? {
              place: place++,
              row,
              words,
              strength,
              holds: where.truth === 'holds',
              open: where.truth === 'unknown' ? where.open : NONE,
            }
          : null
      known.set(key, held)
    }
    return held
  }
  const pairs = new Map<number, Map<number, Denial[]>>()
  const against = (first: number, second: number, found: Denial | null): void => {
    // A denied number that no step leads to from the other never stands behind it.
    if (!found || first === second || !reached.has(second) || !leadsTo(first, second)) return
    let own = pairs.get(second)
    if (!own) pairs.set(second, (own = new Map()))
    const held = own.get(first)
    if (!held) own.set(first, [found])
    else if (!held.includes(found)) held.push(found)
  }
  for (const at of reached) {
    const node = index.nodes[at]
    if (!node) continue
    for (const row of node.backward) {
      if (row.back !== 'no' || !follower.isInForce(row)) continue
      const found = denial(
        `b ${row.id}`,
        row.id,
        'the old number does not serve for the new',
        row.strength,
        asked.where(row.where),
      )
      for (const { at: old } of row.old) against(at, old, found)
    }
    for (const row of node.groups) {
      if (row.serves) continue
      const isWanted = row.members.some(({ mention, way }) => mention.at === at && way !== 'serves')
      if (!isWanted) continue
      row.members.forEach(({ mention, way, where }, i) => {
        if (way === 'served') return
        const found = denial(
          `g ${row.id} ${i}`,
          row.id,
          `${mention.number} is said not to serve for ${node.spelled}`,
          row.strength,
          together(asked.where(row.where), asked.where(where)),
        )
        against(at, mention.at, found)
      })
    }
  }
  const numbers = new Map<number, readonly Denial[]>()
  const ofNumber = (at: number): readonly Denial[] => {
    let held = numbers.get(at)
    if (!held) {
      held = (index.nodes[at]?.applications ?? NONE).flatMap((row) =>
        row.fits || !asked.isNamedBy(row.where)
          ? NONE
          : (denial(
              `a ${row.id}`,
              row.id,
              `${row.mention.number} is said not to fit`,
              row.strength,
              asked.where(row.where),
            ) ?? NONE),
      )
      numbers.set(at, held)
    }
    return held
  }
  return { ofNumber, ofPair: pairs }
}
