import type { Knex } from 'knex'

/** The parts put in on a pairing stand as rows of their own: a part that is in use cannot go without being told. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('pairing_part', (table) => {
    table.text('id').primary().notNullable()
    table.integer('version').notNullable().defaultTo(1)
    table.text('pairing_id').notNullable().references('id').inTable('pairing')
    table
      .text('part_id')
      .notNullable()
      .references('id')
      .inTable('part')
      .index('pairing_part_by_part_id')
    table.unique(['pairing_id', 'part_id'])
  })
  const pairings = (await knex('pairing').whereNotNull('inserted').select('id', 'inserted')) as {
    id: string
    inserted: string
  }[]
  for (const { id, inserted } of pairings) {
    const parts = (await knex('part')
      .whereIn('id', (JSON.parse(inserted) as { data?: string[] | null }).data ?? [])
      .select('id')) as { id: string }[]
    for (const [place, part] of parts.entries())
      await knex('pairing_part').insert({ id: `${id}~${place}`, pairing_id: id, part_id: part.id })
  }
  await knex.raw('ALTER TABLE pairing DROP COLUMN inserted')
}

/** Forward only. */
export async function down(): Promise<void> {
  throw new Error('This migration cannot be undone: restore a backup instead.')
}
