import type { Knex } from 'knex'

const HEAD = 'id TEXT NOT NULL PRIMARY KEY, version INTEGER NOT NULL DEFAULT 1'
const MINOR = (name: string): string =>
  `${name} INTEGER CHECK (${name} IS NULL OR typeof(${name}) = 'integer')`

/**
 * How good a kit is and how each wear part of it is had again; what is said to have held or failed; which kit was taken
 * against which advice; what is wanted and watched for; what arrived, in which batch.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.raw('ALTER TABLE kit ADD COLUMN quality TEXT')
  await knex.raw('ALTER TABLE kit_item ADD COLUMN had_again TEXT')
  await knex.raw(
    `CREATE TABLE report (${HEAD}, kit_id TEXT REFERENCES kit(id), part_id TEXT REFERENCES part(id), supplier_id TEXT REFERENCES supplier(id), outcome TEXT NOT NULL CHECK (outcome IN ('held', 'failed')), what TEXT NOT NULL, how_many INTEGER NOT NULL DEFAULT 1 CHECK (how_many > 0), grade TEXT NOT NULL DEFAULT 'heard' CHECK (grade IN ('assumed', 'heard', 'catalogue', 'maker', 'measured', 'fitted')), source TEXT, said_by TEXT, day TEXT, CHECK ((kit_id IS NOT NULL) + (part_id IS NOT NULL) + (supplier_id IS NOT NULL) = 1))`,
  )
  await knex.raw(
    `CREATE TABLE kit_choice (${HEAD}, build_id TEXT NOT NULL REFERENCES build(id), kit_id TEXT NOT NULL REFERENCES kit(id), recommended_id TEXT, because TEXT, reasons TEXT NOT NULL, said_by TEXT, day TEXT NOT NULL)`,
  )
  await knex.raw(
    `CREATE TABLE watch (${HEAD}, part_id TEXT NOT NULL REFERENCES part(id), build_id TEXT REFERENCES build(id), ${MINOR('most_minor')}, currency TEXT NOT NULL, note TEXT, day TEXT NOT NULL)`,
  )
  await knex.raw(
    `CREATE TABLE arrival (${HEAD}, build_id TEXT NOT NULL REFERENCES build(id), need_id TEXT NOT NULL, part_id TEXT NOT NULL REFERENCES part(id), specimen_id TEXT NOT NULL REFERENCES specimen(id), supplier_id TEXT REFERENCES supplier(id), batch TEXT, said_by TEXT, day TEXT NOT NULL, UNIQUE (build_id, need_id))`,
  )
  for (const [table, column] of [
    ['report', 'kit_id'],
    ['report', 'part_id'],
    ['report', 'supplier_id'],
    ['kit_choice', 'build_id'],
    ['kit_choice', 'kit_id'],
    ['watch', 'part_id'],
    ['watch', 'build_id'],
    ['arrival', 'part_id'],
    ['arrival', 'specimen_id'],
    ['arrival', 'supplier_id'],
  ] as const)
    await knex.raw(`CREATE INDEX ${table}_by_${column} ON ${table}(${column})`)
}

/** Forward only. */
export async function down(): Promise<void> {
  throw new Error('This migration cannot be undone: restore a backup instead.')
}
