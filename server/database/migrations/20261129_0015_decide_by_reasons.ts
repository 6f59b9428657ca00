import type { Knex } from 'knex'

/** Ids of lines as the list had them, by what they are now. */
const LINES: Readonly<Record<string, string>> = {
  'flywheel/coupling/main': 'flywheel/crank/main',
  'flexplate/coupling/main': 'flexplate/crank/main',
  'pilot/coupling/main': 'pilot/crank/main',
  'disc/coupling/main': 'new-disc/coupling/main',
  'cover/coupling/main': 'new-cover/coupling/main',
  'starter/coupling/main': 'starter/face/main',
  'separator/coupling/main': 'separator/face/main',
  'spacer/face/main': 'spacer/crank/main',
  'engine/engine/main': 'engine/engine top/main',
  'transmission/transmission/main': 'transmission/gearbox/main',
  'engine-mount/mounts/main': 'engine-mount/engine under/main',
  'gearbox-mount/mounts/main': 'gearbox-mount/gearbox/main',
  'propshaft/driveline/main': 'propshaft/shafts/main',
  'speedometer/driveline/main': 'speedometer-pinion-and-cable/gearbox/main',
  'exhaust/bay/main': 'front-pipe/engine under/main',
  'lower-hose/bay/main': 'lower-hose/radiator/main',
  'top-hose/bay/main': 'top-hose/radiator/main',
  'belt/bay/main': 'belt/front/main',
  'throttle-actuation/bay/main': 'throttle-cable/engine top/main',
  'throttle-bracket/bay/main': 'throttle-bracket/engine top/main',
  'alternator-plug/bay/main': 'alternator-plug/wiring/main',
  'heater-reducer/bay/main': 'heater-reducer/cab/main',
  'earth-strap/bay/main': 'earth-strap/wiring/main',
  'alignment-tool/coupling/main': 'alignment-tool/shop/main',
  'clutch-line-end/coupling/main': 'clutch-pipe-hose-and-ends/coupling/main',
  'engine-oil/fluids/main': 'engine-oil/engine under/main',
  'gearbox-oil/fluids/main': 'gearbox-oil/gearbox/main',
  'coolant/fluids/main': 'coolant/radiator/main',
  'papers/papers/main': 'ownership-and-engine-number/papers/main',
  'inspection/papers/main': 'engineer-at-the-end/papers/main',
  'gearbox-cooler/coupling/main': 'gearbox-cooler/radiator/main',
  'cooler-line/coupling/main': 'cooler-line/gearbox/main',
  'sump/bay/main': 'sump/engine under/main',
  'lever-linkage/driveline/main': 'lever-linkage/tunnel/main',
  'drive-shaft/driveline/main': 'drive-shaft/shafts/main',
  'front-propshaft/kept/main': 'front-propshaft/shafts/main',
  'take-off/kept/main': 'take-off/gearbox/main',
  'assist-hose/kept/main': 'assist-hose/front/main',
}

/** A decision keeps what it rested on, and follows its line to where the list has it now; more may be decided of a line. A build may have lines of its own, and a shop recipes. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(
    `CREATE TABLE decision_next (id TEXT NOT NULL PRIMARY KEY, version INTEGER NOT NULL DEFAULT 1, build_id TEXT NOT NULL REFERENCES build(id), need_id TEXT NOT NULL, act TEXT NOT NULL CHECK (act IN ('drop', 'price', 'estimate', 'keep', 'confirm', 'postpone', 'order', 'receive', 'fit', 'return', 'assign')), price_minor INTEGER CHECK (price_minor IS NULL OR typeof(price_minor) = 'integer'), source TEXT, note TEXT, rests TEXT, UNIQUE (build_id, need_id, act))`,
  )
  await knex.raw(
    `INSERT INTO decision_next (id, version, build_id, need_id, act, price_minor, source, note) SELECT id, version, build_id, need_id, act, price_minor, source, note FROM decision`,
  )
  await knex.raw('DROP TABLE decision')
  await knex.raw('ALTER TABLE decision_next RENAME TO decision')
  await knex.raw(
    `CREATE TABLE own_line (id TEXT NOT NULL PRIMARY KEY, version INTEGER NOT NULL DEFAULT 1, build_id TEXT NOT NULL REFERENCES build(id), words TEXT NOT NULL, place TEXT NOT NULL, sort TEXT NOT NULL, stage TEXT NOT NULL, why TEXT, quantity INTEGER NOT NULL DEFAULT 1, price_minor INTEGER CHECK (price_minor IS NULL OR typeof(price_minor) = 'integer'), hours REAL, state TEXT, person TEXT, note TEXT)`,
  )
  await knex.raw('CREATE INDEX own_line_build ON own_line(build_id)')
  await knex.raw(
    `CREATE TABLE recipe (id TEXT NOT NULL PRIMARY KEY, version INTEGER NOT NULL DEFAULT 1, name TEXT NOT NULL, body TEXT NOT NULL)`,
  )
  for (const [old, now] of Object.entries(LINES)) {
    const held = await knex('decision').where({ need_id: now }).select('build_id', 'act')
    for (const row of held)
      await knex('decision')
        .where({ ...row, need_id: old })
        .del()
    await knex('decision').where({ need_id: old }).update({ need_id: now })
  }
}

/** Forward only. */
export async function down(): Promise<void> {
  throw new Error('This migration cannot be undone: restore a backup instead.')
}
