import type { PatternMatch } from '../../../core/joints/search/correspondence.ts'
import { matchFaces } from '../../../core/joints/search/pattern-match.ts'
import type { Tolerances } from '../../../core/joints/tolerances.ts'
import type { PairingResult } from '../../../core/pairing/pairing.ts'
import { designPlate, type PlateDesign, turned } from '../../../core/patterns/plate.ts'
import type { Dowel, Hole, Point } from '../../../core/ports/field.ts'
import { type Compiled, type CompiledPart, portOf } from '../../../core/ports/index.ts'
import type { Store } from '../../database/store.ts'
import type { PatternFace } from '../../documents/pattern-dxf.ts'
import { UnprocessableError } from '../../errors.ts'
import { viewBuild } from '../builds/build-view.ts'
import { runBuildPairing } from './pairing-run.ts'

interface FaceView {
  readonly name: string
  readonly holes: readonly Hole[]
  readonly dowels: readonly Dowel[]
  readonly outline: readonly Point[]
}

export interface PlateView {
  readonly engine: FaceView
  readonly gearbox: FaceView
  readonly match: Pick<
    PatternMatch,
    'met' | 'missingA' | 'missingB' | 'odd' | 'offsetMm' | 'turnDeg' | 'placement'
  > & { readonly worstMm: number | null }
  readonly design: PlateDesign
}

const viewOf = (part: CompiledPart, face: Compiled<'face'>): FaceView | null =>
  face.holes.v
    ? {
        name: part.name,
        holes: face.holes.v,
        dowels: face.dowels.v ?? [],
        outline: face.outline.v ?? [],
      }
    : null

/** Both patterns of a pairing on one axis, how far they meet as they are, and the plate that would join them; null until both are known. */
export function plateOf(
  engine: CompiledPart,
  transmission: CompiledPart,
  result: PairingResult,
  tolerance: Tolerances,
): PlateView | null {
  const rear = portOf(engine, 'face', 'rearward')
  const front = portOf(transmission, 'face', 'forward')
  const [a, b] = [viewOf(engine, rear), viewOf(transmission, front)]
  if (!a || !b) return null
  const match = matchFaces(rear, front, tolerance)
  const offset = result.joints
    .find((joint) => joint.joint === 'depth')
    ?.bare.shown.find((one) => one.label.startsWith('e,'))?.value
  // The flywheel too far back by so much is what a plate may be thick.
  const depthMm = typeof offset === 'number' ? -offset : null
  const { met, missingA, missingB, odd, offsetMm, turnDeg, placement, worstMm } = match
  return {
    engine: a,
    gearbox: b,
    match: {
      met,
      missingA,
      missingB,
      odd,
      offsetMm,
      turnDeg,
      placement,
      // Where nothing meets there is no worst.
      worstMm: Number.isFinite(worstMm) ? worstMm : null,
    },
    design: designPlate(a, b, depthMm, front.mayTurn.v === true),
  }
}

/** The faces of a plate as they go to the cutter: the engine's as it stands, the gearbox's turned as designed. */
export async function plateFaces(
  store: Store,
  buildId: string,
  engineId: string,
  transmissionId: string,
): Promise<{ title: string; faces: PatternFace[] }> {
  const view = await viewBuild(store, buildId)
  const run = runBuildPairing(view, engineId, transmissionId)
  const plate = plateOf(
    run.train.engine,
    run.train.transmission,
    run.result,
    view.catalogue.tolerances,
  )
  if (!plate)
    throw new UnprocessableError(
      'Both patterns must be known before a plate is drawn: measure the holes of both faces first.',
    )
  const { turnDeg } = plate.design
  const register = portOf(run.train.engine, 'crank-flange').registerMm.v
  return {
    title: `Plate, ${plate.engine.name} to ${plate.gearbox.name}`,
    faces: [
      {
        ...plate.engine,
        name: 'engine',
        ...(Number.isFinite(register) ? { registerMm: register } : {}),
      },
      {
        name: 'gearbox',
        holes: turned(plate.gearbox.holes, turnDeg),
        dowels: turned(plate.gearbox.dowels, turnDeg),
        outline: turned(plate.gearbox.outline, turnDeg),
      },
    ],
  }
}
