import type { Knex } from 'knex'

/** A picture belongs to a part, a donor or a build; the file itself stands in the data folder under its hash. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('photo', (table) => {
    table.text('id').primary().notNullable()
    table.integer('version').notNullable().defaultTo(1)
    for (const owner of ['part', 'donor', 'build'])
      table.text(`${owner}_id`).references('id').inTable(owner).index(`photo_by_${owner}_id`)
    table.text('spot')
    table.text('hash').notNullable()
    table.integer('width_px').notNullable()
    table.integer('height_px').notNullable()
    table.text('taken_at')
    table.text('note')
    table.text('said_by')
    table.check('(part_id is not null) + (donor_id is not null) + (build_id is not null) = 1')
  })
}

/** Forward only. */
export async function down(): Promise<void> {
  throw new Error('This migration cannot be undone: restore a backup instead.')
}
