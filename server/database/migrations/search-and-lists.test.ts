import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, test } from 'vitest'
import { find } from '../../services/catalogue/find.ts'
import { MIGRATIONS, openDatabase } from '../sqlite/connection.ts'
import { Store } from '../store.ts'

test('what an older file holds is found by words and numbers, and its suppliers keep how their lists are read from then on', async () => {
  const file = join(mkdtempSync(join(tmpdir(), 'junket-')), 'junket.sqlite')
  const at = MIGRATIONS.findIndex(({ name }) => name.includes('_search'))
  const old = await openDatabase(file, MIGRATIONS.slice(0, at))
  await old('issuer').insert({ id: 'i', name: 'MLD', upper: 1, noise: ' .-' })
  await old('part').insert({ id: 'p', kind: 'disc', name: 'Clutch disc, fine splines' })
  await old('partNumber').insert({
    id: 'n',
    partId: 'p',
    issuerId: 'i',
    number: '417.18',
    normalised: '41718',
  })
  await old('supplier').insert({
    id: 's',
    name: 'Harbour Parts',
    currency: 'EUR',
    minimumMinor: 0,
    shippingMinor: 0,
  })
  await old.destroy()

  const knex = await openDatabase(file)
  const store = new Store(knex)
  const found = async (typed: string) => (await find(store, typed)).items.map(({ id }) => id)
  expect(await found('splines')).toEqual(['p'])
  expect(await found('mld 417-18')).toEqual(['p'])
  expect(await found('harbour')).toEqual(['s'])
  // Read whole once, then only what is written.
  const later = await store.insert('part', { kind: 'disc', name: 'Clutch disc, coarse' })
  expect(await found('coarse')).toEqual([later.id])
  const supplier = await store.get('supplier', 's')
  expect(supplier.offerList).toBeNull()
  const offerList = { columns: { number: 'Article' }, instead: { issuer: 'MLD' }, decimal: 'comma' }
  expect(await store.update('supplier', 's', supplier.version, { offerList })).toMatchObject({
    offerList,
  })
  await expect(
    store.update('supplier', 's', supplier.version + 1, {
      offerList: { ...offerList, columns: { colour: 'Farbe' } },
    }),
  ).rejects.toThrow()
  await knex.destroy()
})
