import type { Grade } from '../quantity/grade.ts'
import {
  type Application,
  type AskedTarget,
  type GenerationClaim,
  type SerialRange,
  TARGETS,
  type TargetKind,
  type Where,
  type WhereCondition,
} from './claims.ts'
import { builtIn, type Interval, intervalOf, type Within, within } from './interval.ts'
import { fitsPattern } from './pattern.ts'
import { FITTED, gradeOf } from './strength.ts'

/** How a where stands: the better one stands further left but for another generation, which only another family outranks. */
export type Truth = 'holds' | 'unknown' | 'other generation' | 'fails'

/** What a where came to, on what, and what would settle it. */
export interface WhereAnswer {
  readonly truth: Truth
  /** Strength of the weakest known target and fact that it names or reads; of nothing the greatest. */
  readonly strength: number
  /** Fact keys, and `engine`, `engine.generation`, `engine.built`, `engine.serial`. */
  readonly open: readonly string[]
  readonly todo: readonly string[]
}

const NOWHERE: WhereAnswer = { truth: 'holds', strength: FITTED, open: [], todo: [] }

const plain = (word: string | number | boolean): string => String(word).trim().toLowerCase()

/** A generation as it is known, with how well. */
interface KnownGeneration {
  readonly id: string
  readonly strength: number
}

/** What a number is asked for, with what is reckoned from it once: generations by their breaks, wheres by identity. */
export class AskedFor {
  readonly cautions: string[] = []
  readonly #application: Application
  readonly #generations: readonly GenerationClaim[]
  readonly #known = new Map<TargetKind, KnownGeneration | null>()
  readonly #answers = new WeakMap<Where, WhereAnswer>()

  constructor(application: Application, generations: readonly GenerationClaim[]) {
    this.#application = application
    this.#generations = generations
    for (const kind of TARGETS) this.#checkStated(kind)
  }

  target(kind: TargetKind): AskedTarget | undefined {
    return this.#application[kind]
  }

