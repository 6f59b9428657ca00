import { z } from 'zod'
import { known, list, words } from './basics.ts'
import { rowOf } from './rows.ts'

export const arrival = rowOf('arrival')

const size = z.strictObject({
  port: z.string(),
  field: z.string(),
  slot: z.string(),
  label: z.string(),
  methods: words,
  minutes: z.number(),
  low: known,
  high: known,
  joints: words,
  damage: z.boolean(),
  fails: words,
  /** Where it may lie with everything else as it is known. */
  window: z.string().nullable(),
  said: z.string().nullable(),
  /** What was measured on this very part. */
  is: z.string().nullable(),
  isMiss: z.boolean(),
})
/** What came for a build, with the sizes its joints lean on; and what others found of parts it waits for. */
export const arrivals = z
  .strictObject({
    arrivals: list(
      z.strictObject({
        id: z.string(),
        needId: z.string(),
        words: z.string(),
        partId: z.string(),
        partName: z.string(),
        batch: z.string().nullable(),
        day: z.string(),
        saidBy: z.string().nullable(),
        supplier: z.string().nullable(),
        rights: z.strictObject({ until: z.string(), daysLeft: z.number() }).nullable(),
        sizes: list(size),
        caution: z.string().nullable(),
      }),
    ),
    told: list(
      z.strictObject({
        partId: z.string(),
        partName: z.string(),
        build: z.string(),
        batch: z.string().nullable(),
        label: z.string(),
        is: z.string(),
        said: z.string().nullable(),
        day: z.string().nullable(),
      }),
    ),
  })
  .meta({ id: 'Arrivals' })
export type Arrivals = z.output<typeof arrivals>
