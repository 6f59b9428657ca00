import type { EngineFigure } from '../../../core/train/engine-figure.ts'
import { type EngineLengths, PULLEY, SKIRT } from './engine-lengths.ts'
import { box, disc, from, line, type Mark, outline, steps } from './mark.ts'

const FAN = 205

/** Where the pump's shaft and the alternator's stand over the crank axis, mm. */
const pumpY = (e: EngineLengths, isRow: boolean): number => -(e.deck * (isRow ? 0.55 : 0.48))
const alternatorY = (e: EngineLengths, isRow: boolean): number =>
  -(e.deck * 0.72) - (isRow ? 0 : 50)

/** Pulley, pump, belt, alternator and, where the belt drives one, the fan, seen from the side. */
export function frontDriveSide(engine: EngineFigure, e: EngineLengths): readonly Mark[] {
  const isRow = engine.arrangement === 'in line'
  const { nose, coverFront, blockFront } = e
  const pump = pumpY(e, isRow)
  const alternator = alternatorY(e, isRow)
  const at = blockFront + 2
  const beltTop = Math.min(pump - 54, alternator - 34)
  return [
    box('cover', at - 46, alternator - 52, at + 42, alternator + 52, 14),
    box('turned', nose + 8, alternator - 34, nose + 28, alternator + 34, 3),
    ...from('inside', [
      ...[-20, 16].map((x) =>
        line('inside', [
          [at + x, alternator - 50],
          [at + x, alternator + 50],
        ]),
      ),
      ...steps(-2, 2, 1).map((i) =>
        line('inside', [
          [at - 42, alternator + i * 15],
          [at - 24, alternator + i * 15],
        ]),
      ),
    ]),
    box('cover', nose + 30, pump - 34, blockFront, pump + 34, 10),
    box('turned', nose + 8, pump - 54, nose + 30, pump + 54, 3),
    box('turned', coverFront - 10, -22, coverFront + 4, 22),
    box('turned', nose, -PULLEY, nose + 36, PULLEY, 4, 'silhouette'),
    ...from('inside', [
      ...[0.3, 0.5, 0.7].map((share) =>
        line('inside', [
          [nose + 36 * share, -PULLEY + 2],
          [nose + 36 * share, PULLEY - 2],
        ]),
      ),
    ]),
    box('turned', nose + 11, beltTop, nose + 26, PULLEY),
    ...from(
      'inside',
      steps(beltTop + 8, PULLEY - 6, 13).map((y) =>
        line('inside', [
          [nose + 11, y],
          [nose + 26, y + 6],
        ]),
      ),
    ),
    ...(engine.fan === 'belt' ? fanSide(nose - 34, pump) : []),
  ]
}

/** A fan on its hub: x of the hub's rear face. */
const fanSide = (x: number, y: number): readonly Mark[] => [
  box('turned', x, y - 13, x + 44, y + 13),
  box('cover', x - 22, y - 52, x + 4, y + 52, 6),
  ...[1, 0.8].flatMap((width, i) =>
    [-1, 1].map((way) =>
      outline('turned', [
        [x - 20, y + way * 38 * (i === 0 ? 1 : 0.55)],
        [x - 2, y + way * 38 * (i === 0 ? 1 : 0.55)],
        [x + 10 * width, y + way * FAN * (i === 0 ? 1 : 0.55), 6],
        [x - 30 * width, y + way * (FAN * (i === 0 ? 1 : 0.55) - 10), 6],
      ]),
    ),
  ),
]

/** How far the fan stands ahead of the pulley, mm. */
export const FAN_AHEAD = 64

/** The front cover from the side, up to the height its camshafts want. */
export function frontCoverSide(e: EngineLengths, top: number): readonly Mark[] {
  const { blockFront, coverFront, deck } = e
  return [
    outline(
      'cover',
      [
        [blockFront, top, 12],
        [coverFront + 10, top + 14, 18],
        [coverFront, top + 60, 10],
        [coverFront, SKIRT - 10, 10],
        [blockFront, SKIRT],
      ],
      'silhouette',
    ),
    ...from(
      'inside',
      steps(top + 46, SKIRT - 21, Math.max(60, deck / 3)).map((y) =>
        disc('inside', coverFront + 12, y, 5),
      ),
    ),
  ]
}
