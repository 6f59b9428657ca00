import { z } from 'zod'
import type { Plan } from '../core/sourcing/solve.ts'
import { list } from './answers/basics.ts'

const said = z.string().max(600)
const shape = {
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
} as const

/** A plan of sources as it is answered. */
export const sourcedPlan: z.ZodType<Plan> = z.object(shape)

/** As it is kept: with the version of the list it was made from. */
export const keptPlan: z.ZodType<Plan & { readonly listVersion?: number | undefined }> = z.object({
  ...shape,
  listVersion: z.number().int().positive().optional(),
})
