import { afterAll, beforeEach, expect, test } from 'vitest'
import { demoDatabase } from '../../database/demo.seed.ts'
import type { Database } from '../../database/sqlite/connection.ts'
import { Store } from '../../database/store.ts'
import { listHistory } from '../keeping/history.ts'
import { answerSheet, donorSheet, donorsOf } from './donors.ts'
import { planBuild } from './planning.ts'

let knex: Database
let store: Store
beforeEach(async () => {
  await knex?.destroy()
  knex = await demoDatabase()
  store = new Store(knex)
})
afterAll(() => knex.destroy())

type DonorView = Awaited<ReturnType<typeof donorsOf>>['donors'][number] & { name: string }
const named = async (name: string): Promise<DonorView> =>
  (await donorsOf(store, 'lantern')).donors.find((donor) =>
    String((donor as unknown as DonorView).name).startsWith(name),
  ) as DonorView
const termOf = (donor: DonorView, id: string): number =>
  donor.net!.terms.find((term) => term.id === id)!.minor
const at = (minute: number): string => new Date(Date.UTC(2026, 10, 1, 9, minute)).toISOString()

test('a whole donor: what the build needs is used, the rest sold where it pays, every term by hand', async () => {
  const donor = await named('Kessarn Pinnace saloon 1994')
  expect(donor.net!.uses).toEqual(
    expect.arrayContaining([
      'Kessarn Wick, 2nd',
      'Kessarn Wick, 2nd flywheel',
      'Kessarn Wick, 2nd pilot bearing',
    ]),
  )
  expect(donor.net!.sells).toEqual(['Kessarn 5-speed'])
  expect([
    termOf(donor, 'price'),
    termOf(donor, 'fetch'),
    termOf(donor, 'repair'),
    termOf(donor, 'storage'),
    termOf(donor, 'scrap'),
  ]).toEqual([52000, 9000, 3500, 2000, -12000])
  // 400.00 × 0.6 × (1 − 1/6), one hour of selling at 48.00
  expect([termOf(donor, 'sale'), termOf(donor, 'selling')]).toEqual([-20000, 4800])
  expect(donor.net!.netMinor).toBe(donor.net!.terms.reduce((sum, term) => sum + term.minor, 0))
})

test('a cheap bare engine ends dearer than it looks: what is missing is bought singly', async () => {
  const bare = await named('Bare Wick')
  expect(termOf(bare, 'missing')).toBe(46000)
  expect(bare.net!.netMinor).toBeGreaterThan(2 * termOf(bare, 'price'))
})

test('a donor the build needs nothing of says so', async () => {
  expect((await named('Dovrek')).net!.uses).toEqual([])
})

test('without an exchange rate there is no net cost, rather than a wrong one', async () => {
  const donor = await store.get('donor', 'donor-2')
  await store.update('donor', donor.id, donor.version, { currency: 'XPF' })
  expect((await named('Bare Wick')).net).toBeNull()
})

test('the sheet asks for what this pairing needs, and tells what the answers put at risk', async () => {
  const sheet = await donorSheet(store, 'lantern', 'donor-1')
  expect(sheet.pieces.map((piece) => piece.words)).toEqual(
    expect.arrayContaining(['Kessarn Wick, 2nd', 'Flywheel', 'Starter', 'Dowels, 4 off']),
  )
  expect(sheet.risks.map((risk) => risk.question)).toEqual(['gear-2', 'hit-rear'])
  const donor = await named('Kessarn Pinnace saloon 1994')
  expect(donor.risks.map((risk) => risk.words)).toEqual([
    'Second, up and down, without a crunch',
    'Hit behind',
  ])
  expect(donor.absent).toEqual(['Starter'])
})

test('answers join question by question: late, twice and from two tablets', async () => {
  const say = (question: string, value: string, minute: number, by = 'Ida') =>
    answerSheet(store, 'lantern', 'donor-3', {
      answers: { [question]: { value, at: at(minute), by } },
    })
  await say('gear-1', 'yes', 5)
  await say('hit-front', 'yes', 6, 'Bram')
  await say('gear-1', 'no', 3)
  const { answers } = await say('hit-front', 'yes', 6, 'Bram')
  expect(answers).toEqual({
    'gear-1': { value: 'yes', at: at(5), by: 'Ida' },
    'hit-front': { value: 'yes', at: at(6), by: 'Bram' },
  })
  expect((await store.list('donorSheet', { donorId: 'donor-3' })).length).toBe(1)
})

test('sending the same again writes nothing; a change keeps who said what before', async () => {
  const answers = { 'gear-1': { value: 'yes', at: at(1), by: 'Ida' } }
  await answerSheet(store, 'lantern', 'donor-4', { answers })
  const before = await store.revision()
  await answerSheet(store, 'lantern', 'donor-4', { answers })
  expect(await store.revision()).toBe(before)
  await answerSheet(store, 'lantern', 'donor-4', {
    answers: { 'gear-1': { value: 'no', at: at(2), by: 'Bram' } },
  })
  const { items } = await listHistory(store, { entity: 'donor', id: 'donor-4' })
  expect(items[0]!.before).toMatchObject({ answers: { 'gear-1': { value: 'yes', by: 'Ida' } } })
})

test('a question that is not on the sheet is refused whole', async () => {
  const bad = answerSheet(store, 'lantern', 'donor-1', {
    answers: {
      'gear-1': { value: 'no', at: at(50), by: null },
      colour: { value: 'red', at: at(50), by: null },
    },
  })
  await expect(bad).rejects.toThrow('"colour" is not a question')
  expect((await donorSheet(store, 'lantern', 'donor-1')).answers['gear-1']).toBeUndefined()
})

test('repair and storage of a donor count in the plan as they do in its net cost', async () => {
  const priceOf = async (): Promise<number> =>
    (await planBuild(store, 'lantern')).gathered.problem.bundles.find(
      (bundle) => bundle.id === 'donor:donor-1',
    )!.priceMinor
  const before = await priceOf()
  const donor = await store.get('donor', 'donor-1')
  await store.transaction((tx) =>
    tx.update('donor', donor.id, donor.version, {
      repairMinor: Number(donor.repairMinor) + 1000,
      storageMinor: Number(donor.storageMinor) + 500,
    }),
  )
  expect(await priceOf()).toBe(before + 1500)
})
