/**
 * A bolt pattern from distances between its holes: what a tape and caliper give where nobody has a drawing. Distances
 * are centre to centre; the axis of crank or register bore is one more point. Least squares by Levenberg–Marquardt.
 */
export interface Chord {
  /** Hole numbers from 1; 0 is the axis. */
  readonly from: number
  readonly to: number
  readonly mm: number
}

export type Sense = 'clockwise' | 'counter-clockwise'

export interface ChordsInput {
  /** How many holes, numbered in order round the face. */
  readonly count: number
  /** Which way the numbers run, looking at the face. */
  readonly sense: Sense
  /** Which way the face looks: one that looks forward is seen mirrored. */
  readonly looks: 'forward' | 'rearward'
  /** Where hole 1 stands, looking at the face: degrees counter-clockwise from the right. */
  readonly firstDeg: number
  readonly chords: readonly Chord[]
}

export interface ChordsPattern {
  /** In the train frame: seen from the gearbox looking at the engine, x to the right, y up, the axis at 0, 0. */
  readonly holes: readonly { readonly x: number; readonly y: number }[]
  /** False with fewer than three distances to the axis: then the pattern is placed about its own middle, its offset not measured. */
  readonly isAxisKnown: boolean
  /** How far each distance is from what the pattern gives, mm, in the order given. */
  readonly misfits: readonly number[]
  readonly rmsMm: number
  /** Distances beyond those that just fix the pattern: without any, nothing checks them. */
  readonly spare: number
}

export class ChordsError extends Error {}

/** Distances to the axis that fix its place. */
const AXIS_DISTANCES = 3
const STEPS = 200
/** A direction is loose where the normal matrix has a pivot below this share of its greatest. */
const LOOSE = 1e-9

/**
 * Places the holes so that all distances fit best.
 * @throws ChordsError when a number is out of range, or the distances leave the pattern loose: it says what to measure
 */
export function patternFromChords({
  count,
  sense,
  looks,
  firstDeg,
  chords,
}: ChordsInput): ChordsPattern {
  if (!Number.isInteger(count) || count < 3)
    throw new ChordsError('A pattern has at least three holes.')
  for (const { from, to, mm } of chords) {
    const isHole = (one: number): boolean => Number.isInteger(one) && one >= 0 && one <= count
    if (!isHole(from) || !isHole(to) || from === to)
      throw new ChordsError(
        `${nameOf(from)} to ${nameOf(to)}: holes are numbered 1 to ${count}, and "axis" is the middle of the bore.`,
      )
    if (!(mm > 0))
      throw new ChordsError(`${nameOf(from)} to ${nameOf(to)}: a distance is more than 0.`)
  }
  const isAxisKnown =
    new Set(chords.flatMap(({ from, to }) => (from === 0 ? [to] : to === 0 ? [from] : []))).size >=
    AXIS_DISTANCES
  const used = isAxisKnown ? chords : chords.filter(({ from, to }) => from !== 0 && to !== 0)
  const points = isAxisKnown ? count + 1 : count
  const wanted = 2 * points - 3
  if (used.length < wanted)
    throw new ChordsError(
      `${used.length} distances leave it loose: ${wanted} are needed for ${count} holes${isAxisKnown ? ' and the axis' : ''}. Measure ${wanted - used.length} more, across as well as along.`,
    )

  const index = (hole: number): number => (hole === 0 ? count : hole - 1)
  const placed = solve(
    points,
    used.map(({ from, to, mm }) => ({ a: index(from), b: index(to), mm })),
    start(count, points, used),
  )
  const middle = isAxisKnown ? placed[count]! : centroid(placed.slice(0, count))
  let holes = placed
    .slice(0, count)
    .map((point) => ({ x: point.x - middle.x, y: point.y - middle.y }))
  // Distances do not tell a pattern from its mirror image; the way the numbers run does.
  if (Math.sign(area(holes)) !== (sense === 'counter-clockwise' ? 1 : -1))
    holes = holes.map(({ x, y }) => ({ x, y: -y }))
  const first = Math.atan2(holes[0]!.y, holes[0]!.x)
  holes = holes.map((hole) => turned(hole, (firstDeg * Math.PI) / 180 - first))
  if (looks === 'forward') holes = holes.map(({ x, y }) => ({ x: -x, y }))

  const at = (hole: number): { x: number; y: number } =>
    hole === 0 ? { x: 0, y: 0 } : holes[hole - 1]!
  const misfits = chords.map(({ from, to, mm }) =>
    isAxisKnown || (from !== 0 && to !== 0) ? mm - distance(at(from), at(to)) : 0,
  )
  return {
    holes,
    isAxisKnown,
    misfits,
    rmsMm: Math.sqrt(misfits.reduce((sum, one) => sum + one * one, 0) / Math.max(1, used.length)),
    spare: used.length - wanted,
  }
}

