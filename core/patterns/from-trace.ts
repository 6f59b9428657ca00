import type { Dowel, Hole } from '../ports/field.ts'

/** A point of the picture, in its pixels, y down. */
export interface Pixel {
  readonly x: number
  readonly y: number
}

/** A distance known on the face, between two points marked on the picture. The scale bar is the first. */
export interface KnownDistance {
  readonly from: Pixel
  readonly to: Pixel
  readonly mm: number
}

export interface Trace {
  /** Middle of the crank or register bore. */
  readonly axis: Pixel
  /** Centre and a point on the edge of each hole. */
  readonly holes: readonly { readonly centre: Pixel; readonly edge: Pixel }[]
  readonly dowels: readonly { readonly centre: Pixel; readonly edge: Pixel }[]
  readonly known: readonly KnownDistance[]
  /** As the face is seen when looked at, or mirrored, as a rubbing laid face down or a scan from behind. */
  readonly view: 'looking at the face' | 'mirrored'
  readonly looks: 'forward' | 'rearward'
}

export interface TracedPattern {
  readonly holes: readonly Hole[]
  readonly dowels: readonly Dowel[]
  /** mm a pixel, along the two directions in which the picture is most and least stretched. */
  readonly mmPerPixel: readonly [least: number, most: number]
  /** Stretch of one direction over the other, less 1; null where too few distances are known to tell. */
  readonly skew: number | null
  /** Known distance less what the trace gives, mm. */
  readonly misfits: readonly number[]
  /** Bound of a hole's place, mm; null where nothing checks the picture. */
  readonly plusMinus: number | null
  /** True where the picture was turned over on the way in. */
  readonly isMirrored: boolean
}

export class TraceError extends Error {}

/** Centre of a hole by scan or rubbing, at best (common practice). */
const LEAST_PM = 0.4
/** Known distances from which a skew can be told: three unknowns. */
const FOR_SKEW = 3

/**
 * A pattern from points marked on a scan or photo. With one known distance the picture is taken as true to scale both
 * ways, and nothing checks it. With three or more, in different directions, the metric d² = Δᵀ·G·Δ is found by linear
 * least squares: its eigenvalues are the squared scales of the most and least stretched directions (a camera held
 * aslant, or a lens), and its square root straightens the picture. Train frame out: y up, seen from the gearbox.
 *
 * @throws TraceError naming what is missing
 */
export function patternFromTrace(trace: Trace): TracedPattern {
  const { known, axis } = trace
  if (known.length === 0)
    throw new TraceError('Mark the scale bar first: two points, and how far apart they are.')
  for (const { from, to, mm } of known) {
    if (!(mm > 0)) throw new TraceError('A known distance must be more than 0 mm.')
    if (Math.hypot(to.x - from.x, to.y - from.y) < 2)
      throw new TraceError('The two ends of a known distance stand on one spot: mark them apart.')
  }
  if (trace.holes.length === 0)
    throw new TraceError('Mark at least one hole: its middle, then its edge.')
  const metric = metricOf(known)
  const [least, most] = eigenvalues(metric.g)
  const root = squareRoot(metric.g)
  // Pixels run down; the train frame runs up. Seen mirrored, x turns over; a face that looks forward is stored from behind.
  const isMirrored = (trace.view === 'mirrored') !== (trace.looks === 'forward')
  const place = (point: Pixel): { x: number; y: number } => {
    const [dx, dy] = [point.x - axis.x, point.y - axis.y]
    const x = root[0] * dx + root[1] * dy
    return { x: tidy(isMirrored ? -x : x), y: tidy(-(root[1] * dx + root[2] * dy)) }
  }
  const hole = ({ centre, edge }: Trace['holes'][number]): { x: number; y: number; d: number } => ({
    ...place(centre),
    d: tidy(2 * lengthBy(metric.g, centre, edge)),
  })
  const misfits = known.map(({ from, to, mm }) => mm - lengthBy(metric.g, from, to))
  const holes = trace.holes.map(hole)
  const dowels = trace.dowels.map(hole)
  const sizes = [...holes, ...dowels].flatMap(({ x, y, d }) => [x, y, d])
  if (![...sizes, ...misfits, least, most].every(Number.isFinite))
    throw new TraceError('The scale marked gives no size at all: check the known distances.')
  const checked = known.length > (metric.isFull ? FOR_SKEW : 1)
  return {
    holes,
    dowels,
    mmPerPixel: [Math.sqrt(least), Math.sqrt(most)],
    skew: metric.isFull ? Math.sqrt(most / least) - 1 : null,
    misfits,
    plusMinus: checked ? tidy(Math.max(LEAST_PM, ...misfits.map(Math.abs))) : null,
    isMirrored,
  }
}

