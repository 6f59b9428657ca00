import { type CompiledPart, portOf } from '../ports/index.ts'
import { assemble, type Train } from './train.ts'

/** A length for the drawing: known, or a stand-in drawn dotted. */
export interface StripLength {
  readonly mm: number
  readonly known: boolean
}

/** The train to scale, mm rearward from the radiator. What is not known is a stand-in and says so. */
export interface Strip {
  readonly radiator: number
  readonly blockFace: StripLength
  readonly engine: { readonly length: StripLength; readonly height: StripLength }
  readonly plates: { readonly mm: number; readonly known: boolean; readonly added: boolean }[]
  readonly bell: StripLength
  readonly gearbox: { readonly length: StripLength; readonly height: StripLength }
  readonly frontAxle: StripLength
  readonly firewall: StripLength
  readonly rearAxle: StripLength
  readonly layout: string
}

/** Sizes drawn where nobody has measured, mm. For the picture only: no check reads them. */
const STAND_IN = { blockFace: 620, engine: 520, engineHeight: 600, bell: 160, gearbox: 560, gearboxHeight: 320, plate: 3, frontAxle: 280, firewall: 760, rearAxle: 2700 }

const lengthOf = (field: { v: number; claim: string | null }, standIn: number): StripLength => (field.claim === null ? { mm: standIn, known: false } : { mm: field.v, known: true })

/** Measures the strip of a train from its outlines and stack. */
export function stripOf(train: Train): Strip {
  const engine = portOf(train.engine, 'outline')
  const box = portOf(train.transmission, 'outline')
  const vehicle = portOf(train.recipient, 'outline')
  const added = new Set(train.inserted.map((part) => part.id))
  const plates = assemble(train).stack.filter((part) => part.ports.some((port) => port.kind === 'plate'))
  return {
    radiator: 0,
    blockFace: lengthOf(vehicle.blockFaceMm, STAND_IN.blockFace),
    engine: { length: lengthOf(engine.lengthMm, STAND_IN.engine), height: lengthOf(engine.heightMm, STAND_IN.engineHeight) },
    plates: plates.map((part: CompiledPart) => {
      const { mm, known } = lengthOf(portOf(part, 'plate').thicknessMm, STAND_IN.plate)
      return { mm, known, added: added.has(part.id) }
    }),
    bell: lengthOf(box.bellMm, STAND_IN.bell),
    gearbox: { length: lengthOf(box.lengthMm, STAND_IN.gearbox), height: lengthOf(box.heightMm, STAND_IN.gearboxHeight) },
    frontAxle: lengthOf(vehicle.frontAxleMm, STAND_IN.frontAxle),
    firewall: lengthOf(vehicle.firewallMm, STAND_IN.firewall),
    rearAxle: lengthOf(vehicle.rearAxleMm, STAND_IN.rearAxle),
    layout: vehicle.layout.v ?? engine.layout.v ?? 'lengthwise',
  }
}
