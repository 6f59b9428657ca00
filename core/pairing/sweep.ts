import { contentNumber } from '../content-number.ts'
import { FITS, UNMEASURED } from '../joints/code.ts'
import { JOINTS } from '../joints/index.ts'
import type { Joint } from '../joints/joint.ts'
import { formula, type Limit } from '../joints/judging/declaration.ts'
import type { Half, Part } from '../joints/judging/half.ts'
import { instancesOf } from '../joints/judging/instances.ts'
import { isOutside, judge } from '../joints/judging/judge.ts'
import { ownerOf, UnsplitError } from '../joints/judging/owner.ts'
import { blankResult, type Figures, type Plan, planOf } from '../joints/judging/plan.ts'
import { type Input, NO_GRADE, type Scene } from '../joints/judging/scene.ts'
import { Tally } from '../joints/judging/tally.ts'
import { type AnyPort, type CompiledPart, fieldOf, fieldsOf } from '../ports/index.ts'
import { couplingSet } from './coupling.ts'
import {
  type Assembly,
  assemble,
  contextOf,
  type PairingContext,
  scenesOf,
  type Train,
  tallyJoint,
} from './train.ts'

/** An engine with what came with it. */
export interface EngineEnd {
  readonly engine: CompiledPart
  readonly coupling: readonly CompiledPart[]
}

/** A gearbox with what came with it, what stands behind it, and the vehicle around it. */
export interface GearboxEnd {
  readonly transmission: CompiledPart
  readonly coupling: readonly CompiledPart[]
  readonly transfer: CompiledPart | null
  readonly recipient: CompiledPart | null
}

/** Joint does not apply to the pair. */
export const NOT_MET = 255

/** One joint of every pair, rows by engine, columns by gearbox. */
export interface JointSweep {
  readonly joint: Joint
  readonly code: Uint8Array
  /** Limits stated, known, agreed and outside, a byte each from the lowest. */
  readonly counts: Uint32Array
  /** Weakest grade leaned on, 6 when nothing was read. */
  readonly weakest: Uint8Array
}

/** The counts of one pair, as a tally has them. */
export const countsOf = (
  counts: number,
): { stated: number; known: number; agreed: number; outside: number } => ({
  stated: counts & 0xff,
  known: (counts >>> 8) & 0xff,
  agreed: (counts >>> 16) & 0xff,
  outside: counts >>> 24,
})
const packed = (stated: number, known: number, agreed: number, outside: number): number =>
  (stated | (known << 8) | (agreed << 16) | (outside << 24)) >>> 0

/**
 * Every joint of every pair, in numbers. What each end brings is looked up once an end, not once a pair: ends put together
 * alike form a class; within two classes each value read belongs to one end, each distinct pair of what a limit reads
 * is judged once, by the same plans that records are made of.
 */
export function sweep(
  engines: readonly EngineEnd[],
  gearboxes: readonly GearboxEnd[],
  ctx: PairingContext,
): JointSweep[] {
  const size = engines.length * gearboxes.length
  const results = JOINTS.map(
    (joint): JointSweep => ({
      joint,
      code: new Uint8Array(size).fill(NOT_MET),
      counts: new Uint32Array(size),
      weakest: new Uint8Array(size).fill(NO_GRADE),
    }),
  )
  const rows = classesOf(
    engines,
    ({ engine, coupling }) => `${shapeOf(engine)}|${coupling.map(shapeOf).join('|')}`,
  )
  const columns = classesOf(gearboxes, ({ transmission, coupling, transfer, recipient }) =>
    [transmission, ...coupling, transfer, recipient]
      .map((part) => (part ? shapeOf(part) : '–'))
      .join('|'),
  )
  for (const row of rows) {
    const kept: Kept = new Map()
    for (const column of columns) {
      const block = new Block(engines, gearboxes, row, column, ctx, kept)
      for (const result of results)
        try {
          block.split(result)
        } catch (error) {
          if (!(error instanceof UnsplitError)) throw error
          block.whole(result)
        }
    }
  }
  return results
}

/** The train of two ends. */
export const trainOfEnds = (
  { engine, coupling }: EngineEnd,
  { transmission, coupling: behind, transfer, recipient }: GearboxEnd,
): Train => {
  const { parts, ownBell } = couplingSet(transmission, coupling, behind)
  return { engine, transmission, recipient, transfer, ownBell, coupling: parts, inserted: [] }
}

/** Ends of one class are put together alike: the same ports at the same places, as many entries in every list. */
function classesOf<T>(ends: readonly T[], key: (end: T) => string): number[][] {
  const classes = new Map<string, number[]>()
  ends.forEach((end, index) => {
    const name = key(end)
    const held = classes.get(name)
    if (held) held.push(index)
    else classes.set(name, [index])
  })
  return [...classes.values()]
}

