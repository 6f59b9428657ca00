import { afterAll, beforeEach, expect, test } from 'vitest'
import { settingsInput } from '../../../contract/rows.ts'
import { actAs } from '../../database/actor.ts'
import { demoDatabase } from '../../database/demo.seed.ts'
import type { Database } from '../../database/sqlite/connection.ts'
import { Store } from '../../database/store.ts'
import { answerFact } from '../builds/answer-fact.ts'
import { viewBuild } from '../builds/build-view.ts'
import { kits } from '../catalogue/bundles.ts'
import { loadCatalogue } from '../catalogue/catalogue.ts'
import { addClaim, createPart, partDetail } from '../catalogue/parts.ts'
import { listParts } from '../catalogue/parts-found.ts'
import { undoCommand } from '../keeping/history.ts'
import { addNumber } from '../numbers/number-claims.ts'
import { decide } from '../planning/decisions.ts'
import { addLock } from '../planning/locks.ts'
import { partsList } from '../planning/parts-list.ts'
import { sourcingView } from '../planning/sourcing.ts'
import { shopDay } from '../shop/day.ts'
import { readSettings, writeSettings } from '../shop/settings.ts'
import { runBuildPairing } from '../trains/pairing-run.ts'
import { findShafts } from '../trains/shafts.ts'
import { buildHeader } from './build-header.ts'
import { chooseCoupling, chooseKit, choosePairing } from './pairing-choice.ts'
import { pairingRows } from './pairings.ts'

const listed = (issuer: string, number: string) =>
  ({ issuer, number, mark: 'catalogue', grade: 'catalogue' }) as const

let knex: Database
let store: Store

beforeEach(async () => {
  await knex?.destroy()
  knex = await demoDatabase()
  store = new Store(knex)
})
afterAll(() => knex.destroy())

const claim = (rest: object) =>
  addClaim(store, {
    portId: 'wick-2/crank-flange/main',
    field: 'proudMm',
    grade: 'measured',
    decimal: 'ask',
    thisVeryPart: false,
    ...rest,
  })

test('parts are found by name, by number in any spelling, by kind and owner, a page at a time', async () => {
  const names = async (query: Parameters<typeof listParts>[1]): Promise<unknown[]> =>
    (await listParts(store, query)).items.map((part) => part.name)
  for (const q of ['mld 417-20', '417-20', '41720 MLD', 'clutch disc mld 417 20 please'])
    expect([q, await names({ q })]).toEqual([q, ['Marlund clutch disc 200, later']])
  expect(await names({ q: 'pilot', owner: 'hob' })).toEqual(['Marlund Hob pilot bearing'])
  const first = await listParts(store, { kind: 'engine', limit: 4 })
  const second = await listParts(store, { kind: 'engine', limit: 4, after: first.next! })
  expect([first.items.length, second.items.length, second.next]).toEqual([4, 4, 'ember-3'])
})

test('the propshaft on the list is as long as the one that is searched off the shelf', async () => {
  // Lantern keeps its shaft: with the engine set back one must be made, and the line says how long.
  await answerFact(store, 'lantern', { key: 'build.place', value: 'set-back', by: null })
  const view = await viewBuild(store, 'lantern')
  const chosen = view.pairings.find((row) => row.chosen)!
  const { shafts } = await findShafts(store, 'lantern', chosen.engineId, chosen.transmissionId)
  const length = shafts.find(({ kind }) => kind === 'propshaft')?.wanted?.lengthMm
  expect(length).toBeGreaterThan(500)
  const { lines } = await partsList(store, 'lantern')
  expect(lines.find(({ kind }) => kind === 'propshaft')?.words).toContain(
    `about ${length!.toFixed(0)} mm`,
  )
})

test('a part shows every field with the claim used, the others beside it, and conflicts', async () => {
  const before = await partDetail(store, 'wick-2')
  const proud = (detail: typeof before) =>
    detail.ports
      .find((port) => port.kind === 'crank-flange')!
      .fields.find((field) => field.name === 'proudMm')!
  expect(proud(before)).toMatchObject({
    value: 14.7,
    plusMinus: 0.1,
    grade: 'maker',
    conflict: false,
  })
  expect(proud(before).claims.map((one: any) => [one.grade, one.used])).toEqual(
    expect.arrayContaining([
      ['maker', true],
      ['measured', false],
      ['heard', false],
    ]),
  )
  await claim({ typed: '15.2', method: 'bar-caliper', plusMinus: 0.05 })
  expect(proud(await partDetail(store, 'wick-2'))).toMatchObject({
    value: 15.2,
    grade: 'measured',
    conflict: true,
  })
})

