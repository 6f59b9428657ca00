import type { Knex } from 'knex'

/** Why a pairing was chosen, what it beat and what was not known then. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('pairing', (table) => {
    table.text('reasons')
  })
}

/** Forward only. */
export async function down(): Promise<void> {
  throw new Error('This migration cannot be undone: restore a backup instead.')
}
