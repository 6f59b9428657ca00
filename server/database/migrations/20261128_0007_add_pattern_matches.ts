import type { Knex } from 'knex'

/** What a search of two patterns found, by the content of both: it can always be found again, so it has no history. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('patternMatch', (table) => {
    table.string('key', 64).primary()
    table.integer('search').notNullable()
    table.binary('match').notNullable()
  })
}

/** Forward only. */
export async function down(): Promise<void> {
  throw new Error('This migration cannot be undone: restore a backup instead.')
}