const nameOf = (hole: number): string => (hole === 0 ? 'axis' : `hole ${hole}`)

interface Point {
  readonly x: number
  readonly y: number
}
const distance = (a: Point, b: Point): number => Math.hypot(a.x - b.x, a.y - b.y)
const turned = ({ x, y }: Point, by: number): Point => ({
  x: x * Math.cos(by) - y * Math.sin(by),
  y: x * Math.sin(by) + y * Math.cos(by),
})
const centroid = (points: readonly Point[]): Point => ({
  x: points.reduce((sum, one) => sum + one.x, 0) / points.length,
  y: points.reduce((sum, one) => sum + one.y, 0) / points.length,
})

function area(points: readonly Point[]): number {
  let twice = 0
  points.forEach((one, i) => {
    const next = points[(i + 1) % points.length]!
    twice += one.x * next.y - next.x * one.y
  })
  return twice / 2
}

/** A ring to start from: its radius from the distances to the axis, else from the longest chord. */
function start(count: number, points: number, chords: readonly Chord[]): Point[] {
  const toAxis = chords.filter(({ from, to }) => from === 0 || to === 0)
  const radius =
    toAxis.length > 0
      ? toAxis.reduce((sum, one) => sum + one.mm, 0) / toAxis.length
      : Math.max(...chords.map((one) => one.mm)) / 2
  const ring = Array.from({ length: count }, (_, i) => ({
    x: radius * Math.cos((2 * Math.PI * i) / count),
    y: radius * Math.sin((2 * Math.PI * i) / count),
  }))
  return points > count ? [...ring, { x: 0, y: 0 }] : ring
}

/** Levenberg–Marquardt over all coordinates; the free shift and turn are held by the damping. */
function solve(
  points: number,
  chords: readonly { a: number; b: number; mm: number }[],
  from: readonly Point[],
): Point[] {
  const size = 2 * points
  let at = from.flatMap(({ x, y }) => [x, y])
  const cost = (of: readonly number[]): number =>
    chords.reduce(
      (sum, { a, b, mm }) =>
        sum + (Math.hypot(of[2 * a]! - of[2 * b]!, of[2 * a + 1]! - of[2 * b + 1]!) - mm) ** 2,
      0,
    )
  let damping = 1e-3
  let best = cost(at)
  for (let step = 0; step < STEPS && best > 1e-22; step++) {
    const { matrix, gradient } = normal(size, chords, at)
    const damped = matrix.map((row, i) =>
      row.map((value, j) => (i === j ? value + damping * (value + 1e-9) : value)),
    )
    const move = choleskySolve(damped, gradient)
    const next = move ? at.map((value, i) => value - move[i]!) : at
    const found = move ? cost(next) : Infinity
    if (found < best) {
      const gain = best - found
      at = next
      best = found
      damping = Math.max(damping / 5, 1e-12)
      if (gain < 1e-18 * Math.max(1, best)) break
    } else {
      damping *= 4
      if (damping > 1e12) break
    }
  }
  if (isLoose(normal(size, chords, at).matrix, at))
    throw new ChordsError(
      'These distances leave some holes loose: they can still move without any distance changing. Measure across the pattern, from each hole to at least two others that are fixed.',
    )
  return Array.from({ length: points }, (_, i) => ({ x: at[2 * i]!, y: at[2 * i + 1]! }))
}

