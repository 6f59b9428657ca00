import { afterAll, beforeEach, expect, test } from 'vitest'
import { startInput } from '../../../contract/rows.ts'
import { demoDatabase } from '../../database/demo.seed.ts'
import { type Database, MIGRATIONS, openDatabase } from '../../database/sqlite/connection.ts'
import { Store } from '../../database/store.ts'
import { exportBuild, importDocument } from '../builds/build-document.ts'
import { choosePairing } from '../choosing/pairing-choice.ts'
import { startBuild } from '../choosing/start.ts'
import { answerMating, matingCard } from './mating.ts'

let knex: Database
let store: Store
beforeEach(async () => {
  await knex?.destroy()
  knex = await demoDatabase()
  store = new Store(knex)
})
afterAll(() => knex.destroy())

const say = (question: string, value: string, minute = 0) =>
  answerMating(store, 'lantern', {
    answers: {
      [question]: {
        value,
        at: new Date(Date.UTC(2026, 10, 1, 9, minute)).toISOString(),
        by: 'Ida',
      },
    },
  })

test('a card is of the chosen pairing: another pairing has its own, and the first is there again when it is taken back', async () => {
  await say('float-before', '0.15')
  expect((await matingCard(store, 'lantern')).answers).toHaveProperty('float-before')
  await choosePairing(store, 'lantern', { engineId: 'wick-1', transmissionId: 'marlund-4' })
  expect((await matingCard(store, 'lantern')).answers).toEqual({})
  await choosePairing(store, 'lantern', { engineId: 'wick-2', transmissionId: 'marlund-4' })
  expect((await matingCard(store, 'lantern')).answers).toHaveProperty('float-before')
})

test('an automatic is asked for its pull-up, a manual is not; the tolerances of the shop judge', async () => {
  const steps = async (): Promise<string[]> =>
    (await matingCard(store, 'lantern')).steps.map((step) => step.id)
  expect(await steps()).not.toContain('converter')
  await choosePairing(store, 'lantern', { engineId: 'anvil', transmissionId: 'dovrek-4a' })
  expect(await steps()).toContain('converter')
  for (const [i, pull] of ['2.5', '2.5', '3.3'].entries()) await say(`pull-${i + 1}`, pull)
  expect(
    (await matingCard(store, 'lantern')).judgement!.findings.map((finding) => finding.code),
  ).toContain('stop')
  await store.transaction((tx) =>
    tx.insert('setting', { id: 'tolerances', value: { padSpreadMm: 1 } }),
  )
  expect(
    (await matingCard(store, 'lantern')).judgement!.findings.map((finding) => finding.code),
  ).toEqual(['good'])
})

test('sending again writes nothing; a question that is not on the card is refused whole', async () => {
  await say('turns', 'yes', 1)
  const before = await store.revision()
  await say('turns', 'yes', 1)
  await say('turns', 'no', 0)
  expect(await store.revision()).toBe(before)
  await expect(say('colour', 'red')).rejects.toThrow('"colour" is not a question')
})

test('without a pairing there is no card, and that is said', async () => {
  const build = await startBuild(store, startInput.parse({ name: 'Bare', currency: 'EUR' }))
  expect(await matingCard(store, build.id)).toMatchObject({ pairing: null, steps: [] })
  await expect(
    answerMating(store, build.id, {
      answers: { turns: { value: 'yes', at: '2026-01-01T00:00:00Z', by: null } },
    }),
  ).rejects.toThrow('Choose a pairing first')
})

test('the card goes out with the build and comes in again', async () => {
  await say('float-before', '0.15')
  const document = await exportBuild(store, 'lantern')
  expect(document.tables.matingCard).toHaveLength(1)
  const other = await openDatabase(':memory:')
  await importDocument(new Store(other), JSON.parse(JSON.stringify(document)))
  expect((await matingCard(new Store(other), 'lantern')).answers).toHaveProperty('float-before')
  await other.destroy()
})

test.each(MIGRATIONS.map((_, index) => index).slice(1))(
  'a database of %i migrations is brought up to date',
  async (count) => {
    const { mkdtempSync } = await import('node:fs')
    const { tmpdir } = await import('node:os')
    const file = `${mkdtempSync(`${tmpdir()}/junket-`)}/junket.sqlite`
    const old = await openDatabase(file, MIGRATIONS.slice(0, count))
    await old('supplier').insert({ id: 's', name: 'Old quay', currency: 'EUR' })
    await old.destroy()
    const now = await openDatabase(file)
    expect((await new Store(now).get('supplier', 's')).name).toBe('Old quay')
    expect(await new Store(now).list('matingCard')).toEqual([])
    await now.destroy()
  },
)
