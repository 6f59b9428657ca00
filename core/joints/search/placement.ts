import { headCovers } from '../../fasteners/head.ts'
import { threadDiameter } from '../../mechanics/thread.ts'
import type { Dowel, Hole } from '../../ports/field.ts'

/** A rigid placement of face b on face a: turned about b's own axis, then moved. Reflection is not possible. */
export interface Placement {
  /** Turn in radians, counter-clockwise seen from the gearbox. */
  readonly turn: number
  readonly x: number
  readonly y: number
}

type Point = { readonly x: number; readonly y: number }

/** A pair of features that should coincide, within `play`. */
export interface Pair {
  readonly a: Point
  readonly b: Point
  readonly play: number
}

export const place = (p: Placement, b: Point): Point => {
  const c = Math.cos(p.turn)
  const s = Math.sin(p.turn)
  return { x: c * b.x - s * b.y + p.x, y: s * b.x + c * b.y + p.y }
}

export const residual = (p: Placement, pair: Pair): number => {
  const moved = place(p, pair.b)
  return Math.hypot(pair.a.x - moved.x, pair.a.y - moved.y)
}

/**
 * Least-squares placement of paired points, reflection forbidden (Kabsch 1976, in the plane).
 * With one pair the turn is 0.
 * @throws RangeError without pairs
 */
export function leastSquares(pairs: readonly Pair[]): Placement {
  if (pairs.length === 0) throw new RangeError('leastSquares requires at least one pair')
  const n = pairs.length
  let ax = 0,
    ay = 0,
    bx = 0,
    by = 0
  for (const { a, b } of pairs) {
    ax += a.x / n
    ay += a.y / n
    bx += b.x / n
    by += b.y / n
  }
  let cross = 0,
    dot = 0
  for (const { a, b } of pairs) {
    const ux = b.x - bx,
      uy = b.y - by,
      vx = a.x - ax,
      vy = a.y - ay
    dot += ux * vx + uy * vy
    cross += ux * vy - uy * vx
  }
  const turn = n > 1 ? Math.atan2(cross, dot) : 0
  const c = Math.cos(turn),
    s = Math.sin(turn)
  return { turn, x: ax - (c * bx - s * by), y: ay - (s * bx + c * by) }
}

/** What holds the placement while bolts are fitted: dowels within their play, or the axis within a distance of a place. */
export interface Held {
  readonly dowels: readonly Pair[]
  readonly axis?: { readonly x: number; readonly y: number; readonly within: number }
}

/**
 * Placement that makes the greatest (residual − play) least, while every dowel stays within its play and
 * the axis within its limit. A second-order cone programme in (turn, x, y, level) by the logarithmic barrier
 * method (Boyd and Vandenberghe, Convex Optimization, 2004, section 11.3), the turn linearised anew in each round.
 *
 * @returns the placement and the level reached, mm (≤ 0 when every pair meets)
 */
export function minimax(
  pairs: readonly Pair[],
  held: Held,
  start: Placement,
): { placement: Placement; level: number } {
  const bestLevel = level(pairs, start)
  if (pairs.length === 0 || bestLevel <= -Math.min(...pairs.map((pair) => pair.play)) + 1e-12)
    return { placement: start, level: bestLevel }
  if (pairs.length <= FEW) return solved(pairs, held, start)
  // At most four pairs decide: the worst few are solved, and whatever is then worse joins them.
  let working = worstOf(pairs, start)
  let best = { placement: start, level: bestLevel }
  for (let round = 0; round < pairs.length; round++) {
    const found = solved(working, held, start)
    const reached = level(pairs, found.placement)
    if (reached < best.level) best = { placement: found.placement, level: reached }
    if (reached <= found.level + 1e-9) break
    working = [
      ...working,
      ...worstOf(pairs, found.placement).filter((one) => !working.includes(one)),
    ]
  }
  return best
}

/** So many are solved at once. */
const FEW = 12
const WORST = 5
const worstOf = (pairs: readonly Pair[], p: Placement): readonly Pair[] =>
  pairs
    .map((pair) => ({ pair, over: residual(p, pair) - pair.play }))
    .sort((one, other) => other.over - one.over)
    .slice(0, WORST)
    .map(({ pair }) => pair)

