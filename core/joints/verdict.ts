import type { Grade } from '../quantity/grade.ts'
import type { MethodId } from '../quantity/methods.ts'
import type { BRIDGE, CLASH, Code, WORK } from './code.ts'
import type { Formula } from './judging/declaration.ts'
import type { Lean } from './lean.ts'

/** Something to do, when a limit asks for work. */
export interface Task {
  readonly id: string
  readonly words: string
  readonly hours: number
  readonly skills: readonly ('weld' | 'machine' | 'mechanic')[]
  readonly reversible: boolean
  /** Shown at the step, once. */
  readonly caution?: string
}

/** What a failed limit becomes: a code, with the task or the kinds of piece that cure it. */
export interface Outcome {
  readonly code: typeof WORK | typeof BRIDGE | typeof CLASH
  readonly words: string | Formula<string>
  readonly task?: Task
  readonly pieces?: readonly string[]
}

export interface TermRecord {
  readonly sign: 1 | -1
  readonly label: string
  readonly part: string
  readonly port: string
  readonly field: string
  readonly value: number | null
  readonly plusMinus: number | null
  readonly grade: Grade | null
}

export interface Loosest {
  readonly part: string
  readonly label: string
  /** 0 to 1; null where nobody said how closely it is known. */
  readonly share: number | null
}

export interface LimitRecord {
  readonly id: string
  readonly label: string
  readonly at?: string | undefined
  readonly unit: string
  readonly terms: readonly TermRecord[]
  readonly value: number | null
  readonly plusMinus: number | null
  readonly rootSumSquare: number | null
  readonly low: number | null
  readonly high: number | null
  readonly margin: number | null
  readonly worstMargin: number | null
  /** The input whose ± moves it most, with its share of the whole; null where none has one. */
  readonly loosest: Loosest | null
  readonly damage: boolean
  readonly code: Code
  readonly words: string
  readonly pieces: readonly string[]
  readonly task?: Task | undefined
}

export interface MissingField {
  readonly part: string
  readonly partName: string
  readonly port: string
  readonly field: string
  readonly label: string
  readonly methods: readonly MethodId[]
  readonly minutes: number
}

export interface Shown {
  readonly label: string
  readonly value: number | string
  readonly unit: string
}

/** The whole answer of one joint: what is shown, and what raises needs. */
export interface Verdict {
  readonly joint: string
  readonly code: Code
  readonly limits: readonly LimitRecord[]
  readonly stated: number
  readonly known: number
  readonly agreed: number
  readonly outside: number
  /** likely: none outside and at least half known; doubtful: any outside; else open. */
  readonly lean: Lean
  readonly missing: readonly MissingField[]
  readonly minutes: number
  /** Weakest grade leaned on; null when nothing is known. */
  readonly evidence: Grade | null
  readonly fields: readonly MissingField[]
  readonly tasks: readonly Task[]
  readonly pieces: readonly string[]
  readonly shown: readonly Shown[]
  readonly cautions: readonly string[]
}