test('a measurement on this very part is used in its build and counts as one like it elsewhere', async () => {
  await claim({ typed: '14.5', plusMinus: 0.2, build: 'lantern', thisVeryPart: true })
  const flange = async (build: string | null): Promise<number> =>
    (
      (await loadCatalogue(store, build)).parts
        .get('wick-2')!
        .ports.find((port) => port.kind === 'crank-flange') as any
    ).proudMm.v
  expect([await flange('lantern'), await flange(null)]).toEqual([14.5, 14.7])
  expect(await store.list('specimen')).toMatchObject([{ partId: 'wick-2', buildId: 'lantern' }])
  await claim({ typed: '14.6', plusMinus: 0.1, build: 'lantern', thisVeryPart: true })
  expect(await store.list('specimen')).toHaveLength(1)
})

test.each([
  ['an unknown field', { field: 'height' }, /no field/],
  ['a port that is none', { portId: 'wick-2' }, /not a port id/],
  ['a piece nobody named', { portId: '?/disc-hub/main', field: 'startMm' }, /not named yet/],
  ['a part that is not there', { portId: 'gone/crank-flange/main' }, /no part/],
  ['an unknown method', { typed: '1', method: 'by eye' }, /not a method/],
  ['this very part without a build', { typed: '1', thisVeryPart: true }, /which build/],
  ['a value that cannot be read', { typed: 'about ten' }, /not a number/],
])('a claim with %s is refused, nothing written', async (_, rest, says) => {
  const before = await store.revision()
  await expect(claim(rest)).rejects.toThrow(says)
  expect(await store.revision()).toBe(before)
})

test('chosen values stand in columns, rebuilt with each claim', async () => {
  const value = async (): Promise<unknown> =>
    (
      await knex('portValue')
        .where({ portId: 'wick-2/crank-flange/main', field: 'proudMm' })
        .first()
    ).number
  expect(await value()).toBe(14.7)
  await claim({ typed: '14.8', plusMinus: 0.01 })
  expect(await value()).toBe(14.8)
})

test('a new default for a kind and owner takes the place of the old', async () => {
  await createPart(store, {
    kind: 'pilot',
    name: 'Another pilot',
    ownerId: 'wick-2',
    isDefault: true,
  })
  const pilots = (await store.list('part', { ownerId: 'wick-2', kind: 'pilot' })).map((part) => [
    part.name,
    part.isDefault,
  ])
  expect(pilots).toEqual(
    expect.arrayContaining([
      ['Another pilot', true],
      ['Kessarn Wick, 2nd pilot bearing', false],
    ]),
  )
})

test('a number belongs to one part only, in any spelling', async () => {
  await expect(addNumber(store, 'wick-1', listed('MLD', '417 20'))).rejects.toThrow(
    /already the number of Marlund clutch disc 200/,
  )
  await expect(
    createPart(store, {
      kind: 'disc',
      name: 'Copy',
      numbers: [{ issuer: 'MLD', number: '41720', mark: 'catalogue' }],
    }),
  ).rejects.toThrow()
  expect(await store.list('part', { name: 'Copy' })).toEqual([])
})

test('a part that stays in a kit keeps its row, also where it stands twice; what is taken out goes', async () => {
  const item = (partId: string, quantity: number) => ({ partId, quantity })
  const { id, items: first } = await kits.create(store, {
    name: 'Twice',
    priceMinor: 100,
    currency: 'EUR',
    items: [item('bush-15', 1), item('bush-15', 2), item('bush-17', 1)],
  })
  const rowOf = (partId: string) =>
    first.filter((one) => one.partId === partId).map((one) => one.id)
  const second = await kits.update(store, id, {
    version: 1,
    items: [item('bush-15', 1), item('bush-15', 3)],
  })
  expect(second.items.map((one) => one.id).sort()).toEqual(rowOf('bush-15').sort())
  expect(second.items.map(({ quantity }) => quantity).sort()).toEqual([1, 3])
  const third = await kits.update(store, id, { version: 2, items: [item('bush-15', 1)] })
  expect(third.items).toHaveLength(1)
})

