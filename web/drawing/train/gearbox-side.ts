import type { GearboxFigure } from '../../../core/train/gearbox-figure.ts'
import { as, box, type Corner, disc, from, line, type Mark, outline, steps } from './mark.ts'

const FACE = 205
const SPEEDO = 44

/** A gearbox seen from its left, x back from its bell face, y down from its shaft axis. */
export function gearboxSide(gearbox: GearboxFigure): readonly Mark[] {
  const known = gearbox.length.known
  if (gearbox.final) return transaxleSide(gearbox)
  return gearbox.kind === 'automatic'
    ? as('gearbox', known && gearbox.bell.known, automaticSide(gearbox))
    : [
        ...as('gearbox', known, manualSide(gearbox)),
        ...as('bell', gearbox.bell.known, bellSide(gearbox.bell.mm, endOf(gearbox))),
      ]
}

/** A transaxle from its side: bell, a blunt case, the final drive beside the crank. */
function transaxleSide(gearbox: GearboxFigure): readonly Mark[] {
  const { bell, length, height } = gearbox
  const final = gearbox.final!
  const [at, end] = [bell.mm, bell.mm + length.mm]
  const half = height.mm * 0.4
  const { mm: x } = final.along
  const { mm: y } = final.below
  return [
    ...as('gearbox', length.known, [
      outline(
        'casting',
        [
          [at, -half, 8],
          [end - 60, -half + 10, 16],
          [end, -half + 50, 30],
          [end, half - 50, 30],
          [end - 60, half - 10, 16],
          [at, half, 8],
        ],
        'silhouette',
      ),
      box('cover', at + 30, -half - 4, at + 42, half + 4, 3),
      ...from(
        'inside',
        [-0.5, 0, 0.5].map((share) =>
          line('inside', [
            [at + 50, share * half * 1.2],
            [end - 70, share * half],
          ]),
        ),
      ),
    ]),
    ...as('bell', bell.known, bellSide(at, half)),
    ...as('final drive', final.along.known && final.below.known, [
      disc('casting', x, y, 104, 'silhouette'),
      disc('turned', x, y, 58),
      disc('cover', x, y, 44),
      disc('turned', x, y, 14),
    ]),
  ]
}

/** Half height of the case where the bell meets it, above and below the shaft. */
const endOf = ({ height }: GearboxFigure): number => Math.min(150, Math.max(90, height.mm * 0.4))

/** A separate bell, flared to its face: ribs, fork and slave. */
export function bellSide(long: number, end: number): readonly Mark[] {
  return [
    outline(
      'casting',
      [
        [0, -FACE, 3],
        [13, -FACE, 3],
        [13, -FACE + 9],
        [long * 0.5, -FACE + 24, 30],
        [long - 10, -end - 8, 18],
        [long, -end],
        [long, end],
        [long - 10, end + 14, 18],
        [long * 0.5, FACE - 40, 30],
        [13, FACE - 26],
        [13, FACE - 14, 3],
        [0, FACE - 14, 3],
      ],
      'silhouette',
    ),
    ...from('inside', [
      line('inside', [
        [13, -FACE + 9],
        [13, FACE - 26],
      ]),
      ...[-0.62, -0.25, 0.2, 0.58].map((share) =>
        line('inside', [
          [13, share * FACE],
          [long * 0.55, share * FACE * 0.9, 60],
          [long - 6, share * end],
        ]),
      ),
    ]),
    box('turned', long * 0.42, -34, long * 0.42 + 52, 32, 10),
    box('cover', long * 0.42 - 64, -100, long * 0.42 + 14, -70, 6),
  ]
}

/** Case, split line and ribs, then the tail to its end; the lever where it was measured. */
function manualSide(gearbox: GearboxFigure): readonly Mark[] {
  const { bell, length, height, leverMm, isLeverOnCase } = gearbox
  const at = bell.mm
  const long = length.mm
  const top = height.mm * 0.42
  const bottom = height.mm * 0.46
  const split = at + long * 0.6
  const seam = at + long * 0.22
  const end = at + long
  const lever = leverMm ?? (isLeverOnCase ? at + long * 0.54 : null)
  return [
    ...(lever !== null && isLeverOnCase
      ? leverSide(lever, -top + (lever > split ? 22 : 0), leverMm !== null)
      : []),
    outline(
      'casting',
      [
        [at, -top, 8],
        [split, -top, 8],
        [split, bottom, 10],
        [at + 18, bottom, 14],
        [at, bottom - 26, 8],
      ],
      'silhouette',
    ),
    box('casting', seam - 7, -top - 4, seam + 7, bottom + 4, 3),
    ...from('inside', [
      ...steps(0, 3, 1).map((i) =>
        line('inside', [
          [seam + 14, -top + 34 + i * 46],
          [split - 10, -top + 20 + i * 46],
        ]),
      ),
      line('inside', [
        [at + 10, -top + 18],
        [seam - 9, -top + 30],
      ]),
    ]),
    ...from('casting', [
      disc('turned', at + long * 0.43, bottom - 22, 10),
      disc('turned', at + long * 0.37, 28, 12),
    ]),
    outline(
      'casting',
      [
        [split, -top + 6],
        [split + 24, -70, 12],
        [end - 70, -48, 14],
        [end - 22, -42],
        [end, -42, 4],
        [end, 42, 4],
        [end - 22, 42],
        [end - 70, 54, 14],
        [split + 24, Math.min(92, bottom - 20), 14],
        [split, bottom - 12],
      ],
      'silhouette',
    ),
    ...from('inside', [
      line('inside', [
        [end - 22, -42],
        [end - 22, 42],
      ]),
    ]),
    box('turned', split + SPEEDO, 44, split + SPEEDO + 34, 70, 6),
  ]
}

