import type { ListRow } from '../../../documents/list-rows.ts'
import { keyOf } from '../../numbers/numbers-of-part.ts'
import { Bearers } from './bearers.ts'
import type { Desk, ListReader, Numbered } from './list-reading.ts'

/** Numbers of parts: the part by its id, its name, or another number of it as "issuer number". */
export class NumbersReader implements ListReader {
  readonly #seen = new Map<string, number>()
  readonly #numbers = new Set<string>()
  readonly #borne = new Set<string>()
  /** Numbers that stand on two parts once this is in. */
  #twice = 0

  async match(rows: readonly ListRow[], desk: Desk): Promise<void> {
    const read = rows.flatMap((row) => {
      const number = desk.numbered(row.line, row.cells.issuer!, row.cells.number!)
      const mark = desk.mark(row)
      const said = desk.said(row)
      return number && mark && said ? [{ row, number, mark, said }] : []
    })
    const named = [...new Set(read.map(({ row }) => row.cells.part!))]
    const [byId, byName] = await Promise.all([
      desk.store.readIn('part', 'id', named),
      desk.store.readIn('part', 'name', named),
    ])
    const others = named.flatMap((text): [string, Numbered][] => {
      const at = text.indexOf(' ')
      const number = at > 0 ? desk.knownNumber(text.slice(0, at), text.slice(at + 1)) : null
      return number ? [[text, number]] : []
    })
    const bearers = new Bearers(desk.store)
    await bearers.load([...read.map(({ number }) => number), ...others.map(([, number]) => number)])
    await desk.likes.add(
      desk.store,
      read.flatMap(({ row, number }) =>
        bearers.all(number).length === 0 ? [{ line: row.line, ...number }] : [],
      ),
      (one) => this.#numbers.has(keyOf(one)),
    )
    for (const { number } of read) this.#numbers.add(keyOf(number))
    const numberOf = new Map(others)
    for (const { row, number, mark, said } of read) {
      const text = row.cells.part!
      const alike = byName.filter(({ name }) => name === text)
      const other = numberOf.get(text)
      const partId =
        byId.find(({ id }) => id === text)?.id ??
        (alike.length === 1 ? alike[0]!.id : undefined) ??
        (other ? bearers.of(other)?.partId : undefined)
      if (partId === undefined) {
        desk.fault(
          row.line,
          'part',
          alike.length > 1
            ? `${alike.length} parts are called "${text}". Name it by its id or by a number of it.`
            : `There is no part "${text}". Name one by its id, its name, or a number such as "MLD 417.20".`,
        )
        continue
      }
      const key = JSON.stringify([partId, number.issuerId, number.normalised])
      const twin = this.#seen.get(key)
      if (twin !== undefined) {
        desk.fault(
          row.line,
          'number',
          `The same number of the same part stands on line ${twin}. Keep one of them.`,
        )
        continue
      }
      this.#seen.set(key, row.line)
      const held = bearers.all(number)
      if (held.some((one) => one.partId === partId && one.mark === mark)) {
        desk.counts.unchanged++
        continue
      }
      const isBorne = held.some((one) => one.mark === 'catalogue') || this.#borne.has(keyOf(number))
      if (isBorne && mark === 'catalogue') this.#twice++
      if (mark === 'catalogue') this.#borne.add(keyOf(number))
      desk.insert('partNumber', {
        partId,
        ...number,
        mark,
        again: isBorne && mark === 'catalogue',
        ...said,
      })
      desk.counts.added++
    }
  }

  async end(desk: Desk): Promise<void> {
    if (this.#twice > 0)
      desk.note(
        `${this.#twice} ${this.#twice === 1 ? 'number stands' : 'numbers stand'} on another part already: a conflict until one is struck out.`,
      )
  }
}
