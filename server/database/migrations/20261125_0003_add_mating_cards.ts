import type { Knex } from 'knex'

/** What was measured and done when engine and gearbox of a build were mated: one card a pair. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(
    `CREATE TABLE mating_card (id TEXT PRIMARY KEY NOT NULL, version INTEGER NOT NULL DEFAULT 1, build_id TEXT NOT NULL REFERENCES build(id), engine_id TEXT NOT NULL REFERENCES part(id), transmission_id TEXT NOT NULL REFERENCES part(id), answers TEXT NOT NULL DEFAULT '{"v":1,"data":{}}', UNIQUE (build_id, engine_id, transmission_id))`,
  )
}

/** Forward only. */
export async function down(): Promise<void> {
  throw new Error('This migration cannot be undone: restore a backup instead.')
}
