import { z } from 'zod'
import { OFFER_COLUMNS, type OfferColumn, type OfferMapping } from '../core/tables/offer-columns.ts'

/** Words by column of a supplier's list. */
export const columnWords = z.partialRecord(
  z.enum(OFFER_COLUMNS as [OfferColumn, ...OfferColumn[]]),
  z.string().max(200),
)
/** How a supplier's list is read: which head holds what, what counts for all rows, what a comma means. */
export const offerList = z
  .strictObject({
    columns: columnWords,
    instead: columnWords,
    decimal: z.enum(['point', 'comma', 'ask']),
  })
  .meta({ id: 'OfferList' })

/** Words by column, as JSON: it stands in an address as well as in a body. */
export const mappingText = z
  .string()
  .max(4000)
  .refine((text) => {
    try {
      return columnWords.safeParse(JSON.parse(text)).success
    } catch {
      return false
    }
  }, 'Write columns and their heads as JSON, such as {"price":"Net"}.')

/** How a file is read, from what was sent and checked. */
export const mappingOf = ({
  columns,
  instead,
}: {
  readonly columns?: string | undefined
  readonly instead?: string | undefined
}): OfferMapping => ({
  ...(columns === undefined ? {} : { columns: columnWords.parse(JSON.parse(columns)) }),
  ...(instead === undefined ? {} : { instead: columnWords.parse(JSON.parse(instead)) }),
})
