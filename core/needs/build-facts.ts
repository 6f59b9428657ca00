import { COMPUTED_JOINTS } from '../facts/derived.ts'
import { FACT_ROWS, type FactKey, isFactKey } from '../facts/index.ts'
import type { Verdict } from '../joints/verdict.ts'
import type { JointResult } from '../pairing/pairing.ts'
import type { Train } from '../pairing/train.ts'
import type { Field } from '../ports/field.ts'
import { type CompiledPart, portOf } from '../ports/index.ts'
import { GRADES } from '../quantity/grade.ts'
import type { Room } from '../recipient/room.ts'
import type { SheetAnswers } from '../sheets/sheet.ts'
import type { KnownFact, KnownFacts } from './line-list.ts'

/** Everything of a build that answers a fact. */
export interface FactSources {
  /** Answers typed for this build, by fact. */
  readonly said: SheetAnswers
  readonly brief: SheetAnswers
  readonly law: SheetAnswers
  readonly bench: SheetAnswers
  /** The sheet of the donor chosen, and what is bought; null before one is. */
  readonly donor: { readonly answers: SheetAnswers; readonly kind: string } | null
  /** Answers to the stopper questions, by question. */
  readonly stoppers: Readonly<Record<string, string>>
  /** What must still work, by the brief's names. */
  readonly mustWork: readonly string[]
  readonly use: string | null
  readonly isSetBack: boolean
  readonly inspection: boolean | null
  readonly recipient: CompiledPart | null
  readonly train: Train | null
  /** Parts the recipient already has. */
  readonly isRecipients: (id: string) => boolean
  readonly joints: readonly Pick<JointResult, 'joint' | 'bare' | 'closed'>[]
  readonly rooms: readonly Room[]
  /** Kinds of the pieces put in to close the pairing. */
  readonly inserted: readonly string[]
  readonly hasKit: boolean
  /** Parts that the shop's notes know a fault of. */
  readonly faulty?: ReadonlySet<string>
}

/** Which stopper answers which fact. */
export const STOPPER_FACTS: Readonly<Record<string, FactKey>> = {
  'pilot-bore': 'engine.pilot-bored',
  'crank-sensor': 'engine.crank-sensor',
  'sump-end': 'engine.sump-clear',
  'front-output': 'gearbox.front-side',
  rotation: 'engine.turns',
  'starter-side': 'engine.starter-free',
  'ecu-set': 'engine.set',
  'load-signal': 'gearbox.load',
  'belt-sense': 'engine.belt-sense',
  papers: 'engine.papers',
  room: 'engine.head-room',
  law: 'law.allowed',
}

/** What must still work, by the brief's names. */
export const KEPT_FACTS: Readonly<Record<string, FactKey>> = {
  'air-conditioning': 'keep.air',
  'steering-assist': 'keep.steering-assist',
  'brake-assist': 'keep.brake-assist',
  cruise: 'keep.cruise',
  gauges: 'keep.gauges',
  'four-wheel-drive': 'keep.four-wheel-drive',
  'power-take-off': 'keep.take-off',
  speedometer: 'keep.speedometer',
  'range-indicator': 'keep.range',
  'emissions-equipment': 'keep.emissions',
  heater: 'keep.heater',
}

const USES: Readonly<Record<string, string>> = { road: 'daily', delivery: 'daily' }
const ROOMS: Readonly<Record<string, readonly string[]>> = {
  'room.length': ['bay-length'],
  'room.width': ['bay-width'],
  'room.bonnet': ['bay-height'],
  'room.booster': ['booster'],
  'room.column': ['column'],
  'room.tunnel': ['tunnel-bell', 'tunnel-lever', 'tunnel-tail', 'tunnel-case', 'tunnel-width'],
}
/** A joint that is computed answers what was asked of it. */
const ANSWERED: Readonly<Record<string, FactKey>> = {
  'crank-sensor': 'engine.crank-sensor',
  'sump-clearance': 'engine.sump-clear',
  rotation: 'engine.turns',
  'load-signal': 'gearbox.load',
}
const TRAITS = ['vehicle', 'engine', 'gearbox'] as const

/**
 * The facts of a build, each from the first source that knows it: what was typed here, measured or claimed of a part, read off
 * a joint or a room, answered on a sheet; else what its type assumes, or what is commonly so. What nobody knows is absent.
 */
