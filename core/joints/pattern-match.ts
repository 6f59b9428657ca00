import type { Dowel, Hole } from '../ports/field.ts'
import type { Compiled } from '../ports/index.ts'
import { matchPatterns, type PatternMatch } from './correspondence.ts'

type Holes = readonly Hole[] | null
type Dowels = readonly Dowel[] | null

/** Lists with the same entries share a number: faces of one pattern are searched once. */
const numbers = new WeakMap<object, number>()
const byEntries = new Map<string, number>()
const NONE: readonly never[] = []

function numberOf(list: readonly unknown[]): number {
  let number = numbers.get(list)
  if (number !== undefined) return number
  const key = JSON.stringify(list)
  number = byEntries.get(key)
  if (number === undefined) byEntries.set(key, (number = byEntries.size))
  numbers.set(list, number)
  return number
}

const matches = new Map<string, { axisMm: number; match: PatternMatch }>()
let last: { holesA: Holes; dowelsA: Dowels; holesB: Holes; dowelsB: Dowels; axisMm: number; match: PatternMatch } | null = null

/** The match of two patterns, remembered per pair: lists never change once compiled. Null where holes are not known. */
export function matchHoles(holesA: Holes, dowelsA: Dowels, holesB: Holes, dowelsB: Dowels, axisMm: number): PatternMatch | null {
  if (holesA === null || holesB === null) return null
  // A face's limits ask one after another.
  if (last && last.holesA === holesA && last.holesB === holesB && last.dowelsA === dowelsA && last.dowelsB === dowelsB && last.axisMm === axisMm) return last.match
  const key = `${numberOf(holesA)} ${numberOf(dowelsA ?? NONE)} ${numberOf(holesB)} ${numberOf(dowelsB ?? NONE)}`
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
