import type { Knex } from 'knex'

/** What is answered of a build beside its row: brief, law and papers, worth uncut, cautions seen, measuring cards. One sheet a kind. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(
    `CREATE TABLE build_sheet (id TEXT PRIMARY KEY NOT NULL, version INTEGER NOT NULL DEFAULT 1, build_id TEXT NOT NULL REFERENCES build(id), kind TEXT NOT NULL, answers TEXT NOT NULL DEFAULT '{"v":1,"data":{}}', UNIQUE (build_id, kind))`,
  )
}

/** Forward only. */
export async function down(): Promise<void> {
  throw new Error('This migration cannot be undone: restore a backup instead.')
}
