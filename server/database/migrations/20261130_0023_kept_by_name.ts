import type { Knex } from 'knex'

/**
 * What the shop keeps by name: filters of lists, and how a list was read, by its heads. Few things stand before many in the
 * index of words now: it is built anew.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(
    'CREATE TABLE kept (id TEXT NOT NULL PRIMARY KEY, version INTEGER NOT NULL DEFAULT 1, what TEXT NOT NULL, name TEXT NOT NULL, value TEXT NOT NULL, UNIQUE (what, name))',
  )
  await knex.raw('UPDATE search_state SET history_id = -1')
}

/** Forward only. */
export async function down(): Promise<void> {
  throw new Error('This migration cannot be undone: restore a backup instead.')
}
