import { groupBy } from '../group.ts'
import { CODES, UNMEASURED, WORK } from '../joints/code.ts'
import { jointNamed } from '../joints/index.ts'
import type { Joint } from '../joints/joint.ts'
import { inputsOf } from '../joints/judging/inputs.ts'
import { Tally } from '../joints/judging/tally.ts'
import { SLOTS } from '../joints/side.ts'
import type { Verdict } from '../joints/verdict.ts'
import type { AnyPort, CompiledPart } from '../ports/index.ts'
import { GRADES } from '../quantity/grade.ts'
import { lookOf, type Outcome, Outcomes, serial } from './outcomes.ts'
import {
  type Assembly,
  assemble,
  contextOf,
  type PairingContext,
  scenesOf,
  type Train,
} from './train.ts'

/** A set of catalogue parts that closes a pairing, or may, with what is still to be measured. */
export interface ClosingSet {
  readonly parts: readonly string[]
  readonly closes: 'yes' | 'may'
  readonly missing: readonly string[]
}

export interface SearchOptions {
  /** Most parts in a set. */
  readonly most?: number
  /** Cost of a part, for ranking equals; Infinity when not known. */
  readonly cost?: (partId: string) => number
}

export type InsertionPlace = 'face' | 'flange' | 'pilot'

/** Where a part can be inserted; null when it cannot. Starters are not searched. */
export function insertionPlace(part: CompiledPart): InsertionPlace | null {
  const has = (kind: string): boolean => part.ports.some((port) => port.kind === kind)
  if ((has('plate') && has('face')) || part.kind === 'bellhousing') return 'face'
  if (has('spacer') || part.kind === 'flywheel' || part.kind === 'flexplate') return 'flange'
  return has('pilot-piece') ? 'pilot' : null
}

const JOINT_OF: Record<InsertionPlace, string> = {
  face: 'block-face',
  flange: 'crank-flange',
  pilot: 'pilot',
}

/** Most sets of several parts that are tried; beyond it the strongest and cheapest of each place are. */
const MOST_TRIED = 4000
/** Most sets that are told of; the best come first. */
const MOST_TOLD = 60

interface Found extends ClosingSet {
  readonly weakest: number
  readonly cost: number
}

/**
 * Sets of up to two parts, one per place, that close the coupling of a pairing: every joint of it that bridged gives fits or work and no
 * other joint's code rose; a set that leaves one unmeasured may close. A part is tried at a place only if its front and
 * rear ports each give fits or work with their neighbours. Fewer parts first, then stronger evidence, then lower cost; the
 * best sixty. Where more than four thousand pairs are left to try, the strongest and cheapest of each place are.
 */
export function closingSets(
  train: Train,
  bare: readonly Verdict[],
  ctx: PairingContext,
  catalogue: readonly CompiledPart[],
  { most = 2, cost = () => Infinity }: SearchOptions = {},
): ClosingSet[] {
  // The mounts and what is under the engine are bridged by pieces of their own.
  const search = new Search(
    train,
    bare.filter((verdict) => jointNamed(verdict.joint)?.place === 'coupling'),
    ctx,
    cost,
  )
  const inUse = new Set(
    [...train.coupling, train.engine, train.transmission].map((part) => part.id),
  )
  const places = PLACES.map((place) =>
    mating(train, place, ctx, catalogue).filter((part) => !inUse.has(part.id)),
  )
  const singles = places.map((parts) => parts.map((part) => search.tryOut([part])))
  const found = singles.flat().flatMap(({ set }) => set ?? [])
  // A set with a smaller one inside that already closes adds nothing.
  const rest = singles.map((tried) => tried.filter(({ set }) => set?.closes !== 'yes'))
  if (most > 1)
    for (const [one, other] of PAIRS) found.push(...search.pairs(rest[one]!, rest[other]!))
  found.sort(byWorth)
  return found.slice(0, MOST_TOLD).map(({ parts, closes, missing }) => ({ parts, closes, missing }))
}

