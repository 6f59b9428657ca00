import { CATALOGUE_OPTIONS, isCatalogueKind } from '../../../../core/needs/catalogue-kinds.ts'
import { suggestKind } from '../../../../core/needs/suggest-kind.ts'
import { readMoreNumbers } from '../../../../core/tables/more-numbers.ts'
import { readMass } from '../../../../core/tables/read-mass.ts'
import type { RowOf } from '../../../database/store.ts'
import type { ListRow } from '../../../documents/list-rows.ts'
import { keyOf } from '../../numbers/numbers-of-part.ts'
import { placedByNumbers } from '../../numbers/placements.ts'
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
  #placed = 0
  #unsorted = 0

  async match(rows: readonly ListRow[], desk: Desk): Promise<void> {
    const read = rows.flatMap((row) => this.#read(row, desk) ?? [])
    const bearers = new Bearers(desk.store)
    await bearers.load(read.flatMap(({ numbers }) => numbers))
    const names = read.filter(({ numbers }) => numbers.length === 0)
    const alike = await desk.store.readIn(
      'part',
      'name',
      names.map(({ values }) => values.name),
    )
    const ids = read.flatMap(({ numbers }) =>
      numbers.flatMap((number) => bearers.of(number)?.partId ?? []),
    )
    const byId = new Map(
      (await desk.store.readIn('part', 'id', ids)).map((part) => [part.id, part]),
    )
    const fresh = read.flatMap(({ row, numbers }) =>
      numbers
        .filter((number) => !bearers.of(number))
        .map((number) => ({ line: row.line, ...number })),
    )
    await desk.likes.add(desk.store, fresh, (one) => this.#seen.has(keyOf(one)))
    const placed = await placedByNumbers(desk.store, fresh)
    for (const { row, values, numbers, kind } of read) {
      const bearing = new Set(numbers.flatMap((number) => bearers.of(number)?.partId ?? []))
      if (bearing.size > 1) {
        const words = [...bearing].map((id) => `"${byId.get(id)?.name ?? id}"`).join(' and ')
        desk.fault(
          row.line,
          'otherNumbers',
          `Its numbers stand on ${bearing.size} parts: ${words}. Give each part a row of its own.`,
        )
        continue
      }
      const held: RowOf<'part'> | undefined =
        numbers.length > 0
          ? byId.get([...bearing][0] ?? '')
          : alike.find((part) => part.name === values.name && (kind === null || part.kind === kind))
      const keys = [
        ...numbers.map(keyOf),
        ...(numbers.length === 0 ? [JSON.stringify([values.name.toLowerCase(), kind])] : []),
        ...(held ? [`part ${held.id}`] : []),
      ]
      const twin = keys.map((key) => this.#seen.get(key)).find((line) => line !== undefined)
      if (twin !== undefined) {
        desk.fault(
          row.line,
          numbers.length > 0 ? 'number' : 'name',
          `The same part stands on line ${twin}. Keep one of them.`,
        )
        continue
      }
      for (const key of keys) this.#seen.set(key, row.line)
      const missing = numbers.filter((number) => !bearers.of(number))
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
        const differs = desk.update('part', held, full)
        for (const number of missing) bear(desk, held.id, number)
        desk.counts[differs || missing.length > 0 ? 'updated' : 'unchanged']++
        continue
      }
      const near = numbers.map((number) => placed.get(keyOf(number))).find(Boolean)
      const told = kind ?? near?.kind ?? suggestKind(values.name)
      if (kind === null && near) this.#placed++
      else if (kind === null && told !== null) this.#suggested++
      if (told === null) this.#unsorted++
      const partId = desk.insert('part', {
        ...values,
        kind: told ?? 'unsorted',
        family: values.family ?? (near && near.kind === told ? near.family : null),
      })
      for (const number of numbers) bear(desk, partId, number)
      desk.counts.added++
    }
  }

  async end(desk: Desk): Promise<void> {
    const told = (count: number, one: string, many: string): void => {
      if (count > 0) desk.note(count === 1 ? `1 ${one}` : `${count} ${many}`)
    }
    told(
      this.#placed,
      'kind is that of a part whose number its own replaces or serves for: look it over in Catalogue.',
      'kinds are those of parts whose numbers theirs replace or serve for: look them over in Catalogue.',
    )
    told(
      this.#suggested,
      'kind is told by its words: look it over in Catalogue.',
      'kinds are told by their words: look them over in Catalogue.',
    )
    told(
      this.#unsorted,
      'waits as unsorted until its kind is set in Catalogue.',
      'wait as unsorted until their kind is set in Catalogue.',
    )
  }

  /** Its own number first, then the others; null where one cannot be read. */
  #numbers({ line, cells }: ListRow, desk: Desk): readonly Numbered[] | null {
    const own = cells.number === undefined ? [] : [{ issuer: null, number: cells.number }]
    const found = new Map<string, Numbered>()
    for (const [i, { issuer, number }] of [
      ...own,
      ...readMoreNumbers(cells.otherNumbers ?? ''),
    ].entries()) {
      const column = i < own.length ? 'number' : 'otherNumbers'
      const of = issuer ?? cells.issuer
      if (of === undefined)
        return desk.fault(
          line,
          column,
          `Nobody says whose number "${number}" is: write it as "Maker: ${number}".`,
        )
      const read = desk.numbered(line, of, number, column)
      if (!read) return null
      // The same in two spellings is one.
      if (!found.has(keyOf(read))) found.set(keyOf(read), read)
    }
    return [...found.values()]
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
    const isNumbered = (cells.number ?? cells.otherNumbers) !== undefined
    if (cells.issuer === undefined ? cells.number !== undefined : !isNumbered)
      return desk.fault(
        line,
        cells.issuer === undefined ? 'issuer' : 'number',
        'A number goes with whose number it is.',
      )
    const numbers = this.#numbers(row, desk)
    if (!numbers) return null
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
      numbers,
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

/** A number that a part is listed under. */
const bear = (desk: Desk, partId: string, number: Numbered): void =>
  void desk.insert('partNumber', {
    partId,
    ...number,
    mark: 'catalogue',
    again: false,
    grade: 'catalogue',
    source: null,
    day: desk.terms.day,
  })

/** A kind by its id or its words; undefined where it is none. */
function kindOf(text: string): string | undefined {
  if (isCatalogueKind(text)) return text
  return KIND_BY_WORDS.get(text.trim().toLowerCase())
}