const shapes = new WeakMap<CompiledPart, string>()

/** What assembling looks at in a part, as one word. */
function shapeOf(part: CompiledPart): string {
  let shape = shapes.get(part)
  if (shape === undefined) {
    shape = `${part.kind}(${part.ports.map((port) => `${port.kind}/${port.slot}/${port.looks}/${port.present ? 1 : 0}${detailOf(port)}`).join()})`
    shapes.set(part, shape)
  }
  return shape
}

/** What a set of coupling parts turns on, and how long lists are. */
function detailOf(port: AnyPort): string {
  if (port.kind === 'ratios') return `:${String(fieldOf(port, 'type')!.v)}`
  const lists = Object.entries(fieldsOf(port.kind)).flatMap(([name, { type }]) =>
    type === 'zones' ? [fieldOf(port, name)?.v ?? null] : [],
  )
  return lists.map((list) => `:${Array.isArray(list) ? list.length : '?'}`).join('')
}

/** What a class of engines brought to a limit in blocks before, by what its first engine came to there. */
type Kept = Map<Plan, { readonly signature: readonly unknown[]; readonly held: readonly Held[] }[]>

/** All pairs of one class of engines with one of gearboxes. */
class Block {
  readonly #first: Assembly
  readonly #isEngines: (part: string) => boolean
  /** Where the row of each engine starts. */
  readonly #rowsAt: readonly number[]
  readonly #scenes = new Map<string, readonly (readonly Scene[])[]>()
  readonly #result = blankResult()
  readonly #tally = new Tally()

  constructor(
    readonly engines: readonly EngineEnd[],
    readonly gearboxes: readonly GearboxEnd[],
    readonly rows: readonly number[],
    readonly columns: readonly number[],
    readonly ctx: PairingContext,
    readonly kept: Kept,
  ) {
    const engine = engines[rows[0]!]!
    this.#first = assemble(trainOfEnds(engine, gearboxes[columns[0]!]!))
    const own = new Set([engine.engine, ...engine.coupling].map(({ id }) => id))
    this.#isEngines = (part) => own.has(part)
    this.#rowsAt = rows.map((row) => row * gearboxes.length)
  }

