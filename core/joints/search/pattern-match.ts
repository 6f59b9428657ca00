import { contentNumber } from '../../content-number.ts'
import type { Dowel, Hole } from '../../ports/field.ts'
import type { Compiled } from '../../ports/index.ts'
import { matchPatterns, type PatternMatch } from './correspondence.ts'

type Holes = readonly Hole[] | null
type Dowels = readonly Dowel[] | null

const NONE: readonly never[] = []

/** Of the search itself: raised whenever it answers otherwise, so that nothing it once found is taken for what it finds now. */
export const SEARCH = 1

/** Holds what was found from one run to the next, by the text of both patterns. */
export interface MatchShelf {
  readonly find: (patterns: string) => PatternMatch | undefined
  readonly keep: (patterns: string, match: PatternMatch) => void
}
let shelf: MatchShelf | null = null
/** Finds matches there before searching, and leaves there what is searched. */
export const keepMatchesOn = (one: MatchShelf | null): void => {
  shelf = one
}

/** Lists with the same entries share a number: faces of one pattern are searched once. */
const matches = new Map<string, { axisMm: number; match: PatternMatch }>()
let last: {
  holesA: Holes
  dowelsA: Dowels
  holesB: Holes
  dowelsB: Dowels
  axisMm: number
  match: PatternMatch
} | null = null

/** The match of two patterns, remembered per pair: lists never change once compiled. Null where holes are not known. */
export function matchHoles(
  holesA: Holes,
  dowelsA: Dowels,
  holesB: Holes,
  dowelsB: Dowels,
  axisMm: number,
): PatternMatch | null {
  if (holesA === null || holesB === null) return null
  // A face's limits ask one after another.
  if (
    last &&
    last.holesA === holesA &&
    last.holesB === holesB &&
    last.dowelsA === dowelsA &&
    last.dowelsB === dowelsB &&
    last.axisMm === axisMm
  )
    return last.match
  const key = `${contentNumber(holesA)} ${contentNumber(dowelsA ?? NONE)} ${contentNumber(holesB)} ${contentNumber(dowelsB ?? NONE)}`
  let held = matches.get(key)
  if (held === undefined || held.axisMm !== axisMm) {
    held = { axisMm, match: found(holesA, holesB, dowelsA ?? NONE, dowelsB ?? NONE, axisMm) }
    matches.set(key, held)
  }
  last = { holesA, dowelsA, holesB, dowelsB, axisMm, match: held.match }
  return held.match
}

function found(...asked: Parameters<typeof matchPatterns>): PatternMatch {
  if (!shelf) return matchPatterns(...asked)
  const patterns = JSON.stringify(asked)
  const known = shelf.find(patterns)
  if (known) return known
  const match = matchPatterns(...asked)
  shelf.keep(patterns, match)
  return match
}

/** The match of two faces; of faces whose holes are not known, that of none. */
export const matchFaces = (
  a: Compiled<'face'>,
  b: Compiled<'face'>,
  axisMm: number,
): PatternMatch => matchHoles(a.holes.v ?? NONE, a.dowels.v, b.holes.v ?? NONE, b.dowels.v, axisMm)!
