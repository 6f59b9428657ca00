import type { Joint, JointContext } from '../joints/joint.ts'
import { Recorder } from '../joints/judging/record.ts'
import type { Scene } from '../joints/judging/scene.ts'
import type { Tally } from '../joints/judging/tally.ts'
import { emptySide, type Side, slotsOf } from '../joints/side.ts'
import type { Verdict } from '../joints/verdict.ts'
import type { CompiledPart } from '../ports/index.ts'
import { indexOf, type PartIndex } from './part-index.ts'
import { bearingWithBell, withBell } from './with-bell.ts'

/** The parts of a pairing in order of power flow: what is checked. */
export interface Train {
  readonly engine: CompiledPart
  readonly transmission: CompiledPart
  readonly recipient: CompiledPart | null
  /** Behind the gearbox, where there is four-wheel drive. */
  readonly transfer?: CompiledPart | null
  /** The bell the gearbox's lengths were taken with, where it is a part of its own. */
  readonly ownBell?: CompiledPart | null
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
  /** Where joints meet: at each pair of faces or flanges, at the case, or all together. */
  readonly meetings: Readonly<Record<Joint['meets'], readonly Meeting[]>>
}

export const REPLACED: ReadonlySet<string> = new Set([
  'flywheel',
  'flexplate',
  'pilot',
  'starter',
  'cover',
  'disc',
  'release-bearing',
  'converter',
  'separator',
  'sump',
  'bellhousing',
])
export const WHEELS: ReadonlySet<string> = new Set(['flywheel', 'flexplate'])

/** The coupling with inserted parts replacing their kind; a flywheel also replaces a flexplate. */
function effectiveCoupling({ coupling, inserted }: Train): readonly CompiledPart[] {
  if (inserted.length === 0) return coupling
  const replaces = (part: CompiledPart): boolean =>
    inserted.some(
      (other) =>
        REPLACED.has(other.kind) &&
        (other.kind === part.kind || (WHEELS.has(other.kind) && WHEELS.has(part.kind))),
    )
  return [
    ...coupling.filter((part) => !replaces(part)),
    ...inserted.filter((part) => REPLACED.has(part.kind)),
  ]
}

/** The gearbox as it stands behind the bell in use, and that bell, where it is a part of its own. */
export function behindBell(told: Train): {
  readonly bell: CompiledPart | null
  readonly transmission: CompiledPart
} {
  const bell = effectiveCoupling(told).find(({ kind }) => kind === 'bellhousing') ?? null
  return {
    bell,
    transmission: bell
      ? withBell(told.transmission, told.ownBell ?? null, bell)
      : told.transmission,
  }
}

/** Puts a train together: which faces, flanges and shafts meet, and the plates and spacers between. */
export function assemble(told: Train): Assembly {
  const coupling = effectiveCoupling(told)
  const { bell, transmission } = behindBell(told)
  const train = { ...told, transmission }
  const plates: CompiledPart[] = []
  const spacers: CompiledPart[] = []
  let wheel: CompiledPart | undefined
  const a = copyOf(sideOfEngine(train.engine))
  const b = copyOf(sideOfGearbox(train.transmission, train.transfer ?? null, train.recipient))
  for (const part of coupling) {
    // What a bell brings stands on the gearbox by now.
    if (part === bell) continue
    const index = indexOf(
      bell && part.kind === 'release-bearing'
        ? bearingWithBell(part, train.transmission, told.ownBell ?? null, bell)
        : part,
    )
    if (index.hasPlate) plates.push(part)
    else placeOver(part.kind === 'sump' ? a : b, index)
    if (index.hasSpacer) spacers.push(part)
    if (wheel === undefined && WHEELS.has(part.kind)) wheel = part
  }
  for (const part of train.inserted) {
    if (REPLACED.has(part.kind)) continue
    if (indexOf(part).hasPlate) plates.push(part)
    if (indexOf(part).hasSpacer) spacers.push(part)
  }

  const engine = indexOf(train.engine)
  a.pilotBore = boreOf('pilotBore', spacers, wheel) ?? engine.pilotBore ?? emptySide().pilotBore
  a.converterBore = boreOf('converterBore', spacers, wheel) ?? a.converterBore
  const box = indexOf(train.transmission)

  // Without plates or spacers between, faces and flanges meet directly: one meeting serves every joint.
  const whole: readonly Meeting[] = [{ at: '', a, b }]
  return {
    stack: plates.length + spacers.length === 0 ? NOTHING : [...plates, ...spacers],
    meetings: {
      whole,
      faces: [
        ...(plates.length === 0 ? whole : faceMeetings(train, plates)),
        ...(bell && bell.id !== told.ownBell?.id ? [bellMeeting(bell, train.transmission)] : []),
      ],
      flanges: spacers.length === 0 ? whole : flangeMeetings(train.engine, spacers, wheel),
      case: train.transfer ? caseMeeting(a, b, box, indexOf(train.transfer)) : NO_MEETING,
    },
  }
}

