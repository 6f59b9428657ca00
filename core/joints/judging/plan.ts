import type { Field } from '../../ports/field.ts'
import { FITS, UNMEASURED } from '../code.ts'
import type { ToleranceName } from '../tolerances.ts'
import type { Outcome } from '../verdict.ts'
import {
  type End,
  type Formula,
  guardsOf,
  isUnproved,
  type Limit,
  ladder,
  type Measure,
  type Step,
  stepsOf,
  type Unproved,
} from './declaration.ts'
import {
  EMPTY_HALF,
  type Half,
  type Inputs,
  type Owner,
  Part,
  type PartFormula,
  WHOLE,
} from './half.ts'
import { isOutside, judge, type Measured, SLACK } from './judge.ts'
import { Prepared } from './prepared.ts'
import type { Read, Shop } from './read.ts'
import { fieldsOf, lookUp, NO_GRADE, type Scene } from './scene.ts'

/*
 * How one limit is judged, and the one place where ± is made: terms add; a measure is evaluated with every input at its
 * bad end, or gives its own ends; the ends of a window take part.
 */

/** What a limit came to. */
export interface Result extends Measured {
  isStated: boolean
  isKnown: boolean
  agreed: boolean
  outside: boolean
  straddles: boolean
  /** Missed, but by what proves nothing. */
  unproved: Unproved | null
  code: number
  weakest: number
  outcome: Outcome | null
  /** Asks that were reached; the last is unknown where the limit is not known for it. */
  readonly asked: Read[]
}

export const blankResult = (): Result => ({
  isStated: false,
  isKnown: false,
  agreed: false,
  outside: false,
  straddles: false,
  unproved: null,
  code: FITS,
  weakest: NO_GRADE,
  outcome: null,
  asked: [],
  value: Number.NaN,
  down: Number.NaN,
  up: Number.NaN,
  low: Number.NaN,
  high: Number.NaN,
  lowLeast: Number.NaN,
  lowMost: Number.NaN,
  highLeast: Number.NaN,
  highMost: Number.NaN,
})

/** What a half adds to value and window. */
export type Figures = Measured

interface Rung {
  readonly step: Step
  /** Places among the rung formulas and the asks; −1 where there is none. */
  readonly when: number
  readonly ask: number
}

/** A limit made ready to be judged many times. Not re-entrant: what it is loaded with is judged before the next is loaded. */
export class Plan {
  readonly #guards: readonly Prepared[]
  readonly #measure: Prepared | null
  readonly #lowEnd: Prepared | null
  readonly #highEnd: Prepared | null
  readonly #holds: Prepared | null
  readonly #main: readonly Prepared[]
  readonly #rungs: Prepared[] = []
  readonly #asks: Read[] = []
  readonly #below: readonly Rung[]
  readonly #above: readonly Rung[]
  readonly #otherwise: readonly Rung[]
  readonly #halves: [Half, Half] = [EMPTY_HALF, EMPTY_HALF]
  readonly #isSimple: boolean
  /** Ends are made where damage is at stake, or where a limit asks how closely its value is known. */
  readonly needsEnds: boolean

  constructor(readonly limit: Limit) {
    const [low, high] = limit.window ?? []
    const prepare = (formula: Formula | Measure | undefined): Prepared | null =>
      formula ? new Prepared(formula) : null
    this.#guards = guardsOf(limit).map((guard) => new Prepared(guard))
    this.#measure = prepare(limit.measure)
    this.#lowEnd = prepare(typeof low === 'object' ? low : undefined)
    this.#highEnd = prepare(typeof high === 'object' ? high : undefined)
    this.#holds = prepare(limit.holds)
    this.#main = [this.#measure, this.#lowEnd, this.#highEnd, this.#holds].filter(
      (one) => one !== null,
    )
    const rungs = (steps: readonly Step[]): Rung[] =>
      steps.map((step) => ({
        step,
        when: step.when ? this.#rungs.push(new Prepared(step.when)) - 1 : -1,
        ask: step.ask ? this.#asks.push(step.ask) - 1 : -1,
      }))
    this.#below = rungs(ladder(limit, true))
    this.#above = rungs(ladder(limit, false))
    this.#otherwise = rungs(stepsOf(limit.otherwise))
    this.#isSimple =
      this.#holds === null &&
      limit.proved === undefined &&
      [...this.#below, ...this.#above].every(({ when, ask }) => when < 0 && ask < 0)
    this.needsEnds = limit.damage === true || limit.proved !== undefined
  }

  /** Looks up what this limit reads in a scene: all of it. */
  half(scene: Scene): Half {
    this.#all ??= this.part(WHOLE, 0)
    return this.#all.half(scene)
  }
  #all: Part | null = null

