import type { Knex } from 'knex'
import { DEFAULT_RULE, readNumber } from '../../../core/identity/number-rule.ts'

/** What is not plain text: only such numbers are read otherwise than before. */
const NOT_PLAIN = '*[^ -~]*'

/** How an issuer writes its numbers, whole; numbers with letters or dashes of other alphabets are read anew, unless two would be one. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('issuer', (table) => {
    table.text('rule')
  })
  const issuers: { id: string; upper: number; noise: string }[] = await knex('issuer').select(
    'id',
    'upper',
    'noise',
  )
  for (const table of ['partNumber', 'offer'])
    for (const { id, upper, noise } of issuers) {
      const rule = { ...DEFAULT_RULE, upper: Boolean(upper), noise }
      const rows: { id: string; number: string }[] = await knex(table)
        .where({ issuerId: id })
        .whereRaw('number GLOB ?', [NOT_PLAIN])
        .select('id', 'number')
      for (const row of rows) {
        const normalised = readNumber(row.number, rule).key
        // What would meet another stays as it was: it is told when the rule is saved.
        await knex.raw(
          `UPDATE OR IGNORE ${table === 'offer' ? 'offer' : 'part_number'} SET normalised = ? WHERE id = ?`,
          [normalised, row.id],
        )
      }
    }
}

/** Forward only. */
export async function down(): Promise<void> {
  throw new Error('This migration cannot be undone: restore a backup instead.')
}