const PLACES: readonly InsertionPlace[] = ['face', 'flange', 'pilot']
const PAIRS = [
  [0, 1],
  [0, 2],
  [1, 2],
] as const
const rank = (closes: 'yes' | 'may'): number => (closes === 'yes' ? 0 : 1)
const byWorth = (p: Found, q: Found): number =>
  rank(p.closes) - rank(q.closes) ||
  p.parts.length - q.parts.length ||
  q.weakest - p.weakest ||
  p.cost - q.cost ||
  (p.parts.join() < q.parts.join() ? -1 : 1)

const matingMemory = new WeakMap<readonly CompiledPart[], Map<string, readonly CompiledPart[]>>()
const placed = new WeakMap<
  readonly CompiledPart[],
  ReadonlyMap<InsertionPlace, readonly CompiledPart[]>
>()
/** Neighbourhoods remembered for one catalogue. */
const REMEMBERED = 200

/** Parts of a catalogue that mate with their neighbours at a place; remembered for all trains that are alike there. */
function mating(
  train: Train,
  place: InsertionPlace,
  ctx: PairingContext,
  catalogue: readonly CompiledPart[],
): readonly CompiledPart[] {
  const joint = jointNamed(JOINT_OF[place])!
  let held = matingMemory.get(catalogue)
  if (!held) matingMemory.set(catalogue, (held = new Map()))
  const key = [
    place,
    ...neighbours(train, joint).map(serial),
    serial(ctx.tolerances),
    ctx.use,
    ctx.placement,
  ].join(' ')
  const known = held.get(key)
  if (known) return known
  const tally = new Tally()
  const found = (byPlace(catalogue).get(place) ?? []).filter((part) => {
    const assembly = assemble({ ...train, inserted: [part] })
    return scenesOf(joint, assembly, contextOf(assembly, ctx)).every((scene) =>
      tally.isAtMost(joint, scene, WORK),
    )
  })
  if (held.size >= REMEMBERED) held.delete(held.keys().next().value!)
  held.set(key, found)
  return found
}

function byPlace(
  catalogue: readonly CompiledPart[],
): ReadonlyMap<InsertionPlace, readonly CompiledPart[]> {
  let found = placed.get(catalogue)
  if (!found) placed.set(catalogue, (found = groupBy(catalogue, insertionPlace)))
  return found
}

/** Parts of a train that bring something a joint looks at. */
function neighbours(
  { engine, transmission, recipient, transfer, ownBell, coupling }: Train,
  joint: Joint,
): CompiledPart[] {
  const { slots, stack, ratings } = inputsOf(joint)
  const isSeen = ({ kind }: AnyPort): boolean =>
    kind === 'ratings'
      ? ratings
      : slots.includes(SLOTS[kind]) ||
        (stack && (kind === 'plate' || kind === 'spacer')) ||
        BORE.has(kind)
  // Behind another bell than its own a gearbox is another.
  const bell = coupling.find(({ kind }) => kind === 'bellhousing')
  return [
    ...[engine, transmission, recipient, transfer, ...coupling].filter(
      (part): part is CompiledPart => part?.ports.some(isSeen) ?? false,
    ),
    ...(bell ? [bell, ...(ownBell ? [ownBell] : [])] : []),
  ]
}
/** Plates and spacers part a meeting in two, and a spacer or a wheel brings the bore: they count for every joint. */
const BORE: ReadonlySet<string> = new Set([
  'plate',
  'spacer',
  'pilot-bore',
  'flywheel',
  'flange-bolts',
])

/** A part tried by itself: where it goes, which joints it leaves failing, and the set it makes. */
interface Single {
  readonly part: CompiledPart
  readonly assembly: Assembly
  readonly failing: readonly Joint[]
  readonly set: Found | null
  readonly weakest: number
  /** Parts of one shape change the same things wherever they are put. */
  readonly shape: string
}

class Search {
  readonly #outcomes: Outcomes
  constructor(
    readonly train: Train,
    readonly bare: readonly Verdict[],
    ctx: PairingContext,
    readonly cost: (partId: string) => number,
  ) {
    this.#outcomes = new Outcomes(ctx)
  }

