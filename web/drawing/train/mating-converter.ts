import type { MatingFigure } from '../../../core/train/mating-figure.ts'
import { as, box, from, line, type Mark, outline } from './mark.ts'
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
