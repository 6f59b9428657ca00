import type { Grade } from '../quantity/grade.ts'

/** What a number may be said to belong to, in this order. */
export const TARGETS = ['vehicle', 'engine', 'transmission'] as const
export type TargetKind = (typeof TARGETS)[number]

/** How a number was read: from a list, stamped into a part, or cast in it. Stamped and cast are borne by many parts. */
export const MARKS = ['catalogue', 'stamped', 'cast'] as const
export type Mark = (typeof MARKS)[number]

/** What is asked of a fact: one of these, none of these, a figure between two; each is inclusive. */
export interface WhereCondition {
  readonly key: string
  readonly is?: readonly string[] | undefined
  readonly not?: readonly string[] | undefined
  readonly from?: number | undefined
  readonly to?: number | undefined
}

export interface SerialRange {
  /** A shape that it begins with. */
  readonly series?: string | undefined
  readonly from?: number | undefined
  readonly to?: number | undefined
}

/** Where a claim holds; what is left out restricts nothing. */
export interface Where {
  readonly targets?:
    | Readonly<
        Partial<
          Record<
            TargetKind,
            | { readonly family: string; readonly generations?: readonly string[] | undefined }
            | undefined
          >
        >
      >
    | undefined
  /** Built from and to: a year, a month or a day. */
  readonly from?: string | undefined
  readonly to?: string | undefined
  /** Model years. */
  readonly yearFrom?: number | undefined
  readonly yearTo?: number | undefined
  readonly serial?: SerialRange | undefined
  readonly conditions?: readonly WhereCondition[] | undefined
  /** What is to be done with it. */
  readonly do?: readonly string[] | undefined
}

interface Claim {
  readonly id: string
  /** Heard where nobody said. */
  readonly grade?: Grade | undefined
  readonly source?: string | undefined
  readonly where?: Where | undefined
}

/** A number as somebody wrote it. */
export interface WrittenNumber {
  readonly issuer: string
  readonly number: string
}
export interface CountedNumber extends WrittenNumber {
  /** 1 where nobody said. */
  readonly quantity?: number | undefined
}

/** A part bears a number. */
export interface NumberClaim extends Claim, WrittenNumber {
  readonly part: string
  readonly mark?: Mark | undefined
}
/** Numbers replaced by others: one by one, one by several (split) or several by one (merged). */
export interface SupersessionClaim extends Claim {
  readonly old: readonly CountedNumber[]
  readonly new: readonly CountedNumber[]
  /** Whether the old serves for the new. */
  readonly back?: 'yes' | 'no' | 'unsaid' | undefined
  readonly since?: string | undefined
  readonly until?: string | undefined
}
/** Numbers that serve for one another, or do not. */
export interface InterchangeClaim extends Claim {
  readonly members: readonly (WrittenNumber & {
    readonly way?: 'both' | 'serves' | 'served' | undefined
    readonly where?: Where | undefined
  })[]
  readonly serves?: 'yes' | 'no' | undefined
}
/** A number fits something, or does not. */
export interface ApplicationClaim extends Claim, WrittenNumber {
  readonly fits?: 'yes' | 'no' | undefined
}
/** From when to when a generation was built, and what tells it. */
export interface GenerationClaim {
  readonly target: TargetKind
  readonly family: string
  readonly id: string
  readonly from?: string | undefined
  readonly to?: string | undefined
  readonly conditions?: readonly WhereCondition[] | undefined
}

/** What is asked about, as far as it is known. */
export interface AskedTarget {
  readonly family: string
  readonly generation?: string | undefined
  /** A year, a month or a day. */
  readonly built?: string | undefined
  readonly modelYear?: number | undefined
  readonly serial?: string | undefined
  readonly grade?: Grade | undefined
}
export interface AskedFact {
  readonly value: string | number | boolean
  readonly grade?: Grade | undefined
}
export interface Application
  extends Readonly<Partial<Record<TargetKind, AskedTarget | undefined>>> {
  readonly facts?: Readonly<Record<string, AskedFact>> | undefined
}