test('bundles are written whole; items given replace those there; a stale version changes nothing', async () => {
  const kit = await kits.create(store, {
    name: 'Kit',
    priceMinor: 100,
    currency: 'EUR',
    items: [{ partId: 'bush-15', quantity: 2 }],
  })
  expect((await kits.get(store, kit.id)).items).toMatchObject([
    { partName: 'Bronze pilot bush 25 on 15', quantity: 2 },
  ])
  await kits.update(store, kit.id, {
    version: 1,
    priceMinor: 120,
    items: [{ partId: 'bush-17' }],
  })
  expect(await kits.get(store, kit.id)).toMatchObject({
    priceMinor: 120,
    version: 2,
    items: [{ partId: 'bush-17' }],
  })
  await expect(kits.update(store, kit.id, { version: 1, items: [] })).rejects.toThrow(
    /changed meanwhile/,
  )
  expect((await kits.get(store, kit.id)).items).toHaveLength(1)
  await expect(
    kits.create(store, {
      name: 'Broken',
      priceMinor: 1,
      currency: 'EUR',
      items: [{ partId: 'none' }],
    }),
  ).rejects.toThrow()
  expect(await store.list('kit', { name: 'Broken' })).toEqual([])
})

test('tolerances: an edit moves verdicts that lean on it; null goes back; an unknown one is refused', async () => {
  const depth = async (): Promise<string> =>
    (await pairingRows(store, await viewBuild(store, 'lantern'))).items
      .find((row) => row.engineId === 'hob' && row.transmissionId === 'marlund-4')!
      .joints.find((joint) => joint.joint === 'depth')!.code
  expect(await depth()).toBe('fits')
  await writeSettings(store, { tolerances: { tipClearMm: 50 } })
  expect(await depth()).toBe('bridge')
  expect(await writeSettings(store, { tolerances: { tipClearMm: null } })).toMatchObject({
    units: {},
    tolerances: {},
  })
  expect(await depth()).toBe('fits')
  await expect(writeSettings(store, { tolerances: { luck: 1 } })).rejects.toThrow(
    /no tolerance luck/,
  )
})

test("lengths without a unit are read in the shop's unit", async () => {
  await writeSettings(store, { units: { mm: 'in' } })
  expect((await claim({ typed: '37/64' })).value).toBeCloseTo((37 / 64) * 25.4, 9)
  expect((await readSettings(store)).units).toEqual({ mm: 'in' })
})

test('one pairing is chosen at a time, with the set taken by name', async () => {
  await choosePairing(store, 'lantern', { engineId: 'wick-1', transmissionId: 'marlund-4' })
  const rows = await store.list('pairing', { buildId: 'lantern' })
  expect(rows.filter((row) => row.chosen).map((row) => row.engineId)).toEqual(['wick-1'])
  const put = await store.list('pairingPart', { pairingId: rows.find((row) => row.chosen)!.id })
  expect(put.map((row) => row.partId).sort()).toEqual(['plate-w1-16', 'spacer-4'])
  await expect(store.transaction((tx) => tx.remove('part', 'plate-w1-16'))).rejects.toMatchObject({
    code: 'SQLITE_CONSTRAINT_FOREIGNKEY',
  })
  const putNow = async () =>
    (await store.list('pairingPart', { pairingId: rows.find((row) => row.chosen)!.id }))
      .map((row) => String(row.partId))
      .sort()
  await actAs({ who: 'Bex', command: 'another-set' }, () =>
    choosePairing(store, 'lantern', {
      engineId: 'wick-1',
      transmissionId: 'marlund-4',
      inserted: ['plate-w1-16'],
    }),
  )
  expect(await putNow()).toEqual(['plate-w1-16'])
  await undoCommand(store, 'another-set')
  expect(await putNow()).toEqual(['plate-w1-16', 'spacer-4'])
  const { lines } = await partsList(store, 'lantern')
  expect(lines.find((line) => line.kind === 'spacer')?.why.map((reason) => reason.joint)).toContain(
    'depth',
  )
  expect(lines.find((line) => line.kind === 'flange-bolt')?.words).toBe(
    'Flange bolts M10x1.25 × 30',
  )
})

test('another piece on the pairing is judged, and the default comes back', async () => {
  const pilotCode = async (): Promise<string> =>
    runBuildPairing(await viewBuild(store, 'lantern'), 'wick-2', 'marlund-4').result.joints.find(
      (joint) => joint.joint === 'pilot',
    )!.bare.code
  expect(await pilotCode()).toBe('fits')
  await chooseCoupling(store, 'lantern', {
    engineId: 'wick-2',
    transmissionId: 'marlund-4',
    kind: 'pilot',
    partId: 'bush-17',
  })
  expect(await pilotCode()).toBe('bridge')
  await chooseCoupling(store, 'lantern', {
    engineId: 'wick-2',
    transmissionId: 'marlund-4',
    kind: 'pilot',
    partId: null,
  })
  expect(await pilotCode()).toBe('fits')
})

