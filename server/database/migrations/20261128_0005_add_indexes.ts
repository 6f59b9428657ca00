import type { Knex } from 'knex'

/** Columns that are asked for by value get their index; a table nothing read goes. */
export async function up(knex: Knex): Promise<void> {
  for (const [table, column] of INDEXED)
    await knex.raw(`CREATE INDEX ${table}_by_${column} ON ${table}(${column})`)
  await knex.raw('DROP TABLE job')
}

/** Forward only. */
export async function down(): Promise<void> {
  throw new Error('This migration cannot be undone: restore a backup instead.')
}

const INDEXED = [
  ['part', 'owner_id'],
  ['part_number', 'normalised'],
  ['supersession', 'part_id'],
  ['claim', 'specimen_id'],
  ['specimen', 'part_id'],
  ['kit', 'supplier_id'],
  ['kit_item', 'kit_id'],
  ['kit_item', 'part_id'],
  ['donor_item', 'donor_id'],
  ['donor_item', 'part_id'],
  ['offer', 'supplier_id'],
  ['plan', 'build_id'],
  ['plan_line', 'part_id'],
  ['joint_claim', 'engine_id'],
  ['joint_claim', 'transmission_id'],
  ['history', 'who'],
] as const