/** Bell rear to case front, where another bell than its own is bolted to a gearbox. */
function bellMeeting(bell: CompiledPart, transmission: CompiledPart): Meeting {
  const [a, b] = [emptySide(), emptySide()]
  a.face = indexOf(bell).rearFace
  b.face = indexOf(transmission).caseFace
  return { at: `${bell.name} to ${transmission.name}`, a, b }
}

const NO_MEETING: readonly Meeting[] = []

const engineSides = new WeakMap<CompiledPart, Side>()
const gearboxSides = new WeakMap<
  CompiledPart,
  {
    readonly transfer: CompiledPart | null
    readonly recipient: CompiledPart | null
    readonly side: Side
  }
>()
const copyOf = (side: Side): Side => ({ ...side })

/** The engine's own side, put together once: many pairings begin with it. */
function sideOfEngine(part: CompiledPart): Side {
  let side = engineSides.get(part)
  if (!side) {
    side = emptySide()
    const index = indexOf(part)
    place(side, index)
    side.face = index.rearFace
    side.crankFlange = index.crankFlange
    engineSides.set(part, side)
  }
  return side
}

/** The gearbox's own side with what stands behind and around it, remembered for the vehicle last asked. */
function sideOfGearbox(
  part: CompiledPart,
  transfer: CompiledPart | null,
  recipient: CompiledPart | null,
): Side {
  const held = gearboxSides.get(part)
  if (held && held.transfer === transfer && held.recipient === recipient) return held.side
  const side = emptySide()
  place(side, indexOf(part))
  side.face = indexOf(part).frontFace
  if (transfer) behind(side, indexOf(transfer))
  if (recipient) place(side, indexOf(recipient))
  gearboxSides.set(part, { transfer, recipient, side })
  return side
}

/** Puts a coupling piece over what the train's own parts brought: it is the one in use. A stand-in only fills what nobody named. */
function placeOver(side: Side, index: PartIndex): void {
  const slots = slotsOf(side)
  for (let i = 0; i < index.placed.length; i++) {
    const { slot, port } = index.placed[i]!
    if (port.present || slots[slot]!.part === '?') slots[slot] = port
  }
  if (index.ratings.length > 0)
    side.ratings = side.ratings.length === 0 ? index.ratings : [...index.ratings, ...side.ratings]
}

/** Behind the gearbox stands the transfer case: its output is the train's, and its speedometer drive where it has one. */
function behind(b: Side, transfer: PartIndex): void {
  for (const { slot, port } of transfer.placed)
    if (slot !== 'face' && !(slot === 'speedDrive' && !port.present)) slotsOf(b)[slot] = port
  b.ratings = [...b.ratings, ...transfer.ratings]
}

/** Gearbox rear to case front: the same sides, with the faces that meet there. */
function caseMeeting(a: Side, b: Side, box: PartIndex, transfer: PartIndex): readonly Meeting[] {
  return [{ at: '', a: { ...a, face: box.rearFace }, b: { ...b, face: transfer.frontFace } }]
}

const NOTHING: readonly CompiledPart[] = []

/** Puts a part's ports on a side; what is there already stays, unless it is only a stand-in. */
function place(side: Side, index: PartIndex): void {
  const slots = slotsOf(side)
  for (let i = 0; i < index.placed.length; i++) {
    const { slot, port } = index.placed[i]!
    if (!slots[slot]!.present) slots[slot] = port
  }
  if (index.ratings.length > 0)
    side.ratings = side.ratings.length === 0 ? index.ratings : [...side.ratings, ...index.ratings]
}

