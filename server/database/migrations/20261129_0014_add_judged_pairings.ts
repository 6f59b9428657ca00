import type { Knex } from 'knex'

/** How each chosen pairing was judged, by what, from which claims: what a newer program judges otherwise is told. It can be judged again, so it has no history. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('judgedPairing', (table) => {
    table.string('pairingId', 64).primary()
    table.string('judging', 64).notNullable()
    table.string('inputs', 64).notNullable()
    table.json('codes').notNullable()
    table.json('changed')
  })
}

/** Forward only. */
export async function down(): Promise<void> {
  throw new Error('This migration cannot be undone: restore a backup instead.')
}
