import { setImmediate } from 'node:timers/promises'
import { groupBy } from '../../../core/group.ts'
import { withoutRetired } from '../../database/row.ts'
import type { Landed, StagedRows, Staging } from '../../database/sqlite/stage.ts'
import type { Row, Store } from '../../database/store.ts'
import type { TableName } from '../../database/tables.ts'
import { type By, layAndLand } from '../importing/lay-rows.ts'
import { entryOf, type HistoryEntry, isSame } from './history.ts'

/** A command that wrote more rows than this is undone as an import is done. */
const MANY = 500
/** What of a part follows from other rows: undone one by one. */
const FOLLOWED: readonly TableName[] = ['port', 'claim']
const PAGE = 1000

/** Whether a command wrote so much that undoing it row by row would hold up everybody. */
export async function isMany({ knex }: Store, command: string): Promise<boolean> {
  const found = await knex('history').where({ command }).count({ count: '*' }).first()
  return Number(found?.count) > MANY
}

/**
 * Undoes a command that wrote no row twice, and none that was written since: laid ready, then landed in
 * one short merge.
 * @returns null where it is not such a command, or where something else uses what it added: nothing was written
 */
export async function undoMany(
  store: Store,
  command: string,
  by: By,
  land: (merge: () => Promise<Landed>) => Promise<Landed>,
): Promise<{ undone: number; landed: Landed } | null> {
  try {
    const { told, landed } = await layAndLand(
      store,
      by,
      async (staging) => {
        const undone = await layUndo(store, command, staging)
        return { told: undone, isRefused: undone === null }
      },
      land,
    )
    return told === null || landed === null ? null : { undone: told, landed }
  } catch (error) {
    if ((error as { code?: string }).code === 'SQLITE_CONSTRAINT_FOREIGNKEY') return null
    throw error
  }
}

async function layUndo(store: Store, command: string, staging: Staging): Promise<number | null> {
  const { knex } = store
  const isOther = await knex('history')
    .where({ command })
    .where((either) => either.where({ act: 'restore' }).orWhereIn('entity', FOLLOWED))
    .first()
  const [inTrash] = await knex.raw(
    'SELECT 1 FROM trash t JOIN history h ON h.entity = t.entity AND h.entity_id = t.entity_id WHERE h.command = ? LIMIT 1',
    [command],
  )
  // Twice in the command, or changed since.
  const [again] = await knex.raw(
    'SELECT 1 FROM history h JOIN history l ON l.entity = h.entity AND l.entity_id = h.entity_id AND l.id > h.id WHERE h.command = ? LIMIT 1',
    [command],
  )
  if (isOther || inTrash || again) return null
  let undone = 0
  for (let before = Number.MAX_SAFE_INTEGER; ; ) {
    const entries: HistoryEntry[] = (
      await knex('history')
        .where({ command })
        .where('id', '<', before)
        .orderBy('id', 'desc')
        .limit(PAGE)
    ).map(entryOf)
    if (entries.length === 0) return undone
    const rows = await reversed(store, entries)
    if (!rows) return null
    await staging.add(rows)
    await setImmediate()
    undone += entries.length
    before = entries.at(-1)!.id
  }
}

/** What takes entries back; null where a row is not as they left it. */
async function reversed(
  store: Store,
  entries: readonly HistoryEntry[],
): Promise<StagedRows | null> {
  const updates: NonNullable<StagedRows['updates']>[number][] = []
  const removes: NonNullable<StagedRows['removes']>[number][] = []
  const restores: NonNullable<StagedRows['restores']>[number][] = []
  for (const [table, own] of groupBy(entries, ({ entity }) => entity)) {
    const ids = own.map(({ entityId }) => entityId)
    const rows = new Map<string, Row>()
    for (const row of await store.readIn(table, 'id', ids)) rows.set(row.id, row)
    for (const { entityId, act, ...said } of own) {
      const row = rows.get(entityId)
      const [before, after] = [
        withoutRetired(table, said.before),
        withoutRetired(table, said.after),
      ]
      if ((act === 'remove') !== (row === undefined)) return null
      if (act === 'remove') restores.push({ table, row: before as Row })
      else if (act === 'insert') removes.push({ table, row: row! })
      else if (Object.entries(after!).some(([key, value]) => !isSame(row![key], value))) return null
      else updates.push({ table, before: row!, patch: before! })
    }
  }
  return { updates, removes, restores }
}
