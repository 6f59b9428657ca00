import type { Rate } from '../../../core/money/offer-price.ts'
import type { RowOf } from '../../database/row.ts'

/** A stored rate as the core reads it. */
export const toRate = (row: RowOf<'rate'>): Rate => ({
  from: row.fromCurrency,
  to: row.toCurrency,
  rate: row.rate,
  on: row.day,
})
