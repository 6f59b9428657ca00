import type { Dowel, Hole, Point } from '../ports/field.ts'

/** Thinnest plate that takes a counterbored bolt and a thread, mm (common practice, no published source). */
export const LEAST_PLATE_MM = 10
/** Metal kept between two holes, of the larger Ø, and from a hole to the edge, of its Ø (calculations of fasteners: EN 1993-1-8 and common practice). */
const WALL = 0.8
const EDGE = 1.2
/** Clockings tried, one each so many degrees. */
const STEP_DEG = 0.5

export interface PlateFace {
  readonly holes: readonly Hole[]
  readonly dowels: readonly Dowel[]
  readonly outline?: readonly Point[] | null | undefined
}

/** Two holes of a plate that leave too little metal between them. */
export interface ThinWall {
  readonly a: string
  readonly b: string
  readonly wallMm: number
  readonly wantedMm: number
}

export interface PlateDesign {
  /** Turn of the second pattern about the shaft axis, degrees counter-clockwise seen from the gearbox. */
  readonly turnDeg: number
  /** Least wall left over what is wanted, mm; negative where a wall is too thin. */
  readonly spareMm: number
  readonly thin: readonly ThinWall[]
  /** Holes of either pattern that stand outside the other's outline, or too near its edge, by name. */
  readonly outside: readonly string[]
  readonly thicknessMm: number | null
  /** `plain`, `turned`, or `stepped`: a ring of its own for each pattern where one plate leaves no room. */
  readonly kind: 'plain' | 'turned' | 'stepped'
  readonly because: string
  /** Tasks a stepped adapter brings. */
  readonly tasks: readonly string[]
}

const nameOf = (face: string, index: number, isDowel: boolean): string =>
  `${face} ${isDowel ? 'dowel' : 'hole'} ${index + 1}`

/** Points turned about the axis, degrees counter-clockwise seen from the gearbox. */
export function turned<T extends { readonly x: number; readonly y: number }>(
  all: readonly T[],
  deg: number,
): T[] {
  const [c, s] = [Math.cos((deg * Math.PI) / 180), Math.sin((deg * Math.PI) / 180)]
  return all.map((one) => ({ ...one, x: c * one.x - s * one.y, y: s * one.x + c * one.y }))
}

interface Named {
  readonly name: string
  readonly x: number
  readonly y: number
  readonly d: number
}
const holesOf = (face: string, { holes, dowels }: PlateFace): Named[] => [
  ...holes.map(({ x, y, d }, i) => ({ name: nameOf(face, i, false), x, y, d })),
  ...dowels.map(({ x, y, d }, i) => ({ name: nameOf(face, i, true), x, y, d })),
]

/** Walls between the holes of one pattern and those of the other. Two holes on one spot are one hole through both, no wall. */
export function thinWalls(
  a: readonly Named[],
  b: readonly Named[],
): { readonly spareMm: number; readonly thin: ThinWall[] } {
  let spareMm = Infinity
  const thin: ThinWall[] = []
  for (const one of a)
    for (const other of b) {
      const apart = Math.hypot(one.x - other.x, one.y - other.y)
      if (apart < 0.5) continue
      const wallMm = apart - (one.d + other.d) / 2
      const wantedMm = WALL * Math.max(one.d, other.d)
      spareMm = Math.min(spareMm, wallMm - wantedMm)
      if (wallMm < wantedMm - 1e-9) thin.push({ a: one.name, b: other.name, wallMm, wantedMm })
    }
  return { spareMm, thin: thin.sort((p, q) => p.wallMm - p.wantedMm - (q.wallMm - q.wantedMm)) }
}

