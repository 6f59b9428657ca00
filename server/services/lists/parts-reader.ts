import { CATALOGUE_OPTIONS, isCatalogueKind } from '../../../core/needs/catalogue-kinds.ts'
import { suggestKind } from '../../../core/needs/suggest-kind.ts'
import { readMass } from '../../../core/tables/read-mass.ts'
import type { RowOf } from '../../database/store.ts'
import type { ListRow } from '../../documents/list-rows.ts'
import { Bearers } from './bearers.ts'
import type { Desk, ListReader, Numbered } from './list-reading.ts'

const KIND_BY_WORDS = new Map(
  CATALOGUE_OPTIONS.map(({ value, words }) => [words.toLowerCase(), value]),
)
const FIRST_YEAR = 1880
const LAST_YEAR = 2100

/** Parts: found again by a number of theirs, else by name and kind; what a row does not say stays as it is. */
export class PartsReader implements ListReader {
  readonly #seen = new Map<string, number>()
  #suggested = 0
  #unsorted = 0

  async match(rows: readonly ListRow[], desk: Desk): Promise<void> {
    const read = rows.flatMap((row) => this.#read(row, desk) ?? [])
    const bearers = new Bearers(desk.store)
    await bearers.load(read.flatMap(({ number }) => number ?? []))
    const names = read.filter(({ number }) => number === null).map(({ values }) => values.name)
    const alike = await desk.store.readIn('part', 'name', names)
    const ids = read.flatMap(({ number }) => (number ? bearers.of(number)?.partId : null) ?? [])
    const byId = new Map(
      (await desk.store.readIn('part', 'id', ids)).map((part) => [part.id, part]),
    )
    for (const { row, values, number, kind } of read) {
      const key = JSON.stringify(
        number ? [number.issuerId, number.normalised] : [values.name.toLowerCase(), kind],
      )
      const twin = this.#seen.get(key)
      if (twin !== undefined) {
        desk.fault(
          row.line,
          number ? 'number' : 'name',
          `The same part stands on line ${twin}. Keep one of them.`,
        )
        continue
      }
      this.#seen.set(key, row.line)
      const held: RowOf<'part'> | undefined = number
        ? byId.get(bearers.of(number)?.partId ?? '')
        : alike.find((part) => part.name === values.name && (kind === null || part.kind === kind))
      if (held) {
        const full = {
          kind: kind ?? held.kind,
          name: values.name,
          fromYear: values.fromYear ?? held.fromYear,
          toYear: values.toYear ?? held.toYear,
          massG: values.massG ?? held.massG,
          family: values.family ?? held.family,
          generation: values.generation ?? held.generation,
          note: values.note ?? held.note,
        }
        desk.counts[desk.update('part', held, full) ? 'updated' : 'unchanged']++
        continue
      }
      const suggested = kind ?? suggestKind(values.name)
      if (kind === null && suggested !== null) this.#suggested++
      if (suggested === null) this.#unsorted++
      const partId = desk.insert('part', { ...values, kind: suggested ?? 'unsorted' })
      if (number)
        desk.insert('partNumber', {
          partId,
          ...number,
          mark: 'catalogue',
          again: false,
          grade: 'catalogue',
          source: null,
          day: desk.terms.day,
        })
      desk.counts.added++
    }
  }

  async end(desk: Desk): Promise<void> {
    if (this.#suggested > 0)
      desk.note(`${this.#suggested} kinds are told by their words: look them over in Catalogue.`)
    if (this.#unsorted > 0)
      desk.note(`${this.#unsorted} wait as unsorted until their kind is set in Catalogue.`)
  }

  #read(row: ListRow, desk: Desk) {
    const { line, cells } = row
    const name = cells.name!.replace(/\s+/g, ' ')
    if (name.length > 120)
      return desk.fault(
        line,
        'name',
        `It is ${name.length} characters long, at most 120 are kept. Shorten it.`,
      )
    const kind = cells.kind === undefined ? null : kindOf(cells.kind)
    if (kind === undefined)
      return desk.fault(
        line,
        'kind',
        `"${cells.kind}" is no kind of part that is known here. Leave it blank to set it later.`,
      )
    if ((cells.issuer === undefined) !== (cells.number === undefined))
      return desk.fault(
        line,
        cells.number === undefined ? 'number' : 'issuer',
        'A number goes with whose number it is.',
      )
    const number: Numbered | null =
      cells.number === undefined ? null : desk.numbered(line, cells.issuer!, cells.number)
    if (cells.number !== undefined && number === null) return null
    const mass = cells.mass === undefined ? null : readMass(cells.mass)
    if (mass && 'why' in mass) return desk.fault(line, 'mass', mass.why)
    const fromYear = desk.whole(row, 'fromYear', FIRST_YEAR, LAST_YEAR, null)
    const toYear = desk.whole(row, 'toYear', FIRST_YEAR, LAST_YEAR, null)
    if (fromYear === undefined || toYear === undefined) return null
    if (fromYear !== null && toYear !== null && fromYear > toYear)
      return desk.fault(line, 'toYear', `It ends in ${toYear}, before it begins in ${fromYear}.`)
    for (const column of ['family', 'generation'] as const)
      if ((cells[column]?.length ?? 0) > 120)
        return desk.fault(line, column, 'At most 120 characters are kept.')
    return {
      row,
      number,
      kind,
      values: {
        name,
        fromYear,
        toYear,
        massG: mass && 'g' in mass ? mass.g : null,
        family: cells.family ?? null,
        generation: cells.generation ?? null,
        note: cells.note ?? null,
      },
    }
  }
}

/** A kind by its id or its words; undefined where it is none. */
function kindOf(text: string): string | undefined {
  if (isCatalogueKind(text)) return text
  return KIND_BY_WORDS.get(text.trim().toLowerCase())
}
