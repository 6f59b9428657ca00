import { groupBy } from '../../../../core/group.ts'
import { isCurrency, parseMoney } from '../../../../core/money/money.ts'
import { isCatalogueKind } from '../../../../core/needs/catalogue-kinds.ts'
import { suggestKind } from '../../../../core/needs/suggest-kind.ts'
import type { ListRow } from '../../../documents/list-rows.ts'
import { keyOf } from '../../numbers/numbers-of-part.ts'
import { Bearers } from './bearers.ts'
import type { Desk, ListReader, Numbered } from './list-reading.ts'

interface Piece {
  readonly row: ListRow
  /** None: the part is known by its kind and its words. */
  readonly number: Numbered | null
  readonly words: string
  readonly kind: string
  readonly quantity: number
}
interface Read {
  readonly first: ListRow
  readonly pieces: Piece[]
  isBad: boolean
}

const wordsKey = (kind: string, words: string): string => JSON.stringify([kind, words])

/** Kits with what is in them: a piece a row. A kit that is here already is changed in price and words; its pieces are added to. */
export class KitsReader implements ListReader {
  readonly #kits = new Map<string, Read>()

  async match(rows: readonly ListRow[], desk: Desk): Promise<void> {
    for (const row of rows) {
      const key = row.cells.kit!.trim().toLowerCase()
      const kit = this.#kits.get(key) ?? { first: row, pieces: [], isBad: false }
      this.#kits.set(key, kit)
      const piece = this.#piece(row, desk)
      if (piece) kit.pieces.push(piece)
      else kit.isBad = true
    }
  }

  #piece(row: ListRow, desk: Desk): Piece | null {
    const { line, cells } = row
    if ((cells.issuer === undefined) !== (cells.number === undefined))
      return desk.fault(
        line,
        cells.number === undefined ? 'number' : 'issuer',
        'A number goes with whose number it is.',
      )
    if (cells.number === undefined && cells.words === undefined)
      return desk.fault(line, 'number', 'Say which piece it is: its number, or what it is.')
    const number =
      cells.number === undefined ? null : desk.numbered(line, cells.issuer!, cells.number)
    if (cells.number !== undefined && number === null) return null
    const quantity = desk.whole(row, 'quantity', 1, 1_000_000, 1)
    if (quantity === undefined) return null
    const words = (cells.words ?? `${cells.issuer} ${cells.number}`)
      .replace(/\s+/g, ' ')
      .slice(0, 120)
    const kind = cells.kind ?? suggestKind(words) ?? 'unsorted'
    if (!isCatalogueKind(kind))
      return desk.fault(line, 'kind', `"${kind}" is no kind of part that is known here.`)
    return { row, number, words, kind, quantity }
  }

  async end(desk: Desk): Promise<void> {
    const bearers = new Bearers(desk.store)
    const all = [...this.#kits.values()].flatMap(({ pieces }) => pieces)
    const numbered = all.flatMap(({ row, number }) =>
      number ? [{ line: row.line, ...number }] : [],
    )
    await bearers.load(numbered)
    const met = new Set(numbered.map(keyOf))
    await desk.likes.add(
      desk.store,
      numbered.filter((one) => bearers.all(one).length === 0),
      (one) => met.has(keyOf(one)),
    )
    const byWords = groupBy(
      await desk.store.readIn('part', 'name', [
        ...new Set(all.flatMap(({ number, words }) => (number ? [] : words))),
      ]),
      ({ kind, name }) => wordsKey(kind, name),
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
      const lines = new Map<string, number>()
      for (const { row, number, words, kind, quantity } of pieces) {
        const key = number ? keyOf(number) : wordsKey(kind, words)
        const alike = (byWords.get(key) ?? []).filter(({ id }) => !lines.has(id))
        let partId = number
          ? bearers.of(number)?.partId
          : (alike.find(({ id }) => items.some((item) => item.partId === id)) ?? alike[0])?.id
        // What is found and taken already is the same piece again.
        partId ??= made.get(key) ?? (number ? undefined : byWords.get(key)?.[0]?.id)
        const twin = partId === undefined ? undefined : lines.get(partId)
        if (twin !== undefined) {
          desk.fault(
            row.line,
            number ? 'number' : 'words',
            `The same piece stands on line ${twin}. Keep one of them, with how many there are.`,
          )
          continue
        }
        if (partId === undefined) {
          partId = desk.insert('part', { kind, name: words })
          if (number)
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
        lines.set(partId, row.line)
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
