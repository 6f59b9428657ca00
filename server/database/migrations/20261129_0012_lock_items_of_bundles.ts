import type { Knex } from 'knex'

/** One piece of a kit or donor can be locked by itself. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('sourcing_lock', (table) => {
    table.text('item')
  })
}

/** Forward only. */
export async function down(): Promise<void> {
  throw new Error('This migration cannot be undone: restore a backup instead.')
}
