import type { Knex } from 'knex'
import { type PackedChange, packIds } from '../changes.ts'
import { pack, type Row, toRow } from '../row.ts'
import { partOf, type TableName } from '../tables.ts'

/** Rows to be added, in the order they refer to one another, and rows to be changed from the version they were seen at. */
export interface StagedRows {
  readonly inserts: readonly (readonly [TableName, readonly Record<string, unknown>[]])[]
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
const COLUMNS_AT_ONCE = 900

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
  const history: Record<string, unknown>[] = []
  const laid: { inserts: Staged['inserts'][number][]; updates: Staged['updates'][number][] } = {
    inserts: [],
    updates: [],
  }
  for (const [table, rows] of inserts) {
    if (rows.length === 0) continue
    const columns = Object.keys(rows[0]!)
    await fill(
      knex,
      `staged_${snake(table)}`,
      columns,
      rows.map((row) => toRow(table, row)),
    )
    laid.inserts.push({ table, columns, ids: rows.map((row) => String(row.id)) })
    for (const row of rows)
      history.push({
        at,
        who,
        command,
        entity: table,
        entityId: row.id,
        act: 'insert',
        before: null,
        after: pack(row),
      })
  }
  for (const table of new Set(updates.map((update) => update.table))) {
    const own = updates.filter((update) => update.table === table)
    const columns = Object.keys(own[0]!.patch)
    await fill(
      knex,
      `staged_${snake(table)}_change`,
      ['id', 'version', ...columns],
      own.map(({ before, patch }) => ({
        id: before.id,
        version: before.version,
        ...toRow(table, patch),
      })),
    )
    laid.updates.push({ table, columns, ids: own.map(({ before }) => before.id) })
    for (const { before, patch } of own)
      history.push({
        at,
        who,
        command,
        entity: table,
        entityId: before.id,
        act: 'update',
        before: pack(Object.fromEntries(columns.map((column) => [column, before[column]]))),
        after: pack(patch),
      })
  }
  await fill(knex, 'staged_history', HISTORY, history)
  const rows = [
    ...inserts.flatMap(([table, all]) => all.map((row) => [table, row] as const)),
    ...updates.flatMap(
      ({ table, before, patch }) =>
        [
          [table, before],
          [table, { ...before, ...patch }],
        ] as const,
    ),
  ]
  staged.set(knex, {
    ...laid,
    parts: [...new Set(rows.flatMap(([table, row]) => partOf(table, row) ?? []))],
  })
}
const HISTORY = ['at', 'who', 'command', 'entity', 'entityId', 'act', 'before', 'after']

/** A temporary table with these rows, a batch at a time. */
async function fill(
  knex: Knex,
  name: string,
  columns: readonly string[],
  rows: readonly Record<string, unknown>[],
): Promise<void> {
  await knex.raw(`DROP TABLE IF EXISTS temp.${name}`)
  await knex.raw(`CREATE TEMP TABLE ${name} (${columns.map(snake).join(', ')})`)
  const size = Math.max(1, Math.min(100, Math.floor(COLUMNS_AT_ONCE / columns.length)))
  for (let i = 0; i < rows.length; i += size) await knex(name).insert(rows.slice(i, i + size))
}

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