/** A symmetric 2 × 2 matrix as [xx, xy, yy]. */
type Symmetric = readonly [number, number, number]

function metricOf(known: readonly KnownDistance[]): { g: Symmetric; isFull: boolean } {
  const full = known.length >= FOR_SKEW ? solveMetric(known) : null
  if (full && full[0] > 0 && full[0] * full[2] - full[1] ** 2 > 0) return { g: full, isFull: true }
  let mm = 0
  let pixels = 0
  for (const one of known) {
    const px = Math.hypot(one.to.x - one.from.x, one.to.y - one.from.y)
    mm += one.mm * px
    pixels += px * px
  }
  const scale = (mm / pixels) ** 2
  return { g: [scale, 0, scale], isFull: false }
}

/** Least squares of mm² over [dx², 2·dx·dy, dy²]; null where the directions do not settle it. */
function solveMetric(known: readonly KnownDistance[]): Symmetric | null {
  const m = Array.from({ length: 3 }, () => [0, 0, 0, 0])
  for (const { from, to, mm } of known) {
    const [dx, dy] = [to.x - from.x, to.y - from.y]
    const row = [dx * dx, 2 * dx * dy, dy * dy]
    // Weighted so that each counts by its error in mm, not in mm².
    const weight = 1 / (4 * mm * mm)
    for (let i = 0; i < 3; i++) {
      for (let j = 0; j < 3; j++) m[i]![j]! += weight * row[i]! * row[j]!
      m[i]![3]! += weight * row[i]! * mm * mm
    }
  }
  const size = Math.max(...m.map((row, i) => row[i]!))
  for (let i = 0; i < 3; i++) {
    const pivot = [i, i + 1, i + 2]
      .filter((r) => r < 3)
      .reduce((best, r) => (Math.abs(m[r]![i]!) > Math.abs(m[best]![i]!) ? r : best), i)
    ;[m[i], m[pivot]] = [m[pivot]!, m[i]!]
    if (Math.abs(m[i]![i]!) < size * 1e-6) return null
    for (let r = 0; r < 3; r++) {
      if (r === i) continue
      const factor = m[r]![i]! / m[i]![i]!
      for (let c = i; c < 4; c++) m[r]![c]! -= factor * m[i]![c]!
    }
  }
  return [m[0]![3]! / m[0]![0]!, m[1]![3]! / m[1]![1]!, m[2]![3]! / m[2]![2]!]
}

function eigenvalues([a, b, c]: Symmetric): [number, number] {
  const mean = (a + c) / 2
  const spread = Math.hypot((a - c) / 2, b)
  return [mean - spread, mean + spread]
}

/** The symmetric square root: (G + √det·I) / √(trace + 2·√det). */
function squareRoot([a, b, c]: Symmetric): Symmetric {
  const det = Math.sqrt(a * c - b * b)
  const t = Math.sqrt(a + c + 2 * det)
  return [(a + det) / t, b / t, (c + det) / t]
}

function lengthBy([a, b, c]: Symmetric, from: Pixel, to: Pixel): number {
  const [dx, dy] = [to.x - from.x, to.y - from.y]
  return Math.sqrt(a * dx * dx + 2 * b * dx * dy + c * dy * dy)
}

const tidy = (value: number): number => Number(value.toFixed(4))
