import { contentNumber } from '../../content-number.ts'
import type { Dowel, Hole } from '../../ports/field.ts'
import type { Compiled } from '../../ports/index.ts'
import { matchPatterns, type PatternMatch } from './correspondence.ts'

type Holes = readonly Hole[] | null
type Dowels = readonly Dowel[] | null

const NONE: readonly never[] = []

/** Lists with the same entries share a number: faces of one pattern are searched once. */
const matches = new Map<string, { axisMm: number; match: PatternMatch }>()
let last: { holesA: Holes; dowelsA: Dowels; holesB: Holes; dowelsB: Dowels; axisMm: number; match: PatternMatch } | null = null

/** The match of two patterns, remembered per pair: lists never change once compiled. Null where holes are not known. */
export function matchHoles(holesA: Holes, dowelsA: Dowels, holesB: Holes, dowelsB: Dowels, axisMm: number): PatternMatch | null {
  if (holesA === null || holesB === null) return null
  // A face's limits ask one after another.
  if (last && last.holesA === holesA && last.holesB === holesB && last.dowelsA === dowelsA && last.dowelsB === dowelsB && last.axisMm === axisMm) return last.match
  const key = `${contentNumber(holesA)} ${contentNumber(dowelsA ?? NONE)} ${contentNumber(holesB)} ${contentNumber(dowelsB ?? NONE)}`
  let held = matches.get(key)
  if (held === undefined || held.axisMm !== axisMm) {
    held = { axisMm, match: matchPatterns(holesA, holesB, dowelsA ?? NONE, dowelsB ?? NONE, axisMm) }
    matches.set(key, held)
  }
  last = { holesA, dowelsA, holesB, dowelsB, axisMm, match: held.match }
  return held.match
}

/** The match of two faces; of faces whose holes are not known, that of none. */
export const matchFaces = (a: Compiled<'face'>, b: Compiled<'face'>, axisMm: number): PatternMatch =>
  matchHoles(a.holes.v ?? NONE, a.dowels.v, b.holes.v ?? NONE, b.dowels.v, axisMm)!
