import { z } from 'zod'
import { CRAWL } from '../../core/recipient/crawl.ts'
import { items, list, words } from './basics.ts'

const next = z
  .strictObject({
    part: z.string(),
    partName: z.string(),
    port: z.string(),
    field: z.string(),
    label: z.string(),
    methods: list(z.string()),
    minutes: z.number(),
    /** Where one stands to take it. */
    place: z.enum(CRAWL),
    /** What knowing it may save, in the build's money, and for an hour of measuring. */
    valueMinor: z.number(),
    perHourMinor: z.number(),
    pairings: words,
  })
  .meta({ id: 'NextMeasurement' })

/** The measurements that would change the most, the most worth a minute first, over the pairings in play. */
export const measureNext = items(next).extend({ inPlay: words })
