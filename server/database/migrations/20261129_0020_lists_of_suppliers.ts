import type { Knex } from 'knex'

/** How a supplier's list is read is kept with the supplier. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('supplier', (table) => {
    table.text('offer_list')
  })
}

/** Forward only. */
export async function down(): Promise<void> {
  throw new Error('This migration cannot be undone: restore a backup instead.')
}