/** Distance of a point to a closed outline, + inside, mm. */
export function insideBy(point: Point, outline: readonly Point[]): number {
  let isInside = false
  let nearest = Infinity
  for (let i = 0, j = outline.length - 1; i < outline.length; j = i++) {
    const [p, q] = [outline[i]!, outline[j]!]
    if (
      p.y > point.y !== q.y > point.y &&
      point.x < ((q.x - p.x) * (point.y - p.y)) / (q.y - p.y) + p.x
    )
      isInside = !isInside
    const [dx, dy] = [q.x - p.x, q.y - p.y]
    const t = Math.max(
      0,
      Math.min(1, ((point.x - p.x) * dx + (point.y - p.y) * dy) / (dx * dx + dy * dy || 1)),
    )
    nearest = Math.min(nearest, Math.hypot(point.x - p.x - t * dx, point.y - p.y - t * dy))
  }
  return isInside ? nearest : -nearest
}

/**
 * The plate that joins two patterns on one axis: as they stand, or with the second turned where the gearbox may turn, so
 * that the least wall between holes is greatest; a stepped adapter where no clocking leaves the metal, or where depth
 * leaves no room for a plate.
 *
 * @param depthMm how far the gearbox must move rearward, mm: what a plate may be thick; null where it is not known
 * @param mayTurn whether the second pattern may be turned
 */
export function designPlate(
  a: PlateFace,
  b: PlateFace,
  depthMm: number | null,
  mayTurn: boolean,
): PlateDesign {
  const engine = holesOf('engine', a)
  const plain = thinWalls(engine, holesOf('gearbox', b))
  let best = { turnDeg: 0, ...plain }
  if (plain.thin.length > 0 && mayTurn)
    for (let deg = -180; deg < 180; deg += STEP_DEG) {
      const walls = thinWalls(engine, turned(holesOf('gearbox', b), deg))
      const isBetter =
        walls.thin.length === 0
          ? best.thin.length > 0 || Math.abs(deg) < Math.abs(best.turnDeg)
          : best.thin.length > 0 && walls.spareMm > best.spareMm + 1e-9
      if (isBetter) best = { turnDeg: deg, ...walls }
    }
  const noRoom = depthMm !== null && depthMm < LEAST_PLATE_MM
  const stepped = best.thin.length > 0 || noRoom
  const moved: PlateFace = {
    holes: turned(b.holes, best.turnDeg),
    dowels: turned(b.dowels, best.turnDeg),
    outline: b.outline ? turned(b.outline, best.turnDeg) : null,
  }
  return {
    turnDeg: best.turnDeg,
    spareMm: best.spareMm,
    thin: best.thin,
    outside: [...past('engine', a, moved.outline), ...past('gearbox', moved, a.outline)],
    thicknessMm: stepped ? null : depthMm,
    kind: stepped ? 'stepped' : best.turnDeg === 0 ? 'plain' : 'turned',
    because: noRoom
      ? `The depth leaves ${Math.round(Math.max(0, depthMm!) * 10) / 10} mm for a plate, less than ${LEAST_PLATE_MM} mm`
      : best.thin.length > 0
        ? `${best.thin[0]!.a} and ${best.thin[0]!.b} leave ${Math.max(0, best.thin[0]!.wallMm).toFixed(1)} mm of metal, wanted ${best.thin[0]!.wantedMm.toFixed(1)}`
        : best.turnDeg === 0
          ? 'Both patterns leave their walls as they stand'
          : `Turned ${best.turnDeg}° every wall holds: lever, starter, mount and oil level turn with the case`,
    tasks: stepped
      ? [
          'Two flanges joined by a ring: welded work distorts, so weld in short opposite runs and let it cool',
          'Reface both flanges parallel after welding, within 0.05 mm',
          'Bore or dowel both registers in one setting after refacing, and prove the concentricity',
        ]
      : [],
  }
}

/** Holes outside another outline, or nearer its edge than wanted. */
function past(
  face: string,
  { holes, dowels }: PlateFace,
  outline: readonly Point[] | null | undefined,
): string[] {
  if (!outline || outline.length < 3) return []
  return holesOf(face, { holes, dowels }).flatMap((hole) =>
    insideBy(hole, outline) < EDGE * hole.d - 1e-9 ? [hole.name] : [],
  )
}
