import { expect, test } from 'vitest'
import {
  applicationInput,
  interchangeInput,
  numberInput,
  supersessionInput,
} from '../../../contract/number-inputs.ts'
import { demoDatabase } from '../../database/demo.seed.ts'
import { Store } from '../../database/store.ts'
import { numberConflicts } from '../catalogue/number-conflicts.ts'
import { partDetail } from '../catalogue/parts.ts'
import { decide } from '../planning/decisions.ts'
import { partsList } from '../planning/parts-list.ts'
import {
  addApplication,
  addInterchange,
  addNumber,
  addSupersession,
  strikeNumberClaim,
} from './number-claims.ts'
import { checkNumbers } from './numbers.ts'

const mld = (number: string) => ({ issuer: 'MLD', number })
const ask = (store: Store, want: string, have: string, more: object = {}) =>
  checkNumbers(store, {
    want: [{ ...mld(want), grade: 'catalogue', quantity: 1 }],
    have: [{ ...mld(have), grade: 'catalogue' }],
    ...more,
  })

test('a number that another part bears is asked about once; both are kept as a conflict until one is struck out', async () => {
  const store = new Store(await demoDatabase())
  const same = numberInput.parse({ ...mld('417-20'), grade: 'catalogue' })
  await expect(addNumber(store, 'wick-2-flywheel', same)).rejects.toThrow(
    /already the number of Marlund clutch disc 200, later/,
  )
  const second = await addNumber(store, 'wick-2-flywheel', { ...same, isSo: true })
  const [conflict] = (await numberConflicts(store)).items.filter(({ words }) =>
    words.includes('417'),
  )
  expect(conflict).toMatchObject({ kind: 'two parts', claims: [{}, {}] })
  expect(conflict!.parts.map(({ id }) => id).sort()).toEqual([
    'marlund-4-disc-20',
    'wick-2-flywheel',
  ])
  expect(conflict!.hangs.map(({ name }) => name)).toContain('Lantern')
  const { numbers } = await partDetail(store, 'wick-2-flywheel')
  expect(numbers.find(({ id }) => id === second.id)).toMatchObject({
    alsoOn: [{ id: 'marlund-4-disc-20' }],
  })
  await strikeNumberClaim(store, 'partNumber', second.id, {
    version: 1,
    why: 'read off the wrong box',
  })
  expect((await numberConflicts(store)).items.some(({ words }) => words.includes('417'))).toBe(
    false,
  )
  // A cast number may stand on many parts.
  await addNumber(store, 'wick-1-flywheel', { ...same, mark: 'cast' })
  expect((await ask(store, '417.20', '417.20')).verdict).toBe('with note')
})

test('what is said of numbers is asked at once, and no more once it is struck out', async () => {
  const store = new Store(await demoDatabase())
  const row = await addSupersession(
    store,
    supersessionInput.parse({
      old: [mld('900.1')],
      new: [mld('900.2'), { ...mld('900.3'), quantity: 2 }],
      back: 'no',
      grade: 'maker',
    }),
  )
  expect(await ask(store, '900.1', '900.2')).toMatchObject({
    verdict: 'with note',
    plan: 'no',
    missing: [{ number: '900.3', quantity: 2 }],
  })
  await strikeNumberClaim(store, 'supersession', row.id, { version: 1, why: 'another list' })
  expect((await ask(store, '900.1', '900.2')).verdict).toBe('not listed')

  await addInterchange(
    store,
    interchangeInput.parse({ members: [mld('900.1'), mld('900.9')], grade: 'catalogue' }),
  )
  expect((await ask(store, '900.1', '900.9')).verdict).toBe('interchange')
  const engine = { family: 'Kessarn Wick', generation: '2nd', grade: 'catalogue' as const }
  const fits = (value: 'yes' | 'no', grade: 'catalogue' | 'maker') =>
    addApplication(
      store,
      applicationInput.parse({
        ...mld('900.9'),
        fits: value,
        grade,
        scope: { targets: { engine: { family: 'Kessarn Wick' } } },
      }),
    )
  await fits('yes', 'catalogue')
  const denial = await fits('no', 'maker')
  expect((await ask(store, '900.1', '900.9', { application: { engine } })).verdict).toBe('conflict')
  expect((await numberConflicts(store)).items).toContainEqual(
    expect.objectContaining({ kind: 'denied', claims: [expect.anything(), expect.anything()] }),
  )
  await strikeNumberClaim(store, 'application', denial.id, { version: 1, why: 'a slip' })
  expect((await ask(store, '900.1', '900.9', { application: { engine } })).verdict).toBe(
    'interchange',
  )
})

test('a ring of supersessions is told whole, with the rows that make it', async () => {
  const store = new Store(await demoDatabase())
  for (const [old, next] of [
    ['77.1', '77.2'],
    ['77.2', '77.3'],
    ['77.3', '77.1'],
  ] as const)
    await addSupersession(
      store,
      supersessionInput.parse({ old: [mld(old)], new: [mld(next)], grade: 'catalogue' }),
    )
  const rings = (await numberConflicts(store)).items.filter(({ claims }) =>
    claims.some(({ words }) => words.includes('77.')),
  )
  expect(rings).toHaveLength(1)
  expect(rings[0]).toMatchObject({ kind: 'ring', claims: [{}, {}, {}] })
})

test('a line given a number of its own is judged by it, and what only it does not say is ordered once ticked by name', async () => {
  const store = new Store(await demoDatabase())
  const list = await partsList(store, 'lantern')
  const line = list.lines.find(({ candidates }) =>
    candidates.some(({ source }) => source === 'buy'),
  )!
  await decide(store, 'lantern', {
    needId: line.id,
    act: 'number',
    issuer: 'MLD',
    number: 'unheard-of 1',
  })
  const now = (await partsList(store, 'lantern')).lines.find(({ id }) => id === line.id)!
  const source = now.candidates.find((one) => one.source === 'buy')!
  expect(source.number).toMatchObject({ says: 'not listed', plan: 'confirm', of: 'given by hand' })
  await expect(
    decide(store, 'lantern', { needId: line.id, act: 'number', issuer: 'MLD' }),
  ).rejects.toThrow('Say whose number it is, and which.')
  // As it stands once a plan takes such a source.
  const standing = async () => ({
    rests: line.rests,
    toTick: { candidate: source.id, words: `${source.words}: by its number not listed` },
  })
  const order = { needId: line.id, act: 'order' as const, priceMinor: 100 }
  await expect(decide(store, 'lantern', order, standing)).rejects.toThrow(/confirms by name/)
  const tick = { needId: line.id, act: 'tick' as const, candidate: source.id }
  await expect(decide(store, 'lantern', tick, standing)).rejects.toThrow(
    'Say by name who says that it serves.',
  )
  await decide(store, 'lantern', { ...tick, candidate: 'another', source: 'Ida' }, standing)
  await expect(decide(store, 'lantern', order, standing)).rejects.toThrow(/confirms by name/)
  await decide(store, 'lantern', { ...tick, source: 'Ida' }, standing)
  expect((await decide(store, 'lantern', order, standing)).act).toBe('order')
})