  /** The scenes of every engine with the first gearbox, or of every gearbox with the first engine, looked up when asked. */
  #scenesOf(joint: Joint, which: 0 | 1): readonly (readonly Scene[])[] {
    const key = `${joint.meets} ${which}`
    let scenes = this.#scenes.get(key)
    if (!scenes) {
      const [engine, gearbox] = [this.engines[this.rows[0]!]!, this.gearboxes[this.columns[0]!]!]
      const trains =
        which === 0
          ? this.rows.map((row) => trainOfEnds(this.engines[row]!, gearbox))
          : this.columns.map((column) => trainOfEnds(engine, this.gearboxes[column]!))
      scenes = trains.map((train) => {
        const assembly = assemble(train)
        return scenesOf(joint, assembly, contextOf(assembly, this.ctx))
      })
      this.#scenes.set(key, scenes)
    }
    return scenes
  }

  /** Judges a joint by halves. @throws UnsplitError where a value leans on both ends; what is written then is written over */
  split(result: JointSweep): void {
    const { joint } = result
    scenesOf(joint, this.#first, contextOf(this.#first, this.ctx)).forEach((scene, meeting) => {
      const ends: Ends = (which) => this.#scenesOf(joint, which).map((each) => each[meeting]!)
      const isMet = this.#meet(joint, scene, ends, result.code)
      if (!isMet.includes(1)) return
      const write = new Writer(result, isMet)
      for (const limit of joint.limits)
        instancesOf(limit, scene).forEach((instance, k) => {
          this.#judge(
            limit,
            instance.scene,
            limit.each
              ? (which) => ends(which).map((one) => instancesOf(limit, one)[k]!.scene)
              : ends,
            write,
          )
        })
    })
  }

  /** Judges a joint pair by pair. */
  whole({ joint, code, counts, weakest }: JointSweep): void {
    for (const row of this.rows)
      for (const column of this.columns) {
        const at = row * this.gearboxes.length + column
        const assembly = assemble(trainOfEnds(this.engines[row]!, this.gearboxes[column]!))
        const tally = this.#tally.reset()
        code[at] = tallyJoint(joint, assembly, contextOf(assembly, this.ctx), tally)
          ? tally.code
          : NOT_MET
        counts[at] = packed(tally.stated, tally.known, tally.agreed, tally.outside)
        weakest[at] = tally.weakest
      }
  }

  /** Judges one limit for every pair of the block where it is stated. */
  #judge(limit: Limit, scene: Scene, ends: Ends, write: Writer): void {
    const plan = planOf(limit)
    const { ours, theirs } = this.#halves(plan, scene, ends)
    if (ours.length === 0 || theirs.length === 0) return
    const one = ours.map(({ half }) => plan.figures(half, 0, this.ctx))
    const other = one.includes(null)
      ? []
      : theirs.map(({ half }) => plan.figures(half, 1, this.ctx))
    if (other.length > 0 && !other.includes(null))
      this.#add(plan, ours, theirs, one as Figures[], other as Figures[], write)
    else this.#judgeEach(plan, ours, theirs, write)
  }

  /** Where figures add, each pair is a sum against a window. */
  #add(
    plan: Plan,
    ours: readonly Held[],
    theirs: readonly Held[],
    one: readonly Figures[],
    other: readonly Figures[],
    write: Writer,
  ): void {
    const isDamage = plan.limit.damage === true
    const m = { ...one[0]! }
    for (let i = 0; i < ours.length; i++) {
      const row = ours[i]!
      const p = one[i]!
      for (let j = 0; j < theirs.length; j++) {
        const column = theirs[j]!
        const q = other[j]!
        const weakest = Math.min(row.half.weakest, column.half.weakest)
        let code = UNMEASURED
        let count = STATED
        if (row.half.isKnown && column.half.isKnown) {
          m.value = p.value + q.value
          m.low = p.low + q.low
          m.high = p.high + q.high
          if (isDamage) {
            m.down = p.down + q.down
            m.up = p.up + q.up
            m.lowLeast = p.lowLeast + q.lowLeast
            m.lowMost = p.lowMost + q.lowMost
            m.highLeast = p.highLeast + q.highLeast
            m.highMost = p.highMost + q.highMost
          }
          if (!Number.isNaN(m.value) && !Number.isNaN(m.low) && !Number.isNaN(m.high)) {
            const standing = judge(m, isDamage)
            count = STATED + KNOWN
            if (standing === 'agrees') {
              code = FITS
              count += AGREED
            } else if (standing === 'under') code = plan.codeOf(true, m.low - m.value, this.ctx)
            else if (standing === 'over') code = plan.codeOf(false, m.value - m.high, this.ctx)
            if (isOutside(m)) count += OUTSIDE
          }
        }
        write.all(row.members, column.members, code, count, weakest)
      }
    }
  }

  #judgeEach(plan: Plan, ours: readonly Held[], theirs: readonly Held[], write: Writer): void {
    const { ctx } = this
    const out = this.#result
    const { rows, columns, first, second } = turned(ours, theirs)
    for (const row of rows) {
      plan.load(first, row.half, ctx, false)
      for (const column of columns) {
        plan
          .load(second, column.half, ctx, true)
          .judge(ctx, out, false, row.isStated || column.isStated)
        if (out.isStated)
          write.all(
            row.members,
            column.members,
            out.code,
            STATED +
              (out.isKnown ? KNOWN : 0) +
              (out.agreed ? AGREED : 0) +
              (out.outside ? OUTSIDE : 0),
            out.weakest,
          )
      }
    }
  }

  /** Where a joint is met at all. */
  #meet(joint: Joint, scene: Scene, ends: Ends, code: Uint8Array): Uint8Array {
    const plan = planOf(appliesAs(joint))
    const isMet = new Uint8Array(code.length)
    const { ours, theirs } = this.#halves(plan, scene, ends)
    for (const our of ours) {
      plan.load(0, our.half, this.ctx)
      for (const their of theirs) {
        if (!plan.load(1, their.half, this.ctx).judge(this.ctx, this.#result).isStated) continue
        for (const row of our.members)
          for (const column of their.members) {
            isMet[row + column] = 1
            if (code[row + column] === NOT_MET) code[row + column] = FITS
          }
      }
    }
    return isMet
  }

  #halves(
    plan: Plan,
    scene: Scene,
    ends: Ends,
  ): { ours: readonly Held[]; theirs: readonly Held[] } {
    const owner = ownerOf(scene, this.#isEngines)
    const part = plan.part(owner, 0)
    const signature = part.signature(scene)
    const before = this.kept.get(plan) ?? []
    let ours = before.find(
      (one) =>
        one.signature.length === signature.length &&
        one.signature.every((value, i) => Object.is(value, signature[i])),
    )?.held
    if (!ours) {
      ours = this.#distinct(plan, part, scene, () => ends(0), this.#rowsAt)
      this.kept.set(plan, [...before, { signature, held: ours }])
    }
    return {
      ours,
      theirs: this.#distinct(plan, plan.part(owner, 1), scene, () => ends(1), this.columns),
    }
  }

  /** What the ends of one side bring to a limit, each distinct set of values once, with where the ends that bring it stand. */
  #distinct(
    plan: Plan,
    part: Part,
    scene: Scene,
    ends: () => readonly Scene[],
    places: readonly number[],
  ): Held[] {
    if (part.isEmpty) {
      const half = part.half(scene)
      const isStated = plan.states(half, this.ctx)
      return isStated === false ? [] : [{ half, isStated: isStated === true, members: places }]
    }
    const scenes = ends()
    const found: Held[] = []
    const byKey = new Map<string, number[]>()
    for (let member = 0; member < scenes.length; member++) {
      const half = part.half(scenes[member]!)
      const isStated = plan.states(half, this.ctx)
      if (isStated === false) continue
      const members = [places[member]!]
      if (!plan.isPlainSum) {
        const key = keyOf(half)
        const held = byKey.get(key)
        if (held) {
          held.push(places[member]!)
          continue
        }
        byKey.set(key, members)
      }
      found.push({ half, isStated: isStated === true, members })
    }
    return found
  }
}

