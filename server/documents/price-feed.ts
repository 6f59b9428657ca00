import { z } from 'zod'
import { OFFER_COLUMNS } from '../../core/tables/offer-columns.ts'
import { type BadCell, type OfferLine, readOffer } from './offer-cells.ts'
import type { OffersRead } from './offers-csv.ts'

/**
 * One page of a supplier's prices as they are fetched: JSON, its items with the columns of a list of offers. What no item
 * says of its currency and tax counts for the page.
 */
const pageSchema = z.object({
  format: z.literal('junket-prices'),
  version: z.literal(1),
  page: z.number().int().positive(),
  pages: z.number().int().positive(),
  currency: z.string().optional(),
  taxIncluded: z.boolean().optional(),
  items: z.array(z.unknown()).max(5000),
})
export type FeedPage = z.output<typeof pageSchema>

/** Reads a page; null where it is none. */
export function readFeedPage(text: string): FeedPage | null {
  try {
    return pageSchema.safeParse(JSON.parse(text)).data ?? null
  } catch {
    return null
  }
}

const cellText = (value: unknown): string =>
  typeof value === 'boolean'
    ? value
      ? 'yes'
      : 'no'
    : typeof value === 'string' || typeof value === 'number'
      ? String(value).trim()
      : ''

/** The offers of a page; every item that is not one, with why. @param supplier whose prices they are @param before items of the pages before */
export function offersOfPage(page: FeedPage, supplier: string, before: number): OffersRead {
  const rows: OfferLine[] = []
  const bad: BadCell[] = []
  for (const [at, item] of page.items.entries()) {
    const line = before + at + 1
    if (typeof item !== 'object' || item === null || Array.isArray(item)) {
      bad.push({ line, column: '', message: 'The item is no list of fields.' })
      continue
    }
    const fields = new Map<string, unknown>([
      ['currency', page.currency],
      ['taxIncluded', page.taxIncluded],
      ...Object.entries(item),
      ['supplier', supplier],
    ])
    const odd = OFFER_COLUMNS.find((name) => {
      const value = fields.get(name)
      return value !== null && typeof value === 'object'
    })
    if (odd !== undefined) {
      bad.push({ line, column: odd, message: 'It should be a word or a figure.' })
      continue
    }
    const row = readOffer(
      (name) => cellText(fields.get(name)),
      line,
      ',',
      'point',
      (column, message) => void bad.push({ line, column, message }),
    )
    if (row) rows.push(row)
  }
  return { rows, bad, spoilt: [] }
}