function solved(
  pairs: readonly Pair[],
  held: Held,
  start: Placement,
): { placement: Placement; level: number } {
  let best = start
  let bestLevel = level(pairs, start)
  let centre = start
  for (let round = 0; round < 4; round++) {
    const next = oneRound(pairs, held, centre)
    const reached = level(pairs, next)
    if (reached < bestLevel - 1e-12) {
      best = next
      bestLevel = reached
    }
    if (Math.abs(next.turn - centre.turn) < 1e-9) break
    centre = next
  }
  return { placement: best, level: bestLevel }
}

const level = (pairs: readonly Pair[], p: Placement): number =>
  pairs.reduce((worst, pair) => Math.max(worst, residual(p, pair) - pair.play), -Infinity)

/** One cone: |r0 + J·(turn·scale, x, y)| ≤ limit + (isLevel ? level : 0). */
interface Cone {
  readonly rx: number
  readonly ry: number
  readonly jx: number
  readonly jy: number
  readonly limit: number
  readonly isLevel: boolean
}

function oneRound(pairs: readonly Pair[], held: Held, centre: Placement): Placement {
  const c = Math.cos(centre.turn),
    s = Math.sin(centre.turn)
  const reach = Math.max(1, ...pairs.map(({ b }) => Math.hypot(b.x, b.y)))
  const cone = (pair: Pair, limit: number, isLevel: boolean): Cone => {
    const qx = c * pair.b.x - s * pair.b.y,
      qy = s * pair.b.x + c * pair.b.y
    return {
      rx: qx + centre.x - pair.a.x,
      ry: qy + centre.y - pair.a.y,
      jx: -qy / reach,
      jy: qx / reach,
      limit,
      isLevel,
    }
  }
  const cones = pairs.map((pair) => cone(pair, pair.play, true))
  for (const dowel of held.dowels)
    cones.push(cone(dowel, Math.max(dowel.play, residual(centre, dowel)) + 1e-7, false))
  if (held.axis) {
    const dx = centre.x - held.axis.x,
      dy = centre.y - held.axis.y
    cones.push({
      rx: dx,
      ry: dy,
      jx: 0,
      jy: 0,
      limit: Math.max(held.axis.within, Math.hypot(dx, dy)) + 1e-7,
      isLevel: false,
    })
  }
  const v = [
    0,
    0,
    0,
    Math.max(...pairs.map((pair) => residual(centre, pair) - pair.play)) + 0.1,
  ] as [number, number, number, number]
  for (let t = 10; t < 1e8; t *= 6) for (let step = 0; step < 30 && newton(cones, v, t); step++);
  const turned = v[0] / reach
  return { turn: centre.turn + turned, x: centre.x + v[1], y: centre.y + v[2] }
}

/** One damped Newton step on t·level − Σ log(limit² − |r|²); false when it has converged. */
function newton(cones: readonly Cone[], v: [number, number, number, number], t: number): boolean {
  const g = [0, 0, 0, t]
  const h = [0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0]
  for (const k of cones) {
    const x = k.rx + k.jx * v[0] + v[1],
      y = k.ry + k.jy * v[0] + v[2]
    const z = k.limit + (k.isLevel ? v[3] : 0)
    const gap = z * z - x * x - y * y
    const d = [2 * (k.jx * x + k.jy * y), 2 * x, 2 * y, k.isLevel ? -2 * z : 0]
    for (let i = 0; i < 4; i++) {
      g[i]! += d[i]! / gap
      for (let j = 0; j < 4; j++) h[4 * i + j]! += (d[i]! * d[j]!) / (gap * gap)
    }
    h[0]! += (2 * (k.jx * k.jx + k.jy * k.jy)) / gap
    h[1]! += (2 * k.jx) / gap
    h[4]! += (2 * k.jx) / gap
    h[2]! += (2 * k.jy) / gap
    h[8]! += (2 * k.jy) / gap
    h[5]! += 2 / gap
    h[10]! += 2 / gap
    if (k.isLevel) h[15]! -= 2 / gap
  }
  const step = solve4(
    h,
    g.map((value) => -value),
  )
  const decrement = -step.reduce((sum, value, i) => sum + value * g[i]!, 0)
  if (!(decrement > 1e-12)) return false
  const before = barrier(cones, v, t)
  let scale = 1
  for (let tries = 0; tries < 50; tries++, scale /= 2) {
    const next = [
      v[0] + scale * step[0]!,
      v[1] + scale * step[1]!,
      v[2] + scale * step[2]!,
      v[3] + scale * step[3]!,
    ] as [number, number, number, number]
    if (barrier(cones, next, t) <= before - 0.1 * scale * decrement) {
      for (let i = 0; i < 4; i++) v[i] = next[i]!
      return true
    }
  }
  return false
}