  tryOut(parts: readonly CompiledPart[]): Single {
    const part = parts[0]!
    const assembly = assemble({ ...this.train, inserted: parts })
    const failing: Joint[] = []
    const open: Joint[] = []
    let weakest = 6
    for (const verdict of this.bare) {
      const joint = jointNamed(verdict.joint)!
      const outcome = this.#outcomes.of(joint, assembly)
      weakest = Math.min(weakest, outcome.weakest)
      const state = this.#state(verdict, joint, outcome, assembly)
      if (state === 'failing') failing.push(joint)
      else if (state === 'open') open.push(joint)
    }
    const set: Found | null =
      failing.length > 0
        ? null
        : {
            parts: parts.map(({ id }) => id),
            closes: open.length === 0 ? 'yes' : 'may',
            missing: open.flatMap((joint) =>
              this.#outcomes
                .record(joint, assembly)
                .missing.map((field) => `${field.partName}: ${field.label}`),
            ),
            weakest,
            cost: parts.reduce((sum, { id }) => sum + this.cost(id), 0),
          }
    return { part, assembly, failing, set, weakest, shape: shapeOf(part) }
  }

  /** How a joint that was as in the bare run stands now. */
  #state(
    bare: Verdict,
    joint: Joint,
    { code }: Outcome,
    assembly: Assembly,
  ): 'good' | 'open' | 'failing' {
    if (code <= WORK) return 'good'
    const before = CODES.indexOf(bare.code)
    const bridged = bare.limits.some((limit) => limit.code === 'bridge')
    if (!bridged && code <= before && code !== UNMEASURED) return 'good'
    if (code !== UNMEASURED) return 'failing'
    if (!bridged && before === UNMEASURED) return 'good'
    return this.#outcomes.seesBridge(joint, assembly) ? 'failing' : 'open'
  }

  /** Pairs that close: what fails with one part alone, and does not look at the other's place, fails with both. */
  pairs(some: readonly Single[], others: readonly Single[]): Found[] {
    const found: Found[] = []
    for (const ones of groupBy(some, ({ shape }) => shape).values())
      for (const twos of groupBy(others, ({ shape }) => shape).values()) {
        const left = ones.filter((one) => this.#mayMend(one, twos[0]!))
        const right = twos.filter((two) => this.#mayMend(two, ones[0]!))
        const isMany = left.length * right.length > MOST_TRIED
        const most = Math.floor(Math.sqrt(MOST_TRIED))
        const tried = (singles: readonly Single[]): readonly Single[] =>
          isMany ? this.#foremost(singles, most) : singles
        for (const one of tried(left))
          for (const two of tried(right)) {
            const { set } = this.tryOut([one.part, two.part])
            if (set) found.push(set)
          }
      }
    return found
  }

  /** Whether a part of another place, of the shape of this one, changes what every failing joint looks at. */
  #mayMend({ part, assembly, failing }: Single, { part: other }: Single): boolean {
    if (failing.length === 0) return true
    const order = [part, other].sort(
      (p, q) => PLACES.indexOf(insertionPlace(p)!) - PLACES.indexOf(insertionPlace(q)!),
    )
    const both = assemble({ ...this.train, inserted: order })
    return failing.every((joint) => lookOf(joint, both) !== lookOf(joint, assembly))
  }

  /** The cheapest at each strength of evidence. */
  #foremost(singles: readonly Single[], most: number): Single[] {
    const byCost = [...singles].sort(
      (p, q) => this.cost(p.part.id) - this.cost(q.part.id) || (p.part.id < q.part.id ? -1 : 1),
    )
    const each = Math.max(1, Math.floor(most / (GRADES.length + 1)))
    return [
      ...new Set(
        [...GRADES.keys(), GRADES.length].flatMap((grade) =>
          byCost.filter(({ weakest }) => weakest >= grade).slice(0, each),
        ),
      ),
    ]
  }
}

/** What a part changes where it is put in: its kind, and which ports it has and names. */
const shapeOf = ({ kind, ports }: CompiledPart): string =>
  [kind, ...ports.map((port) => `${port.kind} ${port.looks} ${port.slot} ${port.present}`)].join(
    '|',
  )
