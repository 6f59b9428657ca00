import { MARKS } from '../../../../core/identity/claims.ts'
import { DEFAULT_RULE, readNumber, ruleOf } from '../../../../core/identity/number-rule.ts'
import { readWhere, WHERE_COLUMNS, WhereFault } from '../../../../core/identity/where-text.ts'
import { GRADES, type Grade } from '../../../../core/quantity/grade.ts'
import type { Decimal } from '../../../../core/quantity/units.ts'
import { type DateOrder, readDay } from '../../../../core/tables/read-day.ts'
import { newId } from '../../../database/new-id.ts'
import type { StagedRows } from '../../../database/sqlite/stage.ts'
import type { Row, RowOf, Store } from '../../../database/store.ts'
import type { TableName } from '../../../database/tables.ts'
import type { ListRead, ListRow } from '../../../documents/list-rows.ts'
import type { BadCell } from '../../../documents/offer-cells.ts'
import { LookAlikes } from '../../numbers/look-alikes.ts'
import type { Reading } from '../lay-rows.ts'

/** How a list is taken in. */
export interface ListTerms {
  /** The day it is, at the shop. */
  readonly day: string
  /** Which comes first in a date with strokes. */
  readonly dates: DateOrder
  /** What a comma in an amount means. */
  readonly decimal: Decimal
}

export interface ListPreview {
  readonly rows: number
  readonly added: number
  readonly updated: number
  /** Stand as they are: nothing is written for them. */
  readonly unchanged: number
  /** What is worth a look before it is taken in. The first of them. */
  readonly notes: readonly string[]
  readonly bad: readonly BadCell[]
  readonly badCount: number
  readonly heads: readonly string[]
  readonly columns: Record<string, string>
}

/** What a list of one kind makes of its rows. */
export interface ListReader {
  /** Looks rows up and keeps what would be written. */
  match(rows: readonly ListRow[], desk: Desk): Promise<void>
  /** Once all was read. */
  end(desk: Desk): Promise<void>
}

const NAMED_FAULTS = 1000
const NAMED_NOTES = 50

export interface Numbered {
  readonly issuerId: string
  readonly number: string
  readonly normalised: string
}

/** Where rows are read: what is known of issuers, what is wrong, and what would be written. */
export class Desk {
  readonly store: Store
  readonly terms: ListTerms
  readonly bad: BadCell[] = []
  readonly notes: string[] = []
  readonly likes = new LookAlikes()
  readonly counts = { rows: 0, added: 0, updated: 0, unchanged: 0 }
  #inserts = new Map<TableName, Record<string, unknown>[]>()
  #updates: NonNullable<StagedRows['updates']>[number][] = []
  #issuers: Map<string, RowOf<'issuer'>> | null = null
  readonly #made = new Map<string, string>()

  constructor(store: Store, terms: ListTerms) {
    this.store = store
    this.terms = terms
  }

  fault(line: number, column: string, message: string): null {
    this.bad.push({ line, column, message })
    return null
  }

  note(words: string): void {
    if (this.notes.length < NAMED_NOTES) this.notes.push(words)
  }

  insert(table: TableName, row: Record<string, unknown>): string {
    const id = String(row.id ?? newId())
    const held = this.#inserts.get(table) ?? []
    this.#inserts.set(table, held)
    held.push({ ...row, id })
    return id
  }

  /** A row as it would be: nothing is written where nothing of it differs. */
  update(table: TableName, before: Row, patch: Record<string, unknown>): boolean {
    const differs = Object.entries(patch).some(([name, value]) => {
      const held = (before as Record<string, unknown>)[name] ?? null
      return JSON.stringify(held) !== JSON.stringify(value ?? null)
    })
    if (differs) this.#updates.push({ table, before, patch })
    return differs
  }

