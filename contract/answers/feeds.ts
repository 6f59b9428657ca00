import { z } from 'zod'
import { list } from './basics.ts'

/** How a reading of a supplier's prices went. */
export const feedReading = z
  .strictObject({
    at: z.iso.datetime(),
    isRead: z.boolean(),
    /** Times something was asked again, and how long was waited for that. */
    again: z.number(),
    waitedMs: z.number(),
    rows: z.number(),
    added: z.number(),
    updated: z.number(),
    moved: z.number(),
    gone: z.number(),
    badCount: z.number(),
    /** The first items that were left out. */
    bad: list(z.strictObject({ line: z.number(), column: z.string(), message: z.string() })),
    /** Why nothing was taken in; null where it was. */
    why: z.string().nullable(),
  })
  .meta({ id: 'FeedReading' })
export type FeedReading = z.output<typeof feedReading>
