import { setImmediate, setTimeout } from 'node:timers/promises'
import type { Knex } from 'knex'
import type { Store } from '../database/store.ts'
import {
  dropWords,
  NUMBER_TABLES,
  putNumbers,
  putWords,
  WORD_TABLES,
  type WordTable,
} from './entries.ts'

/** Entries of the history that are taken in between two turns of others. */
const AT_ONCE = 120
/** Rows read at once where all is read anew. */
const PAGE = 150

const isWords = (table: string): table is WordTable =>
  (WORD_TABLES as readonly string[]).includes(table)
const isNumbers = (table: string): boolean => (NUMBER_TABLES as readonly string[]).includes(table)

const following = new WeakMap<object, { epoch: number; told: string; working: Promise<void> }>()

/** Takes into the index what the history tells was written since: nothing where nothing was. Others are answered in between. */
export function follow(store: Store): Promise<void> {
  const { told, epoch } = store
  let held = following.get(store.root)
  if (!held) following.set(store.root, (held = { epoch, told: '', working: Promise.resolve() }))
  if (held.told === told && held.epoch === epoch) return held.working
  const now = held
  now.told = told
  now.epoch = epoch
  now.working = now.working
    .catch(() => undefined)
    .then(() => takeIn(store))
    .catch((error: unknown) => {
      now.told = ''
      throw error
    })
  return now.working
}

/** The same, waited for at most so long. @returns whether the index tells all that was written */
export async function followFor(store: Store, ms: number): Promise<boolean> {
  const over = new AbortController()
  const late = setTimeout(ms, false, { signal: over.signal }).catch(() => false)
  const isThere = await Promise.race([follow(store).then(() => true), late])
  over.abort()
  return isThere
}

/** Writes into the index of one file. */
type Write = (work: (trx: Knex) => Promise<void>) => Promise<void>

/** Writes while the file is the one that stands there now: what was read of another never gets into it. */
function writing(store: Store): Write {
  const { knex, epoch } = store
  return (work) =>
    knex.transaction(async (trx) => {
      if (store.epoch !== epoch) throw new Error('The file under the index was replaced.')
      await work(trx)
    })
}

async function takeIn(store: Store): Promise<void> {
  const { knex } = store
  const write = writing(store)
  const state = (await knex('search_state').first('historyId')) as { historyId: number }
  if (state.historyId < 0) {
    await rebuild(store)
    return
  }
  for (let last = state.historyId; ; ) {
    const entries = (await knex('history')
      .where('id', '>', last)
      .orderBy('id')
      .limit(AT_ONCE)
      .select('id', 'entity', 'entityId')) as { id: number; entity: string; entityId: string }[]
    if (entries.length === 0) return
    last = entries.at(-1)!.id
    await write(async (trx) => {
      await takeInEntries(trx, entries)
      await trx('search_state').update({ historyId: last })
    })
    await setImmediate()
  }
}

async function takeInEntries(
  trx: Knex,
  entries: readonly { readonly entity: string; readonly entityId: string }[],
): Promise<void> {
  const ofTable = new Map<string, Set<string>>()
  for (const { entity, entityId } of entries) {
    const held = ofTable.get(entity)
    if (held) held.add(entityId)
    else ofTable.set(entity, new Set([entityId]))
  }
  for (const [table, ids] of ofTable) {
    if (isWords(table)) {
      const rows = await trx(table).whereIn('id', [...ids])
      const there = new Set(rows.map((row) => row.id))
      await dropWords(
        trx,
        [...ids].filter((id) => !there.has(id)),
      )
      await putWords(trx, table, rows)
    } else if (isNumbers(table)) {
      await putNumbers(trx, numbersIn(await trx(table).whereIn('id', [...ids])))
    }
  }
}

const numbersIn = (
  rows: readonly Readonly<Record<string, unknown>>[],
): { issuerId: string; key: string }[] =>
  rows.flatMap(({ issuerId, normalised }) =>
    typeof issuerId === 'string' && typeof normalised === 'string' && normalised !== ''
      ? { issuerId, key: normalised }
      : [],
  )

/** Builds the whole index anew. */
export async function rebuild(store: Store): Promise<void> {
  const { knex } = store
  const write = writing(store)
  const newest = (await knex('history').max('id as id').first()) as { id: number | null }
  await write(async (trx) => {
    for (const table of ['search_entry', 'search_term', 'search_number']) await trx(table).delete()
    for (const table of ['search_word', 'search_gram'])
      await trx.raw(`INSERT INTO ${table}(${table}) VALUES ('delete-all')`)
  })
  for (const table of WORD_TABLES)
    await inPages(knex, table, (rows) => write((trx) => putWords(trx, table, rows)))
  for (const table of NUMBER_TABLES)
    await inPages(knex, table, (rows) => write((trx) => putNumbers(trx, numbersIn(rows))))
  await write(async (trx) => {
    await trx('search_state').update({ historyId: newest.id ?? 0 })
  })
}

async function inPages(
  knex: Knex,
  table: string,
  work: (rows: Record<string, unknown>[]) => Promise<void>,
): Promise<void> {
  for (let after = ''; ; ) {
    const rows = (await knex(table).where('id', '>', after).orderBy('id').limit(PAGE)) as {
      id: string
    }[]
    if (rows.length === 0) return
    after = rows.at(-1)!.id
    await work(rows)
    await setImmediate()
  }
}
