import { z } from 'zod'
import { list } from './basics.ts'

const met = z.strictObject({
  key: z.string(),
  numbers: list(z.strictObject({ number: z.string(), part: z.string() })),
})

/** What a rule would make of an issuer's numbers: counts of all, the first of each. */
export const rulePreview = z
  .strictObject({
    of: z.number(),
    /** How many have a shape of the rule. */
    fits: z.number(),
    changedCount: z.number(),
    metCount: z.number(),
    partedCount: z.number(),
    blockedCount: z.number(),
    changed: list(z.strictObject({ number: z.string(), from: z.string(), to: z.string() })),
    met: list(met),
    parted: list(met),
    /** Two parts in one number: cannot be saved. */
    blocked: list(met),
  })
  .meta({ id: 'RulePreview' })
