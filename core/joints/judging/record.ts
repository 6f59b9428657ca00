import type { Field } from '../../ports/field.ts'
import { unusualWords } from '../../ports/ranges.ts'
import { GRADES, type Grade, strength } from '../../quantity/grade.ts'
import { lowerFirst } from '../../quantity/plain-text.ts'
import { CODES, type Code, FITS, UNMEASURED } from '../code.ts'
import type { Joint } from '../joint.ts'
import { leanOf } from '../lean.ts'
import type {
  LimitRecord,
  Loosest,
  MissingField,
  Shown,
  Task,
  TermRecord,
  Verdict,
} from '../verdict.ts'
import { type Caution, type Figure, type Limit, readsOf } from './declaration.ts'
import { EMPTY_HALF } from './half.ts'
import { instancesOf } from './instances.ts'
import { blankResult, type Plan, planOf, plusMinusOf, type Result, sharesOf } from './plan.ts'
import type { Read } from './read.ts'
import { fieldsOf, lookUp, type Scene } from './scene.ts'
import { appliesTo } from './tally.ts'
import { wordsOf, workOut } from './work-out.ts'

/** Keeps each limit with its terms, margins and missing fields: what is shown, and what raises needs. */
export class Recorder {
  #code = FITS
  #weakest: number = GRADES.length
  #known = 0
  #agreed = 0
  #outside = 0
  readonly #limits: LimitRecord[] = []
  readonly #missing = new Map<string, MissingField>()
  readonly #fields = new Map<string, MissingField>()
  readonly #tasks = new Map<string, Task>()
  readonly #pieces = new Set<string>()
  readonly #shown: Shown[] = []
  readonly #cautions = new Set<string>()
  readonly #result = blankResult()

  /** Judges one meeting of a joint, named where there are several; false where it does not apply. */
  add(joint: Joint, scene: Scene, at = ''): boolean {
    if (!appliesTo(joint, scene)) return false
    for (const limit of joint.limits) {
      const plan = planOf(limit).load(1, EMPTY_HALF, scene.shop, false, true)
      for (const instance of instancesOf(limit, scene)) {
        const result = plan
          .load(0, plan.half(instance.scene), scene.shop, false, true)
          .judge(scene.shop, this.#result, true)
        if (result.isStated)
          this.#keep(
            limit,
            plan,
            result,
            instance.scene,
            instance.at ?? (at === '' ? undefined : at),
          )
      }
    }
    for (const figure of joint.figures ?? [])
      for (const instance of instancesOf(figure, scene))
        this.#show(figure, instance.scene, instance.at)
    for (const caution of joint.cautions ?? []) this.#warn(caution, scene)
    return true
  }

