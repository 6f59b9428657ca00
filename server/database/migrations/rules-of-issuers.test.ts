import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, test } from 'vitest'
import { MIGRATIONS, openDatabase } from '../sqlite/connection.ts'
import { Store } from '../store.ts'

test('numbers in other alphabets are read anew, those of others stay, and what would meet another stays as it was', async () => {
  const file = join(mkdtempSync(join(tmpdir(), 'junket-')), 'junket.sqlite')
  const at = MIGRATIONS.findIndex(({ name }) => name.includes('rules_of_issuers'))
  const old = await openDatabase(file, MIGRATIONS.slice(0, at))
  await old('part').insert({ id: 'p', kind: 'disc', name: 'Disc' })
  await old('issuer').insert({ id: 'i', name: 'MLD', upper: 1, noise: ' .-' })
  const before = [
    ['a', '417–18', '417–18'],
    ['b', '417.20', '41720'],
    ['c', '４１７-20', '４１７20'],
  ] as const
  for (const [id, number, normalised] of before)
    await old('partNumber').insert({ id, partId: 'p', issuerId: 'i', number, normalised })
  await old.destroy()
  const knex = await openDatabase(file)
  const rows = await new Store(knex).list('partNumber')
  expect(Object.fromEntries(rows.map(({ id, normalised }) => [id, normalised]))).toEqual({
    a: '41718',
    b: '41720',
    c: '４１７20',
  })
  await knex.destroy()
})