  /** What one half looks up, found once for many scenes that are put together alike. */
  part(owner: Owner, which: 0 | 1): Part {
    const { terms = [], names = [] } = this.limit
    const isHere = (read: Read): boolean => {
      const whose = owner.read(read)
      return whose === which || whose === null
    }
    const formulaOf = ({ reads }: Prepared): PartFormula => ({
      reads: reads.map((read) => (isHere(read) ? read : null)),
      isWhole: reads.every((read) => owner.read(read) === which),
      isNone: reads.length > 0 && !reads.some(isHere),
    })
    const share =
      owner === WHOLE
        ? undefined
        : { has: isHere, hasPart: (index: number): boolean => owner.part(index) === which }
    return new Part(
      names.filter((read) => isHere(read) && !read.isAside),
      terms.filter(({ of }) => isHere(of)),
      this.#guards.map(formulaOf),
      this.#main.map(formulaOf),
      this.#rungs.map(formulaOf),
      this.#asks.map((read) => (isHere(read) ? read : null)),
      share,
    )
  }

  /** Nothing but a sum against a fixed window: nothing to work out for each pair. */
  get isPlainSum(): boolean {
    return (
      this.#main.length === 0 &&
      this.#rungs.length === 0 &&
      this.#asks.length === 0 &&
      this.#guards.length === 0
    )
  }

  /** Whether the limit is stated at all, as far as one half alone can tell; null where the other half is needed. */
  states({ guards }: Half, shop: Shop): boolean | null {
    let isSure = true
    for (let k = 0; k < guards.length; k++) {
      if (!guards[k]!.isWhole) isSure = false
      else if (!this.#guards[k]!.write(guards[k]!, undefined, false).solve(shop, false).figure)
        return false
    }
    return isSure ? true : null
  }

  /** Asks the guards that lean on both halves, of what is loaded. */
  #isStated(shop: Shop): boolean {
    const [one, other] = this.#halves
    for (let k = 0; k < this.#guards.length; k++) {
      const guard = this.#guards[k]!
      if (one.guards[k]?.isWhole || other.guards[k]?.isWhole)
        this.#solved(guard, one.guards[k], other.guards[k], shop)
      else if (guard.isOpen) guard.solve(shop, false)
      if (!guard.figure) return false
    }
    return true
  }

  /** Writes a half on the sheets; `after` the other half is there, what both share is their sum. */
  load(which: 0 | 1, half: Half, shop: Shop, after = which === 1, withEnds = this.needsEnds): this {
    this.#halves[which] = half
    const other = after ? this.#halves[which === 0 ? 1 : 0] : EMPTY_HALF
    for (let k = 0; k < half.guards.length; k++) {
      const inputs = half.guards[k]!
      if (!inputs.isWhole && !inputs.isNone) this.#guards[k]!.write(inputs, other.guards[k], false)
    }
    if (!half.isKnown) return this
    for (let m = 0; m < half.main.length; m++) {
      const prepared = this.#main[m]!
      const inputs = half.main[m]!
      if (inputs.isNone) continue
      if (!inputs.isWhole) prepared.write(inputs, other.main[m], withEnds)
      else {
        let solved = half.solved[m]
        if (!solved) {
          const { figure, least, most } = prepared
            .write(inputs, undefined, withEnds)
            .solve(shop, withEnds)
          solved = half.solved[m] = { figure, least, most }
        }
        prepared.take(solved)
      }
    }
    return this
  }

