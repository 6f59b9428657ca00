import type { Knex } from 'knex'
import { groupBy } from '../../../core/group.ts'
import { BETWEEN_IDS, type PackedChange, type PackedIds, packIds, shared } from '../changes.ts'
import { pack, type Row, storedColumns, storing } from '../row.ts'
import { partOf, TABLES, type TableName } from '../tables.ts'
import { runMany, type SqlValue } from './run-many.ts'

/** Rows to be added or put back, rows to be changed and rows to be taken out, these two from the version they were seen at. */
export interface StagedRows {
  readonly inserts?: readonly (readonly [TableName, Iterable<Record<string, unknown>>])[]
  readonly updates?: readonly {
    readonly table: TableName
    readonly before: Row
    readonly patch: Record<string, unknown>
  }[]
  readonly removes?: readonly { readonly table: TableName; readonly row: Row }[]
  readonly restores?: readonly { readonly table: TableName; readonly row: Row }[]
}

/** What was to be changed is not as it was seen: nothing was written. */
export class ChangedMeanwhile extends Error {
  override readonly name = 'ChangedMeanwhile'
}

/** What landed: the rows it touched and the parts they tell of, as they are told from thread to thread, and the newest entry of the history. */
export interface Landed extends Pick<PackedChange, 'touched' | 'parts'> {
  readonly newest: number
}

