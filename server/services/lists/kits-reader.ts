import { isCurrency, parseMoney } from '../../../core/money/money.ts'
import { isCatalogueKind } from '../../../core/needs/catalogue-kinds.ts'
import { suggestKind } from '../../../core/needs/suggest-kind.ts'
import type { ListRow } from '../../documents/list-rows.ts'
import { Bearers } from './bearers.ts'
import type { Desk, ListReader, Numbered } from './list-reading.ts'

interface Piece {
  readonly row: ListRow
  readonly number: Numbered
  readonly quantity: number
}
interface Read {
  readonly first: ListRow
  readonly pieces: Piece[]
  isBad: boolean
}

/** Kits with what is in them: a piece a row. A kit that is here already is changed in price and words; its pieces are added to. */
export class KitsReader implements ListReader {
  readonly #kits = new Map<string, Read>()

  async match(rows: readonly ListRow[], desk: Desk): Promise<void> {
    for (const row of rows) {
      const key = row.cells.kit!.trim().toLowerCase()
      const kit = this.#kits.get(key) ?? { first: row, pieces: [], isBad: false }
      this.#kits.set(key, kit)
      const number = desk.numbered(row.line, row.cells.issuer!, row.cells.number!)
      const quantity = desk.whole(row, 'quantity', 1, 1_000_000, 1)
      const { kind } = row.cells
      const isKind = kind === undefined || isCatalogueKind(kind)
      if (!isKind) desk.fault(row.line, 'kind', `"${kind}" is no kind of part that is known here.`)
      if (number && quantity !== undefined && isKind) kit.pieces.push({ row, number, quantity })
      else kit.isBad = true
    }
  }

  async end(desk: Desk): Promise<void> {
    const bearers = new Bearers(desk.store)
    await bearers.load(
      [...this.#kits.values()].flatMap(({ pieces }) => pieces.map(({ number }) => number)),
    )
    const [known, suppliers] = await Promise.all([
      desk.store.list('kit'),
      desk.store.list('supplier'),
    ])
    const made = new Map<string, string>()
    for (const { first, pieces, isBad } of this.#kits.values()) {
      const values = this.#values(first, desk, suppliers)
      if (isBad || values === null) continue
      const held = known.find(
        ({ name }) => name.toLowerCase() === first.cells.kit!.trim().toLowerCase(),
      )
      const items = held ? await desk.store.list('kitItem', { kitId: held.id }) : []
      let isChanged = false
      if (held)
        isChanged = desk.update('kit', held, {
          supplierId: values.supplierId ?? held.supplierId,
          priceMinor: values.priceMinor ?? held.priceMinor,
          currency: values.currency ?? held.currency,
          taxIncluded: values.taxIncluded ?? held.taxIncluded,
          omits: values.omits ?? held.omits,
        })
      else if (values.priceMinor === null || values.currency === null) {
        desk.fault(
          first.line,
          values.priceMinor === null ? 'price' : 'currency',
          'A kit that is new has a price and its currency.',
        )
        continue
      }
      const kitId =
        held?.id ??
        desk.insert('kit', {
          name: first.cells.kit!.trim(),
          supplierId: values.supplierId,
          priceMinor: values.priceMinor,
          currency: values.currency,
          taxIncluded: values.taxIncluded ?? true,
          omits: values.omits,
        })
      for (const { row, number, quantity } of pieces) {
        const key = `${number.issuerId} ${number.normalised}`
        let partId = bearers.of(number)?.partId ?? made.get(key)
        if (partId === undefined) {
          const words = row.cells.words ?? `${row.cells.issuer} ${row.cells.number}`
          partId = desk.insert('part', {
            kind: row.cells.kind ?? suggestKind(words) ?? 'unsorted',
            name: words.replace(/\s+/g, ' ').slice(0, 120),
          })
          desk.insert('partNumber', {
            partId,
            ...number,
            mark: 'catalogue',
            again: false,
            grade: 'catalogue',
            day: desk.terms.day,
          })
          made.set(key, partId)
        }
        const item = items.find((one) => one.partId === partId)
        const hadAgain = row.cells.hadAgain ?? item?.hadAgain ?? null
        if (item) isChanged = desk.update('kitItem', item, { quantity, hadAgain }) || isChanged
        else {
          desk.insert('kitItem', { kitId, partId, quantity, hadAgain })
          isChanged = true
        }
      }
      desk.counts[held ? (isChanged ? 'updated' : 'unchanged') : 'added']++
    }
  }

  #values(
    first: ListRow,
    desk: Desk,
    suppliers: readonly { readonly id: string; readonly name: string }[],
  ) {
    const { line, cells } = first
    const name = cells.kit!.trim()
    if (name.length > 120)
      return desk.fault(line, 'kit', 'At most 120 characters are kept. Shorten it.')
    const supplier =
      cells.supplier === undefined
        ? null
        : suppliers.find((one) => one.name.toLowerCase() === cells.supplier!.toLowerCase())
    if (supplier === undefined)
      return desk.fault(
        line,
        'supplier',
        `There is no supplier "${cells.supplier}". Add it under Suppliers first, or mend the name.`,
      )
    const currency = cells.currency?.toUpperCase() ?? null
    if (currency !== null && !isCurrency(currency))
      return desk.fault(
        line,
        'currency',
        `"${cells.currency}" is not an ISO 4217 code. Use one such as EUR.`,
      )
    let priceMinor: number | null = null
    if (cells.price !== undefined) {
      if (currency === null) return desk.fault(line, 'currency', 'A price goes with its currency.')
      try {
        priceMinor = parseMoney(cells.price, currency, desk.terms.decimal)
      } catch (error) {
        return desk.fault(line, 'price', (error as Error).message)
      }
    }
    const tax = cells.taxIncluded?.toLowerCase()
    const isTax = tax === undefined || /^(yes|no|true|false|1|0|incl|excl)$/.test(tax)
    if (!isTax)
      return desk.fault(line, 'taxIncluded', `"${cells.taxIncluded}" should be yes or no.`)
    return {
      supplierId: supplier?.id ?? null,
      priceMinor,
      currency,
      taxIncluded: tax === undefined ? null : /^(yes|true|1|incl)$/.test(tax),
      omits: cells.omits ?? null,
    }
  }
}