  /**
   * What a half brings to value and window: figures that add. Null where a guard or a formula leans on both halves, or
   * where a miss asks for more than how far it misses.
   */
  figures(half: Half, which: 0 | 1, shop: Shop): Figures | null {
    if (
      !this.#isSimple ||
      this.#guards.length !==
        half.guards.filter(({ isWhole, isNone }) => isWhole || isNone).length ||
      half.main.some(({ isWhole, isNone }) => !isWhole && !isNone)
    )
      return null
    const found: Figures = {
      value: half.sum,
      down: half.pm,
      up: half.pm,
      low: 0,
      lowLeast: 0,
      lowMost: 0,
      high: 0,
      highLeast: 0,
      highMost: 0,
    }
    if (!half.isKnown) return found
    this.load(which, half, shop, false)
    const [low, high] = this.limit.window ?? [-Infinity, Infinity]
    const mine = (prepared: Prepared | null): boolean =>
      prepared !== null &&
      half.main[this.#main.indexOf(prepared)]!.isWhole &&
      (which === 0 || prepared.reads.length > 0)
    if (mine(this.#measure)) {
      const measure = this.#measure!
      found.value += measure.figure
      found.down += measure.figure - measure.least
      found.up += measure.most - measure.figure
    }
    // A fixed end is counted once, with the first half.
    if (this.#lowEnd ? mine(this.#lowEnd) : which === 0) {
      this.#end(low, this.#lowEnd, shop, this.needsEnds, true)
      Object.assign(found, { low: figure, lowLeast: least, lowMost: most })
    }
    if (this.#highEnd ? mine(this.#highEnd) : which === 0) {
      this.#end(high, this.#highEnd, shop, this.needsEnds, true)
      Object.assign(found, { high: figure, highLeast: least, highMost: most })
    }
    return found
  }

  /** Code of a miss, where nothing is asked but how far it misses. */
  codeOf(isUnder: boolean, miss: number, shop: Shop): number {
    for (const { step } of isUnder ? this.#below : this.#above)
      if (
        step.within === undefined ||
        miss <=
          (typeof step.within === 'number' ? step.within : shop.tolerances[step.within]) + SLACK
      )
        return isUnproved(step.becomes) ? UNMEASURED : step.becomes.code
    throw new Error(`The limit "${this.limit.id}" has no step for a miss of ${miss}.`)
  }

  /** Judges what is loaded: with all that a record shows, or only what decides. `isStated` where the guard is already asked. */
  judge(shop: Shop, out: Result, forRecord = false, isStated = false): Result {
    const [one, other] = this.#halves
    out.isStated = isStated || this.#guards.length === 0 || this.#isStated(shop)
    if (!out.isStated) return out
    out.asked.length = 0
    out.weakest = Math.min(one.weakest, other.weakest)
    out.agreed = out.outside = out.straddles = false
    out.unproved = null
    out.outcome = null
    out.code = UNMEASURED
    out.value = out.down = out.up = out.low = out.high = Number.NaN
    out.isKnown = one.isKnown && other.isKnown
    if (this.#holds) this.#hold(this.#holds, shop, out)
    else if (out.isKnown || forRecord) this.#measured(shop, out, forRecord || this.needsEnds)
    return out
  }

  #hold(holds: Prepared, shop: Shop, out: Result): void {
    if (!out.isKnown) return
    if (holds.isOpen) holds.solve(shop, false)
    if (holds.figure) agree(out)
    else {
      out.outside = true
      this.#become(this.#otherwise, 0, shop, out)
    }
  }

  #measured(shop: Shop, out: Result, withEnds: boolean): void {
    const [low, high] = this.limit.window ?? [-Infinity, Infinity]
    this.#end(low, this.#lowEnd, shop, withEnds, out.isKnown)
    out.low = figure
    out.lowLeast = least
    out.lowMost = most
    this.#end(high, this.#highEnd, shop, withEnds, out.isKnown)
    out.high = figure
    out.highLeast = least
    out.highMost = most
    if (!out.isKnown) return
    const [one, other] = this.#halves
    out.value = one.sum + other.sum
    out.down = out.up = one.pm + other.pm
    const measure = this.#measure
    if (measure) {
      if (measure.isOpen) measure.solve(shop, withEnds)
      out.value += measure.figure
      out.down += measure.figure - measure.least
      out.up += measure.most - measure.figure
    }
    if (Number.isNaN(out.value) || Number.isNaN(out.low) || Number.isNaN(out.high)) {
      out.isKnown = false
      out.value = Number.NaN
    } else this.#stand(shop, out)
  }

  #stand(shop: Shop, out: Result): void {
    const { limit } = this
    out.outside = isOutside(out)
    const standing = judge(out, limit.damage === true)
    if (standing === 'straddles') out.straddles = true
    else if (standing === 'under') this.#become(this.#below, out.low - out.value, shop, out)
    else if (standing === 'over') this.#become(this.#above, out.value - out.high, shop, out)
    else if (limit.proved && !(plusMinusOf(out) <= shop.tolerances[limit.proved.within] + SLACK)) {
      out.outside = true
      out.outcome = limit.proved.becomes
      out.code = out.outcome.code
    } else agree(out)
  }

  /** An end of the window into the three registers below; a computed one is NaN while something it reads is not known. */
  #end(end: End, prepared: Prepared | null, shop: Shop, withEnds: boolean, isKnown: boolean): void {
    if (!prepared)
      figure = least = most = typeof end === 'number' ? end : this.#toleranceOf(end as string, shop)
    else {
      if (isKnown && prepared.isOpen) prepared.solve(shop, withEnds)
      figure = isKnown ? prepared.figure : this.#endAlone(prepared, shop)
      least = prepared.least
      most = prepared.most
    }
  }

