import type { Dowel, Hole } from '../../ports/field.ts'
import { SLACK } from '../judging/judge.ts'
import {
  boltPlay,
  dowelPlay,
  isBoltOpen,
  leastSquares,
  minimax,
  type Pair,
  type Placement,
  place,
  residual,
} from './placement.ts'

/** Two holes further apart than this, mm, are not thought to be the same bolt. */
const CAPTURE = 3
/** Two pairs of holes whose distances differ by more than this, mm, do not suggest a placement. */
const CHORD = 1

export interface BoltMatch {
  readonly a: number
  readonly b: number
  readonly residual: number
  readonly play: number
}

/** How two patterns meet in the placement judged. */
export interface PatternMatch {
  readonly placement: Placement
  /** Crank to shaft axis, mm, of the placement by dowels alone (bolts without dowels). */
  readonly offsetMm: number
  readonly turnDeg: number
  readonly met: readonly BoltMatch[]
  readonly missingA: readonly number[]
  readonly missingB: readonly number[]
  /** Met ÷ the larger count of holes that are not optional. */
  readonly share: number
  readonly quadrants: number
  readonly byDowels: boolean
  readonly dowelsMeet: boolean
  /** Greatest dowel play, mm; negative when one is too tight. */
  readonly dowelPlayMm: number
  /** Greatest residual − play over the bolts met, mm. */
  readonly worstMm: number
  /** Holes that count and have no partner, each with how far off the nearest of the other face stands, mm. */
  readonly odd: readonly OddHole[]
  /** A bolt meets through two plain holes of which neither says what passes it. */
  readonly isBoltOpen: boolean
}

export interface OddHole {
  readonly face: 'a' | 'b'
  readonly index: number
  readonly offMm: number
}

/** A register that centres b on a: the axes then stand together within half its clearance. */
export interface Register {
  readonly clearanceMm: number
}

/**
 * Searches the correspondence of two hole patterns. Step 1 places b on a by the dowels alone (by the bolts if there
 * are none); step 2 finds the minimax of residual − play over the bolts with each dowel kept within its play, or,
 * without dowels, with the axis kept within `axisMm` of step 1. Of several placements the one with most bolts, then least turn.
 * Without dowels a register puts the axes together, and the bolts give the turn.
 *
 * @param axisMm how far the axis may stray without dowels, mm
 * @param budget placements considered at most: above it pairs of holes whose distance is rare go first
 */
export function matchPatterns(
  a: readonly Hole[],
  b: readonly Hole[],
  dowelsA: readonly Dowel[],
  dowelsB: readonly Dowel[],
  axisMm: number,
  register: Register | null = null,
  budget = BUDGET,
): PatternMatch {
  const byDowels = dowelsA.length >= 2 && dowelsB.length >= 2
  const centred = !byDowels && register !== null
  const starts = byDowels
    ? dowelPlacements(dowelsA, dowelsB)
    : boltPlacements(a, b, budget).map((start) => (centred ? { ...start, x: 0, y: 0 } : start))
  const strayMm = centred ? register.clearanceMm / 2 : axisMm
  let best: PatternMatch | null = null
  let work = 0
  for (const start of starts) {
    if (!byDowels && best !== null && cannotBeat(a, b, start, best)) continue
    // Of many holes only the likeliest placements are fitted: each takes as the square of them.
    if (!byDowels && work > 0 && work + a.length * b.length > FITTING) break
    work += a.length * b.length
    const match = evaluate(a, b, dowelsA, dowelsB, start, byDowels, strayMm)
    if (best === null || isBetter(match, best)) best = match
  }
  return best ?? evaluate(a, b, dowelsA, dowelsB, { turn: 0, x: 0, y: 0 }, byDowels, strayMm)
}

