import type { GearboxFigure } from '../../../core/train/gearbox-figure.ts'
import { as, box, disc, from, hull, line, type Mark, outline } from './mark.ts'

const FACE = 200

/** A lengthwise gearbox from above: x back from its bell face, y to its left. */
export function gearboxPlan(gearbox: GearboxFigure): readonly Mark[] {
  const { bell, length, width, leverMm, isLeverOnCase } = gearbox
  const b = bell.mm
  const end = b + length.mm
  const half = width.mm * 0.4
  const split = b + length.mm * 0.6
  const lever = leverMm ?? b + length.mm * 0.54
  return as('gearbox', length.known && bell.known, [
    outline(
      'casting',
      [
        [0, -FACE, 6],
        [14, -FACE],
        [b * 0.55, -FACE + 26, 30],
        [b, -half],
        [b, half],
        [b * 0.55, FACE - 26, 30],
        [14, FACE],
        [0, FACE, 6],
      ],
      'silhouette',
    ),
    outline(
      'casting',
      [
        [b, -half, 6],
        [split, -half + 6, 10],
        [split + 24, -70, 12],
        [end - 30, -48, 12],
        [end, -42, 4],
        [end, 42, 4],
        [end - 30, 48, 12],
        [split + 24, 70, 12],
        [split, half - 6, 10],
        [b, half, 6],
      ],
      'silhouette',
    ),
    ...from('inside', [
      line('inside', [
        [split, -half + 6],
        [split, half - 6],
      ]),
      ...[-0.6, -0.2, 0.2, 0.6].map((share) =>
        line('inside', [
          [14, share * FACE],
          [b - 6, share * half],
        ]),
      ),
    ]),
    ...(isLeverOnCase && gearbox.kind === 'manual'
      ? [box('cover', lever - 46, -40, lever + 46, 40, 10), disc('rubber', lever, 0, 21)]
      : []),
  ])
}

/** A transaxle from above: x from its bell face, y to its left; the final drive beside the crank, on the right of the train. */
export function transaxlePlan(gearbox: GearboxFigure): readonly Mark[] {
  const { bell, length, final } = gearbox
  const b = bell.mm
  const end = b + length.mm
  const drive = final!
  const [x, y] = [drive.along.mm, -drive.beside.mm]
  return as('gearbox', length.known && bell.known, [
    ...as('final drive', drive.beside.known && drive.along.known, [
      {
        ...hull(
          'cover',
          [
            [x - 46, y, 94],
            [x + 60, y, 94],
          ],
          'silhouette',
        ),
      },
      box('turned', x + 60, y - 54, x + drive.left.mm, y + 54, 4),
      box('turned', x - drive.right.mm, y - 54, x - 52, y + 54, 4),
    ]),
    outline(
      'casting',
      [
        [0, -FACE - 20, 6],
        [12, -FACE - 20, 6],
        [b - 20, -150, 20],
        [b, -124],
        [b, 124],
        [b - 30, 160, 24],
        [12, FACE, 6],
        [0, FACE, 6],
      ],
      'silhouette',
    ),
    ...from(
      'inside',
      [-0.6, -0.2, 0.2, 0.6].map((share) =>
        line('inside', [
          [12, share * FACE],
          [b - 6, share * 124],
        ]),
      ),
    ),
    outline(
      'casting',
      [
        [b, -132, 6],
        [end - 70, -118, 14],
        [end - 70, 96, 14],
        [b, 120, 6],
      ],
      'silhouette',
    ),
    box('cover', b + 34, -128, b + 44, 116, 2),
    outline(
      'pressed',
      [
        [end - 70, -100, 8],
        [end, -86, 24],
        [end, 66, 24],
        [end - 70, 84, 8],
      ],
      'silhouette',
    ),
    box('cover', b + 60, -60, b + 130, -16, 8),
    disc('turned', b + 95, -38, 13),
  ])
}

/** A transaxle seen along its shafts from its closed end: hulls of the circles of input, second shaft and final drive. */
export function transaxleEnd(gearbox: GearboxFigure): readonly Mark[] {
  const drive = gearbox.final!
  const [x, y] = [drive.beside.mm, drive.below.mm]
  const between: readonly [number, number] = [x * 0.49, y * 0.7]
  return as('gearbox', drive.beside.known && drive.below.known, [
    hull(
      'casting',
      [
        [0, -60, 150],
        [-70, 40, 116],
        [60, 70, 120],
        [x - 10, y, 118],
      ],
      'silhouette',
    ),
    hull('cover', [
      [0, 0, 92],
      [between[0], between[1], 84],
      [x, y, 100],
    ]),
    hull('pressed', [
      [0, 0, 62],
      [between[0], between[1], 58],
    ]),
    disc('turned', 0, 0, 30),
    disc('turned', between[0], between[1], 26),
    disc('turned', x, y, 58),
    disc('cover', x, y, 44),
    disc('turned', x, y, 14),
    ...from(
      'inside',
      Array.from({ length: 7 }, (_, i) =>
        disc('inside', x + 82 * Math.cos(i * 0.9 - 1.6), y + 82 * Math.sin(i * 0.9 - 1.6), 6),
      ),
    ),
  ])
}