function normal(
  size: number,
  chords: readonly { a: number; b: number; mm: number }[],
  at: readonly number[],
): { matrix: number[][]; gradient: number[] } {
  const matrix = Array.from({ length: size }, () => new Array<number>(size).fill(0))
  const gradient = new Array<number>(size).fill(0)
  for (const { a, b, mm } of chords) {
    const [dx, dy] = [at[2 * a]! - at[2 * b]!, at[2 * a + 1]! - at[2 * b + 1]!]
    const length = Math.hypot(dx, dy) || 1e-12
    const slope: readonly (readonly [number, number])[] = [
      [2 * a, dx / length],
      [2 * a + 1, dy / length],
      [2 * b, -dx / length],
      [2 * b + 1, -dy / length],
    ]
    for (const [i, p] of slope) {
      gradient[i] = gradient[i]! + p * (length - mm)
      for (const [j, q] of slope) matrix[i]![j] = matrix[i]![j]! + p * q
    }
  }
  return { matrix, gradient }
}

/** True where more than the shift and the turn of the whole is free: the matrix with those held has no Cholesky factor. */
function isLoose(matrix: readonly (readonly number[])[], at: readonly number[]): boolean {
  const size = at.length
  const scale = Math.max(...matrix.map((row, i) => row[i]!))
  const reach = Math.max(...at.map(Math.abs), 1)
  const free = [
    at.map((_, i) => (i % 2 === 0 ? 1 : 0)),
    at.map((_, i) => (i % 2 === 1 ? 1 : 0)),
    at.map((_, i) => (i % 2 === 0 ? -at[i + 1]! : at[i - 1]!) / reach),
  ]
  const held = matrix.map((row, i) =>
    row.map((value, j) => value + free.reduce((sum, one) => sum + scale * one[i]! * one[j]!, 0)),
  )
  let least = Infinity
  const factor = Array.from({ length: size }, () => new Array<number>(size).fill(0))
  for (let i = 0; i < size; i++)
    for (let j = 0; j <= i; j++) {
      let sum = held[i]![j]!
      for (let k = 0; k < j; k++) sum -= factor[i]![k]! * factor[j]![k]!
      if (i === j) {
        least = Math.min(least, sum)
        if (sum <= scale * LOOSE) return true
        factor[i]![i] = Math.sqrt(sum)
      } else factor[i]![j] = sum / factor[j]![j]!
    }
  return least <= scale * LOOSE
}

/** Solves a symmetric positive matrix; null when it is not. */
function choleskySolve(
  matrix: readonly (readonly number[])[],
  right: readonly number[],
): number[] | null {
  const size = right.length
  const factor = Array.from({ length: size }, () => new Array<number>(size).fill(0))
  for (let i = 0; i < size; i++)
    for (let j = 0; j <= i; j++) {
      let sum = matrix[i]![j]!
      for (let k = 0; k < j; k++) sum -= factor[i]![k]! * factor[j]![k]!
      if (i === j) {
        if (sum <= 0) return null
        factor[i]![i] = Math.sqrt(sum)
      } else factor[i]![j] = sum / factor[j]![j]!
    }
  const out = [...right]
  for (let i = 0; i < size; i++) {
    for (let k = 0; k < i; k++) out[i] = out[i]! - factor[i]![k]! * out[k]!
    out[i] = out[i]! / factor[i]![i]!
  }
  for (let i = size - 1; i >= 0; i--) {
    for (let k = i + 1; k < size; k++) out[i] = out[i]! - factor[k]![i]! * out[k]!
    out[i] = out[i]! / factor[i]![i]!
  }
  return out
}
