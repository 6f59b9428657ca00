import { own } from '../own.ts'
import { axle } from './axle.ts'
import { bay } from './bay.ts'
import { bell } from './bell.ts'
import { caseShaft } from './case-shaft.ts'
import { chassisPads } from './chassis-pads.ts'
import { clutchPedal } from './clutch-pedal.ts'
import { clutchSeat } from './clutch-seat.ts'
import { converter } from './converter.ts'
import { converterBore } from './converter-bore.ts'
import { coverFingers } from './cover-fingers.ts'
import { coverMount } from './cover-mount.ts'
import { crankFlange } from './crank-flange.ts'
import { crankSensor } from './crank-sensor.ts'
import { crossmember } from './crossmember.ts'
import { cylinders } from './cylinders.ts'
import { discFace } from './disc-face.ts'
import { discHub } from './disc-hub.ts'
import { driveShafts } from './drive-shafts.ts'
import { engineOutput } from './engine-output.ts'
import { enginePads } from './engine-pads.ts'
import { engineTraits } from './engine-traits.ts'
import { face } from './face.ts'
import type { Field, FieldWords } from './field.ts'
import { flangeBolts } from './flange-bolts.ts'
import { flexPads } from './flex-pads.ts'
import { flywheel } from './flywheel.ts'
import { frontAxle } from './front-axle.ts'
import { frontDrive } from './front-drive.ts'
import { gearboxTraits } from './gearbox-traits.ts'
import { inputShaft } from './input-shaft.ts'
import { lever } from './lever.ts'
import { leverOpening } from './lever-opening.ts'
import { loadSignal } from './load-signal.ts'
import { loadSource } from './load-source.ts'
import { mountPad } from './mount-pad.ts'
import { originalStack } from './original-stack.ts'
import { outline } from './outline.ts'
import { output } from './output.ts'
import { typedPorts } from './part-kinds.ts'
import { pilotBore } from './pilot-bore.ts'
import { pilotPiece } from './pilot-piece.ts'
import { pinion } from './pinion.ts'
import { plate } from './plate.ts'
import type { CompiledPort, Part, PortHead, PortKind } from './port.ts'
import { propshaft } from './propshaft.ts'
import { pump } from './pump.ts'
import { ratings } from './ratings.ts'
import { ratios } from './ratios.ts'
import { releaseBearing } from './release-bearing.ts'
import { releaseGear } from './release-gear.ts'
import { ring } from './ring.ts'
import { roadLoad } from './road-load.ts'
import { sensorSeat } from './sensor-seat.ts'
import { shaftHalf } from './shaft-half.ts'
import { sideOutputs } from './side-outputs.ts'
import { spacer } from './spacer.ts'
import { speedDrive } from './speed-drive.ts'
import { speedReader } from './speed-reader.ts'
import { starter } from './starter.ts'
import { starterRoom } from './starter-room.ts'
import { starterSeat } from './starter-seat.ts'
import { sump } from './sump.ts'
import { switchWants } from './switch-wants.ts'
import { switches } from './switches.ts'
import { takeOff } from './take-off.ts'
import { takeOffOpening } from './take-off-opening.ts'
import { transfer } from './transfer.ts'
import { transferInput } from './transfer-input.ts'
import { trigger } from './trigger.ts'
import { tunnel } from './tunnel.ts'
import { tyre } from './tyre.ts'
import { underEngine } from './under-engine.ts'
import { vehicleTraits } from './vehicle-traits.ts'

/** Every port kind, by power flow. Adding a kind is adding a file and a line here. */
export const PORT_KINDS = {
  'engine-output': engineOutput,
  face,
  bell,
  plate,
  'crank-flange': crankFlange,
  spacer,
  flywheel,
  'flange-bolts': flangeBolts,
  ring,
  starter,
  'pilot-bore': pilotBore,
  'pilot-piece': pilotPiece,
  'input-shaft': inputShaft,
  'disc-hub': discHub,
  'cover-fingers': coverFingers,
  'release-bearing': releaseBearing,
  'converter-bore': converterBore,
  'flex-pads': flexPads,
  converter,
  pump,
  ratios,
  ratings,
  'original-stack': originalStack,
  axle,
  tyre,
  cylinders,
  'engine-pads': enginePads,
  'chassis-pads': chassisPads,
  'mount-pad': mountPad,
  crossmember,
  sump,
  'under-engine': underEngine,
  'clutch-seat': clutchSeat,
  'cover-mount': coverMount,
  'disc-face': discFace,
  'clutch-pedal': clutchPedal,
  'release-gear': releaseGear,
  'starter-seat': starterSeat,
  'starter-room': starterRoom,
  'crank-sensor': crankSensor,
  trigger,
  'sensor-seat': sensorSeat,
  'front-drive': frontDrive,
  'case-shaft': caseShaft,
  output,
  propshaft,
  pinion,
  'transfer-input': transferInput,
  transfer,
  'front-axle': frontAxle,
  'load-signal': loadSignal,
  'load-source': loadSource,
  'take-off-opening': takeOffOpening,
  'take-off': takeOff,
  lever,
  'lever-opening': leverOpening,
  'speed-drive': speedDrive,
  'speed-reader': speedReader,
  switches,
  'switch-wants': switchWants,
  'side-outputs': sideOutputs,
  'drive-shafts': driveShafts,
  'shaft-half': shaftHalf,
  bay,
  tunnel,
  outline,
  'road-load': roadLoad,
  'vehicle-traits': vehicleTraits,
  'engine-traits': engineTraits,
  'gearbox-traits': gearboxTraits,
} as const

