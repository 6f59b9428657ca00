import { z } from 'zod'
import type { Plan } from '../core/sourcing/solve.ts'
import { list } from './answers/basics.ts'

/** A plan of sources as it is answered and stored. */
const said = z.string().max(600)
export const sourcedPlan: z.ZodType<Plan> = z.object({
  status: z.enum(['proven', 'gap', 'infeasible', 'none']),
  totalMinor: z.number().nullable(),
  boundMinor: z.number().nullable(),
  lines: list(
    z.object({
      need: said,
      candidate: said.optional(),
      bundle: said.optional(),
      item: said.optional(),
      packs: z.number(),
      costMinor: z.number(),
    }),
  ),
  baskets: list(
    z.object({
      supplier: said,
      shipping: said,
      shippingMinor: z.number(),
      goodsMinor: z.number(),
      orderValueMinor: z.number(),
      weightG: z.number(),
      candidates: list(said),
      bundles: list(said),
    }),
  ),
  bundles: list(
    z.object({
      bundle: said,
      priceMinor: z.number(),
      scrapMinor: z.number(),
      resaleMinor: z.number(),
      stripMinor: z.number(),
    }),
  ),
  skipped: list(said),
  open: list(said),
  because: list(said).optional(),
  without: list(said).optional(),
})
