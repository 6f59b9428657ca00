import type { MatingFigure } from '../../../core/train/mating-figure.ts'
import {
  as,
  box,
  type Corner,
  disc,
  from,
  type Look,
  line,
  type Mark,
  outline,
  steps,
} from './mark.ts'

/** Lengths of a clutch nobody measured, mm (common practice, no published source). */
const STAND_IN = {
  flange: 8,
  clutchFace: 28,
  fingers: 46,
  gap: 3,
  ringNear: 8,
  ringWidth: 10,
  ring: 282,
  disc: [232, 144],
  tip: -17,
  noseEnd: 4,
  nose: 17,
  shaft: 25.4,
  splines: [17, 72],
  bore: 25,
  mouth: 8,
  pinion: 20,
  axis: 150,
}

/** The same above and below the axis. */
const both = (draw: (way: 1 | -1) => readonly Mark[]): readonly Mark[] => [...draw(-1), ...draw(1)]
const band = (look: Look, x0: number, x1: number, a: number, b: number, way: number): Mark =>
  box(look, x0, way < 0 ? -b : a, x1, way < 0 ? -a : b)
const mirrored = (look: Look, corners: readonly Corner[], way: number): Mark =>
  outline(
    look,
    corners.map(([x, y]): Corner => [x, y * way]),
  )

/** The crankcase's rear wall with the crank's flange, its face at f. */
const crank = (f: number, bore: number, depth: number, flangeR: number): readonly Mark[] => [
  ...as(
    'block',
    true,
    both((way) => [band('cut', -84, 0, 64, 230, way)]),
  ),
  ...as(
    'crank',
    true,
    both((way) => [
      mirrored(
        'cut-other',
        [
          [-84, 0],
          [f - depth, 0],
          [f - depth, bore],
          [f, bore],
          [f, flangeR],
          [f - 14, flangeR],
          [-16, flangeR + 6],
          [-26, flangeR + 6],
          [-26, 36],
          [-84, 36],
        ],
        way,
      ),
      band('rubber', -24, -6, 60.5, 64, way),
    ]),
  ),
]

/** A bell in section from its face B. */
const bell = (B: number, isConverter: boolean): readonly Mark[] =>
  as(
    'bell',
    true,
    both((way) => [
      mirrored(
        'cut',
        isConverter
          ? [
              [B, 230],
              [B, 186],
              [B + 14, 186],
              [B + 14, 200],
              [B + 92, 186],
              [B + 150, 146],
              [B + 160, 120],
              [B + 172, 120],
              [B + 164, 152],
              [B + 98, 198],
              [B + 14, 216],
              [B + 14, 230],
            ]
          : [
              [B, 230],
              [B, 186],
              [B + 14, 186],
              [B + 14, 196],
              [B + 60, 188],
              [B + 132, 136],
              [B + 140, 118],
              [B + 140, 44],
              [B + 152, 44],
              [B + 152, 122],
              [B + 146, 142],
              [B + 66, 200],
              [B + 14, 214],
              [B + 14, 230],
            ],
        way,
      ),
    ]),
  )

const between = (m: MatingFigure, f: number): readonly Mark[] => [
  ...(m.platesMm > 0
    ? as(
        'plate',
        m.isPlates,
        both((way) => [band('put-in', 0, m.platesMm, 152, 230, way)]),
      )
    : []),
  ...(m.spacersMm > 0
    ? as(
        'spacer',
        true,
        both((way) => [band('put-in', f, f + m.spacersMm, 13, 54, way)]),
      )
    : []),
]

/** Where the depths of the mating plane stand, mm from the block face rearward. */
export function matingDepths(m: MatingFigure): {
  readonly bell: number
  readonly flange: number
  readonly clutch: number
  readonly tip: number
  readonly rest: number
  readonly ring: number
  readonly pinion: number
  readonly pads: number
  readonly plate: number
} {
  const bellFace = m.platesMm
  const flange = (m.flange ?? STAND_IN.flange) + m.spacersMm
  const clutch = flange + (m.clutchFace ?? STAND_IN.clutchFace)
  const fingers = clutch + (m.fingers ?? STAND_IN.fingers)
  return {
    bell: bellFace,
    flange,
    clutch,
    tip: bellFace + (m.tip ?? STAND_IN.tip),
    rest: m.bearingRest === null ? fingers + STAND_IN.gap : bellFace + m.bearingRest,
    ring: flange + (m.ringNear ?? STAND_IN.ringNear),
    pinion: bellFace + (m.pinionRest ?? STAND_IN.pinion),
    plate: flange + (m.plateHeight ?? 7.5),
    pads: bellFace + (m.pads ?? 20),
  }
}

