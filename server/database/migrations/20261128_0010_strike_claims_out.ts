import type { Knex } from 'knex'

/** A claim can be struck out: it is kept, with who did it and why, and is never used again. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('claim', (table) => {
    table.text('struck_by')
    table.text('struck_why')
    table.text('struck_day')
  })
}

/** Forward only. */
export async function down(): Promise<void> {
  throw new Error('This migration cannot be undone: restore a backup instead.')
}