  /** Whether a where names a target that is stated with its family. */
  isNamedBy(where: Where | undefined): boolean {
    return TARGETS.some((kind) => {
      const [named, stated] = [where?.targets?.[kind], this.#application[kind]]
      return named && stated && plain(named.family) === plain(stated.family)
    })
  }

  /** How a where stands for what is asked. */
  where(where: Where | undefined): WhereAnswer {
    if (!where) return NOWHERE
    let held = this.#answers.get(where)
    if (!held) this.#answers.set(where, (held = this.#answer(where)))
    return held
  }

  /** The generation of a target: as it is stated, else the one whose breaks hold while all others fail; null where not known. */
  generation(kind: TargetKind): KnownGeneration | null {
    let known = this.#known.get(kind)
    if (known === undefined) this.#known.set(kind, (known = this.#reckon(kind)))
    return known
  }

  #ofFamily(kind: TargetKind, family: string): readonly GenerationClaim[] {
    return this.#generations.filter(
      (one) => one.target === kind && plain(one.family) === plain(family),
    )
  }

  #reckon(kind: TargetKind): KnownGeneration | null {
    const target = this.#application[kind]
    if (!target) return null
    if (target.generation !== undefined)
      return { id: plain(target.generation), strength: gradeOf(target.grade) }
    const breaks = this.#ofFamily(kind, target.family)
    const ids = [...new Set(breaks.map(({ id }) => plain(id)))]
    const stands = ids.map((id) => {
      const own = breaks.filter((one) => plain(one.id) === id)
      const truths = own.map((one) => this.#breakTruth(target, one))
      return {
        id,
        own,
        truth: truths.includes('holds')
          ? 'holds'
          : truths.every((truth) => truth === 'fails')
            ? 'fails'
            : 'unknown',
      }
    })
    const [holding, ...more] = stands.filter(({ truth }) => truth !== 'fails')
    if (holding?.truth !== 'holds' || more.length > 0) return null
    const facts = holding.own.flatMap(({ conditions = [] }) =>
      conditions.flatMap(({ key }) => this.#application.facts?.[key] ?? []),
    )
    return {
      id: holding.id,
      strength: Math.min(gradeOf(target.grade), ...facts.map(({ grade }) => gradeOf(grade))),
    }
  }

  #breakTruth(target: AskedTarget, { from, to, conditions = [] }: GenerationClaim): Within {
    const built = builtOf(target)
    const dated = !from && !to ? 'holds' : built ? within(built, from, to) : 'unknown'
    const truths = [dated, ...conditions.map((one) => this.#condition(one))]
    return truths.includes('fails') ? 'fails' : truths.includes('unknown') ? 'unknown' : 'holds'
  }

  #checkStated(kind: TargetKind): void {
    const target = this.#application[kind]
    if (target?.generation === undefined) return
    const own = this.#ofFamily(kind, target.family).filter(
      ({ id }) => plain(id) === plain(target.generation!),
    )
    if (own.length > 0 && own.every((one) => this.#breakTruth(target, one) === 'fails'))
      this.cautions.push(
        `The ${kind} is said to be of generation ${target.generation}, and what tells its generations says otherwise.`,
      )
  }

  #condition({ key, is, not, from, to }: WhereCondition): Within {
    const fact = this.#application.facts?.[key]
    if (fact === undefined) return 'unknown'
    const value = plain(fact.value)
    if (is && !is.some((one) => plain(one) === value)) return 'fails'
    if (not?.some((one) => plain(one) === value)) return 'fails'
    if (from === undefined && to === undefined) return 'holds'
    const figure = value === '' ? Number.NaN : Number(value)
    if (Number.isNaN(figure)) return 'unknown'
    return (from === undefined || figure >= from) && (to === undefined || figure <= to)
      ? 'holds'
      : 'fails'
  }

  #answer(where: Where): WhereAnswer {
    const open: string[] = []
    let isOtherFamily = false
    let isOtherGeneration = false
    let isFailing = false
    let isUnknown = false
    let strength = FITTED
    const lean = (grade: Grade | undefined): void =>
      void (strength = Math.min(strength, gradeOf(grade)))
    const take = (truth: Within, key: string): void => {
      if (truth === 'fails') isFailing = true
      if (truth !== 'unknown') return
      isUnknown = true
      if (!open.includes(key)) open.push(key)
    }
    let named: TargetKind | undefined
    for (const kind of TARGETS) {
      const wanted = where.targets?.[kind]
      if (!wanted) continue
      named ??= kind
      const target = this.#application[kind]
      if (!target) {
        take('unknown', kind)
        continue
      }
      lean(target.grade)
      if (plain(target.family) !== plain(wanted.family)) {
        isOtherFamily = true
        continue
      }
      if (!wanted.generations || wanted.generations.length === 0) continue
      const known = this.generation(kind)
      if (known === null) take('unknown', `${kind}.generation`)
      else {
        strength = Math.min(strength, known.strength)
        if (!wanted.generations.some((one) => plain(one) === known.id)) isOtherGeneration = true
      }
    }
    const { from, to, yearFrom, yearTo, serial } = where
    const isDated = from !== undefined || to !== undefined
    const isYear = yearFrom !== undefined || yearTo !== undefined
    if (isDated || isYear || serial) {
      const kind = named ?? TARGETS.find((one) => this.#application[one])
      const target = kind && this.#application[kind]
      if (!kind || !target) take('unknown', kind ?? TARGETS[0])
      else {
        lean(target.grade)
        const built = builtOf(target)
        if (isDated) take(built ? within(built, from, to) : 'unknown', `${kind}.built`)
        if (isYear) take(yearsWithin(target, yearFrom, yearTo), `${kind}.built`)
        if (serial) take(serialWithin(target.serial, serial), `${kind}.serial`)
      }
    }
    for (const condition of where.conditions ?? []) {
      const fact = this.#application.facts?.[condition.key]
      if (fact) lean(fact.grade)
      take(this.#condition(condition), condition.key)
    }
    return {
      truth: isOtherFamily
        ? 'fails'
        : isOtherGeneration
          ? 'other generation'
          : isFailing
            ? 'fails'
            : isUnknown
              ? 'unknown'
              : 'holds',
      strength,
      open,
      todo: where.do ?? [],
    }
  }
}

/** When it was built, as it is said or as its model year tells. */
const builtOf = ({ built, modelYear }: AskedTarget): Interval | null =>
  built !== undefined ? intervalOf(built) : modelYear !== undefined ? builtIn(modelYear) : null

/** Built in a year it is of that model year or the next. */
function yearsWithin({ built, modelYear }: AskedTarget, from = -Infinity, to = Infinity): Within {
  if (modelYear === undefined && built === undefined) return 'unknown'
  const day = modelYear === undefined ? intervalOf(built!) : null
  const [first, last] = day
    ? [Number(day.from.slice(0, 4)), Number(day.to.slice(0, 4)) + 1]
    : [modelYear!, modelYear!]
  if (last < from || first > to) return 'fails'
  return first >= from && last <= to ? 'holds' : 'unknown'
}

/** Letters and digits of a serial; the series it begins with, the rest as a whole number. */
function serialWithin(serial: string | undefined, { series = '', from, to }: SerialRange): Within {
  const said = (serial ?? '').toUpperCase().replace(/[^A-Z0-9]/g, '')
  if (said === '') return 'unknown'
  const begins = series.toUpperCase().replace(/[^A-Z0-9#@*]/g, '')
  if (!fitsPattern(said.slice(0, begins.length), begins)) return 'fails'
  if (from === undefined && to === undefined) return 'holds'
  const rest = said.slice(begins.length)
  if (!/^\d+$/.test(rest)) return 'unknown'
  const figure = Number(rest)
  return figure < (from ?? -Infinity) || figure > (to ?? Infinity) ? 'fails' : 'holds'
}