export function buildFacts(from: FactSources): KnownFacts {
  const known = new Map<FactKey, KnownFact>()
  const say = (
    key: string,
    value: string | null | undefined,
    source: string,
    isAssumed = false,
  ): void => {
    if (!value || !isFactKey(key) || !FACT_ROWS[key].values.includes(value)) return
    const held = known.get(key)
    // What is assumed yields to anything that is said.
    if (held && !(held.isAssumed && !isAssumed)) return
    known.set(key, { value, from: source, ...(isAssumed ? { isAssumed } : {}) })
  }
  // What the shop has seen go wrong outlives an answer given before it was noted.
  const { train, faulty } = from
  if (train && faulty?.has(train.engine.id)) say('engine.fault', 'yes', 'notes of the shop')
  if (train && faulty?.has(train.transmission.id)) say('gearbox.fault', 'yes', 'notes of the shop')
  for (const [key, { value }] of Object.entries(from.said)) say(key, value, 'said here')
  ofBrief(from, say)
  ofParts(from, say)
  ofPairing(from, say)
  for (const [question, key] of Object.entries(STOPPER_FACTS))
    say(key, from.stoppers[question], 'stopper')
  for (const [id, { value }] of Object.entries(from.bench)) say(`bench.${id}`, value, 'bench check')
  ofDonor(from, say)
  for (const [key, { assumed }] of Object.entries(FACT_ROWS))
    if (assumed !== undefined) say(key, assumed, 'commonly so', true)
  // The gearbox is treated as the engine, if it is another; its own is left as it is.
  const school = known.get('build.school')
  const box = known.get('build.box')
  if (school && box)
    say('build.box-school', box.value === 'own' ? 'as-is' : school.value, 'as the engine', true)
  return Object.fromEntries(known)
}

type Say = (
  key: string,
  value: string | null | undefined,
  source: string,
  isAssumed?: boolean,
) => void

function ofBrief(from: FactSources, say: Say): void {
  const { brief, law, use, mustWork } = from
  const answer = (id: string): string | undefined => brief[id]?.value
  for (const [name, key] of Object.entries(KEPT_FACTS))
    say(key, mustWork.includes(name) ? 'yes' : 'no', 'brief')
  if (use) say('build.use', USES[use] ?? use, 'brief')
  say('build.place', from.isSetBack ? 'set-back' : 'keep', 'brief')
  for (const tool of ['weld', 'machine', 'flash', 'hoist'])
    say(`can.${tool}`, answer(`tool:${tool}`), 'brief')
  say('build.bolt-in', answer('bolt-in'), 'brief')
  say('build.uncut', answer('uncut'), 'brief')
  if (answer('needed-daily')?.trim()) say('build.daily', 'yes', 'brief')
  if (answer('target-nm')?.trim()) say('build.output', 'raised', 'brief')
  if (answer('reason') === 'The old engine failed') say('build.runs', 'no', 'brief')
  if (answer('cause')?.trim())
    say('build.cause-stays', answer('cause-gone') === 'yes' ? 'no' : 'yes', 'brief')
  const state = (id: string): string | undefined => law[`${id}:state`]?.value
  if (state('allowed') === 'Yes, in writing') say('law.allowed', 'yes', 'law')
  if (state('allowed') === 'No') say('law.allowed', 'no', 'law')
  if (from.inspection !== null) say('law.engineer', from.inspection ? 'yes' : 'no', 'brief')
  for (const [id, key] of [
    ['engineer', 'law.engineer'],
    ['noise', 'law.noise'],
  ] as const) {
    if (state(id) === 'Does not apply' || state(id) === 'No') say(key, 'no', 'law')
    else if (state(id) === 'Yes, in writing' || state(id) === 'Asked') say(key, 'yes', 'law')
  }
}

function ofParts({ recipient, train, isRecipients }: FactSources, say: Say): void {
  const owners = {
    vehicle: recipient,
    engine: train?.engine ?? null,
    gearbox: train?.transmission ?? null,
  }
  for (const owner of TRAITS) {
    const part = owners[owner]
    if (!part) continue
    const port = portOf(part, `${owner}-traits`)
    for (const [tail, field] of Object.entries(port))
      if (field !== null && typeof field === 'object' && 'claim' in field && field.claim !== null)
        say(
          `${owner}.${tail}`,
          field.v,
          GRADES[field.grade] ?? 'said',
          GRADES[field.grade] === 'assumed',
        )
  }
  const read = (key: string, field: Field<unknown>, value: string | null): void => {
    if (field.claim !== null && value !== null)
      say(key, value, 'of the part', GRADES[field.grade] === 'assumed')
  }
  if (recipient) {
    const { layout } = portOf(recipient, 'outline')
    read('vehicle.layout', layout, layout.v)
  }
  if (!train) return
  const { engine, transmission } = train
  const { type } = portOf(transmission, 'ratios')
  read('gearbox.type', type, type.v)
  say('build.engine', isRecipients(engine.id) ? 'kept' : 'other', 'pairing')
  say(
    'build.box',
    isRecipients(transmission.id) ? 'own' : 'with-engine',
    'pairing',
    !isRecipients(transmission.id),
  )
  if (isRecipients(engine.id)) say('donor.kind', 'none', 'pairing')
  const born = portOf(engine, 'outline').layout
  read('engine.born', born, born.v === 'mid' ? 'crosswise' : born.v)
  const { finished } = portOf(engine, 'pilot-bore')
  read('engine.pilot-bored', finished, finished.v === null ? null : finished.v ? 'yes' : 'no')
  const release = portOf(transmission, 'release-gear').type
  read('gearbox.release', release, release.v === 'fork' ? 'fork' : 'concentric')
  const output = portOf(transmission, 'output').type
  read('gearbox.output', output, output.v === 'slip' ? 'yoke' : 'flange')
  if (portOf(transmission, 'side-outputs').present) say('gearbox.output', 'sides', 'of the part')
  const speed = portOf(transmission, 'speed-drive').type
  read('gearbox.speedo', speed, speed.v === 'pulses' ? 'pulse' : speed.v)
  const reads = portOf(recipient, 'speed-reader').type
  read('vehicle.speedo', reads, reads.v === 'pulses' ? 'pulse' : reads.v)
  const { wants } = portOf(transmission, 'load-signal')
  read('gearbox.control', wants, wants.v === 'controller' ? 'electronic' : wants.v)
  const moved = portOf(transmission, 'lever').work
  read('gearbox.shift', moved, moved.v === 'lever on the case' ? 'direct' : moved.v)
  if (portOf(transmission, 'take-off-opening').present) say('gearbox.opening', 'yes', 'of the part')
}