const STATED = 1
const KNOWN = 1 << 8
const AGREED = 1 << 16
const OUTSIDE = 2 ** 24

/** Inputs of formulas that lean on both halves: what is written anew for each pair. */
const writesOf = ({ main }: Half): number =>
  main.reduce(
    (sum, { list, isWhole, isNone }) =>
      sum + (isWhole || isNone ? 0 : list.filter((input) => input !== null).length),
    0,
  )

/** The half with more to write goes first: it is written once a row. */
function turned(
  ours: readonly Held[],
  theirs: readonly Held[],
): { rows: readonly Held[]; columns: readonly Held[]; first: 0 | 1; second: 0 | 1 } {
  const isTurned = writesOf(theirs[0]!.half) > writesOf(ours[0]!.half)
  return isTurned
    ? { rows: theirs, columns: ours, first: 1, second: 0 }
    : { rows: ours, columns: theirs, first: 0, second: 1 }
}

/** Adds what a limit came to to the joint's results, for all pairs of two sets of ends that are met. */
class Writer {
  readonly #code: Uint8Array
  readonly #counts: Uint32Array
  readonly #weakest: Uint8Array

  constructor(
    { code, counts, weakest }: JointSweep,
    readonly isMet: Uint8Array,
  ) {
    this.#code = code
    this.#counts = counts
    this.#weakest = weakest
  }

  all(
    rows: readonly number[],
    columns: readonly number[],
    code: number,
    count: number,
    weakest: number,
  ): void {
    for (let i = 0; i < rows.length; i++) {
      const row = rows[i]!
      for (let j = 0; j < columns.length; j++) {
        const at = row + columns[j]!
        if (this.isMet[at] === 0) continue
        if (code > this.#code[at]!) this.#code[at] = code
        if (weakest < this.#weakest[at]!) this.#weakest[at] = weakest
        this.#counts[at]! += count
      }
    }
  }
}

/** Scenes of the ends of one side: 0 the engines', 1 the gearboxes'. */
type Ends = (which: 0 | 1) => readonly Scene[]

interface Held {
  readonly half: Half
  /** The guard is answered on this side. */
  readonly isStated: boolean
  readonly members: readonly number[]
}

/** A joint's guard as a limit that is stated where the joint is met. */
const guards = new WeakMap<Joint, Limit>()
function appliesAs(joint: Joint): Limit {
  let guard = guards.get(joint)
  if (!guard)
    guards.set(
      joint,
      (guard = {
        id: joint.id,
        label: joint.title,
        unit: '',
        when: joint.applies,
        holds: formula({}, () => true),
      }),
    )
  return guard
}

/** Values as one word: lists by what is in them. */
function keyOf({ isKnown, weakest, sum, pm, guards, main, rungs, asks }: Half): string {
  let key = `${isKnown ? 1 : 0}${weakest} ${sum} ${pm}`
  const add = (list: readonly (Input | null)[]): void => {
    for (const input of list)
      if (input)
        key += `|${typeof input.v === 'object' && input.v !== null ? `#${contentNumber(input.v)}` : input.v} ${input.pm}${input.claim === null ? '?' : ''}`
  }
  for (const { list } of guards) add(list)
  for (const { list } of main) add(list)
  for (const { list } of rungs) add(list)
  for (const input of asks) if (input) key += `|${input.v} ${input.grade}`
  return key
}
