import { afterEach, beforeEach, expect, test } from 'vitest'
import { demoDatabase } from '../../database/demo.seed.ts'
import type { Database } from '../../database/sqlite/connection.ts'
import { Store } from '../../database/store.ts'
import { answerBuildSheet, sheetAnswers } from '../builds/build-sheets.ts'
import { partDetail } from '../catalogue/parts.ts'
import { answerRecipient, recipientView } from '../planning/recipient.ts'
import { findShafts } from '../trains/shafts.ts'
import { briefView } from './brief.ts'

let db: Database
let store: Store
beforeEach(async () => {
  db = await demoDatabase()
  store = new Store(db)
})
afterEach(() => db.destroy())

const said = (value: string, at = '2026-11-02T09:00:00Z', method?: string) => ({
  value,
  at,
  by: 'Ida',
  ...(method ? { method } : {}),
})

test('a limit set is checked against the build at once; the torque wanted in the end is judged beside that of today', async () => {
  await answerBuildSheet(store, 'lantern', 'brief', {
    answers: { 'target-nm': said('300 N·m'), 'bolt-in': said('yes'), 'most-money': said('900') },
  })
  const { findings } = await briefView(store, 'lantern')
  const holds = Object.fromEntries(findings.map((one) => [one.id, one.holds]))
  expect(holds).toMatchObject({ today: true, target: false })
  expect(findings.find((one) => one.id === 'bolt-in')).toBeDefined()
})

test('each thing kept says what it adds as the build stands, and what that costs', async () => {
  const { keeps } = await briefView(store, 'lantern')
  const air = keeps.find((one) => one.kind === 'air-conditioning')!
  expect(air).toMatchObject({ isKept: false })
  expect(air.adds).toEqual(
    expect.arrayContaining(['Compressor bracket', 'Refrigerant hoses and ends']),
  )
  expect(air.price!.high).toBeGreaterThan(air.price!.low)
  // Its own gearbox drives it as before.
  expect(keeps.find((one) => one.kind === 'speedometer')!.adds).toEqual([])
})

test('a sheet takes only its own questions; of two answers the later stays', async () => {
  await expect(
    answerBuildSheet(store, 'lantern', 'law', { answers: { 'bolt-in': said('yes') } }),
  ).rejects.toThrow(/not a question/)
  await expect(answerBuildSheet(store, 'lantern', 'weather', { answers: {} })).rejects.toThrow(
    /no sheet/,
  )
  await answerBuildSheet(store, 'lantern', 'law', {
    answers: { 'noise:who': said('Office, by telephone', '2026-11-02T10:00:00Z') },
  })
  await answerBuildSheet(store, 'lantern', 'law', {
    answers: { 'noise:who': said('Earlier word') },
  })
  expect((await sheetAnswers(store, 'lantern', 'law'))['noise:who']!.value).toBe(
    'Office, by telephone',
  )
})

test('a measurement off a phone becomes a claim once, with its method; sent again it changes nothing', async () => {
  const answers = {
    'pinion/main.alongMm@2026-11-02T09:00:00Z': said(
      '2162 mm',
      '2026-11-02T09:00:00Z',
      'tape-shaft',
    ),
  }
  await answerRecipient(store, 'lantern', { answers })
  await answerRecipient(store, 'lantern', { answers })
  const field = (await partDetail(store, 'packet')).ports
    .find((port) => port.kind === 'pinion')!
    .fields.find((one) => one.name === 'alongMm')!
  const claims = (field.claims as unknown as Record<string, unknown>[]).filter(
    (claim) => claim.value === 2162,
  )
  expect(claims).toMatchObject([{ method: 'tape-shaft', grade: 'measured' }])
  expect((await recipientView(store, 'lantern')).known).toHaveProperty(['pinion/main.alongMm'])
})

test('a measurement that cannot be read is refused whole', async () => {
  const at = '2026-11-02T09:00:00Z'
  await expect(
    answerRecipient(store, 'lantern', {
      answers: {
        [`bay/main.widthMm@${at}`]: said('640 mm'),
        [`bay/main.heightMm@${at}`]: said('tall'),
      },
    }),
  ).rejects.toThrow()
  expect((await recipientView(store, 'lantern')).answers).toEqual({})
  await expect(
    answerRecipient(store, 'lantern', { answers: { [`bay/main.colour@${at}`]: said('640 mm') } }),
  ).rejects.toThrow(/not a dimension/)
})

test('room in the tunnel is what its roof leaves over the gearbox chosen', async () => {
  const { rooms } = await recipientView(store, 'lantern')
  expect(rooms.find((room) => room.id === 'tunnel-bell')).toMatchObject({ spareMm: 22 })
})

test('halves off the shelf are searched for the propshaft, and one made to order stands beside them', async () => {
  await store.insert('decision', {
    buildId: 'lantern',
    needId: 'propshaft/shafts/main',
    act: 'estimate',
    priceMinor: 38000,
    source: 'Last two builds',
  })
  const { shafts } = await findShafts(store, 'lantern', 'wick-2', 'marlund-4')
  const [propshaft] = shafts
  expect(propshaft!.wanted!.lengthMm).toBeCloseTo(1198.8, 0)
  const options = propshaft!.search!.options
  expect(options.map((one) => one.kind)).toEqual(
    expect.arrayContaining(['off the shelf', 'custom']),
  )
  for (const one of options)
    expect(Math.abs(one.lengthMm - propshaft!.wanted!.lengthMm)).toBeLessThanOrEqual(
      propshaft!.wanted!.withinMm,
    )
  expect(options[0]!.kind).toBe('off the shelf')
})
