import type { Knex } from 'knex'
import { type PackedChange, packIds } from '../changes.ts'
import { pack, type Row, toRow } from '../row.ts'
import { partOf, type TableName } from '../tables.ts'

/** Rows to be added, each table's made as they are laid ready, in the order they refer to one another, and rows to be changed from the version they were seen at. */
export interface StagedRows {
  readonly inserts: readonly (readonly [TableName, Iterable<Record<string, unknown>>])[]
  readonly updates: readonly {
    readonly table: TableName
    readonly before: Row
    readonly patch: Record<string, unknown>
  }[]
}

/** What was to be changed is not as it was seen: nothing was written. */
export class ChangedMeanwhile extends Error {
  override readonly name = 'ChangedMeanwhile'
}

/** What landed: the rows it touched and the parts they tell of, as they are told from thread to thread, and the newest entry of the history. */
export interface Landed extends Pick<PackedChange, 'tables' | 'touched' | 'parts'> {
  readonly newest: number
}

const snake = (name: string): string =>
  name.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`)

/** What each staged table adds or changes, kept with the connection that holds the rows. */
interface Staged {
  /** Parts that something is added or changed of. */
  readonly parts: readonly string[]
  readonly inserts: readonly {
    readonly table: TableName
    readonly columns: readonly string[]
    readonly ids: readonly string[]
  }[]
  readonly updates: readonly {
    readonly table: TableName
    readonly columns: readonly string[]
    readonly ids: readonly string[]
  }[]
}
const staged = new WeakMap<Knex, Staged>()

/**
 * Lays rows ready in temporary tables of this connection, each with its history entry: however many there are, nobody
 * else is held up, and nothing is written yet.
 */
export async function stage(
  knex: Knex,
  { inserts, updates }: StagedRows,
  { who, command }: { readonly who: string; readonly command: string | null },
): Promise<void> {
  const at = new Date().toISOString()
  const laid: { inserts: Staged['inserts'][number][]; updates: Staged['updates'][number][] } = {
    inserts: [],
    updates: [],
  }
  const parts = new Set<string>()
  const touch = (table: TableName, row: Readonly<Record<string, unknown>>): void => {
    const part = partOf(table, row)
    if (part !== null) parts.add(part)
  }
  const history = await emptyTable(knex, 'staged_history', HISTORY)
  for (const [table, rows] of inserts) {
    let columns: readonly string[] | null = null
    let fill: Awaited<ReturnType<typeof emptyTable>> | null = null
    const ids: string[] = []
    for (const some of batches(rows)) {
      columns ??= Object.keys(some[0]!)
      fill ??= await emptyTable(knex, `staged_${snake(table)}`, columns)
      for (const { id } of some) ids.push(String(id))
      await fill(some.map((row) => toRow(table, row)))
      await history(
        some.map((row) => {
          touch(table, row)
          return {
            at,
            who,
            command,
            entity: table,
            entityId: row.id,
            act: 'insert',
            before: null,
            after: pack(row),
          }
        }),
      )
    }
    if (columns) laid.inserts.push({ table, columns, ids })
  }
  for (const table of new Set(updates.map((update) => update.table))) {
    const own = updates.filter((update) => update.table === table)
    const columns = Object.keys(own[0]!.patch)
    const fill = await emptyTable(knex, `staged_${snake(table)}_change`, [
      'id',
      'version',
      ...columns,
    ])
    for (const some of batches(own)) {
      await fill(
        some.map(({ before, patch }) => ({
          id: before.id,
          version: before.version,
          ...toRow(table, patch),
        })),
      )
      await history(
        some.map(({ before, patch }) => {
          touch(table, before)
          touch(table, { ...before, ...patch })
          return {
            at,
            who,
            command,
            entity: table,
            entityId: before.id,
            act: 'update',
            before: pack(Object.fromEntries(columns.map((column) => [column, before[column]]))),
            after: pack(patch),
          }
        }),
      )
    }
    laid.updates.push({ table, columns, ids: own.map(({ before }) => before.id) })
  }
  staged.set(knex, { ...laid, parts: [...parts] })
}
const HISTORY = ['at', 'who', 'command', 'entity', 'entityId', 'act', 'before', 'after']
const AT_ONCE = 1000

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

/** What of better-sqlite3 is used: one statement, made once, run for each row. */
interface Connection {
  prepare(sql: string): { run(values: readonly unknown[]): unknown }
  transaction(work: () => void): () => void
}

/** A temporary table without rows, and what fills it, some rows at a time: only these are held. */
async function emptyTable(
  knex: Knex,
  name: string,
  columns: readonly string[],
): Promise<(rows: readonly Readonly<Record<string, unknown>>[]) => Promise<void>> {
  await knex.raw(`DROP TABLE IF EXISTS temp.${name}`)
  await knex.raw(`CREATE TEMP TABLE ${name} (${columns.map(snake).join(', ')})`)
  const insert = `INSERT INTO temp.${name} VALUES (${columns.map(() => '?').join(', ')})`
  return async (rows) => {
    const connection: Connection = await knex.client.acquireConnection()
    try {
      const statement = connection.prepare(insert)
      connection.transaction(() => {
        for (const row of rows) statement.run(columns.map((column) => bound(row[column])))
      })()
    } finally {
      await knex.client.releaseConnection(connection)
    }
  }
}
/** A value as SQLite takes it. */
const bound = (value: unknown): unknown =>
  value === undefined ? null : typeof value === 'boolean' ? Number(value) : value

/**
 * Lands what was laid ready, in one transaction of a few statements.
 * @throws ChangedMeanwhile where a row is not at the version it was seen at, or what is to be added is there by now
 */
export async function merge(knex: Knex): Promise<Landed> {
  const { inserts, updates, parts } = staged.get(knex) ?? { inserts: [], updates: [], parts: [] }
  try {
    const newest = await knex.transaction(async (trx) => {
      for (const { table, ids } of updates) {
        const changes = `staged_${snake(table)}_change`
        const [{ same }] = await trx.raw(
          `SELECT count(*) AS same FROM ${changes} c JOIN ${snake(table)} r ON r.id = c.id AND r.version = c.version`,
        )
        if (same !== ids.length)
          throw new ChangedMeanwhile(`${ids.length - same} rows were changed meanwhile.`)
      }
      for (const { table, columns } of inserts) {
        const names = columns.map(snake).join(', ')
        await trx.raw(
          `INSERT INTO ${snake(table)} (${names}) SELECT ${names} FROM staged_${snake(table)}`,
        )
      }
      for (const { table, columns } of updates) {
        const set = columns.map((column) => `${snake(column)} = c.${snake(column)}`).join(', ')
        await trx.raw(
          `UPDATE ${snake(table)} SET ${set}, version = ${snake(table)}.version + 1 FROM staged_${snake(table)}_change c WHERE c.id = ${snake(table)}.id`,
        )
      }
      const names = HISTORY.map(snake).join(', ')
      await trx.raw(
        `INSERT INTO history (${names}) SELECT ${names} FROM staged_history ORDER BY rowid`,
      )
      const found = await trx('history').max('id as id').first()
      return Number(found?.id ?? 0)
    })
    const written = [...inserts, ...updates]
    return {
      tables: [...new Set(written.map(({ table }) => table))],
      touched: packIds(written.flatMap(({ table, ids }) => ids.map((id) => `${table}:${id}`))),
      parts: packIds(parts),
      newest,
    }
  } catch (error) {
    if ((error as { code?: string }).code === 'SQLITE_CONSTRAINT_UNIQUE')
      throw new ChangedMeanwhile('What was to be added is there by now.')
    throw error
  }
}
