import type { Knex } from 'knex'

/** Rates of exchange and shares, with what stands where nothing is said. */
const RATES = [
  ['rate', 'rate', 'NOT NULL DEFAULT 1 CHECK (rate > 0)'],
  ['build', 'tax_rate', 'NOT NULL DEFAULT 0'],
  ['build', 'contingency', 'NOT NULL DEFAULT 0.2'],
  ['donor', 'sale_fee', 'NOT NULL DEFAULT 0.1666666667'],
  ['donor_item', 'chance', 'NOT NULL DEFAULT 0 CHECK (chance BETWEEN 0 AND 1)'],
] as const

/** Rates and shares become decimals, as money is whole numbers: on an engine that has decimals none rounds as a float. */
export async function up(knex: Knex): Promise<void> {
  for (const [table, column, rule] of RATES) {
    const old = `${column}_before`
    await knex.raw(`ALTER TABLE ${table} RENAME COLUMN ${column} TO ${old}`)
    await knex.raw(`ALTER TABLE ${table} ADD COLUMN ${column} DECIMAL(18, 10) ${rule}`)
    await knex.raw(`UPDATE ${table} SET ${column} = ${old}`)
    await knex.raw(`ALTER TABLE ${table} DROP COLUMN ${old}`)
  }
}

/** Forward only. */
export async function down(): Promise<void> {
  throw new Error('This migration cannot be undone: restore a backup instead.')
}
