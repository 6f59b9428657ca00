import { BRIDGE, CODES, UNMEASURED } from '../joints/code.ts'
import { JOINTS } from '../joints/index.ts'
import type { Joint, JointContext } from '../joints/joint.ts'
import { type Limit, readsOf } from '../joints/judging/declaration.ts'
import { EMPTY_HALF } from '../joints/judging/half.ts'
import { inputsOf } from '../joints/judging/inputs.ts'
import { instancesOf } from '../joints/judging/instances.ts'
import { blankResult, planOf } from '../joints/judging/plan.ts'
import { fieldsOf, type Scene } from '../joints/judging/scene.ts'
import { appliesTo } from '../joints/judging/tally.ts'
import type { LimitRecord, Outcome } from '../joints/verdict.ts'
import type { Field } from '../ports/field.ts'
import type { CompiledPart } from '../ports/index.ts'
import { lowerFirst } from '../quantity/plain-text.ts'
import { effective } from './order.ts'
import { serial } from './outcomes.ts'
import { indexOf } from './part-index.ts'
import {
  type Assembly,
  assemble,
  contextOf,
  type PairingContext,
  REPLACED,
  scenesOf,
  type Train,
  WHEELS,
} from './train.ts'
import { isFromBell } from './with-bell.ts'

/** A part put where another of its kind stands; a plate or spacer needs to be told for which. */
export interface Placed {
  readonly part: CompiledPart
  /** The part of the chosen set it takes the place of. */
  readonly instead?: string | undefined
}

/** How a part stands where it would be used. */
export interface Standing {
  /** A limit that reads one of its fields fails against what is settled: why; null where none does. */
  readonly refused: string | null
  /** A limit on it is not known to hold. */
  readonly isOpen: boolean
  /** What its limits wait for, said plainly; nothing where all of them agree. */
  readonly open: readonly string[]
}

/** Sources that cannot stand together in one plan: for each of two needs or more, parts of which every choice fails. */
export interface PartConflict {
  /** The limit that fails, said plainly. */
  readonly words: string
  readonly sides: readonly { readonly need: string; readonly parts: readonly string[] }[]
}

/** A limit as it came out at one place. */
interface Came {
  readonly joint: Joint
  readonly limit: Limit
  readonly scene: Scene
  readonly at: string | undefined
  readonly code: number
  readonly outcome: Outcome | null
}

/** What is asked of a joint: which of its limits a piece would cure. */
interface Bridged {
  readonly limits: readonly Pick<LimitRecord, 'code' | 'pieces'>[]
}

/** Kinds judged where they would be used, beside those of the coupling. */
const DRIVEN = new Set(['propshaft', 'take-off'])
const INSERTED = new Set(['plate', 'spacer'])
/** Most pairs of candidates weighed at once when one pair failed. */
const MOST_PAIRS = 20_000
const NOT_JUDGED: Standing = { refused: null, isOpen: false, open: [] }

/**
 * Judges parts that could be bought, each in the place of its kind in a pairing with its chosen set: limit by limit, by the
 * same declarations as the pairing's joints.
 */
export class PartJudge {
  /** The same for judges that would say the same. */
  readonly key: string
  readonly #train: Train
  readonly #settled: ReadonlySet<string>
  /** Pieces that would cure a bridge nothing closes yet. */
  readonly #openPieces: ReadonlySet<string>
  readonly #full: (assembly: Assembly) => JointContext

