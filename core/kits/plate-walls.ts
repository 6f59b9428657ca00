import { insideBy, type PlateFace, thinWalls } from '../patterns/plate.ts'

/** Metal wanted from a hole to the edge of a plate, of the hole's Ø (EN 1993-1-8, table 3.3: 1.2 d). */
const EDGE = 1.2

/** The least metal a plate leaves: between a hole of one pattern and one of the other, or from a hole to its edge. */
export interface LeastWall {
  readonly between: string
  readonly wallMm: number
  readonly wantedMm: number
}

const named = (face: string, { holes, dowels }: PlateFace) => [
  ...holes.map((one, i) => ({ ...one, name: `${face} hole ${i + 1}` })),
  ...dowels.map((one, i) => ({ ...one, name: `${face} dowel ${i + 1}` })),
]

/**
 * Where a plate has the least metal beside what is wanted there: between the holes of its two patterns (0.8 of the larger Ø)
 * and, where its outline is known, from each to the edge. Null where a pattern is not known.
 */
export function leastWall(front: PlateFace | null, rear: PlateFace | null): LeastWall | null {
  if (!front || !rear) return null
  const [a, b] = [named('front', front), named('rear', rear)]
  const walls: LeastWall[] = []
  for (const one of a)
    for (const other of b) {
      // All its walls but this one aside: the plain rule for each pair of holes.
      const { spareMm, thin } = thinWalls([one], [other])
      if (!Number.isFinite(spareMm)) continue
      const wantedMm = thin[0]?.wantedMm ?? 0.8 * Math.max(one.d, other.d)
      walls.push({
        between: `${one.name} and ${other.name}`,
        wallMm: spareMm + wantedMm,
        wantedMm,
      })
    }
  const outline = front.outline ?? rear.outline
  if (outline && outline.length > 2)
    for (const { name, x, y, d } of [...a, ...b])
      walls.push({
        between: `${name} and the edge`,
        wallMm: insideBy({ x, y }, outline),
        wantedMm: EDGE * d,
      })
  return walls.reduce<LeastWall | null>(
    (least, wall) =>
      least === null || wall.wallMm - wall.wantedMm < least.wallMm - least.wantedMm ? wall : least,
    null,
  )
}
