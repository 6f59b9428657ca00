import type { Knex } from 'knex'

const STANDING = `TEXT CHECK (standing IN ('announced', 'trial', 'shipping', 'ended'))`

/**
 * Whether what is offered is sold yet or still, the day it was last heard of, what was asked for it before; where a
 * supplier's prices are fetched, and how that went.
 */
export async function up(knex: Knex): Promise<void> {
  for (const table of ['offer', 'kit'])
    await knex.raw(`ALTER TABLE ${table} ADD COLUMN standing ${STANDING}`)
  await knex.raw('ALTER TABLE offer ADD COLUMN seen_on TEXT')
  await knex.raw(
    `UPDATE offer SET seen_on = (SELECT substr(max(at), 1, 10) FROM history WHERE entity = 'offer' AND entity_id = offer.id)`,
  )
  for (const column of ['feed TEXT', 'feed_read_on TEXT', 'return_days INTEGER'])
    await knex.raw(`ALTER TABLE supplier ADD COLUMN ${column}`)
  await knex.raw(
    `CREATE TABLE past_price (id TEXT NOT NULL PRIMARY KEY, version INTEGER NOT NULL DEFAULT 1, offer_id TEXT NOT NULL REFERENCES offer(id), day TEXT NOT NULL, price_minor INTEGER NOT NULL CHECK (typeof(price_minor) = 'integer'), currency TEXT NOT NULL)`,
  )
  await knex.raw('CREATE INDEX past_price_by_offer_id ON past_price(offer_id)')
  // How each reading of a feed went: it can be read again, so it has no history.
  await knex.raw(
    'CREATE TABLE feed_reading (id INTEGER PRIMARY KEY, supplier_id TEXT NOT NULL, at TEXT NOT NULL, outcome TEXT NOT NULL)',
  )
  await knex.raw('CREATE INDEX feed_reading_by_supplier ON feed_reading(supplier_id, id)')
}

/** Forward only. */
export async function down(): Promise<void> {
  throw new Error('This migration cannot be undone: restore a backup instead.')
}
