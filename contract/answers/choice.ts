import { z } from 'zod'
import { pairingReasons, weighedPairing } from '../pairing-reasons.ts'
import { known, list, words } from './basics.ts'

/** Why the chosen pairing was chosen, and what would be chosen now where that is another. */
export const choice = z
  .strictObject({
    reasons: pairingReasons.nullable(),
    changed: z
      .strictObject({
        winner: weighedPairing,
        was: weighedPairing,
        now: weighedPairing,
        /** Null where the chosen one is out. */
        savesMinor: known,
      })
      .nullable(),
  })
  .meta({ id: 'Choice' })

const range = z.strictObject({ low: z.number(), high: z.number() })
const side = z.strictObject({
  id: z.string(),
  name: z.string(),
  pairing: z.string().nullable(),
  currency: z.string(),
  likely: range.nullable(),
  hours: range.nullable(),
  lines: z.number(),
  unpriced: z.number(),
  unmeasured: z.number(),
  engineId: z.string().nullable(),
  transmissionId: z.string().nullable(),
})
const told = z.strictObject({ words: z.string(), priceMinor: known, hours: z.number() }).nullable()
/** Two builds to the end: lines that are not the same in both, and how many are. */
export const against = z
  .strictObject({
    a: side,
    b: side,
    lines: list(
      z.strictObject({ id: z.string(), words: z.string(), place: z.string(), a: told, b: told }),
    ),
    alike: z.number(),
  })
  .meta({ id: 'Against' })

/** One page for the vehicle's owner. */
export const ownerSummary = z
  .strictObject({
    title: z.string(),
    vehicle: z.string(),
    on: z.string(),
    sections: list(
      z.strictObject({
        title: z.string(),
        lines: words,
        table: list(
          z.strictObject({ words: z.string(), before: z.string(), after: z.string() }),
        ).optional(),
      }),
    ),
  })
  .meta({ id: 'OwnerSummary' })
export type Choice = z.output<typeof choice>
export type Against = z.output<typeof against>