/** Clutch in section at the mating plane: flange, spacer, wheel with its ring, disc, cover, bearing, and the shaft with its nose in the pilot. */
export function matingClutch(m: MatingFigure): readonly Mark[] {
  const at = matingDepths(m)
  const f = m.flange ?? STAND_IN.flange
  const F = at.flange
  const bore = (m.pilotBore ?? STAND_IN.bore) / 2
  const ringR = (m.ringOuter ?? STAND_IN.ring) / 2
  const ringWide = m.ringWidth ?? STAND_IN.ringWidth
  const [outer, inner] = [
    (m.discOuter ?? STAND_IN.disc[0]!) / 2,
    (m.discInner ?? STAND_IN.disc[1]!) / 2,
  ]
  const shaft = (m.splineMajor ?? STAND_IN.shaft) / 2
  const nose = (m.nose ?? STAND_IN.nose) / 2
  const B = at.bell
  const face = at.clutch
  const wheelR = (m.wheelOuter ?? ringR * 2 - 18) / 2
  const plate = face + 8.6
  const fingers = face + (m.fingers ?? STAND_IN.fingers)
  const hub = [face + (m.hubStart ?? -6), face + (m.hubEnd ?? 22)] as const
  const noseEnd = B + (m.noseEnd ?? STAND_IN.noseEnd)
  const splines = [
    B + (m.splineStart ?? STAND_IN.splines[0]!),
    B + (m.splineEnd ?? STAND_IN.splines[1]!),
  ] as const
  const mouth = m.pilotMouth ?? f
  return [
    ...crank(f, bore, 30.7, 54),
    ...bell(B, false),
    ...between(m, f),
    ...as(
      'flywheel',
      m.clutchFace !== null && m.flange !== null,
      both((way) => [
        mirrored(
          'cut-other',
          [
            [F, 14],
            [F, wheelR],
            [F + 24, wheelR],
            [face, wheelR - 3],
            [face, inner - 2],
            [F + 12, 64],
            [F + 12, 14],
          ],
          way,
        ),
        band('turned', F + 12, F + 19.5, 31.5, 48.5, way),
        band('turned', f - 16, F + 12, 35, 45, way),
      ]),
    ),
    ...as(
      'ring',
      m.ringNear !== null,
      both((way) => [
        band(
          'cut-fine',
          at.ring - ringWide * 0,
          at.ring + ringWide,
          Math.min(wheelR, ringR - 9),
          ringR,
          way,
        ),
      ]),
    ),
    ...as(
      'disc',
      m.discOuter !== null && m.hubStart !== null,
      both((way) => [
        band('cut-fine', face, face + 3.6, inner, outer, way),
        band('turned', face + 3.6, face + 5, 28, outer, way),
        band('cut-fine', face + 5, face + 8.6, inner, outer, way),
        band('turned', face - 3, face + 13, 36, 52, way),
        band('cut-other', hub[0], hub[1], shaft, 21, way),
        band('cut-other', face + 2, face + 7, 21, 38, way),
      ]),
    ),
    ...as(
      'cover',
      m.fingers !== null,
      both((way) => [
        mirrored(
          'cut-other',
          [
            [plate, inner],
            [plate, outer + 3],
            [plate + 14, outer + 3],
            [plate + 20, outer - 12],
            [plate + 14, outer - 18],
            [plate + 12, inner],
          ],
          way,
        ),
        mirrored(
          'turned',
          [
            [face, outer + 17],
            [face, outer + 6],
            [face + 2.5, outer + 6],
            [plate + 24, outer + 5],
            [plate + 27, outer - 24],
            [plate + 30, outer - 23],
            [plate + 27, outer + 8],
            [face + 3, outer + 10],
            [face + 3, outer + 17],
          ],
          way,
        ),
        line('hollow', [
          [plate + 19, way * (outer - 9)],
          [plate + 23, way * (outer - 28)],
          [fingers - 3, way * 60, 30],
          [fingers - 1, way * 27],
        ]),
      ]),
    ),
    ...as(
      'release bearing',
      m.bearingRest !== null,
      both((way) => [
        band('turned', at.rest, at.rest + 20, 22, 44, way),
        disc('turned', at.rest + 10, way * 33, 7),
        band('cut-other', at.rest + 2, at.rest + 44, 19, 23, way),
      ]),
    ),
    ...as('shaft', m.tip !== null && m.splineStart !== null, [
      outline('turned', [
        [at.tip, -nose + 2],
        [at.tip + 3, -nose],
        [noseEnd, -nose],
        [noseEnd + 4, -shaft + 1.5],
        [splines[0], -shaft],
        [splines[1], -shaft],
        [splines[1] + 5, -14.6],
        [B + 132, -14.6],
        [B + 132, -18],
        [B + 230, -18],
        [B + 230, 18],
        [B + 132, 18],
        [B + 132, 14.6],
        [splines[1] + 5, 14.6],
        [splines[1], shaft],
        [splines[0], shaft],
        [noseEnd + 4, shaft - 1.5],
        [noseEnd, nose],
        [at.tip + 3, nose],
        [at.tip, nose - 2],
      ]),
      ...steps(-9, 9, 3.6).map((y) =>
        line('inside', [
          [splines[0] + 2, y],
          [splines[1] - 2, y],
        ]),
      ),
    ]),
    ...as(
      'pilot',
      m.pieceBore !== null,
      both((way) => [
        band(
          'cut-fine',
          mouth - 2 - (m.pieceWidth ?? 12),
          mouth - 2,
          (m.pieceBore ?? nose * 2) / 2,
          bore,
          way,
        ),
      ]),
    ),
    ...starter(m, at.pinion),
    ...from('inside', [
      line('axis', [
        [-84, 0],
        [B + 230, 0],
      ]),
    ]),
  ]
}

