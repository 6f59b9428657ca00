import { readNumber } from '../../core/identity/number-rule.ts'
import { kindWords } from '../../core/ports/part-kinds.ts'
import type { Store } from '../database/store.ts'

export interface Found {
  readonly kind: 'build' | 'part' | 'number' | 'donor' | 'kit' | 'supplier'
  readonly id: string
  readonly words: string
  readonly detail: string
}

const EACH = 8

/** Builds, parts, part numbers in any spelling, donors, kits and suppliers that hold the words. */
export async function find(store: Store, words: string): Promise<Found[]> {
  const plain = words.trim().replace(/[%_]/g, '')
  if (plain === '') return []
  const named = async (table: 'build' | 'part' | 'donor' | 'kit' | 'supplier') =>
    (await store.knex(table).where('name', 'like', `%${plain}%`).orderBy('name').limit(EACH)) as {
      id: string
      name: string
      kind?: string
      place?: string | null
      currency?: string
    }[]
  const number = readNumber(plain).key
  const numbers =
    number === ''
      ? []
      : ((await store
          .knex('partNumber')
          .join('part', 'part.id', 'part_number.part_id')
          .join('issuer', 'issuer.id', 'part_number.issuer_id')
          .where('part_number.normalised', 'like', `%${number}%`)
          .orderBy('part_number.normalised')
          .limit(EACH)
          .select({
            id: 'part.id',
            name: 'part.name',
            number: 'part_number.number',
            issuer: 'issuer.name',
          })) as { id: string; name: string; number: string; issuer: string }[])
  const [builds, parts, donors, kits, suppliers] = await Promise.all([
    named('build'),
    named('part'),
    named('donor'),
    named('kit'),
    named('supplier'),
  ])
  return [
    ...builds.map(
      (row): Found => ({ kind: 'build', id: row.id, words: row.name, detail: 'Build' }),
    ),
    ...numbers.map(
      (row): Found => ({
        kind: 'number',
        id: row.id,
        words: `${row.issuer} ${row.number}`,
        detail: row.name,
      }),
    ),
    ...parts.map(
      (row): Found => ({
        kind: 'part',
        id: row.id,
        words: row.name,
        detail: kindWords(row.kind ?? ''),
      }),
    ),
    ...donors.map(
      (row): Found => ({
        kind: 'donor',
        id: row.id,
        words: row.name,
        detail: ['Donor', row.place].filter(Boolean).join(', '),
      }),
    ),
    ...kits.map((row): Found => ({ kind: 'kit', id: row.id, words: row.name, detail: 'Kit' })),
    ...suppliers.map(
      (row): Found => ({ kind: 'supplier', id: row.id, words: row.name, detail: 'Supplier' }),
    ),
  ]
}
