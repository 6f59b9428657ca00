import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, test } from 'vitest'
import { checkNumbers } from '../../services/numbers/numbers.ts'
import { pack } from '../row.ts'
import { MIGRATIONS, openDatabase } from '../sqlite/connection.ts'
import { Store } from '../store.ts'

test('supersessions keep what they said, in the trash as well; numbers are as believed as before; decisions stay', async () => {
  const file = join(mkdtempSync(join(tmpdir(), 'junket-')), 'junket.sqlite')
  const at = MIGRATIONS.findIndex(({ name }) => name.includes('claims_on_numbers'))
  const old = await openDatabase(file, MIGRATIONS.slice(0, at))
  await old('part').insert({ id: 'p', kind: 'disc', name: 'Disc' })
  await old('issuer').insert({ id: 'i', name: 'MLD', upper: 1, noise: ' .-' })
  await old('partNumber').insert({
    id: 'n',
    partId: 'p',
    issuerId: 'i',
    number: '417.18',
    normalised: '41718',
  })
  const one = { partId: 'p', issuerId: 'i', oldNumber: '417.18', newNumber: '417.20' }
  await old('supersession').insert({ id: 's', ...one, oneWay: 1 })
  await old('supersession').insert({ id: 't', ...one, newNumber: '417.22', oneWay: 0 })
  await old('trash').insert({
    id: 'gone',
    entity: 'supersession',
    entityId: 'u',
    at: '2026-01-01T00:00:00Z',
    rows: pack([['supersession', { id: 'u', version: 3, ...one, oneWay: false }]]),
  })
  await old('build').insert({ id: 'b', name: 'B', currency: 'EUR', labourRateMinor: 0 })
  await old('decision').insert({ id: 'd', buildId: 'b', needId: 'disc/coupling/main', act: 'drop' })
  await old.destroy()

  const knex = await openDatabase(file)
  const store = new Store(knex)
  expect(await store.list('partNumber')).toMatchObject([
    { id: 'n', mark: 'catalogue', grade: 'catalogue', again: false },
  ])
  expect(await store.list('supersession')).toMatchObject([
    { id: 's', back: 'no', source: 'Typed at Disc' },
    { id: 't', back: 'yes' },
  ])
  expect(await store.list('decision')).toMatchObject([{ id: 'd', act: 'drop' }])
  const says = async (want: string, have: string) =>
    (
      await checkNumbers(store, {
        want: [{ issuer: 'MLD', number: want, grade: 'catalogue', quantity: 1 }],
        have: [{ issuer: 'MLD', number: have, grade: 'catalogue' }],
      })
    ).verdict
  expect([
    await says('417.18', '41720'),
    await says('417.20', '41718'),
    await says('417.22', '417-18'),
  ]).toEqual(['superseded by', 'not listed', 'superseded by'])
  await store.restore('gone')
  expect(await store.list('supersessionNumber', { supersessionId: 'u' })).toMatchObject([
    { side: 'new', number: '417.20', normalised: '41720' },
    { side: 'old', number: '417.18' },
  ])
  await knex.destroy()
})