  /**
   * @param train with the chosen set inserted
   * @param joints of the pairing, bare and closed
   * @param kept ids of coupling parts that a person settled
   */
  constructor(
    train: Train,
    ctx: PairingContext,
    joints: readonly { readonly bare: Bridged; readonly closed?: Bridged }[],
    kept: Iterable<string> = [],
  ) {
    this.#train = train
    this.#full = (assembly) => contextOf(assembly, ctx)
    const own = [
      train.engine,
      train.transmission,
      train.recipient,
      train.transfer,
      ...train.inserted,
    ]
    this.#settled = new Set([...own.flatMap((part) => part?.id ?? []), ...kept])
    this.#openPieces = new Set(
      joints
        .flatMap((joint) => effective(joint).limits)
        .flatMap(({ code, pieces }) => (code === CODES[BRIDGE] ? pieces : [])),
    )
    this.key = JSON.stringify([
      [...own, train.ownBell, ...train.coupling].map((part) => (part ? serial(part) : 0)),
      serial(ctx.tolerances),
      ctx.use,
      ctx.placement,
      [...this.#settled],
      [...this.#openPieces],
    ])
  }

  /** How a part would stand in the pairing; what is not met by any joint is not judged. */
  of(placed: Placed): Standing {
    const { part } = placed
    if (!this.#isJudged(placed))
      return INSERTED.has(part.kind) && this.#openPieces.has(part.kind)
        ? {
            refused: null,
            isOpen: true,
            open: [`Whether a ${part.kind} closes the pairing: no set is chosen`],
          }
        : NOT_JUDGED
    const assembly = assemble(withParts(this.#train, [placed]))
    let refused: Came | null = null
    const waits: Came[] = []
    for (const came of this.#limits(assembly, [part])) {
      const parts = this.#partsOf(came, [part])
      if (!parts.has(part.id)) continue
      if (came.code === UNMEASURED || this.#isOpenBridge(came, part.kind)) waits.push(came)
      else if ([...parts].every((id) => id === part.id || this.#settled.has(id))) {
        refused = came
        break
      }
      // What fails with a piece that is not settled speaks only against the two together.
    }
    if (!refused && waits.length === 0) return NOT_JUDGED
    const said = refused && wordsOf(refused)
    let open: readonly string[] | null = null
    return {
      refused: said,
      isOpen: true,
      get open() {
        return (open ??= [...new Set(waits.flatMap(waitsFor))])
      },
    }
  }

  /**
   * Runs a whole choice of parts: what fails between them, each with every other choice that fails for the same reason, so
   * that it is cut off once.
   *
   * @param chosen by need @param others parts that could be taken, by need
   */
  conflicts(
    chosen: ReadonlyMap<string, Placed>,
    others: (need: string) => readonly CompiledPart[],
  ): PartConflict[] {
    const { needs, assembly, placed } = this.#together(chosen)
    const found: PartConflict[] = []
    for (const came of this.#limits(
      assembly,
      placed.map(({ part }) => part),
    )) {
      if (came.code === UNMEASURED) continue
      const parts = this.#partsOf(
        came,
        placed.map(({ part }) => part),
      )
      const own = [...parts].flatMap((id) => needs.get(id) ?? [])
      if (own.length === 0 || own.some(({ part }) => this.#isOpenBridge(came, part.kind))) continue
      // Of one alone that is not settled: it was refused, or fails only where it stands now.
      if (
        own.length > 1 ||
        [...parts].every((id) => (id === own[0]!.part.id) !== this.#settled.has(id))
      )
        found.push(...this.#cuts(came, own, others, parts))
    }
    return found
  }

  /** What the limits on each part of a whole choice wait for, by need: nothing where all of them agree, no entry where none is judged. */
  waits(chosen: ReadonlyMap<string, Placed>): ReadonlyMap<string, readonly string[]> {
    const { needs, assembly, placed } = this.#together(chosen)
    const waiting = new Map<string, Set<string>>(
      [...needs.values()].map(({ need }) => [need, new Set()]),
    )
    for (const came of this.#limits(
      assembly,
      placed.map(({ part }) => part),
    ))
      for (const id of this.#partsOf(
        came,
        placed.map(({ part }) => part),
      )) {
        const own = needs.get(id)
        if (!own) continue
        for (const words of waitsFor(came)) waiting.get(own.need)!.add(words)
      }
    return new Map([...waiting].map(([need, words]) => [need, [...words]]))
  }

  #together(chosen: ReadonlyMap<string, Placed>) {
    const judged = [...chosen].filter(([, placed]) => this.#isJudged(placed))
    const placed = judged.map(([, one]) => one)
    return {
      placed,
      assembly: assemble(withParts(this.#train, placed)),
      needs: new Map(judged.map(([need, one]) => [one.part.id, { need, ...one }])),
    }
  }

  /** For one that fails: what to cut off. Of two needs, every pair of candidates that fails; of more, this choice. */
  #cuts(
    came: Came,
    own: readonly (Placed & { readonly need: string })[],
    others: (need: string) => readonly CompiledPart[],
    read: ReadonlySet<string>,
  ): PartConflict[] {
    const words = wordsOf(came)
    const as = (one: (typeof own)[number], parts: readonly CompiledPart[]) => ({
      need: one.need,
      parts: parts.map(({ id }) => id),
    })
    const [one, other] = own
    if (own.length !== 2) return [{ words, sides: own.map((side) => as(side, [side.part])) }]
    const failing = (p: CompiledPart, q: CompiledPart): boolean =>
      this.#fails(came, { ...one!, part: p }, { ...other!, part: q }, read)
    const [ones, twos] = [others(one!.need), others(other!.need)]
    // The choice itself is always cut off: it failed where all the others stand.
    const isChosen = (p: CompiledPart, q: CompiledPart): boolean =>
      p.id === one!.part.id && q.id === other!.part.id
    const cut = (p: CompiledPart): PartConflict[] => {
      const against = twos.filter((q) => isChosen(p, q) || failing(p, q))
      return against.length > 0 ? [{ words, sides: [as(one!, [p]), as(other!, against)] }] : []
    }
    if (ones.length * twos.length <= MOST_PAIRS) return ones.flatMap(cut)
    const against = ones.filter((p) => isChosen(p, other!.part) || failing(p, other!.part))
    return [...cut(one!.part), { words, sides: [as(one!, against), as(other!, [other!.part])] }]
  }

  /** Whether the same limit fails between two others: it reads both, and nothing else that could be another yet. */
  #fails({ limit, joint }: Came, one: Placed, other: Placed, read: ReadonlySet<string>): boolean {
    const assembly = assemble(withParts(this.#train, [one, other]))
    for (const came of this.#cameOut(joint, [limit], assembly))
      if (
        came.code !== UNMEASURED &&
        ![one, other].some(({ part }) => this.#isOpenBridge(came, part.kind))
      ) {
        const parts = this.#partsOf(came, [one.part, other.part])
        const pair = [one.part.id, other.part.id]
        if (
          pair.every((id) => parts.has(id)) &&
          [...parts].every((id) => pair.includes(id) || this.#settled.has(id) || read.has(id))
        )
          return true
      }
    return false
  }

  /** Parts whose fields a limit read; what nobody named is none. A length that a bell moves is the bell's as well. */
  #partsOf(came: Came, placed: readonly CompiledPart[]): ReadonlySet<string> {
    const bell = [...placed, ...this.#train.coupling].find(({ kind }) => kind === 'bellhousing')
    const ids = new Set<string>()
    for (const { at } of fieldsIn(came)) {
      if (at.part !== '?') ids.add(at.part)
      const isMoved =
        at.part === this.#train.transmission.id || at.port.includes('/release-bearing/')
      if (bell && isMoved && isFromBell(at)) ids.add(bell.id)
    }
    return ids
  }

  #isJudged({ part, instead }: Placed): boolean {
    return INSERTED.has(part.kind)
      ? this.#train.inserted.some(({ id }) => id === instead)
      : REPLACED.has(part.kind) || DRIVEN.has(part.kind)
  }

  /** A bridge that another piece cures, of a kind that is still to be found: it speaks against nothing yet. */
  #isOpenBridge({ code, outcome }: Came, kind: string): boolean {
    return (
      code === BRIDGE &&
      (outcome?.pieces ?? []).some((piece) => piece !== kind && this.#openPieces.has(piece))
    )
  }

  /** Limits of the joints that look at any of these parts, those that do not agree nor ask for work only. */
  *#limits(assembly: Assembly, parts: readonly CompiledPart[]): Iterable<Came> {
    for (const joint of JOINTS)
      if (parts.some((part) => looksAt(joint, part)))
        yield* this.#cameOut(joint, joint.limits, assembly)
  }

  *#cameOut(joint: Joint, limits: readonly Limit[], assembly: Assembly): Iterable<Came> {
    const full = this.#full(assembly)
    const result = blankResult()
    for (const { at, ...scene } of scenesOf(joint, assembly, full)) {
      if (!appliesTo(joint, scene)) continue
      for (const limit of limits) {
        const plan = planOf(limit)
        for (const instance of instancesOf(limit, scene)) {
          // Loaded anew each time: whoever takes what came may judge the same limit elsewhere.
          const { isStated, code, outcome } = plan
            .load(1, EMPTY_HALF, full)
            .load(0, plan.half(instance.scene), full)
            .judge(full, result)
          if (isStated && code >= BRIDGE)
            yield { joint, limit, scene: instance.scene, at: instance.at ?? at, code, outcome }
        }
      }
    }
  }
}

/** Puts parts in the places of their kinds. */
function withParts(train: Train, placed: readonly Placed[]): Train {
  let { coupling, inserted } = train
  for (const { part, instead } of placed) {
    if (INSERTED.has(part.kind)) {
      inserted = inserted.map((one) => (one.id === instead ? part : one))
      continue
    }
    const isReplaced = ({ kind }: CompiledPart): boolean =>
      kind === part.kind || (WHEELS.has(kind) && WHEELS.has(part.kind))
    coupling = [...coupling.filter((one) => !isReplaced(one)), part]
    inserted = inserted.filter((one) => !isReplaced(one))
  }
  return { ...train, coupling, inserted }
}

/** Whether a joint reads places where this part's ports stand. */
function looksAt(joint: Joint, part: CompiledPart): boolean {
  const { slots, stack, ratings } = inputsOf(joint)
  const index = indexOf(part)
  // A bell moves every length of the gearbox.
  if (part.kind === 'bellhousing') return true
  if (stack && (index.hasPlate || index.hasSpacer)) return true
  if (ratings && index.ratings.length > 0) return true
  const own: readonly string[] = [
    ...index.placed.map(({ slot }) => slot),
    ...(index.pilotBore ? ['pilotBore'] : []),
    ...(index.crankFlange.present ? ['crankFlange'] : []),
    ...(index.hasFace ? ['face'] : []),
  ]
  return slots.some((slot) => own.includes(slot))
}

const fieldsIn = ({ limit, scene }: Came): readonly Field<unknown>[] => {
  const { needed, sometimes } = readsOf(limit)
  return [...needed, ...sometimes.filter((read) => !read.isAside)].flatMap((read) =>
    fieldsOf(read, scene),
  )
}

const titleOf = ({ joint, limit, at }: Came): string =>
  `${joint.title}: ${lowerFirst(limit.label.replace('{at}', at ?? ''))}`

const wordsOf = (came: Came): string => {
  const words = came.outcome?.words
  return `${titleOf(came)}${typeof words === 'string' ? `: ${lowerFirst(words)}` : ' does not agree'}`
}

/** What a limit that does not agree waits for: its unknown fields, else those known too loosely. */
function waitsFor(came: Came): readonly string[] {
  if (came.code !== UNMEASURED) return [wordsOf(came)]
  const fields = fieldsIn(came)
  const unknown = fields.filter(({ claim }) => claim === null)
  const asked = unknown.length > 0 ? unknown : fields.filter(({ pm }) => pm > 0)
  return asked.length > 0
    ? asked.map(({ at }) => `${at.partName}, ${lowerFirst(at.words.label)}`)
    : [titleOf(came)]
}
