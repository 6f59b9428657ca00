import type { Zone } from '../../../core/ports/field.ts'
import { type EngineLengths, SKIRT } from './engine-lengths.ts'
import { type Corner, disc, from, line, type Mark, outline } from './mark.ts'

/** How deep a pan is where nobody measured: a shallow front and a deep rear. */
const STAND_IN_DEEP = 206
const STAND_IN_SHALLOW = 112
const RAIL = 104
const SLOPE = 40

/** The zones a pan is drawn from, front first. */
export const panZones = (zones: readonly Zone[], e: EngineLengths): readonly Zone[] =>
  zones.length > 0
    ? filled(
        zones.toSorted((a, b) => a.fromMm - b.fromMm),
        e,
      )
    : [
        { fromMm: e.blockFront, toMm: e.blockFront * 0.55, depthMm: STAND_IN_SHALLOW },
        { fromMm: e.blockFront * 0.55, toMm: -4, depthMm: STAND_IN_DEEP },
      ]

/** Where only the deep part was measured, the rail runs on, shallow, to both ends of the block. */
function filled(zones: readonly Zone[], e: EngineLengths): readonly Zone[] {
  const rail = Math.min(RAIL, ...zones.map(({ depthMm }) => depthMm))
  const first = zones[0]!
  const last = zones.at(-1)!
  return [
    ...(first.fromMm > e.blockFront + 20
      ? [{ fromMm: e.blockFront + 6, toMm: first.fromMm, depthMm: rail }]
      : []),
    ...zones,
    ...(last.toMm < -24 ? [{ fromMm: last.toMm, toMm: -4, depthMm: rail }] : []),
  ]
}

/** The pan's outline from its zones: bottoms as measured, the steps between sloped. */
export function panCorners(zones: readonly Zone[]): readonly Corner[] {
  const flat = zones.flatMap((zone): [number, number][] => [
    [zone.fromMm, zone.depthMm],
    [zone.toMm, zone.depthMm],
  ])
  const sloped = flat.map(([x, y], i): Corner => {
    const last = flat[i - 1]
    const next = flat[i + 1]
    // The deeper side of a step gives way, so that what is shallow keeps its whole length.
    if (next && next[0] === x && next[1] < y) return [x - Math.min(SLOPE, (y - next[1]) / 2), y, 12]
    if (last && last[0] === x && last[1] < y) return [x + Math.min(SLOPE, (y - last[1]) / 2), y, 12]
    return [x, y, 10]
  })
  return [[zones[0]!.fromMm, SKIRT], ...sloped, [zones.at(-1)!.toMm, SKIRT]]
}

/** The pan from the side, with pickup and plug. */
export function panSide(zones: readonly Zone[]): readonly Mark[] {
  const deep = zones.reduce((a, b) => (b.depthMm > a.depthMm ? b : a))
  const pickup = (deep.fromMm + deep.toMm) / 2
  const floor = deep.depthMm
  return [
    outline('pressed', panCorners(zones), 'silhouette'),
    ...from('inside', [
      outline('inside', [
        [pickup - 24, floor - 16],
        [pickup + 24, floor - 16],
        [pickup + 12, floor - 28],
        [pickup - 12, floor - 28],
      ]),
      line('inside', [
        [pickup, floor - 28],
        [pickup, SKIRT + 6],
      ]),
    ]),
    disc('turned', deep.toMm - 46, floor - 2, 8),
  ]
}
