import { z } from 'zod'
import { MARKS, TARGETS } from '../core/identity/claims.ts'
import { GRADES } from '../core/quantity/grade.ts'
import { condition, partialDate, where } from './numbers.ts'
import { count, day, id, line, name, text } from './text.ts'

/** What every claim on numbers carries: how far it is believed, who says so, and what became of it. */
const said = {
  /** Where it holds; everywhere where nothing is said. */
  scope: where.nullish(),
  grade: z.enum(GRADES),
  source: text.nullish(),
  saidBy: text.nullish(),
  day: day.nullish(),
  photoId: id.nullish(),
  /** Who struck it out, why and when: it is kept, and never used. */
  struckBy: text.nullish(),
  struckWhy: text.nullish(),
  struckDay: day.nullish(),
}
const written = { issuerId: id, number: name, normalised: line }

/** Rows of claims on numbers, as they are stored. */
export const NUMBER_ROWS = {
  partNumber: z.strictObject({
    id,
    partId: id,
    ...written,
    mark: z.enum(MARKS),
    /** Said again, or of another part as well: kept beside the first. */
    again: z.boolean(),
    ...said,
  }),
  supersession: z.strictObject({
    id,
    /** Whether the old serves for the new. */
    back: z.enum(['yes', 'no', 'unsaid']),
    since: partialDate.nullish(),
    until: partialDate.nullish(),
    ...said,
  }),
  supersessionNumber: z.strictObject({
    id,
    supersessionId: id,
    side: z.enum(['old', 'new']),
    ...written,
    quantity: count,
  }),
  interchange: z.strictObject({ id, serves: z.enum(['yes', 'no']), ...said }),
  interchangeNumber: z.strictObject({
    id,
    interchangeId: id,
    ...written,
    way: z.enum(['both', 'serves', 'served']),
    scope: where.nullish(),
  }),
  application: z.strictObject({ id, ...written, fits: z.enum(['yes', 'no']), ...said }),
  generation: z.strictObject({
    id,
    target: z.enum(TARGETS),
    family: name,
    generation: name,
    from: partialDate.nullish(),
    to: partialDate.nullish(),
    conditions: z.array(condition).max(40).nullish(),
    grade: z.enum(GRADES),
    source: text.nullish(),
  }),
} as const satisfies Record<string, z.ZodType>