const snake = (name: string): string =>
  name.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`)
const HISTORY = ['at', 'who', 'command', 'entity', 'entityId', 'act', 'before', 'after']
const AT_ONCE = 1000
/** In an order in which rows can be inserted. */
const ORDER = Object.keys(TABLES) as TableName[]
const byOrder = (p: { readonly table: TableName }, q: { readonly table: TableName }): number =>
  ORDER.indexOf(p.table) - ORDER.indexOf(q.table)

/** A temporary table: rows of one table to be added, changed in the same columns, or taken out. */
interface Laid {
  readonly name: string
  readonly table: TableName
  readonly act: 'insert' | 'update' | 'remove' | 'restore'
  /** What is added or changed of each row. */
  readonly columns: readonly string[]
  /** All of it, each with how its values are stored. */
  readonly stores: readonly (readonly [string, (value: unknown) => SqlValue])[]
  readonly fill: Fill
  count: number
}
type Fill = (rows: Iterable<readonly SqlValue[]>) => Promise<void>
let made = 0
const isNew = (act: Laid['act']): boolean => act === 'insert' || act === 'restore'

/**
 * Rows laid ready in temporary tables of a connection, each with its history entry: however many there are, nobody else is
 * held up, and nothing is written before they land. To be closed.
 */
export class Staging {
  readonly #knex: Knex
  readonly #by: { readonly who: string; readonly command: string | null }
  readonly #name = `staged_${++made}`
  readonly #laid = new Map<string, Laid>()
  readonly #parts = new Set<string>()
  readonly #at = new Date().toISOString()
  #history: Fill | null = null

  constructor(knex: Knex, by: { readonly who: string; readonly command: string | null }) {
    this.#knex = knex
    this.#by = by
  }

  /** Lays rows ready, after those that are there. */
  async add({
    inserts = [],
    updates = [],
    removes = [],
    restores = [],
  }: StagedRows): Promise<void> {
    for (const [table, rows] of inserts)
      for (const some of batches(rows))
        await this.#lay(
          table,
          'insert',
          storedColumns(table, some[0]!),
          some.map((row) => ({ id: String(row.id), row, told: [row], before: null, after: row })),
        )
    for (const own of groupBy(
      updates,
      ({ table, patch }) => `${table} ${Object.keys(patch)}`,
    ).values())
      for (const some of batches(own)) {
        const { table, patch } = some[0]!
        const columns = Object.keys(patch)
        await this.#lay(
          table,
          'update',
          columns,
          some.map(({ before, patch: after }) => ({
            id: before.id,
            row: { ...after, id: before.id, version: before.version },
            told: [before, { ...before, ...after }],
            before: Object.fromEntries(columns.map((column) => [column, before[column]])),
            after,
          })),
        )
      }
    for (const [table, own] of groupBy(removes, (one) => one.table))
      for (const some of batches(own))
        await this.#lay(
          table,
          'remove',
          [],
          some.map(({ row }) => ({
            id: row.id,
            row,
            told: [row],
            before: row,
            after: null,
          })),
        )
    for (const own of groupBy(
      restores,
      ({ table, row }) => `${table} ${Object.keys(row)}`,
    ).values())
      for (const some of batches(own))
        await this.#lay(
          some[0]!.table,
          'restore',
          storedColumns(some[0]!.table, some[0]!.row),
          some.map(({ row }) => ({
            id: row.id,
            row: { ...row, version: row.version + 1 },
            told: [row],
            before: null,
            after: row,
          })),
        )
  }

  async #lay(
    table: TableName,
    act: Laid['act'],
    columns: readonly string[],
    rows: readonly {
      readonly id: string
      readonly row: Readonly<Record<string, unknown>>
      readonly told: readonly Readonly<Record<string, unknown>>[]
      readonly before: object | null
      readonly after: object | null
    }[],
  ): Promise<void> {
    const laid = await this.#tableFor(table, act, columns)
    await laid.fill(rows.map(({ row }) => laid.stores.map(([column, as]) => as(row[column]))))
    this.#history ??= await this.#empty(`${this.#name}_history`, HISTORY)
    const { who, command } = this.#by
    await this.#history(
      // In the order of its columns.
      rows.map(({ id, before, after }) => [
        this.#at,
        who,
        command,
        table,
        id,
        act,
        before && pack(before),
        after && pack(after),
      ]),
    )
    laid.count += rows.length
    for (const { told } of rows)
      for (const one of told) {
        const part = partOf(table, one)
        if (part !== null) this.#parts.add(part)
      }
  }

  async #tableFor(table: TableName, act: Laid['act'], columns: readonly string[]): Promise<Laid> {
    const key = `${table} ${act} ${columns}`
    const held = this.#laid.get(key)
    if (held) return held
    const name = `${this.#name}_${this.#laid.size}`
    const all = isNew(act) ? columns : ['id', 'version', ...columns]
    const stores = all.map((column) => [column, storing(table, column)] as const)
    const laid = { name, table, act, columns, stores, fill: await this.#empty(name, all), count: 0 }
    this.#laid.set(key, laid)
    return laid
  }

  /** A temporary table without rows, and what fills it, some rows at a time: only these are held. */
  async #empty(name: string, columns: readonly string[]): Promise<Fill> {
    await this.#knex.raw(`CREATE TEMP TABLE ${name} (${columns.map(snake).join(', ')})`)
    const insert = `INSERT INTO temp.${name} VALUES (${columns.map(() => '?').join(', ')})`
    return (rows) => runMany(this.#knex, insert, rows)
  }

  /**
   * Lands what was laid ready, in one transaction of a few statements.
   * @throws ChangedMeanwhile where a row is not at the version it was seen at, or what is to be added is there by now
   */
  async land(): Promise<Landed> {
    const all = [...this.#laid.values()].sort(byOrder)
    try {
      const newest = await this.#knex.transaction(async (trx) => {
        for (const { name, table, act, count } of all) {
          if (isNew(act)) continue
          const [{ same }] = await trx.raw(
            `SELECT count(*) AS same FROM ${name} c JOIN ${snake(table)} r ON r.id = c.id AND r.version = c.version`,
          )
          if (same !== count)
            throw new ChangedMeanwhile(`${count - same} rows were changed meanwhile.`)
        }
        for (const { name, table } of all.filter(({ act }) => act === 'remove').reverse())
          await trx.raw(`DELETE FROM ${snake(table)} WHERE id IN (SELECT id FROM ${name})`)
        for (const { name, table, columns } of all.filter(({ act }) => isNew(act))) {
          const names = columns.map(snake).join(', ')
          await trx.raw(`INSERT INTO ${snake(table)} (${names}) SELECT ${names} FROM ${name}`)
        }
        for (const { name, table, columns } of all.filter(({ act }) => act === 'update')) {
          const set = columns.map((column) => `${snake(column)} = c.${snake(column)}`).join(', ')
          await trx.raw(
            `UPDATE ${snake(table)} SET ${set}, version = ${snake(table)}.version + 1 FROM ${name} c WHERE c.id = ${snake(table)}.id`,
          )
        }
        const names = HISTORY.map(snake).join(', ')
        if (this.#history)
          await trx.raw(
            `INSERT INTO history (${names}) SELECT ${names} FROM ${this.#name}_history ORDER BY rowid`,
          )
        const found = await trx('history').max('id as id').first()
        return Number(found?.id ?? 0)
      })
      const touched: Partial<Record<TableName, PackedIds>> = {}
      for (const table of new Set(all.map((one) => one.table))) {
        // Packed by the database: so many strings at once are more than there is room for.
        const names = all.filter((one) => one.table === table).map(({ name }) => name)
        const [{ ids }] = await this.#knex.raw(
          `SELECT CAST(group_concat(id, ?) AS BLOB) AS ids FROM (${names.map((name) => `SELECT id FROM temp.${name}`).join(' UNION ALL ')})`,
          [BETWEEN_IDS],
        )
        touched[table] = shared(ids)
      }
      return {
        touched,
        parts: packIds(this.#parts),
        newest,
      }
    } catch (error) {
      if ((error as { code?: string }).code === 'SQLITE_CONSTRAINT_UNIQUE')
        throw new ChangedMeanwhile('What was to be added is there by now.')
      throw error
    }
  }

  /** Gives the temporary tables up. */
  async close(): Promise<void> {
    const names = [...this.#laid.values()].map(({ name }) => name)
    if (this.#history) names.push(`${this.#name}_history`)
    for (const name of names) await this.#knex.raw(`DROP TABLE IF EXISTS temp.${name}`)
    this.#laid.clear()
    this.#history = null
  }
}

function* batches<T>(all: Iterable<T>): Generator<readonly T[]> {
  let some: T[] = []
  for (const one of all) {
    some.push(one)
    if (some.length < AT_ONCE) continue
    yield some
    some = []
  }
  if (some.length > 0) yield some
}