/** Without dowels no more bolts can meet than stand within reach at the start, and the turn stays the start's: what cannot win is not fitted. */
function cannotBeat(
  a: readonly Hole[],
  b: readonly Hole[],
  start: Placement,
  best: PatternMatch,
): boolean {
  const most = nearest(a, b, start, CAPTURE).length
  return (
    most < best.met.length ||
    (most === best.met.length && Math.abs(degrees(start.turn)) > Math.abs(best.turnDeg) + 1e-6)
  )
}

function isBetter(one: PatternMatch, other: PatternMatch): boolean {
  if (one.dowelsMeet !== other.dowelsMeet) return one.dowelsMeet
  if (one.met.length !== other.met.length) return one.met.length > other.met.length
  const turn = Math.abs(one.turnDeg) - Math.abs(other.turnDeg)
  return Math.abs(turn) > 1e-6 ? turn < 0 : one.worstMm < other.worstMm - 1e-9
}

/** Each ordered choice of two dowels of b for the first two of a. */
function dowelPlacements(a: readonly Dowel[], b: readonly Dowel[]): Placement[] {
  const found: Placement[] = []
  for (let i = 0; i < b.length; i++)
    for (let j = 0; j < b.length; j++)
      if (i !== j)
        found.push(
          leastSquares([
            { a: a[0]!, b: b[i]!, play: 0 },
            { a: a[1]!, b: b[j]!, play: 0 },
          ]),
        )
  return found
}

/** More placements than uneven patterns ever suggest. */
const BUDGET = 8_000
/** So many of the best are fitted, and of many holes no more than this work allows. */
const FITTED = 24
const FITTING = 5000

/** A pair of holes of a with the ordered pairs of b that stand as far apart. */
interface Chord {
  readonly i: number
  readonly j: number
  readonly like: readonly (readonly [number, number])[]
}

/** Placements suggested by pairs of bolts with equal distances, refined over all holes they bring together; those with most meetings first. */
function boltPlacements(a: readonly Hole[], b: readonly Hole[], budget: number): Placement[] {
  const rough = new Map<number, { placement: Placement; count: number }>()
  const cells = new Cells(a)
  // What meets fewer than the least of the best so far is counted no further.
  const best: number[] = []
  const consider = (placement: Placement): void => {
    // Turn, x and y to a step each, in one number.
    const key =
      (Math.round(placement.turn * 500) * KEY_STEP + Math.round(placement.x)) * KEY_STEP +
      Math.round(placement.y)
    if (rough.has(key)) return
    const count = within(cells, b, placement, best.length < FITTED ? 0 : best[0]!)
    rough.set(key, { placement, count })
    if (best.length < FITTED) best.push(count)
    else if (count > best[0]!) best[0] = count
    else return
    best.sort((p, q) => p - q)
  }
  consider({ turn: 0, x: 0, y: 0 })
  for (const { i, j, like } of chordsOf(a, b, budget))
    for (const [k, l] of like) consider(laidOn(a[i]!, a[j]!, b[k]!, b[l]!))
  const sorted = [...rough.values()].sort(
    (p, q) => q.count - p.count || Math.abs(p.placement.turn) - Math.abs(q.placement.turn),
  )
  return likeliest(a, b, sorted)
}

/** Placements closer than this in turn, rad, and in place, mm, bring the same holes together. */
const SAME = { turn: 0.01, mm: 3 }
/** So much work goes into telling placements apart before the likeliest are fitted. */
const TELLING = 400_000
/** Residuals that differ by less, mm, are the same: of regular patterns the least turn is wanted. */
const ALIKE_MM = 0.01

/**
 * Of placements, those with most meetings first, the likeliest: each that brings the same holes together counts once, laid as
 * well as it can be. On a nearly regular ring every turn by one hole brings as many together: how well tells them apart.
 */
