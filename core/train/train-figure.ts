import { JOINTS } from '../joints/index.ts'
import type { PlacementSchool, StripPlace } from '../joints/joint.ts'
import { assemble, behindBell, type Train } from '../pairing/train.ts'
import { portOf } from '../ports/index.ts'
import { type EngineFigure, engineFigure } from './engine-figure.ts'
import { type GearboxFigure, gearboxFigure } from './gearbox-figure.ts'
import { type MatingFigure, matingFigure } from './mating-figure.ts'
import type { Size } from './size.ts'
import { type PlateFigure, platesOf, stackDepths } from './stack.ts'
import { type TransferFigure, transferFigure } from './transfer-figure.ts'
import { type VehicleFigure, vehicleFigure } from './vehicle-figure.ts'

/** A train in its vehicle as it is drawn, mm. What is not known is a stand-in and says so. */
export interface TrainFigure {
  readonly engine: EngineFigure
  readonly plates: readonly PlateFigure[]
  readonly gearbox: GearboxFigure
  readonly transfer: TransferFigure | null
  readonly vehicle: VehicleFigure
  readonly mating: MatingFigure
  /** Whether the crank lies across the vehicle. */
  readonly isAcross: boolean
  /** Block face behind the radiator, mm: where its placement puts it, else where the vehicle's own engine had it. */
  readonly face: Size
  /** The vehicle's engine mounts behind the block face, mm; null where what its placement leans on is not measured. */
  readonly mountsMm: number | null
  /** Where each joint that is drawn stands. */
  readonly joints: Readonly<Record<string, StripPlace>>
}

/**
 * What a train is drawn from: its outlines, mounts and stack, where its placement school puts it: kept, the gearbox on its
 * crossmember says where the engine is; set back, the engine on its mounts says where the gearbox is.
 */
export function trainFigure(train: Train, placement: PlacementSchool = 'keep'): TrainFigure {
  const assembly = assemble(train)
  const added = new Set(train.inserted.map((part) => part.id))
  const { bell, transmission } = behindBell(train)
  const gearbox = gearboxFigure(transmission, bell)
  const vehicle = vehicleFigure(train.recipient)
  const depths = stackDepths(assembly.stack)
  const engine = engineFigure(train.engine)
  const kept =
    gearbox.pad && vehicle.crossmember
      ? depths.platesMm + gearbox.pad.alongMm - vehicle.crossmember.alongMm
      : null
  const mounts = placement === 'set-back' ? (engine.pads?.alongMm ?? null) : kept
  return {
    engine,
    plates: platesOf(assembly.stack, added),
    gearbox,
    transfer: train.transfer ? transferFigure(train.transfer) : null,
    vehicle,
    isAcross: isAcross(train, vehicle.layout),
    mating: matingFigure(assembly.meetings.whole[0]!, depths),
    face:
      mounts !== null && vehicle.mountsMm !== null
        ? { mm: vehicle.mountsMm - mounts, known: true }
        : vehicle.blockFace,
    mountsMm: mounts,
    joints: Object.fromEntries(JOINTS.flatMap(({ id, strip }) => (strip ? [[id, strip]] : []))),
  }
}

/** Across at the front by the vehicle's layout; behind the seats as the engine was born, where that is said. */
function isAcross(train: Train, layout: VehicleFigure['layout']): boolean {
  if (layout !== 'mid' && layout !== 'rear') return layout === 'crosswise'
  const born =
    portOf(train.engine, 'engine-traits').born.v ?? portOf(train.engine, 'outline').layout.v
  return born === null ? layout === 'mid' : born === 'crosswise'
}
