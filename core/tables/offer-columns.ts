import type { WantedColumn } from './match-columns.ts'

/** Columns of a supplier's list, and what such lists call them (common practice, no published source). */
export const OFFER_FIELDS = [
  { name: 'supplier', called: ['seller', 'vendor', 'sold by', 'shop'] },
  { name: 'issuer', called: ['maker', 'make', 'brand', 'manufacturer', 'whose number'] },
  {
    name: 'number',
    called: [
      'part number',
      'part no',
      'partno',
      'item',
      'item no',
      'article',
      'article no',
      'ref',
      'reference',
      'sku',
      'code',
      'no',
      'nr',
    ],
  },
  { name: 'description', called: ['name', 'text', 'title', 'item text', 'words', 'designation'] },
  {
    name: 'price',
    called: [
      'unit price',
      'net',
      'net price',
      'gross',
      'gross price',
      'list price',
      'each',
      'amount',
      'cost',
    ],
  },
  { name: 'currency', called: ['cur', 'curr', 'iso'] },
  {
    name: 'taxIncluded',
    called: ['tax included', 'incl tax', 'vat included', 'incl vat', 'with tax'],
  },
  { name: 'pack', called: ['pack size', 'pack of', 'per pack', 'units per pack', 'moq'] },
  { name: 'stock', called: ['in stock', 'qty', 'quantity', 'available', 'on hand'] },
  { name: 'leadDays', called: ['lead time', 'lead days', 'days', 'delivery', 'delivery days'] },
  { name: 'condition', called: ['state', 'grade', 'new or used'] },
  { name: 'standing', called: ['availability', 'status', 'sold', 'life cycle', 'lifecycle'] },
] as const satisfies readonly WantedColumn[]

export type OfferColumn = (typeof OFFER_FIELDS)[number]['name']
export const OFFER_COLUMNS = OFFER_FIELDS.map(({ name }) => name) as readonly OfferColumn[]

/** Columns without which a row says nothing. */
export const NEEDED: readonly OfferColumn[] = [
  'supplier',
  'issuer',
  'number',
  'price',
  'currency',
  'taxIncluded',
]

/** How a file is read: which head holds what, and what counts where no column says it. */
export interface OfferMapping {
  readonly columns?: Readonly<Partial<Record<OfferColumn, string>>> | undefined
  readonly instead?: Readonly<Partial<Record<OfferColumn, string>>> | undefined
}
