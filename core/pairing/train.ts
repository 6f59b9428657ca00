import type { Joint, JointContext } from '../joints/joint.ts'
import type { Sheet } from '../joints/sheet.ts'
import { emptySide, type Side, sideOf } from '../joints/side.ts'
import { type AnyPort, type CompiledPart, portOf } from '../ports/index.ts'

/** The parts of a pairing in order of power flow: what is checked. */
export interface Train {
  readonly engine: CompiledPart
  readonly transmission: CompiledPart
  readonly recipient: CompiledPart | null
  /** Separator, wheel, clutch or converter, starter, pilot. */
  readonly coupling: readonly CompiledPart[]
  /** Adapter plates, spacers and replacements put in to close a gap; a wheel or pilot replaces its kind. */
  readonly inserted: readonly CompiledPart[]
}

/** What a pairing's checks read beside its parts. */
export type PairingContext = Omit<JointContext, 'stack'>

/** One place where two parts meet, its two sides arranged. */
export interface Meeting {
  readonly at: string
  readonly a: Side
  readonly b: Side
}

export interface Assembly {
  readonly stack: readonly CompiledPart[]
  readonly meetings: Readonly<Record<string, readonly Meeting[]>>
  readonly first: CompiledPart
  readonly last: CompiledPart
}

const REPLACED = new Set(['flywheel', 'flexplate', 'pilot', 'starter', 'cover', 'disc', 'release-bearing', 'converter', 'separator'])
const WHEELS = new Set(['flywheel', 'flexplate'])
const has = (part: CompiledPart, kind: AnyPort['kind']): boolean => part.ports.some((port) => port.kind === kind)

/** The coupling with inserted parts replacing their kind; a flywheel also replaces a flexplate. */
function effectiveCoupling(train: Train): CompiledPart[] {
  if (train.inserted.length === 0) return [...train.coupling]
  const replaces = (part: CompiledPart): boolean =>
    train.inserted.some((other) => REPLACED.has(other.kind) && (other.kind === part.kind || (WHEELS.has(other.kind) && WHEELS.has(part.kind))))
  return [...train.coupling.filter((part) => !replaces(part)), ...train.inserted.filter((part) => REPLACED.has(part.kind))]
}

/** Puts a train together: which faces, flanges and shafts meet, and the plates and spacers between. */
export function assemble(train: Train): Assembly {
  const coupling = effectiveCoupling(train)
  const plates = [...coupling, ...train.inserted.filter((part) => !REPLACED.has(part.kind))].filter((part) => has(part, 'plate'))
  const spacers = [...coupling, ...train.inserted].filter((part) => has(part, 'spacer'))
  const wheel = coupling.find((part) => WHEELS.has(part.kind))
  const carrier = [...spacers, wheel].find((part) => part !== undefined && has(part, 'pilot-bore')) ?? train.engine

  const a = sideOf(train.engine.ports)
  const boreless = { ...a, pilotBore: portOf(carrier, 'pilot-bore') }
  // A spacer brings its own longer bolts; the clamped thickness stays the wheel's.
  const longBolts = spacers.find((part) => has(part, 'flange-bolts'))
  const pieces = coupling.filter((part) => !has(part, 'plate'))
  const ports: AnyPort[] = []
  for (const part of [...pieces, train.transmission]) for (const port of part.ports) if (port.kind !== 'pilot-bore' && port.kind !== 'crank-flange') ports.push(port)
  if (train.recipient) for (const port of train.recipient.ports) ports.push(port)
  const b = sideOf(ports)

  return {
    stack: [...plates, ...spacers],
    first: train.engine,
    last: train.transmission,
    meetings: {
      'block-face': faceMeetings(train, plates),
      'crank-flange': flangeMeetings(train.engine, spacers, wheel, longBolts),
      depth: [{ at: '', a: boreless, b }],
      pilot: [{ at: '', a: boreless, b }],
      torque: [{ at: '', a: boreless, b }],
    },
  }
}

/** Engine face – plate – … – bell. A plate without a pattern, a thin separator, adds thickness and is passed over. */
function faceMeetings(train: Train, plates: readonly CompiledPart[]): Meeting[] {
  const chain = [train.engine, ...plates.filter((part) => has(part, 'face')), train.transmission]
  return chain.slice(1).map((next, i) => {
    const previous = chain[i]!
    const a = emptySide()
    const b = emptySide()
    a.face = portOf(previous, 'face', 'rearward')
    b.face = portOf(next, 'face', 'forward')
    return { at: chain.length > 2 ? `${previous.name} to ${next.name}` : '', a, b }
  })
}

function flangeMeetings(engine: CompiledPart, spacers: readonly CompiledPart[], wheel: CompiledPart | undefined, longBolts: CompiledPart | undefined): Meeting[] {
  const chain = [engine, ...spacers, wheel]
  const wheelBolts = portOf(wheel, 'flange-bolts')
  const own = portOf(longBolts, 'flange-bolts')
  const bolts = own.present ? { ...own, clampedMm: wheelBolts.clampedMm } : wheelBolts
  return chain.slice(1).map((next, i) => {
    const previous = chain[i]!
    const a = emptySide()
    const b = emptySide()
    a.crankFlange = portOf(previous, 'crank-flange')
    b.flywheel = portOf(next, 'flywheel')
    b.flangeBolts = bolts
    return { at: chain.length > 2 ? `${previous.name} to ${next?.name ?? 'wheel'}` : '', a, b }
  })
}

/** Runs one joint of an assembly on a sheet; a joint with several meetings is judged at each. False where it does not apply. */
export function checkAssembly(joint: Joint, assembly: Assembly, ctx: PairingContext, sheet: Sheet): boolean {
  const full: JointContext = { ...ctx, stack: assembly.stack }
  let applied = false
  for (const meeting of assembly.meetings[joint.id] ?? []) {
    if (!joint.applies(meeting.a, meeting.b, full)) continue
    applied = true
    if (meeting.at !== '') sheet.at(meeting.at)
    joint.check(meeting.a, meeting.b, full, sheet)
  }
  return applied
}
