import { JOINTS } from '../joints/index.ts'
import type { StripPlace } from '../joints/joint.ts'
import type { Zone } from '../ports/field.ts'
import { type CompiledPart, portOf } from '../ports/index.ts'
import { assemble, type Train } from './train.ts'

/** A length for the drawing: known, or a stand-in drawn dotted. */
export interface StripLength {
  readonly mm: number
  readonly known: boolean
}

export type Layout = 'lengthwise' | 'crosswise' | 'mid'

/** The train to scale, mm rearward from the radiator. What is not known is a stand-in and says so. */
export interface Strip {
  readonly layout: Layout
  /** Where each joint that is drawn stands. */
  readonly joints: Readonly<Record<string, StripPlace>>
  readonly blockFace: StripLength
  readonly engine: {
    readonly length: StripLength
    readonly height: StripLength
    readonly width: StripLength
  }
  readonly plates: { readonly mm: number; readonly known: boolean; readonly added: boolean }[]
  readonly bell: StripLength
  readonly gearbox: {
    readonly length: StripLength
    readonly height: StripLength
    readonly width: StripLength
  }
  readonly frontAxle: StripLength
  readonly firewall: StripLength
  readonly rearAxle: StripLength
  readonly track: StripLength
  /** Mount pads of the engine from the block face, and across; null where nobody measured. */
  readonly enginePads: { readonly alongMm: number; readonly spreadMm: number } | null
  /** Mount pad of the gearbox from its bell face. */
  readonly gearboxPad: { readonly alongMm: number } | null
  /** The pan by zone, along from the block face and below the crank axis. */
  readonly sump: readonly Zone[]
  /** What passes under the engine, in the same frame; empty unless the vehicle's mounts are measured too. */
  readonly under: readonly Zone[]
}

/** Sizes drawn where nobody has measured, mm. For the picture only: no check reads them. */
const STAND_IN = {
  blockFace: 620,
  engine: 520,
  engineHeight: 600,
  engineWidth: 480,
  bell: 160,
  gearbox: 560,
  gearboxHeight: 320,
  gearboxWidth: 320,
  plate: 3,
  frontAxle: 280,
  firewall: 760,
  rearAxle: 2700,
  track: 1320,
}

const lengthOf = (field: { v: number; claim: string | null }, standIn: number): StripLength =>
  field.claim === null ? { mm: standIn, known: false } : { mm: field.v, known: true }

/** Measures the strip of a train from its outlines, mounts and stack. */
export function stripOf(train: Train): Strip {
  const engine = portOf(train.engine, 'outline')
  const box = portOf(train.transmission, 'outline')
  const vehicle = portOf(train.recipient, 'outline')
  const added = new Set(train.inserted.map((part) => part.id))
  const stack = assemble(train).stack.filter((part) =>
    part.ports.some((port) => port.kind === 'plate'),
  )
  const plates = stack.map((part: CompiledPart) => {
    const { mm, known } = lengthOf(portOf(part, 'plate').thicknessMm, STAND_IN.plate)
    return { mm, known, added: added.has(part.id) }
  })
  const pads = portOf(train.engine, 'engine-pads')
  const pad = portOf(train.transmission, 'mount-pad')
  const mounts = portOf(train.recipient, 'chassis-pads')
  const crossmember = portOf(train.recipient, 'crossmember')
  // Kept driveline, as most builds are drawn: the gearbox on its crossmember says where the engine's mounts are.
  const origin =
    plates.reduce((sum, plate) => sum + plate.mm, 0) + pad.alongMm.v - crossmember.alongMm.v
  return {
    joints: Object.fromEntries(JOINTS.flatMap(({ id, strip }) => (strip ? [[id, strip]] : []))),
    layout: (vehicle.layout.v ?? engine.layout.v ?? 'lengthwise') as Layout,
    blockFace: lengthOf(vehicle.blockFaceMm, STAND_IN.blockFace),
    engine: {
      length: lengthOf(engine.lengthMm, STAND_IN.engine),
      height: lengthOf(engine.heightMm, STAND_IN.engineHeight),
      width: lengthOf(engine.widthMm, STAND_IN.engineWidth),
    },
    plates,
    bell: lengthOf(box.bellMm, STAND_IN.bell),
    gearbox: {
      length: lengthOf(box.lengthMm, STAND_IN.gearbox),
      height: lengthOf(box.heightMm, STAND_IN.gearboxHeight),
      width: lengthOf(box.widthMm, STAND_IN.gearboxWidth),
    },
    frontAxle: lengthOf(vehicle.frontAxleMm, STAND_IN.frontAxle),
    firewall: lengthOf(vehicle.firewallMm, STAND_IN.firewall),
    rearAxle: lengthOf(vehicle.rearAxleMm, STAND_IN.rearAxle),
    track: lengthOf(vehicle.widthMm, STAND_IN.track),
    enginePads:
      Number.isNaN(pads.alongMm.v) || Number.isNaN(pads.spreadMm.v)
        ? null
        : { alongMm: pads.alongMm.v, spreadMm: pads.spreadMm.v },
    gearboxPad: Number.isNaN(pad.alongMm.v) ? null : { alongMm: pad.alongMm.v },
    sump: portOf(train.engine, 'sump').zones.v ?? [],
    under: Number.isNaN(origin + mounts.crankAboveMm.v)
      ? []
      : (portOf(train.recipient, 'under-engine').zones.v ?? []).map((zone) => ({
          ...zone,
          fromMm: zone.fromMm + origin,
          toMm: zone.toMm + origin,
          depthMm: zone.depthMm + mounts.crankAboveMm.v,
        })),
  }
}