/** A bore that the wheel or a spacer carries on, the one nearest the gearbox, in the slot that says from where its lengths are told; null where the crank's is used. */
function boreOf<K extends 'pilotBore' | 'converterBore'>(
  kind: K,
  spacers: readonly CompiledPart[],
  wheel: CompiledPart | undefined,
): NonNullable<PartIndex[K]> | null {
  const wheels = wheel && indexOf(wheel)[kind]
  if (wheels) return { ...wheels, slot: 'flange' }
  for (const spacer of spacers.toReversed()) {
    const own = indexOf(spacer)[kind]
    if (own) return { ...own, slot: 'spacer' }
  }
  return null
}

/** Engine face – plate – … – bell. A plate without a pattern, a thin separator, adds thickness and is passed over. */
function faceMeetings(train: Train, plates: readonly CompiledPart[]): Meeting[] {
  const meetings: Meeting[] = []
  let previous = train.engine
  const meet = (next: CompiledPart, at: string): void => {
    const a = emptySide()
    const b = emptySide()
    a.face = indexOf(previous).rearFace
    b.face = indexOf(next).frontFace
    meetings.push({ at, a, b })
    previous = next
  }
  const patterned = plates.length > 0 && plates.some((part) => indexOf(part).hasFace)
  for (const plate of plates)
    if (indexOf(plate).hasFace) meet(plate, `${previous.name} to ${plate.name}`)
  meet(train.transmission, patterned ? `${previous.name} to ${train.transmission.name}` : '')
  return meetings
}

/** Crank – spacer – … – wheel. A spacer brings its own longer bolts; the clamped thickness stays the wheel's. */
function flangeMeetings(
  engine: CompiledPart,
  spacers: readonly CompiledPart[],
  wheel: CompiledPart | undefined,
): Meeting[] {
  const meetings: Meeting[] = []
  const missing = emptySide()
  const wheelBolts = wheel ? indexOf(wheel).flangeBolts : missing.flangeBolts
  const longer = spacers.find((part) => indexOf(part).flangeBolts.present)
  const bolts = longer
    ? { ...indexOf(longer).flangeBolts, clampedMm: wheelBolts.clampedMm }
    : wheelBolts
  let previous = engine
  const meet = (next: CompiledPart | undefined, at: string): void => {
    const a = emptySide()
    const b = emptySide()
    a.crankFlange = indexOf(previous).crankFlange
    b.flywheel = next ? indexOf(next).flywheel : missing.flywheel
    b.flangeBolts = bolts
    meetings.push({ at, a, b })
    if (next) previous = next
  }
  for (const spacer of spacers) meet(spacer, `${previous.name} to ${spacer.name}`)
  meet(wheel, spacers.length > 0 ? `${previous.name} to ${wheel?.name ?? 'wheel'}` : '')
  return meetings
}

/** The context of an assembly's checks: what the pairing says, with the stack between. */
export const contextOf = (assembly: Assembly, ctx: PairingContext): JointContext => ({
  stack: assembly.stack,
  tolerances: ctx.tolerances,
  use: ctx.use,
  placement: ctx.placement,
})

/** The scenes a joint is judged in, one for each meeting. */
export const scenesOf = (
  joint: Joint,
  assembly: Assembly,
  ctx: JointContext,
): readonly (Scene & { readonly at: string })[] =>
  assembly.meetings[joint.meets].map(({ at, a, b }) => ({
    at,
    a,
    b,
    stack: assembly.stack,
    shop: ctx,
    each: null,
    item: null,
  }))

/** One joint of an assembly as a record, judged at each of its meetings; null where it does not apply. */
export function recordJoint(joint: Joint, assembly: Assembly, ctx: JointContext): Verdict | null {
  const recorder = new Recorder()
  const applied = scenesOf(joint, assembly, ctx).filter((scene) =>
    recorder.add(joint, scene, scene.at),
  )
  return applied.length > 0 ? recorder.verdict(joint.id) : null
}

/** The numbers of one joint of an assembly alone; false where it does not apply. */
export const tallyJoint = (
  joint: Joint,
  assembly: Assembly,
  ctx: JointContext,
  tally: Tally,
): boolean => scenesOf(joint, assembly, ctx).filter((scene) => tally.add(joint, scene)).length > 0