function likeliest(
  a: readonly Hole[],
  b: readonly Hole[],
  sorted: readonly { readonly placement: Placement; readonly count: number }[],
): Placement[] {
  const seen = new Set<string>()
  const told: { readonly placement: Placement; readonly count: number; readonly off: number }[] = []
  let work = 0
  for (const { placement, count } of sorted) {
    // What brings fewer together than all that are fitted does not come before them.
    if (told.length >= FITTED && (work > TELLING || count < told[FITTED - 1]!.count)) break
    const cell = [placement.turn / SAME.turn, placement.x / SAME.mm, placement.y / SAME.mm]
    const key = cell.map(Math.round).join(' ')
    if (seen.has(key)) continue
    seen.add(key)
    work += a.length * b.length
    const found = nearest(a, b, placement, CAPTURE)
    const together = found
      .map(([i, j]) => `${i}:${j}`)
      .sort()
      .join(' ')
    if (seen.has(together)) continue
    seen.add(together)
    const pairs = found.map(([i, j]): Pair => ({ a: a[i]!, b: b[j]!, play: 0 }))
    const laid = pairs.length > 1 ? leastSquares(pairs) : placement
    const off =
      Math.hypot(...pairs.map((pair) => residual(laid, pair))) / Math.sqrt(pairs.length || 1)
    told.push({ placement: laid, count: found.length, off: Math.round(off / ALIKE_MM) })
  }
  return told
    .sort(
      (p, q) =>
        q.count - p.count ||
        p.off - q.off ||
        Math.abs(p.placement.turn) - Math.abs(q.placement.turn),
    )
    .slice(0, FITTED)
    .map(({ placement }) => placement)
}

/** Pairs of holes of a that have their like in b, in order; of more than the budget the rarest distances, which tell most. */
function chordsOf(a: readonly Hole[], b: readonly Hole[], budget: number): readonly Chord[] {
  const ofB: { mm: number; pair: readonly [number, number] }[] = []
  for (let k = 0; k < b.length; k++)
    for (let l = 0; l < b.length; l++)
      if (k !== l) ofB.push({ mm: Math.hypot(b[k]!.x - b[l]!.x, b[k]!.y - b[l]!.y), pair: [k, l] })
  const byLength = [...ofB].sort((p, q) => p.mm - q.mm)
  const firstFrom = (mm: number): number => {
    let [low, high] = [0, byLength.length]
    while (low < high) {
      const middle = (low + high) >> 1
      if (byLength[middle]!.mm < mm) low = middle + 1
      else high = middle
    }
    return low
  }
  const spans: { i: number; j: number; from: number; to: number }[] = []
  let total = 0
  for (let i = 0; i < a.length; i++)
    for (let j = i + 1; j < a.length; j++) {
      const mm = Math.hypot(a[i]!.x - a[j]!.x, a[i]!.y - a[j]!.y)
      const from = firstFrom(mm - CHORD)
      let to = firstFrom(mm + CHORD)
      while (to < byLength.length && byLength[to]!.mm <= mm + CHORD) to++
      total += to - from
      if (to > from) spans.push({ i, j, from, to })
    }
  if (total > budget) spans.sort((p, q) => p.to - p.from - (q.to - q.from))
  const found: Chord[] = []
  let spent = 0
  for (const { i, j, from, to } of spans) {
    if (spent > 0 && spent + to - from > budget) break
    spent += to - from
    const like = byLength.slice(from, to).map(({ pair }) => pair)
    // As they were numbered: of placements alike the first is kept.
    like.sort((p, q) => p[0] - q[0] || p[1] - q[1])
    found.push({ i, j, like })
  }
  return found
}

type Point = { readonly x: number; readonly y: number }
/** Least squares of two points laid on two: their middles together, their directions alike. */
function laidOn(a0: Point, a1: Point, b0: Point, b1: Point): Placement {
  const [ux, uy] = [b1.x - b0.x, b1.y - b0.y]
  const [vx, vy] = [a1.x - a0.x, a1.y - a0.y]
  const turn = Math.atan2(ux * vy - uy * vx, ux * vx + uy * vy)
  const [c, s] = [Math.cos(turn), Math.sin(turn)]
  const [bx, by] = [(b0.x + b1.x) / 2, (b0.y + b1.y) / 2]
  return {
    turn,
    x: (a0.x + a1.x) / 2 - (c * bx - s * by),
    y: (a0.y + a1.y) / 2 - (s * bx + c * by),
  }
}

