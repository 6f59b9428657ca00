import { z } from 'zod'
import { METHOD_IDS } from '../../core/quantity/methods.ts'
import { CRAWL } from '../../core/recipient/crawl.ts'
import { items, list, words } from './basics.ts'

const next = z
  .strictObject({
    part: z.string(),
    partName: z.string(),
    port: z.string(),
    field: z.string(),
    label: z.string(),
    methods: list(z.enum(METHOD_IDS)),
    minutes: z.number(),
    /** Where one stands to take it. */
    place: z.enum(CRAWL),
    /** What knowing it may save, in the build's money, and for an hour of measuring. */
    valueMinor: z.number(),
    perHourMinor: z.number(),
    /** How far knowing it moves what the cheapest likely costs, either way. */
    movesMinor: z.number(),
    pairings: words,
    /** Fields that tell it only together, this one among them. */
    together: z.number(),
  })
  .meta({ id: 'NextMeasurement' })

/** The measurements that would change the most, the most worth a minute first, over the pairings in play. */
export const measureNext = items(next).extend({ inPlay: words })
