import { matchFaces } from '../../joints/search/pattern-match.ts'
import { lineLength, lineOf } from '../../joints/shaft-line.ts'
import type { Tolerances } from '../../joints/tolerances.ts'
import type { PairingResult } from '../../pairing/pairing.ts'
import { assemble, contextOf, type PairingContext, type Train } from '../../pairing/train.ts'
import { type CompiledPart, portOf } from '../../ports/index.ts'
import { FACT_KEYS, type Fact, type FactKey, type FactValue } from './facts.ts'

export interface BriefFacts {
  /** The shop's: how many bolts meet is counted by them. */
  readonly tolerances: Tolerances
  /** Ids of parts the recipient already has. */
  readonly recipients: ReadonlySet<string>
  readonly use?: PairingContext['use']
  readonly placement?: PairingContext['placement']
}

/** What follows from a chosen pairing. */
export function pairingFacts(
  train: Train,
  result: PairingResult,
  partOf: (id: string) => CompiledPart | undefined,
  brief: BriefFacts,
): Fact[] {
  const facts: Fact[] = []
  const say = (key: FactKey, value: FactValue | null | undefined): void => {
    if (value !== null && value !== undefined) facts.push({ key, value })
  }
  say('gearbox.type', portOf(train.transmission, 'ratios').type.v)
  for (const kind of ['engine', 'transmission'] as const) {
    say(`${kind}.part`, train[kind].id)
    say(`${kind}.name`, train[kind].name)
    say(`${kind}.recipients`, brief.recipients.has(train[kind].id))
  }
  const inserted = result.chosen.map(partOf).filter((part) => part !== undefined)
  for (const part of train.coupling) {
    const key = `coupling.${part.kind}` as FactKey
    if (Object.hasOwn(FACT_KEYS, key))
      say(key, (inserted.find((other) => other.kind === part.kind) ?? part).id)
  }
  if (inserted.length > 0) {
    say('insert.parts', inserted.map((part) => part.id).join(' '))
    say('insert.kinds', inserted.map((part) => part.kind).join(' '))
  }
  const plates = inserted.filter((part) => part.ports.some((port) => port.kind === 'plate'))
  say('face.plates', plates.length)
  faces(train, plates[0], brief.tolerances, say)
  const flange = portOf(train.engine, 'crank-flange')
  say('flange.bolts', flange.angles.v?.length)
  say('flange.thread', flange.thread.v)
  // A spacer brings its own longer bolts; else the wheel's are wanted.
  const carrier =
    inserted.find((part) => part.kind === 'spacer' && portOf(part, 'flange-bolts').present) ??
    inserted.find(isWheel) ??
    train.coupling.find(isWheel)
  const { oilL } = portOf(train.engine, 'engine-output')
  const { capacityL } = portOf(train.engine, 'sump')
  const held = Number.isFinite(oilL.v) ? oilL.v : capacityL.v
  if (Number.isFinite(held)) say('engine.oilL', held)
  say('propshaft.lengthMm', shaftLength({ ...train, inserted }, brief))
  const lengthMm = portOf(carrier, 'flange-bolts').lengthMm.v
  if (!Number.isNaN(lengthMm)) say('flange.lengthMm', lengthMm)
  return facts
}

/** Of the propshaft, where the train has one and both its ends are measured. */
function shaftLength(train: Train, { tolerances, use, placement }: BriefFacts): number | undefined {
  const assembly = assemble(train)
  const { a, b } = assembly.meetings.whole[0]!
  if (b.ratios.finalDrive.claim !== null) return undefined
  const length = lineLength(lineOf(a, b, contextOf(assembly, { tolerances, use, placement })))
  return Number.isFinite(length) ? length : undefined
}

const isWheel = (part: CompiledPart): boolean =>
  part.kind === 'flywheel' || part.kind === 'flexplate'

function faces(
  train: Train,
  plate: CompiledPart | undefined,
  tolerances: Tolerances,
  say: (key: FactKey, value: FactValue | null | undefined) => void,
): void {
  const block = portOf(train.engine, 'face', 'rearward')
  const meeting = plate
    ? portOf(plate, 'face', 'forward')
    : portOf(train.transmission, 'face', 'forward')
  say('face.thread', block.holes.v?.find((hole) => hole.thread)?.thread)
  say('face.dowels', block.dowels.v?.length)
  if (block.holes.v && meeting.holes.v)
    say('face.bolts', matchFaces(block, meeting, tolerances).met.length)
  else say('face.bolts', block.holes.v?.length)
}
