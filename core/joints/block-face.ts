import type { Dowel, Hole } from '../ports/field.ts'
import type { Compiled } from '../ports/index.ts'
import { matchPatterns, type PatternMatch } from './correspondence.ts'
import type { Joint } from './joint.ts'
import { overhang } from './overhang.ts'
import type { Sheet } from './sheet.ts'
import { BRIDGE, type Limit, type Outcome, WORK } from './verdict.ts'

type Face = Compiled<'face'>

const PLATE = ['plate'] as const
const BOLTS: Limit = { id: 'bolts', label: 'Bolts meet', unit: '' }
const DOWELS: Limit = { id: 'dowels', label: 'Dowels locate', unit: '' }
const PROCESS: Limit = { id: 'process', label: 'Holes hold a dowel', unit: '' }
const TURN: Limit = { id: 'turn', label: 'Turn of the case', unit: '°' }
const REAM: Outcome['task'] = { id: 'fit-dowels', words: 'Fit, bush or ream dowels; indicate the bore at mating', hours: 2, skills: ['machine'], reversible: false }
const INDICATE: Outcome['task'] = {
  id: 'indicate-bore',
  words: 'Indicate the bell bore at mating, correct with offset dowels',
  hours: 1.5,
  skills: ['mechanic'],
  reversible: true,
  caution: 'Turn the crank by hand with the plugs out and the starter disconnected.',
}

const noBolts: Outcome = { code: BRIDGE, words: 'Too few bolts meet: an adapter plate joins the two patterns', pieces: PLATE }
const partial: Outcome = {
  code: WORK,
  words: 'Enough bolts meet; the missing ones are drilled or done without',
  task: {
    id: 'missing-bell-bolts',
    words: 'Drill and tap the missing bell bolts, or record that they are left out',
    hours: 3,
    skills: ['machine'],
    reversible: false,
    caution: 'Last check before drilling a case: lay the printed pattern on it once more. A cut casting cannot be uncut.',
  },
}
const dowelsMiss: Outcome = { code: BRIDGE, words: 'Dowels miss or are too tight: a plate with both dowel patterns', pieces: PLATE }
const noDowels: Outcome = { code: WORK, words: 'No dowels locate the case: bolts only clamp', task: REAM }
const looseDowels: Outcome = { code: WORK, words: 'Dowels are too loose to locate', task: REAM }
const plasma: Outcome = { code: WORK, words: 'Holes cut by plasma do not locate dowels', task: REAM }
const mayTurn: Outcome = {
  code: WORK,
  words: 'The case is turned: lever, starter and mount move with it',
  task: { id: 'turned-case', words: 'Check lever, starter and mount at the turned case', hours: 2, skills: ['mechanic'], reversible: true },
}
const mayNotTurn: Outcome = { code: BRIDGE, words: 'Bolts meet only with the case turned, and it may not turn', pieces: PLATE }
const unproved: Outcome = { code: WORK, words: 'On the axis as far as is known, but known only loosely', task: INDICATE }
const OFFSET: Limit = {
  id: 'axis-offset',
  label: 'Crank to shaft axis',
  unit: 'mm',
  above: { code: BRIDGE, words: 'Axes stand too far apart: a plate carries both patterns on one axis', pieces: PLATE },
  near: { within: 0, outcome: unproved },
}
const offsetDowels: Outcome = { code: WORK, words: 'Axes stand apart: offset dowels correct it', task: INDICATE }

const NONE: readonly Dowel[] = []

/** A bell pattern with a number of its own: faces with the same holes and dowels share it. */
interface Pattern {
  readonly number: number
  readonly holes: readonly Hole[]
  readonly dowels: readonly Dowel[]
  readonly plasma: boolean
  /** A dowel hole whose process nobody stated. */
  readonly unstated: boolean
}

const patternOfFace = new WeakMap<Face, Pattern>()
const patternByHoles = new Map<string, Pattern>()

function patternOf(face: Face): Pattern {
  let pattern = patternOfFace.get(face)
  if (pattern) return pattern
  const holes = face.holes.v ?? []
  const dowels = face.dowels.v ?? NONE
  const key = JSON.stringify([holes, dowels])
  pattern = patternByHoles.get(key)
  if (!pattern) {
    const plasma = holes.some((hole) => hole.process === 'plasma') || dowels.some((dowel) => dowel.process === 'plasma')
    pattern = { number: patternByHoles.size, holes, dowels, plasma, unstated: dowels.some((dowel) => dowel.process === undefined) }
    patternByHoles.set(key, pattern)
  }
  patternOfFace.set(face, pattern)
  return pattern
}

const matches = new Map<number, { axisMm: number; match: PatternMatch }>()
/** Patterns are numbered from 0; two numbers make one key. */
const MOST_PATTERNS = 2 ** 26

