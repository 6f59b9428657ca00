import { z } from 'zod'
import { MARKS } from '../core/identity/claims.ts'
import { GRADES } from '../core/quantity/grade.ts'

/** One part of the catalogue as it is handed on: values in stored units (mm, N·m, kg, degrees), places in the train frame. */
export const partDocument = z.strictObject({
  id: z.string(),
  kind: z.string(),
  name: z.string(),
  fromYear: z.number().optional(),
  toYear: z.number().optional(),
  massG: z.number().optional(),
  family: z.string().optional(),
  generation: z.string().optional(),
  note: z.string().optional(),
  numbers: z.array(
    z.strictObject({
      issuer: z.string(),
      number: z.string(),
      mark: z.enum(MARKS),
      grade: z.enum(GRADES),
    }),
  ),
  ports: z.array(
    z.strictObject({
      kind: z.string(),
      slot: z.string(),
      looks: z.enum(['forward', 'rearward']).optional(),
      claims: z.array(
        z.strictObject({
          field: z.string(),
          value: z.unknown(),
          grade: z.enum(GRADES),
          plusMinus: z.number().optional(),
          method: z.string().optional(),
          source: z.string().optional(),
          by: z.string().optional(),
          on: z.string().optional(),
        }),
      ),
    }),
  ),
})
/** Parts of a catalogue as one document. */
export const partsDocument = z.strictObject({
  format: z.literal('junket-parts'),
  version: z.literal(1),
  parts: z.array(partDocument),
})
