import { beforeEach, expect, test } from 'vitest'
import { demoDocument } from '../../../demo/index.ts'
import { openDatabase } from '../../database/sqlite/connection.ts'
import { Store } from '../../database/store.ts'
import { importDocument } from './build-document.ts'
import { changeBuild } from './change-build.ts'

let store: Store
beforeEach(async () => {
  store = new Store(await openDatabase(':memory:'))
  await importDocument(store, demoDocument())
})

test('a currency without a rate is refused and nothing changes', async () => {
  const before = await store.get('build', 'lantern')
  await expect(
    changeBuild(store, 'lantern', { version: before.version, currency: 'KWD' }),
  ).rejects.toThrow('no rate to KWD')
  expect(await store.get('build', 'lantern')).toEqual(before)
})

test('another currency converts every amount at the rate; one typed anew is taken as it is', async () => {
  await store.insert('rate', {
    fromCurrency: 'EUR',
    toCurrency: 'JPY',
    rate: 160,
    day: '2026-11-01',
    source: null,
  })
  await store.insert('decision', {
    buildId: 'lantern',
    needId: 'exhaust/main/main',
    act: 'estimate',
    priceMinor: 38000,
    source: null,
    note: null,
  })
  await store.insert('buildSheet', {
    buildId: 'lantern',
    kind: 'brief',
    answers: {
      'most-money': { value: '2800.50', at: '2026-11-01T08:00:00.000Z', by: 'Ida' },
      reason: { value: 'The old engine failed', at: '2026-11-01T08:00:00.000Z', by: 'Ida' },
    },
  } as never)
  const before = await store.get('build', 'lantern')
  const after = await changeBuild(store, 'lantern', {
    version: before.version,
    currency: 'JPY',
    likeForLikeMinor: before.likeForLikeMinor,
    labourRateMinor: 7000,
  })
  // 160 yen a euro, no minor units: ISO 4217.
  expect(after).toMatchObject({
    currency: 'JPY',
    likeForLikeMinor: (before.likeForLikeMinor! / 100) * 160,
    labourRateMinor: 7000,
  })
  const [decision] = (await store.list('decision', { buildId: 'lantern' })).filter(
    ({ act }) => act === 'estimate',
  )
  expect(decision!.priceMinor).toBe(380 * 160)
  const sheets = await store.list('buildSheet', { buildId: 'lantern', kind: 'brief' })
  expect(sheets.at(-1)!.answers['most-money']!.value).toBe('448080')
  expect(await store.list('plan', { buildId: 'lantern' })).toEqual([])
})