/** Turret, boot, lever and knob, x at the lever's foot. */
function leverSide(x: number, top: number, known: boolean): readonly Mark[] {
  const knob: readonly [number, number] = [x - 44, top - 340]
  return as('lever', known, [
    line(
      'hollow',
      [
        [x - 5, top - 50],
        [x - 8, top - 170, 160],
        [knob[0], knob[1] + 18],
      ],
      'silhouette',
    ),
    disc('rubber', knob[0], knob[1], 21, 'silhouette'),
    outline(
      'cover',
      [
        [x - 52, top],
        [x - 34, top - 26, 8],
        [x + 34, top - 26, 8],
        [x + 52, top],
      ],
      'silhouette',
    ),
    outline('rubber', [
      [x - 20, top - 26],
      [x - 12, top - 52, 6],
      [x + 12, top - 52, 6],
      [x + 20, top - 26],
    ]),
  ])
}

/** An automatic: one casting with its bell, the pan behind it, cooler ends, selector and tail. */
function automaticSide({ bell, length, height }: GearboxFigure): readonly Mark[] {
  const b = bell.mm
  const end = b + length.mm
  const neck = b + length.mm * 0.6
  const sump = height.mm * 0.4
  const pan = [b + 50, b + length.mm * 0.52] as const
  const deep = 66
  const main: readonly Corner[] = [
    [0, -FACE, 3],
    [12, -FACE, 3],
    [12, -FACE + 9],
    [b * 0.72, -FACE + 22, 26],
    [b + 20, -148, 20],
    [b + 60, -134, 20],
    [neck - 30, -122, 12],
    [neck, -96, 10],
    [neck + 14, -76, 8],
    [end - 60, -58, 8],
    [end, -54, 4],
    [end, 54, 4],
    [end - 60, 58, 8],
    [neck + 14, 84, 8],
    [pan[1] + 6, sump, 4],
    [pan[0] - 6, sump, 4],
    [b * 0.8, FACE - 36, 22],
    [12, FACE - 26],
    [12, FACE - 14, 3],
    [0, FACE - 14, 3],
  ]
  const selector = (pan[0] + pan[1]) / 2 - 40
  return [
    outline('casting', main, 'silhouette'),
    ...from('inside', [
      line('inside', [
        [12, -FACE + 9],
        [12, FACE - 26],
      ]),
      ...[-0.66, -0.34, 0, 0.34, 0.62].map((share) =>
        line('inside', [
          [12, share * FACE],
          [b * 0.7, share * FACE * 0.93, 60],
          [b + 50, share * 132],
        ]),
      ),
      ...steps(b + 70, neck - 40, 58).map((x) =>
        line('inside', [
          [x, -122],
          [x, sump - 16],
        ]),
      ),
      ...[-84, -40, 4].map((y) =>
        line('inside', [
          [b + 66, y],
          [neck - 30, y],
        ]),
      ),
      line('inside', [
        [neck + 14, -76],
        [neck + 14, 84],
      ]),
    ]),
    outline(
      'pressed',
      [
        [pan[0], sump + 8],
        [pan[0] + 10, sump + deep * 0.6, 14],
        [pan[0] + 90, sump + deep * 0.62, 10],
        [pan[0] + 118, sump + deep, 12],
        [pan[1] - 16, sump + deep, 12],
        [pan[1], sump + 8],
      ],
      'silhouette',
    ),
    box('turned', pan[0] - 10, sump - 2, pan[1] + 10, sump + 8, 2),
    ...from(
      'inside',
      steps(pan[0] + 6, pan[1], 46).map((x) => box('cover', x - 6, sump + 8, x + 6, sump + 15, 1)),
    ),
    disc('turned', selector, 70, 20),
    outline('turned', [
      [selector - 8, 70],
      [selector + 8, 70],
      [selector + 2, -22, 6],
      [selector - 14, -22, 6],
    ]),
    box('turned', b + 26, 40, b + 46, 54, 2),
    box('turned', b + 26, 66, b + 46, 80, 2),
  ]
}

/** The lever of a gearbox that has none on its case stands in the vehicle. */
export const remoteLever = (x: number, y: number): readonly Mark[] =>
  as('lever', false, [
    box('turned', x - 45, y - 8, x + 45, y + 34, 6),
    line('hollow', [
      [x, y - 8],
      [x - 14, y - 140],
    ]),
    disc('rubber', x - 16, y - 158, 19, 'silhouette'),
  ])