  async start(): Promise<void> {
    this.#issuers = new Map(
      (await this.store.list('issuer')).map((row) => [row.name.trim().toLowerCase(), row]),
    )
  }

  /** A number as its issuer writes it, one nobody knew yet among them; null where nothing is left of it. */
  numbered(line: number, issuer: string, number: string, column = 'number'): Numbered | null {
    if (issuer.length > 120 || number.length > 120)
      return this.fault(line, column, 'At most 120 characters of issuer and of number are kept.')
    const key = issuer.trim().toLowerCase()
    const known = this.#issuers!.get(key)
    const normalised = readNumber(number, known ? ruleOf(known) : DEFAULT_RULE).key
    if (normalised === '')
      return this.fault(
        line,
        column,
        `"${number}" has nothing left once separators are dropped. Write the part number.`,
      )
    let issuerId = known?.id ?? this.#made.get(key)
    if (issuerId === undefined)
      this.#made.set(key, (issuerId = this.insert('issuer', { name: issuer.trim() })))
    return { issuerId, number: number.trim(), normalised }
  }

  /** A number of an issuer that is known; null of any other. */
  knownNumber(issuer: string, number: string): Numbered | null {
    const known = this.#issuers!.get(issuer.trim().toLowerCase())
    if (!known) return null
    return {
      issuerId: known.id,
      number,
      normalised: readNumber(number, ruleOf(known)).key,
    }
  }

  /** Who says so, how well it is known and since when; null where one of these cannot be read. */
  said({ line, cells }: ListRow): { grade: Grade; source: string | null; day: string } | null {
    const grade = (cells.grade?.toLowerCase() ?? 'catalogue') as Grade
    if (!GRADES.includes(grade))
      return this.fault(line, 'grade', `"${cells.grade}" should be one of ${GRADES.join(', ')}.`)
    const day = cells.on === undefined ? this.terms.day : this.day(line, 'on', cells.on)
    if (day === null) return null
    if (day.length !== 10) return this.fault(line, 'on', 'Write the whole day, such as 2026-03-14.')
    return { grade, source: cells.source ?? null, day }
  }

  /** A date of a list. */
  day(line: number, column: string, text: string): string | null {
    const read = readDay(text, this.terms.dates)
    return 'day' in read ? read.day : this.fault(line, column, read.why)
  }

  /** Where a row holds; false where it cannot be read. */
  where({ line, cells }: ListRow): ReturnType<typeof readWhere> | false {
    const text: Record<string, string> = {}
    for (const name of WHERE_COLUMNS) {
      const cell = cells[name]
      if (cell === undefined) continue
      if (name !== 'from' && name !== 'to') {
        text[name] = cell
        continue
      }
      const day = this.day(line, name, cell)
      if (day === null) return false
      text[name] = day
    }
    try {
      return readWhere(text)
    } catch (error) {
      if (!(error instanceof WhereFault)) throw error
      this.fault(line, error.column, error.message)
      return false
    }
  }

  /** One of a few words, in any case; the first where nothing is said. */
  oneOf<W extends string>(
    { line, cells }: ListRow,
    column: string,
    words: readonly [W, ...W[]],
  ): W | null {
    const typed = cells[column]?.toLowerCase()
    if (typed === undefined) return words[0]
    return (
      words.find((word) => word === typed) ??
      this.fault(line, column, `"${cells[column]}" should be one of ${words.join(', ')}.`)
    )
  }

  /** A whole number within bounds; what counts where nothing is said. */
  whole<D extends number | null>(
    { line, cells }: ListRow,
    column: string,
    least: number,
    most: number,
    blank: D,
  ): number | D | undefined {
    const typed = cells[column]
    if (typed === undefined) return blank
    const value = Number(typed)
    if (/^\d+$/.test(typed) && value >= least && value <= most) return value
    this.fault(line, column, `"${typed}" should be a whole number from ${least} to ${most}.`)
    return undefined
  }

  mark(row: ListRow): (typeof MARKS)[number] | null {
    return this.oneOf(row, 'mark', MARKS)
  }

  /** What is to be written of all since it was last asked. */
  take(): StagedRows {
    const taken = { inserts: [...this.#inserts], updates: this.#updates }
    this.#inserts = new Map()
    this.#updates = []
    return taken
  }
}

/** A list of some kind being read: what each row would add or change. */
export class ListReading implements Reading<ListRead, ListPreview> {
  readonly #desk: Desk
  readonly #reader: ListReader
  #head: Pick<ListPreview, 'heads' | 'columns'> = { heads: [], columns: {} }
  #isStarted = false

  constructor(store: Store, terms: ListTerms, reader: ListReader) {
    this.#desk = new Desk(store, terms)
    this.#reader = reader
  }

  async match({ rows, bad, heads, columns }: ListRead): Promise<void> {
    if (!this.#isStarted) await this.#desk.start()
    this.#isStarted = true
    if (heads) this.#head = { heads, columns: { ...columns } }
    this.#desk.bad.push(...bad)
    this.#desk.counts.rows += rows.length
    if (rows.length > 0) await this.#reader.match(rows, this.#desk)
  }

  async end(): Promise<void> {
    await this.#reader.end(this.#desk)
  }

  preview(): ListPreview {
    const bad = [...this.#desk.bad].sort((p, q) => p.line - q.line)
    return {
      ...this.#desk.counts,
      notes: [...this.#desk.notes, ...this.#desk.likes.notes()],
      bad: bad.slice(0, NAMED_FAULTS),
      badCount: bad.length,
      ...this.#head,
    }
  }

  take(): StagedRows {
    return this.#desk.take()
  }

  get isRefused(): boolean {
    return this.#desk.bad.length > 0
  }
}
