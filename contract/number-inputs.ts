import { z } from 'zod'
import { MARKS, TARGETS } from '../core/identity/claims.ts'
import { GRADES } from '../core/quantity/grade.ts'
import { condition, partialDate, where } from './numbers.ts'
import { count, day, id, name, text } from './text.ts'

const written = { issuer: name, number: name }
/** Who says so, how far it is believed, and where it holds. */
const said = {
  grade: z.enum(GRADES).default('heard'),
  source: text.nullish(),
  by: text.nullish(),
  day: day.nullish(),
  photoId: id.nullish(),
  scope: where.nullish(),
}
/** A number on a part, as it was read. */
export const numberInput = z.strictObject({
  ...written,
  mark: z.enum(MARKS).default('catalogue'),
  ...said,
  /** Another part bears it in a catalogue, and it is so: both are kept, and are a conflict until one is struck out. */
  isSo: z.boolean().optional(),
})
const counted = z.strictObject({ ...written, quantity: count.default(1) })
export const supersessionInput = z
  .strictObject({
    old: z.array(counted).min(1, 'Name the number that is replaced.').max(60),
    new: z.array(counted).min(1, 'Name the number that replaces it.').max(60),
    back: z.enum(['yes', 'no', 'unsaid']).default('unsaid'),
    since: partialDate.nullish(),
    until: partialDate.nullish(),
    ...said,
  })
  .refine((one) => one.old.length === 1 || one.new.length === 1, {
    path: ['new'],
    message:
      'Several numbers by several is not one row: write one for each that is replaced, or for each that replaces.',
  })
export const interchangeInput = z.strictObject({
  members: z
    .array(
      z.strictObject({
        ...written,
        way: z.enum(['both', 'serves', 'served']).default('both'),
        scope: where.nullish(),
      }),
    )
    .min(2, 'Name at least two numbers.')
    .max(200),
  serves: z.enum(['yes', 'no']).default('yes'),
  ...said,
})
export const applicationInput = z
  .strictObject({ ...written, fits: z.enum(['yes', 'no']).default('yes'), ...said })
  .refine(({ scope }) => Object.values(scope?.targets ?? {}).some(Boolean), {
    path: ['scope'],
    message: 'Say what it fits: a family of vehicle, engine or transmission.',
  })
export const generationInput = z.strictObject({
  id: id.optional(),
  target: z.enum(TARGETS),
  family: name,
  generation: name,
  from: partialDate.nullish(),
  to: partialDate.nullish(),
  conditions: z.array(condition).max(40).nullish(),
  grade: z.enum(GRADES).default('heard'),
  source: text.nullish(),
})
/** Tables whose rows are claims on numbers, each of which can be struck out. */
export const NUMBER_CLAIMS = ['partNumber', 'supersession', 'interchange', 'application'] as const
export type NumberClaimTable = (typeof NUMBER_CLAIMS)[number]