const KEY_STEP = 100_003

/** Points by the cells within whose reach they stand, so that few are looked at for a place. */
class Cells {
  readonly #cells = new Map<number, Point[]>()

  constructor(points: readonly Point[]) {
    for (const point of points)
      for (let cx = cellOf(point.x - CAPTURE); cx <= cellOf(point.x + CAPTURE); cx++)
        for (let cy = cellOf(point.y - CAPTURE); cy <= cellOf(point.y + CAPTURE); cy++) {
          const key = cx * KEY_STEP + cy
          const held = this.#cells.get(key)
          if (held) held.push(point)
          else this.#cells.set(key, [point])
        }
  }

  /** True where one of the points stands within reach of a place. */
  hasNear(x: number, y: number): boolean {
    const near = this.#cells.get(cellOf(x) * KEY_STEP + cellOf(y))
    if (near)
      for (const point of near) {
        const [dx, dy] = [point.x - x, point.y - y]
        if (dx * dx + dy * dy <= CAPTURE * CAPTURE) return true
      }
    return false
  }
}
const cellOf = (mm: number): number => Math.floor(mm / (2 * CAPTURE))

/** How many holes of b have one of a within reach, or fewer than `least` where they cannot be as many: a count to order placements by. */
function within(a: Cells, b: readonly Hole[], { turn, x, y }: Placement, least: number): number {
  const [c, s] = [Math.cos(turn), Math.sin(turn)]
  let count = 0
  for (let j = 0; j < b.length; j++) {
    if (count + b.length - j < least) return count
    const bx = c * b[j]!.x - s * b[j]!.y + x
    const by = s * b[j]!.x + c * b[j]!.y + y
    if (a.hasNear(bx, by)) count++
  }
  return count
}

/** Pairs each hole of a with the nearest hole of b within reach, each hole used once, nearest first. */
function nearest(
  a: readonly Hole[],
  b: readonly Hole[],
  placement: Placement,
  reach: number,
): [number, number][] {
  const moved = b.map((hole) => place(placement, hole))
  const near: { i: number; j: number; d: number }[] = []
  for (let i = 0; i < a.length; i++)
    for (let j = 0; j < b.length; j++) {
      const d = Math.hypot(a[i]!.x - moved[j]!.x, a[i]!.y - moved[j]!.y)
      if (d <= reach) near.push({ i, j, d })
    }
  near.sort((p, q) => p.d - q.d)
  const usedA = new Set<number>(),
    usedB = new Set<number>()
  const pairs: [number, number][] = []
  for (const { i, j } of near) {
    if (usedA.has(i) || usedB.has(j)) continue
    usedA.add(i)
    usedB.add(j)
    pairs.push([i, j])
  }
  return pairs
}