  /** The verdict as it stands; code strings as the wire carries them. */
  verdict(joint: string): Verdict {
    const stated = this.#limits.length
    return {
      joint,
      code: CODES[this.#code] as Code,
      limits: this.#limits,
      stated,
      known: this.#known,
      agreed: this.#agreed,
      outside: this.#outside,
      lean: leanOf({ stated, known: this.#known, outside: this.#outside }),
      missing: [...this.#missing.values()],
      minutes: [...this.#missing.values()].reduce((total, field) => total + field.minutes, 0),
      evidence: (GRADES as readonly Grade[])[this.#weakest] ?? null,
      fields: [...this.#fields.values()],
      tasks: [...this.#tasks.values()],
      pieces: [...this.#pieces],
      shown: this.#shown,
      cautions: [...this.#cautions],
    }
  }

  #keep(limit: Limit, plan: Plan, result: Result, scene: Scene, at: string | undefined): void {
    const inputs: Field<unknown>[] = []
    for (const read of readsOf(limit).needed)
      for (const field of fieldsOf(read, scene)) inputs.push(field)
    for (const read of result.asked) for (const field of fieldsOf(read, scene)) inputs.push(field)
    this.#name(inputs)
    if (result.isKnown) this.#known++
    if (result.agreed) this.#agreed++
    if (result.outside) this.#outside++
    const isMeasured = result.isKnown && !Number.isNaN(result.value)
    const pm = isMeasured ? plusMinusOf(result) : Number.NaN
    if (isMeasured && !limit.damage && !isClose(limit, pm, scene))
      this.#cautions.add(`${labelOf(limit, at)}: judged at the value given; its ± is not known.`)
    const shares = isMeasured ? sharesOf(plan, scene.shop, scene) : []
    // What moves it most is named first.
    if (result.straddles) {
      for (const { field } of shares) this.#miss(field)
      for (const field of looseFields(limit, scene)) this.#miss(field)
    }
    const loosest = loosestOf(shares)
    const open = result.unproved?.missing?.flatMap((read) => fieldsOf(read, scene))
    if (result.unproved) for (const field of open ?? inputs.filter(isAssumed)) this.#miss(field)
    const { outcome } = result
    const terms: TermRecord[] = []
    for (const { sign, of } of limit.terms ?? [])
      for (const field of fieldsOf(of, scene)) terms.push(termOf(sign, field as Field<number>))
    const { value, down, up, low, high, lowMost, highLeast } = result
    this.#limits.push({
      id: limit.id,
      label: labelOf(limit, at),
      at,
      unit: limit.unit,
      terms,
      value: isMeasured ? value : null,
      plusMinus: isMeasured ? finite(pm) : null,
      rootSumSquare: isMeasured ? finite(rootOfSquares(plan.deviations(scene.shop, scene))) : null,
      low: finite(low),
      high: finite(high),
      margin: isMeasured ? finite(Math.min(value - low, high - value)) : null,
      worstMargin: isMeasured
        ? finite(Math.min(value - lowMost - down, highLeast - value - up))
        : null,
      loosest,
      damage: limit.damage ?? false,
      code: CODES[result.code] as Code,
      words: this.#words(limit, result, scene, inputs, pm, loosest),
      pieces: outcome?.pieces ?? NO_PIECES,
      task: outcome?.task,
    })
    for (const piece of outcome?.pieces ?? []) this.#pieces.add(piece)
    if (outcome?.task) {
      this.#tasks.set(outcome.task.id, outcome.task)
      if (outcome.task.caution) this.#cautions.add(outcome.task.caution)
    }
    this.#code = Math.max(this.#code, result.code)
    this.#weakest = Math.min(this.#weakest, result.weakest)
  }

  #words(
    limit: Limit,
    result: Result,
    scene: Scene,
    inputs: readonly Field<unknown>[],
    pm: number,
    loosest: Loosest | null,
  ): string {
    if (result.unproved) return result.unproved.unproved
    if (result.code === UNMEASURED && !result.isKnown) {
      const unknown = inputs.filter(
        (field) => field.claim === null && !isOptional(limit, field, scene),
      )
      for (const field of unknown) this.#miss(field)
      return unknown.length > 0
        ? `Not known: ${[...new Set(unknown.map((f) => `${f.at.partName}, ${lowerFirst(f.at.words.label)}`))].join('; ')}`
        : 'Not known'
    }
    if (result.straddles)
      return Number.isFinite(pm)
        ? `Known only to ± ${Number(pm.toPrecision(2))} ${limit.unit}: measure closer${first(loosest)}`
        : `Known, but nobody said how closely: measure with a stated method${first(loosest)}`
    return result.outcome ? wordsOf(result.outcome, scene) : 'Agrees'
  }

  #name(fields: readonly Field<unknown>[]): void {
    for (const field of fields) {
      const key = `${field.at.port}.${field.at.field}`
      if (!this.#fields.has(key)) this.#fields.set(key, missingField(field))
      if (field.claim !== null && field.conflict)
        this.#cautions.add(
          `${field.at.partName}: claims on "${field.at.words.label}" disagree beyond their ±. Wrong variant, worn or altered part, or mismeasured: look before you spend.`,
        )
      const { range, label } = field.at.words
      const unusual = range && unusualWords(range, field.v)
      if (unusual)
        this.#cautions.add(`${field.at.partName}, ${label.toLowerCase()}: ${unusual} Look again.`)
    }
  }

  #show({ label, unit, of, when }: Figure, scene: Scene, at: string | undefined): void {
    const inputs = Object.values(of.reads).flatMap((read) =>
      read.isAside ? [] : [lookUp(read, scene)],
    )
    if (inputs.some(({ claim }) => claim === null) || (when && !workOut(when, scene))) return
    const value = workOut(of, scene)
    if (typeof value !== 'number' || Number.isFinite(value))
      this.#shown.push({
        label: labelOf({ label }, at),
        value,
        unit: typeof unit === 'string' ? unit : workOut(unit, scene),
      })
  }

  #warn({ words, when }: Caution, scene: Scene): void {
    if (!when || workOut(when, scene)) this.#cautions.add(words)
  }

  #miss(field: Field<unknown>): void {
    const missing = missingField(field)
    this.#missing.set(`${missing.port}.${missing.field}`, missing)
  }
}

