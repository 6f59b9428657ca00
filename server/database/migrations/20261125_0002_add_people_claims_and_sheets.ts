import type { Knex } from 'knex'

/** People at the bench, commands in the history, claims on whole joints, donor sheets, and the rest of a donor's net cost. */
export async function up(knex: Knex): Promise<void> {
  for (const statement of STATEMENTS) await knex.raw(statement)
  const [unit] = (await knex('setting').where({ id: 'lengthUnit' })) as { value: string }[]
  if (unit && (JSON.parse(unit.value) as { data: unknown }).data === 'in')
    await knex('setting').insert({ id: 'units', value: '{"v":1,"data":{"mm":"in"}}' })
  await knex('setting').where({ id: 'lengthUnit' }).delete()
}

/** Forward only. */
export async function down(): Promise<void> {
  throw new Error('This migration cannot be undone: restore a backup instead.')
}

const HEAD = `id TEXT PRIMARY KEY NOT NULL, version INTEGER NOT NULL DEFAULT 1`
const GRADES = `'assumed', 'heard', 'catalogue', 'maker', 'measured', 'fitted'`

const STATEMENTS = [
  `CREATE TABLE person (${HEAD}, name TEXT NOT NULL UNIQUE CHECK (length(name) > 0), decimal TEXT NOT NULL DEFAULT 'ask' CHECK (decimal IN ('ask', 'point', 'comma')))`,
  `ALTER TABLE history ADD COLUMN command TEXT`,
  `CREATE INDEX history_command ON history(command)`,
  `CREATE TABLE joint_claim (${HEAD}, build_id TEXT REFERENCES build(id), subject TEXT NOT NULL CHECK (subject IN ('joint', 'kit', 'build', 'stopper')), joint TEXT, question TEXT, engine_id TEXT REFERENCES part(id), transmission_id TEXT REFERENCES part(id), engine_family TEXT, transmission_family TEXT, kit_id TEXT REFERENCES kit(id), says TEXT NOT NULL CHECK (says IN ('yes', 'no', 'unknown')), grade TEXT NOT NULL CHECK (grade IN (${GRADES})), sentence TEXT, source TEXT, said_by TEXT, day TEXT, distance_km REAL, changes TEXT, known INTEGER)`,
  `CREATE INDEX joint_claim_build ON joint_claim(build_id)`,
  `CREATE TABLE donor_sheet (${HEAD}, build_id TEXT NOT NULL REFERENCES build(id), donor_id TEXT NOT NULL REFERENCES donor(id), answers TEXT NOT NULL DEFAULT '{"v":1,"data":{}}', UNIQUE (build_id, donor_id))`,
  `ALTER TABLE part ADD COLUMN template TEXT`,
  // A decision may also confirm a line: its check is made anew, and with it the table.
  `CREATE TABLE decision_next (${HEAD}, build_id TEXT NOT NULL REFERENCES build(id), need_id TEXT NOT NULL, act TEXT NOT NULL CHECK (act IN ('drop', 'price', 'estimate', 'keep', 'confirm')), price_minor INTEGER CHECK (price_minor IS NULL OR typeof(price_minor) = 'integer'), source TEXT, note TEXT, UNIQUE (build_id, need_id, act))`,
  `INSERT INTO decision_next (id, version, build_id, need_id, act, price_minor, source, note) SELECT id, version, build_id, need_id, act, price_minor, source, note FROM decision`,
  `DROP TABLE decision`,
  `ALTER TABLE decision_next RENAME TO decision`,
  ...['repair_minor', 'missing_minor', 'storage_minor'].map(
    (column) =>
      `ALTER TABLE donor ADD COLUMN ${column} INTEGER NOT NULL DEFAULT 0 CHECK (typeof(${column}) = 'integer')`,
  ),
]
