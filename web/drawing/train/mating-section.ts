import type { MatingFigure } from '../../../core/train/mating-figure.ts'
import { as, box, type Corner, type Look, type Mark, outline } from './mark.ts'

/** Lengths of a clutch nobody measured, mm (common practice, no published source). */
export const STAND_IN = {
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
export const both = (draw: (way: 1 | -1) => readonly Mark[]): readonly Mark[] => [
  ...draw(-1),
  ...draw(1),
]
export const band = (look: Look, x0: number, x1: number, a: number, b: number, way: number): Mark =>
  box(look, x0, way < 0 ? -b : a, x1, way < 0 ? -a : b)
export const mirrored = (look: Look, corners: readonly Corner[], way: number): Mark =>
  outline(
    look,
    corners.map(([x, y]): Corner => [x, y * way]),
  )

/** The crankcase's rear wall with the crank's flange, its face at f. */
export const crank = (f: number, bore: number, depth: number, flangeR: number): readonly Mark[] => [
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
export const bell = (B: number, isConverter: boolean): readonly Mark[] =>
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

export const between = (m: MatingFigure, f: number): readonly Mark[] => [
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
