import { z } from 'zod'
import { STANDINGS } from '../core/sourcing/standing.ts'

/** Where a supplier's prices are fetched, and how often; fetched on demand only where that is not said. */
export const feed = z.strictObject({
  address: z
    .url({ protocol: /^https?$/, error: 'Write an address such as http://host/prices.' })
    .max(500),
  everyHours: z
    .number()
    .min(1, 'Once an hour at most.')
    .max(24 * 90)
    .nullish(),
})
/** Whether it is sold yet, or still; nothing said is sold. */
export const standing = z.enum(STANDINGS).nullish()
/** Days in which what was bought is taken back. */
export const returnDays = z.number().int().nonnegative().max(3650).nullish()
