import { afterAll, beforeAll, expect, test, vi } from 'vitest'
import { demoDatabase } from '../../database/demo.seed.ts'
import type { Database } from '../../database/sqlite/connection.ts'
import { Store } from '../../database/store.ts'
import { JobRunner } from '../../jobs/runner.ts'
import { kits } from '../catalogue/bundles.ts'
import { namedPieces } from '../catalogue/kit-items.ts'
import { partsList } from '../planning/parts-list.ts'
import { compareKits, takeKit } from './compare-kits.ts'
import { kitsAtHand } from './kits-compared.ts'

let knex: Database
let store: Store
const jobs = new JobRunner()
beforeAll(async () => {
  knex = await demoDatabase()
  store = new Store(knex)
})
afterAll(async () => {
  await jobs.close()
  await knex.destroy()
})

test('kits are told by how many joints go together; what holds nothing between engine and gearbox is not among them', async () => {
  const { items, choice } = await kitsAtHand(store, 'lantern')
  expect(choice).toBeNull()
  const ids = items.map(({ id }) => id)
  expect(ids.slice(0, 3)).toContain('kit-1')
  expect(ids).not.toContain('kit-8')
  const [best] = items
  expect(best!.clashes + best!.open).toBe(0)
  expect(items.find(({ id }) => id === 'kit-9')!.open).toBeGreaterThan(0)
})

test('three kits on one pairing: the thin one leaves the depth open by what it lacks, the one without dowels asks for them, the total holds the hours', async () => {
  const {
    kits: columns,
    recommended,
    currency,
  } = await compareKits(store, jobs, 'lantern', ['kit-1', 'kit-2', 'kit-9'])
  expect(currency).toBe('EUR')
  const [good, bare, thin] = columns
  const code = (column: typeof good, joint: string) =>
    column!.joints.find((one) => one.joint === joint)!.code
  expect(code(good, 'depth')).toBe('fits')
  expect(code(thin, 'depth')).toBe('bridge')
  // 8 mm where 12 were wanted: the wheel stands 4 mm further back against the gearbox.
  expect(thin!.depthMm! - good!.depthMm!).toBeCloseTo(-4, 6)
  expect(code(bare, 'block-face')).not.toBe('fits')
  expect(good!.lines.filter(({ from }) => from === 'this kit').length).toBeGreaterThan(
    thin!.lines.filter(({ from }) => from === 'this kit').length,
  )
  for (const column of columns) {
    expect(column.hours).toBeGreaterThan(5)
    expect(column.totalMinor).toBe(column.partsMinor! + column.openMinor + column.labourMinor)
    // What it holds is not priced a second time.
    for (const line of column.lines) if (line.from === 'this kit') expect(line.minor).toBeNull()
  }
  expect(bare!.reports[0]).toMatchObject({ outcome: 'failed', howMany: 4, about: 'kit' })
  expect(good!.quality).toContainEqual({ label: 'Plate, mm', value: '12', from: 'known' })
  expect(good!.quality).toContainEqual({ label: 'Designed', value: '2024', from: 'said' })
  expect(recommended.kitId).toBe('kit-1')
  expect(recommended.because).toHaveLength(2)
  expect(recommended.because.join(' ')).toContain('Brimble')
  await expect(compareKits(store, jobs, 'lantern', ['kit-1'])).rejects.toThrow('Choose two to 4')
})

test('a kit that is not sold yet has no total: what the build comes to without it is not told as its own', async () => {
  const { kits: columns, recommended } = await compareKits(store, jobs, 'lantern', [
    'kit-1',
    'kit-10',
  ])
  const announced = columns.find(({ id }) => id === 'kit-10')!
  expect(announced).toMatchObject({ standing: 'announced', partsMinor: null, totalMinor: null })
  expect(recommended.kitId).toBe('kit-1')
  expect(recommended.because[0]).not.toContain('comes to')
})

