import { z } from 'zod'
import { DEFAULT_RULE, SUFFIX_KINDS } from '../core/identity/number-rule.ts'

const shape = z.string().min(1).max(40)

/** What there is to an issuer's numbers beside case and noise. */
const parts = {
  prefixes: z.array(shape).max(40).default([]),
  zeros: z
    .union([z.enum(['keep', 'drop']), z.strictObject({ pad: z.number().int().min(1).max(40) })])
    .default('keep'),
  shapes: z.array(shape).max(60).default([]),
  suffixes: z
    .array(
      z.strictObject({
        kind: z.enum(SUFFIX_KINDS),
        shapes: z.array(shape).max(60),
        decides: z.boolean().optional(),
      }),
    )
    .max(12)
    .default([]),
  check: z.enum(['none', 'gtin']).default('none'),
}
export const issuerRule = z.strictObject(parts).meta({ id: 'IssuerRule' })

/** How an issuer writes its numbers; what is left out is as most do. */
export const numberRule = z
  .strictObject({
    upper: z.boolean().default(DEFAULT_RULE.upper),
    noise: z.string().max(20).default(DEFAULT_RULE.noise),
    ...parts,
  })
  .meta({ id: 'NumberRule' })