function evaluate(
  a: readonly Hole[],
  b: readonly Hole[],
  dowelsA: readonly Dowel[],
  dowelsB: readonly Dowel[],
  start: Placement,
  byDowels: boolean,
  axisMm: number,
): PatternMatch {
  const dowels: Pair[] = byDowels ? pairDowels(dowelsA, dowelsB, start) : []
  const dowelPlayMm = dowels.length > 0 ? Math.max(...dowels.map((pair) => pair.play)) : 0
  const tightest = dowels.length > 0 ? Math.min(...dowels.map((pair) => pair.play)) : 0
  const step1 = byDowels ? leastSquares(dowels) : start
  const dowelsMeet =
    byDowels &&
    dowels.length === Math.max(dowelsA.length, dowelsB.length) &&
    dowels.every((pair) => pair.play >= -SLACK && residual(step1, pair) <= pair.play + SLACK)
  let chosen = nearest(a, b, step1, CAPTURE).filter(([i, j]) => boltPlay(a[i]!, b[j]!) > -Infinity)
  let placement = step1
  const held = byDowels
    ? { dowels }
    : { dowels: [], axis: { x: step1.x, y: step1.y, within: axisMm } }
  const pairOf = ([i, j]: [number, number]): Pair => ({
    a: a[i]!,
    b: b[j]!,
    play: boltPlay(a[i]!, b[j]!),
  })
  // A bolt that cannot meet even in the best placement is given up, the worst first, and the rest fitted again.
  for (;;) {
    const pairs = chosen.map(pairOf)
    placement =
      (byDowels && !dowelsMeet) || pairs.length === 0
        ? step1
        : minimax(pairs, held, step1).placement
    const excess = pairs.map((pair) => residual(placement, pair) - pair.play)
    const worst = Math.max(-Infinity, ...excess)
    if (worst <= SLACK) break
    chosen = chosen.filter((_, index) => excess[index] !== worst)
  }
  const met = chosen.map(([i, j]) => ({
    a: i,
    b: j,
    residual: residual(placement, pairOf([i, j])),
    play: boltPlay(a[i]!, b[j]!),
  }))
  const metA = new Set(met.map((m) => m.a)),
    metB = new Set(met.map((m) => m.b))
  const missing = (holes: readonly Hole[], set: Set<number>): number[] =>
    holes.map((_, i) => i).filter((i) => !set.has(i) && !holes[i]!.optional)
  const counted = (holes: readonly Hole[], set: Set<number>): number =>
    holes.filter((hole, i) => !hole.optional || set.has(i)).length
  return {
    placement,
    offsetMm: Math.hypot(step1.x, step1.y),
    turnDeg: degrees(step1.turn),
    met,
    missingA: missing(a, metA),
    missingB: missing(b, metB),
    share: met.length / Math.max(1, counted(a, metA), counted(b, metB)),
    quadrants: new Set(met.map((m) => quadrant(a[m.a]!))).size,
    byDowels,
    dowelsMeet,
    dowelPlayMm: tightest < -SLACK ? tightest : dowelPlayMm,
    worstMm: met.length > 0 ? Math.max(...met.map((m) => m.residual - m.play)) : Infinity,
    odd: oddHoles(a, b, placement, missing(a, metA), missing(b, metB)),
    isBoltOpen: met.some((m) => isBoltOpen(a[m.a]!, b[m.b]!)),
  }
}

function oddHoles(
  a: readonly Hole[],
  b: readonly Hole[],
  placement: Placement,
  missingA: readonly number[],
  missingB: readonly number[],
): OddHole[] {
  const moved = b.map((hole) => place(placement, hole))
  const off = (one: Point, others: readonly Point[]): number =>
    others.reduce(
      (least, other) => Math.min(least, Math.hypot(one.x - other.x, one.y - other.y)),
      Infinity,
    )
  return [
    ...missingA.map((index): OddHole => ({ face: 'a', index, offMm: off(a[index]!, moved) })),
    ...missingB.map((index): OddHole => ({ face: 'b', index, offMm: off(moved[index]!, a) })),
  ]
}

/** Each dowel of b with the nearest of a. */
function pairDowels(a: readonly Dowel[], b: readonly Dowel[], start: Placement): Pair[] {
  const free = [...a]
  return b.slice(0, a.length).map((dowel) => {
    const moved = place(start, dowel)
    free.sort(
      (p, q) => Math.hypot(p.x - moved.x, p.y - moved.y) - Math.hypot(q.x - moved.x, q.y - moved.y),
    )
    const partner = free.shift()!
    return { a: partner, b: dowel, play: dowelPlay(partner, dowel) }
  })
}

const quadrant = (hole: Hole): number => (hole.x >= 0 ? 0 : 1) + (hole.y >= 0 ? 0 : 2)

const degrees = (radians: number): number => {
  const turned = (radians * 180) / Math.PI
  return turned > 180 ? turned - 360 : turned <= -180 ? turned + 360 : turned
}
