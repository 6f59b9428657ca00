import type { Knex } from 'knex'

/** Lines that stood beside another of their kind, by the id they had: they are one line now. */
const MOVED: Readonly<Record<string, string>> = {
  'fan/coupling/main': 'fan/bay/main',
  'water-pump/coupling/main': 'water-pump/bay/main',
  'alternator-pulley/coupling/main': 'alternator-pulley/bay/main',
  'propshaft/coupling/main': 'propshaft/driveline/main',
  'drive-shaft/coupling/main': 'drive-shaft/driveline/main',
  'coupling-shaft/coupling/main': 'coupling-shaft/driveline/main',
  'case-adapter/coupling/main': 'case-adapter/driveline/main',
  'axle-gears/coupling/main': 'axle-gears/driveline/main',
  'speed-converter/coupling/main': 'speed-converter/driveline/main',
  'lever-linkage/coupling/main': 'lever-linkage/driveline/main',
  'take-off/coupling/main': 'take-off/kept/main',
}

/** Decisions on such lines go with them. */
export async function up(knex: Knex): Promise<void> {
  for (const [old, now] of Object.entries(MOVED))
    await knex('decision').where({ need_id: old }).update({ need_id: now })
}

/** Forward only. */
export async function down(): Promise<void> {
  throw new Error('This migration cannot be undone: restore a backup instead.')
}
