import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, test } from 'vitest'
import { changeOffer, pricesOf } from '../../services/importing/offers.ts'
import { MIGRATIONS, openDatabase } from '../sqlite/connection.ts'
import { Store } from '../store.ts'

test('offers of an older file were last heard of when they were last written; what they ask is kept from then on', async () => {
  const file = join(mkdtempSync(join(tmpdir(), 'junket-')), 'junket.sqlite')
  const at = MIGRATIONS.findIndex(({ name }) => name.includes('_standing_and_feeds'))
  const old = await openDatabase(file, MIGRATIONS.slice(0, at))
  await old('part').insert({ id: 'p', kind: 'disc', name: 'Clutch disc' })
  await old('supplier').insert({
    id: 's',
    name: 'Harbour Parts',
    currency: 'EUR',
    minimumMinor: 0,
    shippingMinor: 0,
  })
  const row = {
    partId: 'p',
    supplierId: 's',
    priceMinor: 4200,
    currency: 'EUR',
    taxIncluded: 1,
    pack: 1,
  }
  await old('offer').insert({ id: 'o', ...row, condition: 'new' })
  await old('offer').insert({ id: 'unwritten', ...row, condition: 'used' })
  for (const at of ['2026-02-01T09:00:00.000Z', '2026-03-14T22:00:00.000Z'])
    await old('history').insert({ at, who: 'Ida', entity: 'offer', entityId: 'o', act: 'update' })
  await old.destroy()

  const knex = await openDatabase(file)
  const store = new Store(knex)
  expect(await store.get('offer', 'o')).toMatchObject({ seenOn: '2026-03-14', standing: null })
  expect(await store.get('offer', 'unwritten')).toMatchObject({ seenOn: null })
  expect(await store.get('supplier', 's')).toMatchObject({ feed: null, returnDays: null })
  await changeOffer(store, 'o', { version: 1, priceMinor: 4500, standing: 'trial' })
  expect((await pricesOf(store, 'o')).map(({ day, priceMinor }) => [day, priceMinor])).toEqual([
    ['2026-03-14', 4200],
    [expect.any(String), 4500],
  ])
  // What it asked before goes to the trash with it, and comes back with it.
  const trash = await store.transaction((tx) => tx.remove('offer', 'o'))
  expect(await store.read('pastPrice', {})).toEqual([])
  await store.transaction((tx) => tx.restore(trash))
  expect(await pricesOf(store, 'o')).toHaveLength(2)
  await expect(
    store.transaction((tx) => tx.update('offer', 'unwritten', 1, { standing: 'soon' })),
  ).rejects.toThrow()
  await knex.destroy()
})

test('kits of an older file gain how good they are, and nothing is said of them yet', async () => {
  const file = join(mkdtempSync(join(tmpdir(), 'junket-')), 'junket.sqlite')
  const at = MIGRATIONS.findIndex(({ name }) => name.includes('_kits_watched'))
  const old = await openDatabase(file, MIGRATIONS.slice(0, at))
  await old('part').insert({ id: 'p', kind: 'plate', name: 'Plate' })
  await old('kit').insert({
    id: 'k',
    name: 'Kit',
    priceMinor: 9000,
    currency: 'EUR',
    taxIncluded: 1,
  })
  await old('kitItem').insert({ id: 'i', kitId: 'k', partId: 'p', quantity: 1 })
  await old.destroy()
  const knex = await openDatabase(file)
  const store = new Store(knex)
  expect(await store.get('kit', 'k')).toMatchObject({ quality: null })
  expect(await store.get('kitItem', 'i')).toMatchObject({ hadAgain: null })
  const kit = await store.transaction((tx) =>
    tx.update('kit', 'k', 1, { quality: { holeProcess: 'reamed', hardwareClass: '10.9' } }),
  )
  expect(kit.quality).toEqual({ holeProcess: 'reamed', hardwareClass: '10.9' })
  await expect(
    store.transaction((tx) => tx.update('kit', 'k', 2, { quality: { hardwareClass: 'strong' } })),
  ).rejects.toThrow()
  const said = { outcome: 'failed', what: 'Bent', howMany: 1, grade: 'heard' } as const
  await store.transaction((tx) => tx.insert('report', { ...said, kitId: 'k' }))
  await expect(
    store.transaction((tx) => tx.insert('report', { ...said, kitId: 'k', partId: 'p' })),
  ).rejects.toThrow()
  // With the kit goes what is said of it, and comes back with it.
  const trash = await store.transaction((tx) => tx.remove('kit', 'k'))
  expect(await store.list('report')).toEqual([])
  await store.transaction((tx) => tx.restore(trash))
  expect(await store.list('report')).toHaveLength(1)
  await knex.destroy()
})
