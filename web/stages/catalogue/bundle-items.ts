import type { Donor, Kit } from '../../../contract/answers/rows.ts'
import { minorDigits, parseMoney } from '../../../core/money/money.ts'

/** A part in a kit or on a donor, as it is typed. */
export interface TypedItem {
  readonly partId: string
  readonly name: string
  readonly quantity: string
  readonly stripHours: string
  readonly sale: string
  readonly chance: string
  readonly sellingHours: string
  readonly hadAgain: string
  /** A piece by its kind and number: the part that bears it, or a new one. */
  readonly by?: { readonly kind: string; readonly issuer: string; readonly number: string }
}

/** What is typed beside the part. */
export type ItemField = Exclude<keyof TypedItem, 'partId' | 'name' | 'by'>

/** Nothing said of a part but that it is there. */
export const blankItem = (part: { readonly id: string; readonly name: string }): TypedItem => ({
  partId: part.id,
  name: part.name,
  quantity: '',
  stripHours: '',
  sale: '',
  chance: '',
  sellingHours: '',
  hadAgain: '',
})

/** What is stored of a kit's or donor's parts, as it would be typed. */
export const typedItems = ({ items, currency }: Kit | Donor): readonly TypedItem[] =>
  items.map((item) => ({
    ...blankItem({ id: item.partId, name: item.partName ?? item.partId }),
    quantity: String(item.quantity),
    ...('hadAgain' in item ? { hadAgain: item.hadAgain ?? '' } : {}),
    ...('stripHours' in item
      ? {
          stripHours: String(item.stripHours),
          sale: (item.saleMinor / 10 ** minorDigits(currency)).toFixed(minorDigits(currency)),
          chance: String(Number((item.chance * 100).toFixed(2))),
          sellingHours: String(item.sellingHours),
        }
      : {}),
  }))

function figure(text: string, label: string, { name }: TypedItem, blank = 0): number {
  if (text.trim() === '') return blank
  const value = Number(text.replace(',', '.'))
  if (!(value >= 0)) throw new RangeError(`${name}, ${label}: "${text}" is not a figure.`)
  return value
}

/** A kit's parts as they are sent. @throws RangeError with the part and what was typed */
export const kitItems = (items: readonly TypedItem[]) =>
  items.map((item) => ({
    ...(item.by ?? { partId: item.partId }),
    quantity: figure(item.quantity, 'number off', item, 1),
    hadAgain: item.hadAgain.trim() || null,
  }))

/** A donor's parts as they are sent. @throws RangeError with the part and what was typed */
export const donorItems = (items: readonly TypedItem[], currency: string) =>
  items.map((item) => ({
    partId: item.partId,
    quantity: figure(item.quantity, 'number off', item, 1),
    stripHours: figure(item.stripHours, 'strip hours', item),
    saleMinor: item.sale.trim() ? parseMoney(item.sale, currency) : 0,
    chance: figure(item.chance, 'chance', item) / 100,
    sellingHours: figure(item.sellingHours, 'selling hours', item),
  }))
