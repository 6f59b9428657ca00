import { z } from 'zod'
import { LIST_KINDS, type ListMapping } from '../core/tables/lists.ts'
import { DATE_ORDERS } from '../core/tables/read-day.ts'
import { partsQuery } from './rows.ts'

const anyWords = z.record(z.string().max(60), z.string().max(200))
/** Words by column, as JSON: it stands in an address. */
const mappingJson = z
  .string()
  .max(8000)
  .refine((text) => {
    try {
      return anyWords.safeParse(JSON.parse(text)).success
    } catch {
      return false
    }
  }, 'Write columns and their heads as JSON, such as {"number":"Article"}.')
export const listQuery = z.object({
  kind: z.enum(LIST_KINDS),
  decimal: z.enum(['point', 'comma', 'ask']).default('ask'),
  dates: z.enum(DATE_ORDERS).default('ask'),
  columns: mappingJson.optional(),
  instead: mappingJson.optional(),
})
export const listFileQuery = partsQuery
  .omit({ kind: true, limit: true, after: true })
  .extend({ list: z.enum(LIST_KINDS), kind: partsQuery.shape.kind })

/** How a list is read, from what was sent and checked. */
export const listMappingOf = ({
  columns,
  instead,
}: {
  readonly columns?: string | undefined
  readonly instead?: string | undefined
}): ListMapping => ({
  ...(columns === undefined ? {} : { columns: anyWords.parse(JSON.parse(columns)) }),
  ...(instead === undefined ? {} : { instead: anyWords.parse(JSON.parse(instead)) }),
})