/** The match of two faces, remembered per pair of patterns: a face never changes once compiled. */
export function matchFaces(a: Face, b: Face, axisMm: number): PatternMatch {
  const one = patternOf(a)
  const other = patternOf(b)
  const key = one.number * MOST_PATTERNS + other.number
  const held = matches.get(key)
  if (held !== undefined && held.axisMm === axisMm) return held.match
  const match = matchPatterns(one.holes, other.holes, one.dowels, other.dowels, axisMm)
  matches.set(key, { axisMm, match })
  return match
}

/** Joint 1: bolt pattern, dowels, axis offset and turn of one pair of meeting faces. Has no damage limits. */
export const blockFace: Joint = {
  id: 'block-face',
  number: 1,
  short: 'Face',
  title: 'Block face to bellhousing',
  place: 'coupling',
  decides: 'Pattern family, or a search of which holes meet: dowels place the case, bolts must then meet within their play; the axis offset is judged apart.',
  applies: () => true,
  check(sideA, sideB, ctx, sheet) {
    const a = sideA.face
    const b = sideB.face
    if (a.family.claim !== null && b.family.claim !== null && a.family.v === b.family.v) oneFamily(a, b, sheet)
    else patterns(a, b, ctx.tolerances, sheet)
  },
}

/** One family on both faces names one whole pattern: it agrees with itself, on its axis. */
function oneFamily(a: Face, b: Face, sheet: Sheet): void {
  sheet.uses(a.family)
  sheet.uses(b.family)
  sheet.require(BOLTS, true, noBolts)
  sheet.uses(a.family)
  sheet.uses(b.family)
  const none = a.dowels.v?.length === 0 || b.dowels.v?.length === 0
  sheet.require(DOWELS, !none, noDowels)
  process(a, b, sheet)
}

function patterns(a: Face, b: Face, tolerance: Parameters<Joint['check']>[2]['tolerances'], sheet: Sheet): void {
  const known = a.holes.claim !== null && b.holes.claim !== null
  const match = known ? matchFaces(a, b, tolerance.axisOffsetFitsMm) : null
  const none = a.dowels.v?.length === 0 || b.dowels.v?.length === 0
  const all = match !== null && match.missingA.length === 0 && match.missingB.length === 0
  const enough = match?.dowelsMeet && match.share >= tolerance.boltShare && match.quadrants >= 3

  sheet.uses(a.holes)
  sheet.uses(b.holes)
  sheet.require(BOLTS, all, enough ? partial : noBolts)
  if (match) {
    sheet.show('Bolts that meet', `${match.met.length} of ${Math.max(a.holes.v!.length, b.holes.v!.length)}`, '')
    if (match.met.length > 0) sheet.show('Least bolt play left', -match.worstMm, 'mm')
  }

  sheet.uses(a.dowels)
  sheet.uses(b.dowels)
  const loose = match?.dowelsMeet && match.dowelPlayMm > tolerance.dowelPlayMm + 1e-6
  sheet.require(DOWELS, match?.dowelsMeet === true && !loose && !none, none ? noDowels : loose ? looseDowels : dowelsMiss)
  process(a, b, sheet)

  axis(a, b, match, tolerance, sheet)

  const turned = match !== null && Math.abs(match.turnDeg) > tolerance.turnDeg
  sheet.uses(a.holes)
  sheet.uses(b.holes)
  if (turned && match.met.length > 0) sheet.uses(b.mayTurn)
  sheet.require(TURN, !turned || match.met.length === 0, b.mayTurn.v ? mayTurn : mayNotTurn)
  if (match) sheet.show('Turn of the case', match.turnDeg, '°')
  if (a.outline.v && b.outline.v) sheet.show('Overhang past the other outline', overhang(a.outline.v, b.outline.v), 'mm')
}

function axis(a: Face, b: Face, match: PatternMatch | null, tolerance: { axisOffsetFitsMm: number; axisOffsetWorkMm: number }, sheet: Sheet): void {
  sheet.uses(a.holes)
  sheet.uses(b.holes)
  const locatesA = match?.byDowels ? a.dowels : a.holes
  const locatesB = match?.byDowels ? b.dowels : b.holes
  const pm = locatesA.pm + locatesB.pm
  const offset = match?.offsetMm ?? Number.NaN
  sheet.show('Crank to shaft axis', offset, 'mm')
  if (offset > tolerance.axisOffsetFitsMm + 1e-6 && offset <= tolerance.axisOffsetWorkMm + 1e-6) sheet.require(OFFSET, false, offsetDowels)
  else if (offset <= tolerance.axisOffsetFitsMm + 1e-6 && !(pm <= tolerance.axisOffsetFitsMm + 1e-6)) sheet.require(OFFSET, false, unproved)
  else {
    sheet.value(offset, pm)
    sheet.within(OFFSET, 0, tolerance.axisOffsetFitsMm)
  }
}

/** Holes by plasma hold no dowel; a process nobody stated is a caution. */
function process(a: Face, b: Face, sheet: Sheet): void {
  const one = patternOf(a)
  const other = patternOf(b)
  sheet.require(PROCESS, !one.plasma && !other.plasma, plasma)
  if (one.unstated || other.unstated) sheet.caution('How the dowel holes were cut is not stated. Ream or mill them; plasma does not hold a dowel.')
}