export type PortKindName = keyof typeof PORT_KINDS
export const PORT_KIND_NAMES = Object.keys(PORT_KINDS) as [PortKindName, ...PortKindName[]]
export type Compiled<K extends PortKindName> = ReturnType<(typeof PORT_KINDS)[K]['compile']>
export type AnyPort = CompiledPort & { readonly kind: PortKindName }

export const isPortKind = (kind: string): kind is PortKindName => Object.hasOwn(PORT_KINDS, kind)

/** Whether a port is of one kind: then it has that kind's fields. */
export const isOf = <K extends PortKindName>(
  port: AnyPort,
  kind: K,
): port is AnyPort & Compiled<K> => port.kind === kind

/** A port with some of its fields said anew. */
export const withFields = (
  port: AnyPort,
  fields: Readonly<Record<string, Field<unknown>>>,
): AnyPort => ({ ...port, ...fields }) as unknown as AnyPort

/** What stands in for a port nobody named. */
export const missingPort = (kind: PortKindName): AnyPort =>
  PORT_KINDS[kind].missing as unknown as AnyPort

/** The fields of a kind of port, by name. */
export const fieldsOf = (kind: PortKindName): Readonly<Record<string, FieldWords<unknown>>> =>
  PORT_KINDS[kind].fields as unknown as Record<string, FieldWords<unknown>>

/** A field of a port, by name. */
export const fieldOf = (port: PortHead, name: string): Field<unknown> | undefined =>
  own(port as unknown as Record<string, Field<unknown>>, name)

export interface CompiledPart {
  readonly id: string
  readonly kind: string
  readonly name: string
  readonly ports: readonly AnyPort[]
}

/** Ratings are limits a part may have: only a transmission is expected to. A separator has no pattern unless one is typed. */
const isExpected = (part: Part, kind: string, slot: string): boolean =>
  kind === 'ratings'
    ? part.kind === 'transmission' && slot === 'torque'
    : !(kind === 'face' && part.kind === 'separator')

/**
 * Ports a part of its kind should have and nobody has typed: stand-ins with every field unknown, owned by the part,
 * so that a missing length is asked of the right part.
 */
function untyped(part: Part): AnyPort[] {
  return typedPorts(part.kind)
    .filter(
      ({ kind, slot, looks }) =>
        isExpected(part, kind, slot) &&
        !part.ports.some(
          (port) => port.kind === kind && (looks === undefined || (port.looks ?? looks) === looks),
        ),
    )
    .map(
      ({ kind, slot, looks }) =>
        (PORT_KINDS[kind as PortKindName] as unknown as PortKind).compile(
          { id: `${part.id}/${kind}/${slot}`, kind, slot, looks, claims: {} },
          part,
          undefined,
          false,
        ) as AnyPort,
    )
}

/**
 * Compiles every port of a part, choosing claims; `specimen` is this very part, where the build holds one.
 * @throws Error on an unknown port kind
 */
export function compilePart(part: Part, specimen?: string): CompiledPart {
  const ports = part.ports.map((port) => {
    if (!isPortKind(port.kind))
      throw new Error(
        `"${port.kind}" is not a port kind. Known: ${Object.keys(PORT_KINDS).join(', ')}.`,
      )
    return (PORT_KINDS[port.kind] as unknown as PortKind).compile(port, part, specimen) as AnyPort
  })
  return Object.freeze({
    id: part.id,
    kind: part.kind,
    name: part.name,
    ports: Object.freeze([...ports, ...untyped(part)]),
  })
}

/** Ports of one kind, as they are compiled: the first that looks that way, or all. */
export function portsOf<K extends PortKindName>(
  part: CompiledPart | null | undefined,
  kind: K,
  looks?: 'forward' | 'rearward',
): readonly Compiled<K>[] {
  const found = part?.ports.filter(
    (port) => port.kind === kind && (looks === undefined || port.looks === looks),
  )
  return (found ?? []) as readonly CompiledPort[] as readonly Compiled<K>[]
}

/** The first port of a kind on a part, or the stand-in with every field unknown. */
export function portOf<K extends PortKindName>(
  part: CompiledPart | null | undefined,
  kind: K,
  looks?: 'forward' | 'rearward',
): Compiled<K> {
  const found = part?.ports.find(
    (port) => port.kind === kind && (looks === undefined || port.looks === looks),
  )
  return (found ?? PORT_KINDS[kind].missing) as CompiledPort as Compiled<K>
}
