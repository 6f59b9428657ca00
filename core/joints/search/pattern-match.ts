import { contentNumber } from '../../content-number.ts'
import type { Dowel, Hole } from '../../ports/field.ts'
import type { Compiled } from '../../ports/index.ts'
import { SLACK } from '../judging/judge.ts'
import type { Tolerances } from '../tolerances.ts'
import { matchPatterns, type PatternMatch } from './correspondence.ts'
import { tappedBy } from './placement.ts'

type Holes = readonly Hole[] | null
type Dowels = readonly Dowel[] | null

const NONE: readonly never[] = []

/** Of the search itself: raised whenever it answers otherwise, so that nothing it once found is taken for what it finds now. */
export const SEARCH = 2

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

/** What is known of two faces that meet. */
export interface Faces {
  readonly holesA: Holes
  readonly dowelsA: Dowels
  /** The bolt that passes the plain holes of a face, where they do not say so themselves. */
  readonly boltA: string | null
  readonly holesB: Holes
  readonly dowelsB: Dowels
  readonly boltB: string | null
  /** A register that centres one on the other. */
  readonly clearanceMm: number | null
}

/** Lists with the same entries share a number: faces of one pattern are searched once. */
const matches = new Map<string, { axisMm: number; match: PatternMatch }>()
let last: { faces: Faces; axisMm: number; match: PatternMatch } | null = null

const isSame = (one: Faces, other: Faces): boolean =>
  one.holesA === other.holesA &&
  one.holesB === other.holesB &&
  one.dowelsA === other.dowelsA &&
  one.dowelsB === other.dowelsB &&
  one.boltA === other.boltA &&
  one.boltB === other.boltB &&
  one.clearanceMm === other.clearanceMm

/** The match of two patterns, remembered per pair: lists never change once compiled. Null where holes are not known. */
export function matchHoles(faces: Faces, axisMm: number): PatternMatch | null {
  const { holesA, dowelsA, boltA, holesB, dowelsB, boltB, clearanceMm } = faces
  if (holesA === null || holesB === null) return null
  // A face's limits ask one after another.
  if (last && last.axisMm === axisMm && isSame(last.faces, faces)) return last.match
  const key = `${contentNumber(holesA)} ${contentNumber(dowelsA ?? NONE)} ${boltA} ${contentNumber(holesB)} ${contentNumber(dowelsB ?? NONE)} ${boltB} ${clearanceMm}`
  let held = matches.get(key)
  if (held === undefined || held.axisMm !== axisMm) {
    held = {
      axisMm,
      match: found(
        passedBy(holesA, boltA),
        passedBy(holesB, boltB),
        dowelsA ?? NONE,
        dowelsB ?? NONE,
        axisMm,
        clearanceMm === null ? null : { clearanceMm },
      ),
    }
    matches.set(key, held)
  }
  last = { faces: { ...faces }, axisMm, match: held.match }
  return held.match
}

/** The holes, each plain one with the bolt its face states. */
const passedBy = (holes: readonly Hole[], bolt: string | null): readonly Hole[] =>
  bolt === null || bolt === 'through'
    ? holes
    : holes.map((hole) =>
        tappedBy(hole) === null && hole.bolt === undefined ? { ...hole, bolt } : hole,
      )

function found(...asked: Parameters<typeof matchPatterns>): PatternMatch {
  if (!shelf) return matchPatterns(...asked)
  const patterns = JSON.stringify(asked)
  const known = shelf.find(patterns)
  if (known) return known
  const match = matchPatterns(...asked)
  shelf.keep(patterns, match)
  return match
}

/** Clearance of a spigot in its bore, mm, negative where it does not go in; null where the two faces are not registers of one another, NaN where a size is not known. */
export function registerClearance(
  kindA: string | null,
  mmA: number,
  kindB: string | null,
  mmB: number,
): number | null {
  if (kindA === 'male' && kindB === 'female') return mmB - mmA
  if (kindA === 'female' && kindB === 'male') return mmA - mmB
  return null
}

/** The clearance where it centres one face on the other; null where it is too wide, too tight or not known. */
export const centring = (clearanceMm: number | null, mostMm: number): number | null =>
  clearanceMm !== null && clearanceMm >= -SLACK && clearanceMm <= mostMm + SLACK
    ? Math.max(0, clearanceMm)
    : null

/** The match of two faces; of faces whose holes are not known, that of none. */
export const matchFaces = (
  a: Compiled<'face'>,
  b: Compiled<'face'>,
  { axisOffsetFitsMm, registerLocatesMm }: Tolerances,
): PatternMatch =>
  matchHoles(
    {
      holesA: a.holes.v ?? NONE,
      dowelsA: a.dowels.v,
      boltA: a.bolt.v,
      holesB: b.holes.v ?? NONE,
      dowelsB: b.dowels.v,
      boltB: b.bolt.v,
      clearanceMm: centring(
        registerClearance(a.registerKind.v, a.registerMm.v, b.registerKind.v, b.registerMm.v),
        registerLocatesMm,
      ),
    },
    axisOffsetFitsMm,
  )!