/** The starter's pinion at rest, its axis above the crank's. */
function starter(m: MatingFigure, x: number): readonly Mark[] {
  const y = -(m.starterAxis ?? STAND_IN.axis)
  return as('starter', m.pinionRest !== null && m.starterAxis !== null, [
    box('casting', x, y - 12.7, x + 20, y + 12.7, 1),
    ...steps(0, 4, 1).map((i) =>
      line('inside', [
        [x + 1, y - 10 + i * 5],
        [x + 19, y - 10 + i * 5],
      ]),
    ),
    box('turned', x + 20, y - 6, x + 90, y + 6),
    box('cover', x + 42, y - 14, x + 90, y + 14, 2),
  ])
}

/** Converter in section at the mating plane: flange, flexplate with its ring, pads, converter, pump. */
export function matingConverter(m: MatingFigure): readonly Mark[] {
  const at = matingDepths(m)
  const f = m.flange ?? STAND_IN.flange
  const F = at.flange
  const B = at.bell
  const h = m.plateHeight ?? 7.5
  const padR = (m.padCircle ?? 250) / 2
  const c = at.pads
  const nose = (m.converterNose ?? 42) / 2
  const ringR = (m.ringOuter ?? 290) / 2
  return [
    ...crank(f, nose + 0.2, 30, 56),
    ...bell(B, true),
    ...between(m, f),
    ...as(
      'flexplate',
      m.plateHeight !== null && m.flange !== null,
      both((way) => [
        mirrored(
          'cut-fine',
          [
            [F, 22],
            [F, 62],
            [F + h - 0.5, 92],
            [F + h - 0.5, ringR - 9],
            [F + h + 3, ringR - 9],
            [F + h + 3, 90],
            [F + 3.4, 60],
            [F + 3.4, 22],
          ],
          way,
        ),
        band('cut-fine', F + h - 4, F + h + 9, ringR - 9, ringR, way),
        band('turned', F + 3.4, F + 11, 36, 54, way),
        band('turned', f - 22, F + 3.4, 40, 50, way),
      ]),
    ),
    ...as(
      'converter',
      m.pads !== null,
      both((way) => [
        band('cut-other', c, c + 9, padR - 13, padR + 13, way),
        band('turned', F + h - 7, F + h, padR - 9, padR + 9, way),
        mirrored(
          'cut-other',
          [
            [c - 16, nose],
            [c + 6, nose],
            [c + 9, 60],
            [c + 9, 126],
            [c + 26, 141],
            [c + 52, 141],
            [c + 96, 120],
            [c + 106, 84],
            [c + 96, 28],
            [c + 128, 28],
            [c + 128, 23],
            [c + 90, 23],
            [c + 99, 84],
            [c + 90, 114],
            [c + 52, 134],
            [c + 27, 134],
            [c + 15, 124],
            [c + 15, 60],
            [c + 11, 16],
            [c - 16, 16],
          ],
          way,
        ),
        outline('turned', [
          [c + 54, way * 128],
          [c + 28, way * 112, 20],
          [c + 26, way * 66, 20],
          [c + 52, way * 44],
          [c + 44, way * 86, 30],
          [c + 56, way * 108],
        ]),
        outline('casting', [
          [c + 60, way * 128],
          [c + 90, way * 112, 20],
          [c + 92, way * 66, 20],
          [c + 70, way * 44],
          [c + 76, way * 86, 30],
          [c + 60, way * 108],
        ]),
        mirrored(
          'cut-fine',
          [
            [c + 55, 20],
            [c + 67, 20],
            [c + 69, 66],
            [c + 53, 66],
          ],
          way,
        ),
      ]),
    ),
    ...as(
      'pump',
      true,
      both((way) => [
        band('cut', B + 150, B + 172, 23.5, 120, way),
        band('cut-fine', B + 156, B + 168, 30, 58, way),
      ]),
    ),
    ...as('shaft', true, [box('turned', c + 26, -13, B + 230, 13)]),
    ...from('inside', [
      line('axis', [
        [-84, 0],
        [B + 230, 0],
      ]),
    ]),
  ]
}
