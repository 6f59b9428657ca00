import { WHERE_COLUMNS } from '../identity/where-text.ts'
import type { WantedColumn } from './match-columns.ts'

/** Lists that are read and written beside suppliers' offers. */
export const LIST_KINDS = [
  'parts',
  'numbers',
  'supersessions',
  'interchange',
  'applications',
  'suppliers',
  'kits',
] as const
export type ListKind = (typeof LIST_KINDS)[number]

/** A column of a list. */
export interface ListField extends WantedColumn {
  readonly label: string
  /** A row without it says nothing. */
  readonly isNeeded?: boolean
}

const field = (
  name: string,
  label: string,
  called: readonly string[] = [],
  isNeeded = false,
): ListField => ({
  name,
  label,
  called,
  ...(isNeeded ? { isNeeded } : {}),
})
const NUMBER = [
  'part number',
  'part no',
  'partno',
  'article',
  'article no',
  'item',
  'item no',
  'ref',
  'no',
  'nr',
]
const ISSUER = ['maker', 'make', 'brand', 'manufacturer', 'whose number']
/** Who says so: of every claim on numbers. */
const SAID: readonly ListField[] = [
  field('grade', 'How well it is known', ['evidence']),
  field('source', 'Where it was read', ['from where', 'reference']),
  field('on', 'On which day', ['date', 'day', 'read on']),
]
const WHERE: readonly ListField[] = WHERE_COLUMNS.map((name) => field(name, `Where: ${name}`))

/** What each list is called, what it holds, and its columns in order; what lists call them is common practice, no published source. */
export const LISTS: Readonly<
  Record<
    ListKind,
    { readonly words: string; readonly says: string; readonly fields: readonly ListField[] }
  >
> = {
  parts: {
    words: 'Parts',
    says: 'One part a row, found again by its number or its name and kind',
    fields: [
      field('name', 'Name', ['part', 'description', 'title', 'text', 'designation'], true),
      field('kind', 'Kind', ['type', 'category', 'group']),
      field('issuer', 'Whose number', ISSUER),
      field('number', 'Number', NUMBER),
      field('otherNumbers', 'Other numbers, as "417.20; Maker: K-88"', [
        'other numbers',
        'more numbers',
        'further numbers',
        'cross reference',
        'cross references',
        'alternative numbers',
      ]),
      field('mass', 'Mass, with its unit', ['weight', 'mass']),
      field('fromYear', 'From year', ['year from', 'first year']),
      field('toYear', 'To year', ['year to', 'last year']),
      field('family', 'Family', ['engine family', 'series']),
      field('generation', 'Generation', ['gen']),
      field('note', 'Note', ['remark', 'comment', 'notes']),
    ],
  },
  numbers: {
    words: 'Numbers of parts',
    says: 'A number a row, of a part named by its id, its name or another number of it',
    fields: [
      field('part', 'Part', ['part name', 'part id'], true),
      field('issuer', 'Whose number', ISSUER, true),
      field('number', 'Number', NUMBER, true),
      field('mark', 'How it is marked', ['marking', 'marked']),
      ...SAID,
    ],
  },
  supersessions: {
    words: 'Supersessions',
    says: 'An old number and a new one a row; rows of one set are one split or one merge',
    fields: [
      field('set', 'Set', ['group']),
      field('issuer', 'Whose old number', ISSUER, true),
      field('old', 'Old number', ['old number', 'replaced', 'from number'], true),
      field('oldQuantity', 'How many old', ['old qty']),
      field('newIssuer', 'Whose new number', ['new maker', 'new brand']),
      field('new', 'New number', ['new number', 'replaced by', 'to number', 'successor'], true),
      field('newQuantity', 'How many new', ['new qty']),
      field('back', 'Serves backwards', ['backwards', 'both ways']),
      field('since', 'Since', ['valid from']),
      field('until', 'Until', ['valid to']),
      ...WHERE,
      ...SAID,
    ],
  },
  interchange: {
    words: 'Interchange',
    says: 'A number a row; rows of one group serve for one another. A row without a number says where its group holds',
    fields: [
      field('group', 'Group', ['set'], true),
      field('serves', 'Serves', ['interchanges']),
      field('issuer', 'Whose number', ISSUER),
      field('number', 'Number', NUMBER),
      field('way', 'Way', ['direction']),
      ...WHERE,
      ...SAID,
    ],
  },
  applications: {
    words: 'What fits what',
    says: 'A number a row, with the family it fits, or is said not to fit',
    fields: [
      field('issuer', 'Whose number', ISSUER, true),
      field('number', 'Number', NUMBER, true),
      field('fits', 'Fits', ['fitment', 'applies']),
      ...WHERE,
      ...SAID,
    ],
  },
  suppliers: {
    words: 'Suppliers',
    says: 'One supplier a row, found again by its name',
    fields: [
      field('name', 'Name', ['supplier', 'seller', 'vendor', 'shop'], true),
      field('place', 'Place', ['address', 'town', 'city']),
      field('currency', 'Currency', ['cur', 'iso'], true),
      field('minimum', 'Smallest order', ['minimum order', 'least order']),
      field('shipping', 'Shipping charge', ['freight', 'postage', 'carriage']),
      field('freeOver', 'Shipping free from', [
        'free over',
        'free shipping from',
        'carriage paid from',
      ]),
      field('returnDays', 'Taken back within, days', ['return days', 'returns']),
    ],
  },
  kits: {
    words: 'Kits with what is in them',
    says: 'A piece a row, by its number or by what it is; rows of one kit name it alike, its price stands on the first',
    fields: [
      field('kit', 'Kit', ['kit name', 'set', 'pack'], true),
      field('supplier', 'Sold by', ['seller', 'vendor']),
      field('price', 'Price', ['kit price', 'net price', 'gross price']),
      field('currency', 'Currency', ['cur', 'iso']),
      field('taxIncluded', 'Tax included', ['incl tax', 'vat included', 'with tax']),
      field('omits', 'What it leaves out', ['leaves out', 'not included', 'without']),
      field('kind', 'Kind of the piece', ['type', 'need']),
      field('issuer', 'Whose number', ISSUER),
      field('number', 'Number of the piece', NUMBER),
      field('words', 'What it is', ['piece', 'description', 'text']),
      field('quantity', 'How many', ['qty', 'pieces', 'count']),
      field('hadAgain', 'How it is had again', ['replacement']),
    ],
  },
}

export const fieldsOf = (kind: ListKind): readonly ListField[] => LISTS[kind].fields

/** How a list is read: which head holds what, and what counts where no column says it. */
export interface ListMapping {
  readonly columns?: Readonly<Partial<Record<string, string>>> | undefined
  readonly instead?: Readonly<Partial<Record<string, string>>> | undefined
}
