import { afterAll, beforeAll, expect, test } from 'vitest'
import { demoDatabase } from '../../database/demo.seed.ts'
import type { Database } from '../../database/sqlite/connection.ts'
import { Store } from '../../database/store.ts'
import { copyBuild } from '../builds/copy-build.ts'
import { addClaim } from '../catalogue/parts.ts'
import { arrivalsOf, receive, unreceive } from './arrivals.ts'
import { decide } from './decisions.ts'
import { partsList } from './parts-list.ts'
import { planBuild } from './planning.ts'
import { totals } from './totals.ts'

let knex: Database
let store: Store
let plate = ''
const THICKNESS = 'plate-w2-12/plate/main'
beforeAll(async () => {
  knex = await demoDatabase()
  store = new Store(knex)
  plate = (await partsList(store, 'lantern')).lines.find(({ wants }) => wants === 'plate-w2-12')!.id
})
afterAll(() => knex.destroy())

test('what is here lists the sizes its joints lean on, each with the window that is left for it', async () => {
  await receive(store, 'lantern', { needId: plate, batch: 'B 7', day: '2026-11-20', saidBy: 'Ida' })
  const { arrivals, told } = await arrivalsOf(store, 'lantern')
  expect(told).toEqual([])
  expect(arrivals).toHaveLength(1)
  expect(arrivals[0]).toMatchObject({ partId: 'plate-w2-12', batch: 'B 7', saidBy: 'Ida' })
  const thickness = arrivals[0]!.sizes.find(({ port }) => port === THICKNESS)!
  expect(thickness).toMatchObject({ damage: true, said: '12', is: null, isMiss: false, fails: [] })
  // The nearest of what the clutch and the pilot leave, about the 12 mm it was drawn with.
  expect(thickness.low).toBeLessThan(12)
  expect(thickness.high).toBeGreaterThan(12)
  expect(thickness.high! - thickness.low!).toBeLessThan(8)
  const line = (await partsList(store, 'lantern')).lines.find(({ id }) => id === plate)
  expect(line!.state).toBe('here')
})

test('a size that is not as drawn warns while it can go back, and is told to builds that wait for the same part', async () => {
  await store.transaction(async (tx) => {
    const supplier = await tx.get('supplier', 'tessil')
    await tx.update('supplier', 'tessil', supplier.version, { returnDays: 36_00 })
    const [arrival] = await tx.list('arrival', { buildId: 'lantern' })
    await tx.update('arrival', arrival!.id, arrival!.version, { supplierId: 'tessil' })
  })
  const { id: twin } = await copyBuild(store, 'lantern', 'Lantern again', false)
  // A copy that has not had it yet.
  for (const decision of await store.list('decision', { buildId: twin, act: 'receive' }))
    await store.transaction((tx) => tx.remove('decision', decision.id))
  await addClaim(store, {
    portId: THICKNESS,
    field: 'thicknessMm',
    typed: '11.4',
    decimal: 'point',
    grade: 'measured',
    method: 'micrometer',
    build: 'lantern',
    thisVeryPart: true,
  })
  const { arrivals } = await arrivalsOf(store, 'lantern')
  const thickness = arrivals[0]!.sizes.find(({ port }) => port === THICKNESS)!
  expect(thickness.isMiss).toBe(true)
  expect(thickness).toMatchObject({ said: '12', is: '11.4' })
  expect(arrivals[0]!.caution).toContain('1 size is not as said')
  expect(arrivals[0]!.caution).toContain(`It is taken back until ${arrivals[0]!.rights!.until}`)
  const { told } = await arrivalsOf(store, twin)
  expect(told).toHaveLength(1)
  expect(told[0]).toMatchObject({ build: 'Lantern', batch: 'B 7', partId: 'plate-w2-12' })
})

test('what is ordered and then comes is paid once, at what was typed last', async () => {
  const committed = async () => totals(await planBuild(store, 'lantern'))!.committedMinor
  const before = await committed()
  const needId = plate
  await decide(store, 'lantern', { needId, act: 'order', priceMinor: 26_500 })
  expect(await committed()).toBe(before + 26_500)
  await decide(store, 'lantern', { needId, act: 'receive', priceMinor: 27_000 })
  expect(await committed()).toBe(before + 27_000)
  // Said again that it came: what was typed stays.
  await receive(store, 'lantern', { needId, batch: 'B 8' })
  expect(await committed()).toBe(before + 27_000)
})

test('taken back, its line is not received any more; what was measured on it stays', async () => {
  const [arrival] = await store.list('arrival', { buildId: 'lantern' })
  await unreceive(store, 'lantern', arrival!.id)
  expect((await arrivalsOf(store, 'lantern')).arrivals).toEqual([])
  const line = (await partsList(store, 'lantern')).lines.find(({ id }) => id === plate)
  expect(line!.state).not.toBe('here')
  const claims = await store.list('claim', { portId: THICKNESS, field: 'thicknessMm' })
  expect(claims.some(({ specimenId }) => specimenId !== null)).toBe(true)
  await expect(receive(store, 'lantern', { needId: 'nothing', batch: null })).rejects.toThrow(
    'Nothing of the catalogue is planned',
  )
})
