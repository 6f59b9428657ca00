import type { Meeting } from '../pairing/train.ts'
import { mmOf } from './size.ts'
import type { stackDepths } from './stack.ts'

/** A length at the mating plane: from the block face rearward, or a Ø; null where nobody measured it. */
export type Depth = number | null

/** The mating plane in section, mm. From the block face: f, mouth, bottom. From the flange F: wheel, ring, pads. From the bell face: shaft, bearing, converter. */
export interface MatingFigure {
  readonly kind: 'clutch' | 'converter'
  readonly platesMm: number
  readonly isPlates: boolean
  readonly spacersMm: number
  readonly flange: Depth
  readonly clutchFace: Depth
  readonly ringNear: Depth
  readonly ringWidth: Depth
  readonly ringOuter: Depth
  readonly wheelOuter: Depth
  readonly discOuter: Depth
  readonly discInner: Depth
  readonly hubStart: Depth
  readonly hubEnd: Depth
  readonly fingers: Depth
  readonly bearingRest: Depth
  readonly pilotMouth: Depth
  readonly pilotBore: Depth
  readonly pieceBore: Depth
  readonly pieceWidth: Depth
  readonly tip: Depth
  readonly noseEnd: Depth
  readonly nose: Depth
  readonly splineStart: Depth
  readonly splineEnd: Depth
  readonly splineMajor: Depth
  readonly splines: Depth
  readonly pinionRest: Depth
  readonly starterAxis: Depth
  readonly pads: Depth
  readonly padCircle: Depth
  readonly plateHeight: Depth
  readonly converterNose: Depth
}

/** The mating plane of an assembled train. */
export function matingFigure(
  { a, b }: Meeting,
  between: ReturnType<typeof stackDepths>,
): MatingFigure {
  return {
    kind: b.ratios.type.v === 'automatic' ? 'converter' : 'clutch',
    ...between,
    flange: mmOf(a.crankFlange.proudMm),
    clutchFace: mmOf(b.flywheel.clutchFaceMm),
    ringNear: mmOf(b.ring.nearMm),
    ringWidth: mmOf(b.ring.widthMm),
    ringOuter: mmOf(b.ring.outerMm),
    wheelOuter: mmOf(b.flywheel.outerMm),
    discOuter: mmOf(b.discFace.outerMm),
    discInner: mmOf(b.discFace.innerMm),
    hubStart: mmOf(b.discHub.startMm),
    hubEnd: mmOf(b.discHub.endMm),
    fingers: mmOf(b.coverFingers.heightMm),
    bearingRest: mmOf(b.releaseBearing.restMm),
    pilotMouth: mmOf(a.pilotBore.mouthMm),
    pilotBore: mmOf(a.pilotBore.boreMm),
    pieceBore: mmOf(b.pilotPiece.boreMm),
    pieceWidth: mmOf(b.pilotPiece.widthMm),
    tip: mmOf(b.inputShaft.tipMm),
    noseEnd: mmOf(b.inputShaft.noseEndMm),
    nose: mmOf(b.inputShaft.noseMm),
    splineStart: mmOf(b.inputShaft.splineStartMm),
    splineEnd: mmOf(b.inputShaft.splineEndMm),
    splineMajor: mmOf(b.inputShaft.majorMm),
    splines: mmOf(b.inputShaft.splines),
    pinionRest: mmOf(b.starter.pinionMm),
    starterAxis: mmOf(b.starterSeat.axisMm),
    pads: mmOf(b.pump.padMm),
    padCircle: mmOf(b.flexPads.circleMm),
    plateHeight: mmOf(b.flexPads.heightMm),
    converterNose: mmOf(b.converter.noseMm),
  }
}
