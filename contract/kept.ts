import { z } from 'zod'
import { LIST_KINDS } from '../core/tables/lists.ts'

/** What is kept by name: filters of the catalogue, and how a list of each kind was read, by its heads. */
export const KEPT = ['filter', ...LIST_KINDS] as const
export const keptInput = z.strictObject({
  what: z.enum(KEPT),
  name: z.string().trim().min(1, 'Give it a name.').max(4000),
  value: z.record(z.string().max(60), z.string().max(8000)),
})
