import { isCurrency, parseMoney } from '../../../../core/money/money.ts'
import type { ListRow } from '../../../documents/list-rows.ts'
import type { Desk, ListReader } from './list-reading.ts'

/** Suppliers, found again by name; what a row does not say stays as it is. */
export class SuppliersReader implements ListReader {
  readonly #seen = new Map<string, number>()

  async match(rows: readonly ListRow[], desk: Desk): Promise<void> {
    const known = new Map(
      (await desk.store.list('supplier')).map((row) => [row.name.trim().toLowerCase(), row]),
    )
    for (const row of rows) {
      const { line, cells } = row
      const name = cells.name!
      if (name.length > 120) {
        desk.fault(line, 'name', 'At most 120 characters are kept. Shorten it.')
        continue
      }
      const key = name.trim().toLowerCase()
      const twin = this.#seen.get(key)
      if (twin !== undefined) {
        desk.fault(line, 'name', `The same supplier stands on line ${twin}. Keep one of them.`)
        continue
      }
      this.#seen.set(key, line)
      const held = known.get(key)
      const currency = cells.currency!.toUpperCase()
      if (!isCurrency(currency)) {
        desk.fault(
          line,
          'currency',
          `"${cells.currency}" is not an ISO 4217 code. Use one such as EUR.`,
        )
        continue
      }
      const amount = (column: 'minimum' | 'shipping' | 'freeOver'): number | null | undefined => {
        const text = cells[column]
        if (text === undefined) return null
        try {
          return parseMoney(text, currency, desk.terms.decimal)
        } catch (error) {
          desk.fault(line, column, (error as Error).message)
          return undefined
        }
      }
      const [minimum, shipping, freeOver] = [
        amount('minimum'),
        amount('shipping'),
        amount('freeOver'),
      ]
      const returnDays = desk.whole(row, 'returnDays', 0, 3650, null)
      if (
        minimum === undefined ||
        shipping === undefined ||
        freeOver === undefined ||
        returnDays === undefined
      )
        continue
      const values = {
        name: held?.name ?? name,
        place: cells.place ?? held?.place ?? null,
        currency,
        minimumMinor: minimum ?? held?.minimumMinor ?? 0,
        shippingMinor: shipping ?? held?.shippingMinor ?? 0,
        freeOverMinor: freeOver ?? held?.freeOverMinor ?? null,
        returnDays: returnDays ?? held?.returnDays ?? null,
      }
      if (held) desk.counts[desk.update('supplier', held, values) ? 'updated' : 'unchanged']++
      else {
        desk.insert('supplier', values)
        desk.counts.added++
      }
    }
  }

  async end(): Promise<void> {}
}
