import { afterAll, beforeEach, expect, test } from 'vitest'
import { startInput } from '../../../contract/rows.ts'
import { type Database, openDatabase } from '../../database/sqlite/connection.ts'
import { Store } from '../../database/store.ts'
import { viewBuild } from '../builds/build-view.ts'
import { addJointClaim, answerStopper, listStoppers } from '../builds/joint-claims.ts'
import { partDetail } from '../catalogue/parts.ts'
import { partsList } from '../planning/parts-list.ts'
import { planBuild } from '../planning/planning.ts'
import { firstAnswerView } from './first-answer.ts'
import { pairingRows } from './pairings.ts'
import { startBuild } from './start.ts'

let knex: Database
let store: Store
beforeEach(async () => {
  await knex?.destroy()
  knex = await openDatabase(':memory:')
  store = new Store(knex)
})
afterAll(() => knex.destroy())

const start = (rest: object = {}) =>
  startBuild(
    store,
    startInput.parse({
      name: 'Cormorant',
      currency: 'EUR',
      recipient: { template: 'panel-van', name: 'Grey van' },
      tyre: '185/80 r14',
      massKg: 1450,
      engine: { template: 'alloy-four-lengthwise' },
      transmission: { template: 'light-five-speed' },
      labourRateMinor: 5500,
      mustWork: ['heater'],
      stoppers: { 'pilot-bore': 'yes', papers: 'unknown', rotation: 'no' },
      ...rest,
    }),
  )

test('from empty data a start gives verdicts with leaning, ranges, what to ask, and what to measure first', async () => {
  const build = await start()
  const answer = await firstAnswerView(store, build.id)
  expect(answer.pairing).toBe('Alloy four, lengthwise with Light five-speed')
  expect(answer.joints.length).toBeGreaterThanOrEqual(8)
  for (const joint of answer.joints)
    if (joint.code === 'fits') expect(joint.evidence).toBe('assumed')
  const totals = answer.totals!
  expect(totals.likely.low).toBeGreaterThan(0)
  expect(totals.likely.high).toBeGreaterThan(totals.likely.low)
  expect(totals.hours.low).toBeGreaterThan(40)
  expect(totals.outer.low).toBeLessThan(totals.likely.low)
  expect(totals.outer.high).toBeGreaterThan(totals.likely.high)
  expect(totals.unpriced).toBe(0)
  expect(answer.questions.length).toBeGreaterThan(8)
  expect(answer.questions.every(({ lines }) => lines.length > 0)).toBe(true)
  // A stopper answered no stops the build.
  expect(answer.blockers.map(({ words }) => words)).toContain('The engine turns the wrong way')
  expect(answer.measure.length).toBeGreaterThan(4)
})

test('a year beside a type is what goes by age: assumed, and another list', async () => {
  const of = async (year: number) => {
    const build = await start({
      recipient: { template: 'panel-van', year },
      engine: { template: 'alloy-four-lengthwise', year: 1999 },
    })
    return planBuild(store, build.id)
  }
  const [old, late] = [await of(1972), await of(1999)]
  expect(old.facts['engine.electronics']).toMatchObject({ value: 'locked', isAssumed: true })
  expect(old.facts['vehicle.supply']).toMatchObject({ value: 'low', isAssumed: true })
  expect(late.facts['vehicle.supply']).toMatchObject({ value: 'high', isAssumed: true })
  const kinds = (plan: typeof old): Set<string> =>
    new Set(plan.needs.filter(({ outcome }) => outcome === 'leans yes').map(({ kind }) => kind))
  // A carburettor's pump feeds no rail.
  expect(kinds(old).has('high-pressure-pump')).toBe(true)
  expect(kinds(late).has('high-pressure-pump')).toBe(false)
})

