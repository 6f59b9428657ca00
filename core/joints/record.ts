import type { Field } from '../ports/field.ts'
import { GRADES, type Grade } from '../quantity/grade.ts'
import { METHODS } from '../quantity/methods.ts'
import { type Judgement, judge } from './judge.ts'
import type { Sheet } from './sheet.ts'
import {
  CODES,
  type Code,
  FITS,
  type Limit,
  type LimitRecord,
  type MissingField,
  type Outcome,
  type Shown,
  type Task,
  type TermRecord,
  UNMEASURED,
  type Verdict,
} from './verdict.ts'

/** Keeps each limit with its terms, margins and missing fields: what is shown, and what raises needs. */
export class RecordSheet implements Sheet {
  sum = 0
  allKnown = true
  #pm = 0
  #squares = 0
  #code = FITS
  #weakest: number = GRADES.length
  #known = 0
  #agreed = 0
  #outside = 0
  #terms: TermRecord[] = []
  #inputs: Field<unknown>[] = []
  #place: string | undefined
  readonly #limits: LimitRecord[] = []
  readonly #missing = new Map<string, MissingField>()
  readonly #fields = new Map<string, MissingField>()
  readonly #tasks = new Map<string, Task>()
  readonly #pieces = new Set<string>()
  readonly #shown: Shown[] = []
  readonly #cautions = new Set<string>()
  readonly #judgement: Judgement = { code: 0, outcome: null, outside: false, agreed: false, straddles: false }

  term(sign: 1 | -1, field: Field<number>): void {
    this.uses(field)
    this.#terms.push(termOf(sign, field))
    if (field.claim === null) return
    this.sum += sign * field.v
    this.#pm += field.pm
    this.#squares += field.pm * field.pm
  }

  uses(field: Field<unknown>): void {
    this.#inputs.push(field)
    const key = `${field.at.port}.${field.at.field}`
    if (!this.#fields.has(key)) this.#fields.set(key, missingField(field))
    if (field.claim === null) this.allKnown = false
    else {
      this.#weakest = Math.min(this.#weakest, field.grade)
      if (field.conflict)
        this.#cautions.add(
          `${field.at.partName}: claims on "${field.at.words.label}" disagree beyond their ±. Wrong variant, worn or altered part, or mismeasured: look before you spend.`,
        )
    }
  }

  value(figure: number, plusMinus: number): void {
    if (Number.isNaN(figure)) {
      this.allKnown = false
      return
    }
    this.sum += figure
    this.#pm += plusMinus
    this.#squares += plusMinus * plusMinus
  }

  within(limit: Limit, low: number, high: number): void {
    const known = this.allKnown && !Number.isNaN(low) && !Number.isNaN(high)
    if (!known) {
      this.#push(limit, UNMEASURED, null, false, low, high, this.#unknownWords())
      return
    }
    judge(limit, this.sum, this.#pm, low, high, this.#judgement)
    const { code, outcome, agreed, outside, straddles } = this.#judgement
    this.#known++
    if (agreed) this.#agreed++
    if (outside) this.#outside++
    if (!limit.damage && !Number.isFinite(this.#pm)) this.#cautions.add(`${limit.label}: judged at the value given; its ± is not known.`)
    const words = straddles
      ? Number.isFinite(this.#pm)
        ? `Known only to ± ${round(this.#pm)} ${limit.unit}: measure closer`
        : 'Known, but nobody said how closely: measure with a stated method'
      : (outcome?.words ?? 'Agrees')
    if (straddles) for (const field of this.#inputs) if (field.pm > 0) this.#miss(field)
    this.#push(limit, code, outcome, true, low, high, words)
  }

  require(limit: Limit, holds: boolean, otherwise: Outcome): void {
    if (!this.allKnown) {
      this.#push(limit, UNMEASURED, null, false, Number.NaN, Number.NaN, this.#unknownWords())
      return
    }
    this.#known++
    if (holds) this.#agreed++
    else this.#outside++
    this.#push(limit, holds ? FITS : otherwise.code, holds ? null : otherwise, false, Number.NaN, Number.NaN, holds ? 'Agrees' : otherwise.words)
  }

  show(label: string, value: number | string, unit: string): void {
    if (typeof value !== 'number' || Number.isFinite(value)) this.#shown.push({ label, value, unit })
  }

  caution(words: string): void {
    this.#cautions.add(words)
  }

  at(place: string): void {
    this.#place = place
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
      lean: this.#outside > 0 ? 'doubtful' : this.#known * 2 >= stated ? 'likely' : 'open',
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

  #push(limit: Limit, code: number, outcome: Outcome | null, measured: boolean, low: number, high: number, words: string): void {
    const margin = measured ? Math.min(this.sum - low, high - this.sum) : null
    this.#limits.push({
      id: limit.id,
      label: limit.label,
      ...(this.#place === undefined ? {} : { at: this.#place }),
      unit: limit.unit,
      terms: this.#terms,
      value: measured ? this.sum : null,
      plusMinus: measured ? finite(this.#pm) : null,
      rootSumSquare: measured ? finite(Math.sqrt(this.#squares)) : null,
      low: finite(low),
      high: finite(high),
      margin: margin === null ? null : finite(margin),
      worstMargin: margin === null ? null : finite(margin - this.#pm),
      damage: limit.damage ?? false,
      code: CODES[code] as Code,
      words,
      pieces: outcome?.pieces ?? [],
      ...(outcome?.task ? { task: outcome.task } : {}),
    })
    for (const piece of outcome?.pieces ?? []) this.#pieces.add(piece)
    if (outcome?.task) {
      this.#tasks.set(outcome.task.id, outcome.task)
      if (outcome.task.caution) this.#cautions.add(outcome.task.caution)
    }
    this.#code = Math.max(this.#code, code)
    this.sum = 0
    this.#pm = 0
    this.#squares = 0
    this.#terms = []
    this.#inputs = []
    this.allKnown = true
  }

  #unknownWords(): string {
    const unknown = this.#inputs.filter((field) => field.claim === null)
    for (const field of unknown) this.#miss(field)
    return unknown.length > 0 ? `Not known: ${[...new Set(unknown.map((f) => `${f.at.partName}, ${lower(f.at.words.label)}`))].join('; ')}` : 'Not known'
  }

  #miss(field: Field<unknown>): void {
    const missing = missingField(field)
    this.#missing.set(`${missing.port}.${missing.field}`, missing)
  }
}

const lower = (label: string): string => label.charAt(0).toLowerCase() + label.slice(1)
const finite = (value: number): number | null => (Number.isFinite(value) ? value : null)
const round = (value: number): number => Number(value.toFixed(3))

function missingField(field: Field<unknown>): MissingField {
  const { at } = field
  return {
    part: at.part,
    partName: at.partName,
    port: at.port,
    field: at.field,
    label: at.words.label,
    methods: at.words.methods.map((id) => METHODS[id].words),
    minutes: at.words.minutes,
  }
}

function termOf(sign: 1 | -1, field: Field<number>): TermRecord {
  const known = field.claim !== null
  return {
    sign,
    label: field.at.words.label,
    part: field.at.partName,
    port: field.at.port,
    field: field.at.field,
    value: known ? field.v : null,
    plusMinus: finite(field.pm),
    grade: known ? (GRADES[field.grade] ?? null) : null,
  }
}
