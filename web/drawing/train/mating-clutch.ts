import type { MatingFigure } from '../../../core/train/mating-figure.ts'
import { as, box, disc, from, line, type Mark, outline, steps } from './mark.ts'
import {
  band,
  bell,
  between,
  both,
  crank,
  matingDepths,
  mirrored,
  STAND_IN,
} from './mating-section.ts'

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
        band('cut-fine', at.ring, at.ring + ringWide, Math.min(wheelR, ringR - 9), ringR, way),
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