test('what changes elsewhere in the shop solves nothing anew; what a plan is made from does', async () => {
  const solve = vi.spyOn(jobs, 'solve')
  const compare = async () =>
    (await compareKits(store, jobs, 'lantern', ['kit-1', 'kit-2'])).kits.map(
      ({ totalMinor }) => totalMinor,
    )
  const before = await compare()
  solve.mockClear()
  await store.insert('supplier', { name: 'Somebody else', currency: 'EUR' })
  expect(await compare()).toEqual(before)
  expect(solve).not.toHaveBeenCalled()
  const kit = await store.get('kit', 'kit-2')
  const dearer = await store.update('kit', kit.id, kit.version, {
    priceMinor: kit.priceMinor! + 1000,
  })
  const [one, other] = await compare()
  expect([one, solve.mock.calls.length]).toEqual([before[0], 2])
  expect(other).toBeGreaterThan(before[1]!)
  await store.update('kit', kit.id, dearer.version, { priceMinor: kit.priceMinor })
  expect(await compare()).toEqual(before)
  expect(solve).toHaveBeenCalledTimes(2)
  solve.mockRestore()
})

test('another kit than recommended is taken for a reason, which is kept; its plate is put in and it is locked', async () => {
  const take = (because: string | null) =>
    takeKit(store, 'lantern', {
      kitId: 'kit-2',
      recommendedId: 'kit-1',
      reasons: ['Tessil: dearer'],
      because,
      saidBy: 'Ida',
    })
  await expect(take(null)).rejects.toThrow('Say why')
  await take('We ream the dowels ourselves')
  expect((await kitsAtHand(store, 'lantern')).choice).toMatchObject({
    kitId: 'kit-2',
    recommendedId: 'kit-1',
    because: 'We ream the dowels ourselves',
    reasons: ['Tessil: dearer'],
  })
  const pairing = (await store.list('pairing', { buildId: 'lantern', chosen: true }))[0]!
  expect(
    (await store.list('pairingPart', { pairingId: pairing.id })).map(({ partId }) => partId),
  ).toEqual(['plate-w2-12b'])
  expect(
    await store.list('sourcingLock', { buildId: 'lantern', bundle: 'kit:kit-2' }),
  ).toHaveLength(1)
  const plate = (await partsList(store, 'lantern')).lines.find(
    ({ wants }) => wants === 'plate-w2-12b',
  )
  expect(plate).toBeDefined()
  // The next takes its place: nothing of the first stays on the pairing, a lock that left it out among it.
  await store.transaction((tx) =>
    tx.insert('sourcingLock', { buildId: 'lantern', way: 'out', bundle: 'kit:kit-7' }),
  )
  await takeKit(store, 'lantern', { kitId: 'kit-7', reasons: [] })
  const parts = async () =>
    (await store.list('pairingPart', { pairingId: pairing.id })).map(({ partId }) => partId)
  const coupling = async () =>
    (await store.list('couplingChoice', { pairingId: pairing.id })).map(({ partId }) => partId)
  expect(await parts()).toEqual([])
  expect((await coupling()).sort()).toEqual([
    'marlund-4-cover',
    'marlund-4-disc-20',
    'marlund-4-release-bearing',
  ])
  expect(
    (await store.list('sourcingLock', { buildId: 'lantern', bundle: 'kit:kit-7' })).map(
      ({ way }) => way,
    ),
  ).toEqual(['in'])
  await takeKit(store, 'lantern', { kitId: 'kit-1', reasons: [] })
  expect(await coupling()).toEqual([])
  expect(await parts()).toEqual(['plate-w2-12'])
  expect(await store.list('kitChoice', { buildId: 'lantern' })).toHaveLength(1)
  expect(await store.list('sourcingLock', { buildId: 'lantern', bundle: 'kit:kit-2' })).toEqual([])
})

test('a piece named by kind and number is the part that bears it, in any spelling, or becomes one', async () => {
  const pieces = await store.transaction((tx) =>
    namedPieces(tx, [
      { kind: 'plate', issuer: 'TSL', number: '12-04', quantity: 1 },
      {
        kind: 'pilot',
        issuer: 'SDR',
        number: 'P 15',
        quantity: 2,
        words: 'Pilot bush 15',
        hadAgain: 'Turned',
      },
    ]),
  )
  expect(pieces[0]!.partId).toBe('plate-w2-12')
  const made = await store.get('part', pieces[1]!.partId)
  expect(made).toMatchObject({ kind: 'pilot', name: 'Pilot bush 15' })
  const kit = await kits.create(store, {
    name: 'Pilot kit',
    priceMinor: 3900,
    currency: 'EUR',
    taxIncluded: true,
    items: pieces,
  })
  expect(kit.items.map(({ hadAgain }) => hadAgain)).toContain('Turned')
})