  /** A named end, looked up once while the shop's tolerances are the same. */
  #toleranceOf(name: string, { tolerances }: Shop): number {
    if (this.#tolerances !== tolerances) {
      this.#tolerances = tolerances
      this.#named.clear()
    }
    let value = this.#named.get(name)
    if (value === undefined)
      this.#named.set(
        name,
        (value = name.startsWith('-')
          ? -tolerances[name.slice(1) as ToleranceName]
          : tolerances[name as ToleranceName]),
      )
    return value
  }
  #tolerances: Shop['tolerances'] | null = null
  readonly #named = new Map<string, number>()

  /** A computed end where the limit as a whole is not known: shown as far as its own inputs are. */
  #endAlone(prepared: Prepared, shop: Shop): number {
    const inputs = this.#halves[0].main[this.#main.indexOf(prepared)]
    return inputs?.isWhole
      ? prepared.write(inputs, undefined, false).solve(shop, false).figure
      : Number.NaN
  }

  #solved(
    prepared: Prepared,
    one: Inputs | null | undefined,
    other: Inputs | null | undefined,
    shop: Shop,
  ): any {
    if (one) prepared.write(one, undefined, false)
    if (other) prepared.write(other, one ?? undefined, false)
    return prepared.solve(shop, false).figure
  }

  #become(rungs: readonly Rung[], miss: number, shop: Shop, out: Result): void {
    const [one, other] = this.#halves
    for (const { step, when, ask } of rungs) {
      if (
        step.within !== undefined &&
        !(
          miss <=
          (typeof step.within === 'number' ? step.within : shop.tolerances[step.within]) + SLACK
        )
      )
        continue
      if (when >= 0 && !this.#solved(this.#rungs[when]!, one.rungs[when], other.rungs[when], shop))
        continue
      if (ask >= 0) {
        const input = one.asks[ask] ?? other.asks[ask]!
        out.asked.push(this.#asks[ask]!)
        if (input.claim === null) {
          out.isKnown = out.outside = false
          out.code = UNMEASURED
          return
        }
        if (input.grade < out.weakest) out.weakest = input.grade
        if (input.v !== true) continue
      }
      if (isUnproved(step.becomes)) {
        out.unproved = step.becomes
        // What lacks a measurement is not outside; what assumed figures miss leans that way.
        if (step.becomes.missing) out.isKnown = out.outside = false
        out.code = UNMEASURED
        return
      }
      out.outcome = step.becomes
      out.code = out.outcome.code
      return
    }
    throw new Error(`The limit "${this.limit.id}" has no step for a miss of ${miss}.`)
  }

  /** What makes the value and the ends of its window. */
  get measured(): readonly Prepared[] {
    return [this.#measure, this.#lowEnd, this.#highEnd].filter((one) => one !== null)
  }

  /** ± of each input of the value alone, for the root of squares: terms as they are, a measure by one input at a time. */
  deviations(shop: Shop, scene: Scene): number[] {
    const spread = (read: Read): number => spreadOf(read, scene)
    return [
      ...(this.limit.terms ?? []).map(({ of }) => spread(of)),
      ...(this.#measure?.deviations(shop, spread) ?? []),
    ]
  }
}

/** Each input of a value with its ± and by how much that moves the value, one input at a time; ends of the window among them. */
export function sharesOf(
  plan: Plan,
  shop: Shop,
  scene: Scene,
): { readonly field: Field<unknown>; readonly by: number }[] {
  const { terms = [] } = plan.limit
  const leaves = (read: Read) => fieldsOf(read, scene).filter(({ pm }) => pm > 0)
  return [
    ...terms.flatMap(({ of }) => leaves(of).map((field) => ({ field, by: field.pm }))),
    ...plan.measured.flatMap((prepared) => {
      const by = prepared.deviations(shop, (read) => lookUp(read, scene).pm)
      return prepared.reads.flatMap((read, k) => {
        const own = leaves(read)
        const total = own.reduce((sum, { pm }) => sum + pm, 0)
        return own.map((field) => ({
          field,
          by: own.length === 1 || !Number.isFinite(total) ? by[k]! : (by[k]! * field.pm) / total,
        }))
      })
    }),
  ].sort((p, q) => q.by - p.by)
}

/** ± of one input; of a sum, the root of its squares: its lengths are measured apart. */
function spreadOf(read: Read, scene: Scene): number {
  const { source } = read
  const apart =
    source.at === 'sum'
      ? source.terms.map(({ of }) => spreadOf(of, scene))
      : source.at === 'stack'
        ? fieldsOf(read, scene).map(({ pm }) => pm)
        : [lookUp(read, scene).pm]
  return apart.length === 1 ? apart[0]! : Math.sqrt(apart.reduce((sum, pm) => sum + pm * pm, 0))
}

/** Registers of the end last looked at: no object is made for each. */
let figure = Number.NaN
let least = Number.NaN
let most = Number.NaN

function agree(out: Result): void {
  out.agreed = true
  out.code = FITS
}

/** Greatest deviation of the value toward either end. */
export const plusMinusOf = ({ down, up }: Measured): number => Math.max(down, up)

const plans = new WeakMap<Limit, Plan>()
/** The plan of a limit, made once. */
export function planOf(limit: Limit): Plan {
  let plan = plans.get(limit)
  if (!plan) plans.set(limit, (plan = new Plan(limit)))
  return plan
}