function ofPairing(from: FactSources, say: Say): void {
  const { joints, rooms, train, inserted } = from
  const ofJoint = new Map(joints.map((one) => [one.joint, one]))
  if (train) {
    for (const id of COMPUTED_JOINTS) {
      const joint = ofJoint.get(id)
      // A joint that does not apply is none that would not fit.
      say(`joint.${id}`, joint ? saysOf(joint) : 'fits', 'joint')
    }
    for (const [id, key] of Object.entries(ANSWERED)) {
      const joint = ofJoint.get(id)
      const says = joint && saysOf(joint)
      if (says) say(key, says === 'fits' || says === 'work' ? 'yes' : 'no', 'joint')
    }
    ofTorque(ofJoint.get('torque'), train, say)
    if (inserted.includes('plate')) say('choice.face', 'plate', 'pairing')
    if (inserted.includes('bellhousing')) say('choice.face', 'bell', 'pairing')
  }
  for (const [key, ids] of Object.entries(ROOMS)) {
    const those = rooms.filter(({ id }) => ids.includes(id))
    if (those.some(({ spareMm, wantedMm }) => spareMm !== null && spareMm < wantedMm))
      say(key, 'short', 'measured')
    else if (those.length > 0 && those.every(({ spareMm }) => spareMm !== null))
      say(key, 'free', 'measured')
  }
  if (from.stoppers.room === 'yes')
    for (const key of ['room.booster', 'room.column', 'room.width']) say(key, 'free', 'stopper')
  if (from.hasKit) say('kit.in', 'yes', 'Sourcing')
}

/** What a joint says as a fact; undefined where it is not measured. Of a pairing that was closed, a bridge stays one. */
function saysOf({
  bare,
  closed,
}: {
  bare: Verdict
  closed?: Verdict | undefined
}): string | undefined {
  const bridged = bare.limits.some(({ code }) => code === 'bridge')
  const { code } = closed ?? bare
  if (bridged && code !== 'clash') return 'bridge'
  return code === 'unmeasured' ? undefined : code
}

/** By whose rating fails. */
function ofTorque(
  joint: { bare: Verdict; closed?: Verdict | undefined } | undefined,
  { transmission, transfer, recipient }: Train,
  say: Say,
): void {
  const worst = new Map<string, string>()
  for (const limit of (joint?.closed ?? joint?.bare)?.limits ?? []) {
    if (limit.id !== 'torque' || limit.code === 'unmeasured') continue
    const rated = limit.terms.find(({ port }) => port.includes('ratings'))?.part
    const whose =
      rated === transmission.id
        ? 'gearbox'
        : rated === transfer?.id
          ? 'case'
          : rated === recipient?.id
            ? 'axle'
            : 'clutch'
    if (limit.code === 'clash' || !worst.has(whose)) worst.set(whose, limit.code)
  }
  for (const [whose, code] of worst) say(`joint.torque-${whose}`, code, 'joint')
}

function ofDonor({ donor }: FactSources, say: Say): void {
  if (!donor) return
  say('donor.kind', donor.kind, 'donor', true)
  for (const [id, { value }] of Object.entries(donor.answers))
    say(`donor.${id}`, value, 'donor sheet')
  const least = (ids: readonly string[]): string | undefined => {
    const values = ids.map((id) => donor.answers[id]?.value)
    return values.includes('no') ? 'no' : values.every((one) => one === 'yes') ? 'yes' : undefined
  }
  say(
    'donor.gears',
    least(['gear-1', 'gear-2', 'gear-3', 'gear-4', 'gear-5', 'reverse']),
    'donor sheet',
  )
  say('engine.papers', least(['papers-in-hand', 'number-agrees']), 'donor sheet')
  if (donor.answers['why-sold']?.value.trim()) say('donor.reason-told', 'yes', 'donor sheet')
}