/** What moves a value most; of several of which nobody said how closely they are known, the first. */
function loosestOf(shares: ReturnType<typeof sharesOf>): Loosest | null {
  const [most] = shares
  if (!most || most.by === 0) return null
  const total = shares.reduce((sum, { by }) => sum + by, 0)
  const { partName, words } = most.field.at
  return {
    part: partName,
    label: words.label,
    share: Number.isFinite(total) ? most.by / total : null,
  }
}
const first = (loosest: Loosest | null): string =>
  loosest
    ? `, first ${loosest.part}, ${lowerFirst(loosest.label)}${loosest.share === null ? '' : ` (${Math.round(loosest.share * 100)} % of it)`}`
    : ''

/** Fields whose ± counts in a limit. */
const looseFields = (limit: Limit, scene: Scene): readonly Field<unknown>[] =>
  readsOf(limit).needed.flatMap((read) =>
    lookUp(read, scene).pm > 0 ? fieldsOf(read, scene).filter((field) => field.pm > 0) : [],
  )

/** True where somebody said how closely every length of a value is known: a measure may hide one that nobody did. */
const isClose = ({ measure }: Limit, pm: number, scene: Scene): boolean =>
  measure?.isCount === true ||
  (Number.isFinite(pm) &&
    Object.values(measure?.reads ?? {}).every((read) => {
      const input = lookUp(read, scene)
      return typeof input.v === 'string' || Number.isFinite(input.pm)
    }))

/** True for a field that has a stand-in: it is never missing. */
const isOptional = (limit: Limit, field: Field<unknown>, scene: Scene): boolean =>
  readsOf(limit).needed.some(
    (read: Read) => 'else' in read && fieldsOf(read, scene).includes(field),
  )

/** A label with where it is judged. */
const labelOf = ({ label }: Pick<Limit, 'label'>, at: string | undefined): string =>
  label.replace('{at}', at ?? '?')
const isAssumed = ({ grade, claim }: Field<unknown>): boolean =>
  claim !== null && grade === strength('assumed')

const NO_PIECES: readonly string[] = []
const rootOfSquares = (deviations: readonly number[]): number =>
  Math.sqrt(deviations.reduce((sum, d) => sum + d * d, 0))
const finite = (value: number): number | null => (Number.isFinite(value) ? value : null)

function missingField(field: Field<unknown>): MissingField {
  const { at } = field
  return {
    part: at.part,
    partName: at.partName,
    port: at.port,
    field: at.field,
    label: at.words.label,
    methods: at.words.methods,
    minutes: at.words.minutes,
  }
}

function termOf(sign: 1 | -1, field: Field<number>): TermRecord {
  const isKnown = field.claim !== null
  return {
    sign,
    label: field.at.words.label,
    part: field.at.partName,
    port: field.at.port,
    field: field.at.field,
    value: isKnown ? field.v : null,
    plusMinus: finite(field.pm),
    grade: isKnown ? (GRADES[field.grade] ?? null) : null,
  }
}
