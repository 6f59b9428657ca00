import type { Knex } from 'knex'

/** What a build sells of the old, and which kind a donor lacks. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('build', (table) => {
    table.bigInteger('leftovers_minor')
  })
  await knex.schema.alterTable('donor', (table) => {
    table.text('missing_kind')
  })
}

/** Forward only. */
export async function down(): Promise<void> {
  throw new Error('This migration cannot be undone: restore a backup instead.')
}