function barrier(cones: readonly Cone[], v: readonly number[], t: number): number {
  let sum = t * v[3]!
  for (const k of cones) {
    const x = k.rx + k.jx * v[0]! + v[1]!,
      y = k.ry + k.jy * v[0]! + v[2]!
    const z = k.limit + (k.isLevel ? v[3]! : 0)
    const gap = z * z - x * x - y * y
    if (z <= 0 || gap <= 0) return Infinity
    sum -= Math.log(gap)
  }
  return sum
}

/** Solves a 4 × 4 system by elimination with pivoting; a singular direction is left at 0. */
function solve4(matrix: readonly number[], right: readonly number[]): number[] {
  const m = [0, 1, 2, 3].map((i) => [...matrix.slice(4 * i, 4 * i + 4), right[i]!])
  for (let i = 0; i < 4; i++) {
    let pivot = i
    for (let r = i + 1; r < 4; r++) if (Math.abs(m[r]![i]!) > Math.abs(m[pivot]![i]!)) pivot = r
    ;[m[i], m[pivot]] = [m[pivot]!, m[i]!]
    if (Math.abs(m[i]![i]!) < 1e-14) continue
    for (let r = 0; r < 4; r++) {
      if (r === i) continue
      const by = m[r]![i]! / m[i]![i]!
      for (let col = i; col < 5; col++) m[r]![col]! -= by * m[i]![col]!
    }
  }
  return [0, 1, 2, 3].map((i) => (Math.abs(m[i]![i]!) < 1e-14 ? 0 : m[i]![4]! / m[i]![i]!))
}

const STANDARD_BOLTS = [6, 8, 10, 12, 14, 16] as const

/** The thread of a tapped hole; null where it is plain. */
export const tappedBy = ({ thread }: Hole): string | null =>
  thread === undefined || thread === 'through' ? null : thread

/** Two plain holes of which neither says what bolt passes it: nothing tells how far they may stand apart. */
export const isBoltOpen = (a: Hole, b: Hole): boolean =>
  tappedBy(a) === null && tappedBy(b) === null && a.bolt === undefined && b.bolt === undefined

/**
 * How far a bolt may stand off between two holes, mm: (D − d)/2 into a thread, judged by the thread and not by the Ø beside
 * it; half the sum of both clearances for two plain holes, by the bolt one of them states (else, to search by, the largest
 * metric one that passes both). −Infinity where no bolt can be used or its head does not cover its hole.
 */
export function boltPlay(a: Hole, b: Hole): number {
  const [intoA, intoB] = [tappedBy(a), tappedBy(b)]
  if (intoA !== null) return intoB !== null ? -Infinity : intoThread(intoA, b.d)
  if (intoB !== null) return intoThread(intoB, a.d)
  const stated = a.bolt ?? b.bolt
  const d =
    stated === undefined
      ? STANDARD_BOLTS.findLast((one) => one < Math.min(a.d, b.d))
      : threadDiameter(stated)
  if (d === undefined || !(d < Math.min(a.d, b.d))) return -Infinity
  if (stated !== undefined && !headCovers(stated, Math.max(a.d, b.d))) return -Infinity
  return (a.d - d + b.d - d) / 2
}
const intoThread = (thread: string, holeMm: number): number => {
  const d = threadDiameter(thread)
  return holeMm > d && headCovers(thread, holeMm) ? (holeMm - d) / 2 : -Infinity
}

/** Play of a dowel, mm, negative when it does not go in; two pins never join. Where neither says it carries the pin, face a does. */
export const dowelPlay = (a: Dowel, b: Dowel): number =>
  a.pin && b.pin ? -Infinity : b.pin ? (a.d - b.d) / 2 : (b.d - a.d) / 2