test('answers are kept as claims, and decide the fields they can', async () => {
  const build = await start()
  const stoppers = await listStoppers(store, build.id)
  expect(stoppers.filter((one) => one.says !== null).map(({ id, says }) => [id, says])).toEqual([
    ['pilot-bore', 'yes'],
    ['rotation', 'no'],
    ['papers', 'unknown'],
  ])
  expect(stoppers.filter((one) => one.joint !== null).map((one) => one.id)).toEqual([
    'pilot-bore',
    'crank-sensor',
    'sump-end',
    'front-output',
    'rotation',
    'starter-side',
    'load-signal',
    'belt-sense',
  ])
  // The type says which way its crank turns; a no to rotation then says the gearbox wants the other way.
  expect(
    (await pairingRows(store, await viewBuild(store, build.id))).items[0]!.joints.find(
      (joint) => joint.joint === 'rotation',
    )!.code,
  ).toBe('clash')
  const engine = (await store.list('part', { kind: 'engine' }))[0]!
  const bore = (await partDetail(store, engine.id)).ports.find(
    (port) => port.kind === 'pilot-bore',
  )!
  expect(bore.fields.find((field) => field.name === 'finished')).toMatchObject({
    value: true,
    grade: 'heard',
  })
  await store.transaction((tx) =>
    answerStopper(tx, build.id, { question: 'rotation', says: 'yes' }),
  )
  expect((await listStoppers(store, build.id)).find((one) => one.id === 'rotation')?.says).toBe(
    'yes',
  )
})

test('papers not in hand stop the build, a law not asked is open, both answered leave neither', async () => {
  const build = await start({ stoppers: { papers: 'no', law: 'unknown' } })
  const stateOf = async (id: string, kind: string) =>
    (await partsList(store, id)).lines.find((line) => line.kind === kind)?.state
  expect(await stateOf(build.id, 'papers-missing')).toBe('blocker')
  const law = (await partsList(store, build.id)).lines.find(
    ({ kind }) => kind === 'not-allowed-as-it-is',
  )!
  expect([law.outcome, law.because]).toEqual(['open', ['law.allowed']])
  const other = await start({ name: 'Gannet', stoppers: { papers: 'yes', law: 'yes' } })
  for (const kind of ['papers-missing', 'not-allowed-as-it-is'])
    expect(await stateOf(other.id, kind)).toBeUndefined()
})

test('a start is whole or not at all', async () => {
  await expect(start({ transmission: { template: 'iron-eight' } })).rejects.toThrow('not a type')
  for (const table of ['build', 'part', 'claim', 'jointClaim'] as const)
    expect(await store.list(table)).toEqual([])
})

test('a pattern family on both sides settles the face, at the grade it was said', async () => {
  const build = await start({
    engine: { template: 'diesel-four-heavy', family: 'housing-no-3' },
    transmission: { template: 'heavy-five-speed', family: 'housing-no-3' },
  })
  const face = (await firstAnswerView(store, build.id)).joints.find(
    (joint) => joint.joint === 'block-face',
  )!
  expect(face).toMatchObject({ evidence: 'heard' })
  expect(face.code).not.toBe('unmeasured')
})

test('a claim on a joint answers in the grid where nothing is measured, with its grade; a measured clash would stand', async () => {
  const build = await start()
  const [row] = (await pairingRows(store, await viewBuild(store, build.id))).items
  const flange = () =>
    pairingRowsNow().then(
      (rows) => rows[0]!.joints.find((joint) => joint.joint === 'crank-flange')!,
    )
  const pairingRowsNow = async () =>
    (await pairingRows(store, await viewBuild(store, build.id))).items
  expect(await flange()).toMatchObject({ code: 'unmeasured', claimed: false })
  await addJointClaim(store, {
    subject: 'joint',
    joint: 'crank-flange',
    engineId: row!.engineId,
    transmissionId: row!.transmissionId,
    says: 'yes',
    grade: 'fitted',
    sentence: 'Bolted together here, photo 12',
  })
  expect(await flange()).toMatchObject({ code: 'fits', evidence: 'fitted', claimed: true })
})

test('in a currency without a rate the start asks what a euro is, so that ranges exist; it is kept as a rate', async () => {
  const input = startInput.parse({ name: 'North', currency: 'SEK' })
  await expect(startBuild(store, input)).rejects.toThrow('one euro is in SEK')
  const before = (await store.list('rate')).length
  await startBuild(store, { ...input, euroRate: 11.42 })
  const rates = await store.list('rate')
  expect(rates).toHaveLength(before + 1)
  expect(rates.at(-1)).toMatchObject({ fromCurrency: 'EUR', toCurrency: 'SEK', rate: 11.42 })
  await startBuild(store, { ...input, name: 'North again' })
  expect(await store.list('rate')).toHaveLength(before + 1)
})