test('the pieces of a kit take the place of their kind on the pairing, and are what is wanted', async () => {
  const pair = { engineId: 'wick-2', transmissionId: 'marlund-4' }
  expect(
    (await chooseKit(store, 'lantern', { ...pair, kitId: 'kit-7' })).replaced.toSorted(),
  ).toEqual(['cover', 'disc', 'release-bearing'])
  expect(
    (await partsList(store, 'lantern')).lines.find((line) => line.part === 'disc')?.wants,
  ).toBe('marlund-4-disc-20')
  await expect(chooseKit(store, 'lantern', { ...pair, kitId: 'kit-8' })).rejects.toThrow(
    /no coupling piece/,
  )
})

test('decisions name lines that exist, and a price needs an amount', async () => {
  await expect(
    decide(store, 'lantern', { needId: 'gold/plating/main', act: 'drop' }),
  ).rejects.toThrow(/no line/)
  await expect(
    decide(store, 'lantern', { needId: 'top-hose/radiator/main', act: 'price' }),
  ).rejects.toThrow(/Type the price/)
  await decide(store, 'lantern', {
    needId: 'top-hose/radiator/main',
    act: 'price',
    priceMinor: 31000,
    source: 'Hose maker',
  })
  await decide(store, 'lantern', {
    needId: 'top-hose/radiator/main',
    act: 'price',
    priceMinor: 32000,
    source: 'Hose maker',
  })
  expect(
    (await store.list('decision', { act: 'price' })).map((row) => [row.priceMinor, row.version]),
  ).toEqual([[32000, 2]])
  expect(
    (await partsList(store, 'lantern')).lines.find((line) => line.kind === 'top-hose'),
  ).toMatchObject({
    state: 'to solve',
    candidates: [{ source: 'typed', words: 'Hose maker' }],
  })
})

test('a lock names a source of this build; locked again it changes its way', async () => {
  await expect(addLock(store, 'lantern', { way: 'in', candidate: 'offer:none@x' })).rejects.toThrow(
    /not among the sources/,
  )
  const first = await addLock(store, 'lantern', { way: 'in', supplierId: 'harbour' })
  expect(await addLock(store, 'lantern', { way: 'out', supplierId: 'harbour' })).toMatchObject({
    id: first.id,
    way: 'out',
    version: 2,
  })
})

test('the header says what is open and what to do next, and is a range before there is a plan', async () => {
  expect(await buildHeader(store, 'lantern')).toMatchObject({
    recipient: '1979 Marlund Packet van',
    pairing: 'Kessarn Wick, 2nd with Marlund 4-speed',
    totals: { planMinor: null, proven: null },
    open: { brief: 0, pairing: 0, sourcing: 1 },
    next: { stage: 'sourcing' },
  })
  const empty = await store.insert('build', { name: 'Blank', currency: 'EUR' })
  expect(await buildHeader(store, empty.id)).toMatchObject({
    pairing: null,
    next: { words: 'Say which vehicle it goes into', stage: 'brief' },
  })
})

test('a supplier that sells nothing any more is out of the market, and keeps its name where it is spoken of', async () => {
  await addLock(store, 'lantern', { way: 'out', supplierId: 'harbour' })
  for (const table of ['offer', 'kit'] as const)
    for (const row of await store.list(table, { supplierId: 'harbour' }))
      await store.transaction((tx) => tx.remove(table, row.id))
  expect((await loadCatalogue(store, 'lantern')).trade.suppliers.map(({ id }) => id)).not.toContain(
    'harbour',
  )
  expect((await sourcingView(store, 'lantern')).locks.map(({ words }) => words)).toEqual([
    'Leave out Harbour Parts',
  ])
})

test('what is said without a date gets the day it is at the shop; a zone that is not known is refused', async () => {
  const late = new Date('2026-03-01T23:30:00Z')
  await writeSettings(store, { timeZone: 'Etc/GMT-2' })
  expect([await shopDay(store, late), (await readSettings(store)).timeZone]).toEqual([
    '2026-03-02',
    'Etc/GMT-2',
  ])
  await writeSettings(store, { timeZone: 'Etc/GMT+8' })
  expect(await shopDay(store, late)).toBe('2026-03-01')
  expect(settingsInput.safeParse({ timeZone: 'Nowhere/Harbour' }).success).toBe(false)
})
