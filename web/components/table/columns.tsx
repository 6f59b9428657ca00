import { minorDigits } from '../../../core/money/money.ts'
import { Money } from '../ui.tsx'
import type { Column } from './column.ts'

/** A column of money: sorted and written in whole units, shown as money is. */
export const moneyColumn = <R,>(
  id: string,
  head: string,
  minor: (row: R) => number | null | undefined,
  currency: (row: R) => string,
  whole = false,
): Column<R> => ({
  id,
  head,
  align: 'right',
  value: (row) => {
    const amount = minor(row)
    return amount == null ? null : amount / 10 ** minorDigits(currency(row))
  },
  cell: (row) => <Money minor={minor(row)} currency={currency(row)} whole={whole} />,
})
