import type { Field } from '../ports/field.ts'
import { strength } from '../quantity/grade.ts'

/** A length of a part for its drawing, mm: known, or a stand-in that is drawn dotted. */
export interface Size {
  readonly mm: number
  readonly known: boolean
}

const ASSUMED = strength('assumed')

/** Known where somebody said it; what a type assumes is used, and stays a stand-in. */
export const sizeOf = (field: Field<number>, standIn: number): Size =>
  Number.isNaN(field.v)
    ? { mm: standIn, known: false }
    : { mm: field.v, known: field.grade > ASSUMED }

/** The field, or null where nobody said it. */
export const mmOf = (field: Field<number>): number | null =>
  Number.isNaN(field.v) ? null : field.v

/** A word among those a drawing knows, or its stand-in. */
export function wordOf<const W extends string>(
  field: Field<string | null>,
  words: readonly W[],
  standIn: W,
): W {
  return words.find((word) => word === field.v) ?? standIn
}
