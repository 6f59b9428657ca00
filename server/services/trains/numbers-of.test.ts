import { beforeAll, expect, test } from 'vitest'
import {
  applicationInput,
  generationInput,
  interchangeInput,
} from '../../../contract/number-inputs.ts'
import { demoDatabase } from '../../database/demo.seed.ts'
import { Store } from '../../database/store.ts'
import { answerFact } from '../builds/answer-fact.ts'
import { exportBuild } from '../builds/build-document.ts'
import { find } from '../catalogue/find.ts'
import { updateIssuer } from '../numbers/issuers.ts'
import { addApplication, addGeneration, addInterchange } from '../numbers/number-claims.ts'
import { shopNumbers } from '../numbers/shop-numbers.ts'
import { needsOf } from '../planning/planning.ts'
import { numbersOf } from './numbers-of.ts'

let store: Store
beforeAll(async () => {
  store = new Store(await demoDatabase())
})

const seen = async (build = 'lantern') => {
  const { view, run, facts, decisions } = await needsOf(store, build)
  return numbersOf(view, run, facts, decisions)
}

test('a build is asked for as what its parts are listed as, with the facts that lists ask about', async () => {
  const { application, own } = await seen()
  expect(application).toMatchObject({
    engine: { family: 'Kessarn Wick', generation: '2nd' },
    transmission: { family: 'Marlund 4-speed' },
    vehicle: { family: 'Marlund Packet van', built: '1979' },
  })
  // Nobody's list asks about these yet.
  expect(application.facts).toEqual({})
  expect(own.map(({ id }) => id)).toEqual(
    expect.arrayContaining(['wick-2-flywheel', 'marlund-4-disc', 'wick-2-thermostat']),
  )
  await addApplication(
    store,
    applicationInput.parse({
      issuer: 'HBP',
      number: '4900.1',
      grade: 'catalogue',
      scope: {
        targets: { engine: { family: 'Kessarn Wick' } },
        conditions: [
          { key: 'gearbox', is: ['manual'] },
          { key: 'engine.throttle', is: ['cable'] },
        ],
      },
    }),
  )
  const { facts } = (await seen()).application
  expect(facts).toMatchObject({ gearbox: { value: 'manual', grade: 'measured' } })
  await answerFact(store, 'lantern', { key: 'vehicle.side', value: 'right', by: 'Ida' })
  await addInterchange(
    store,
    interchangeInput.parse({
      members: [
        { issuer: 'HBP', number: '4900.1' },
        { issuer: 'HBP', number: '4900.2' },
      ],
      scope: { conditions: [{ key: 'steering', is: ['right'] }] },
    }),
  )
  expect((await seen()).application.facts).toMatchObject({ steering: { value: 'right' } })
})

test('breaks of a family are told to whoever asks, and one of each name', async () => {
  const before = (await shopNumbers(store)).generations.length
  const one = generationInput.parse({
    target: 'engine',
    family: 'Kessarn Wick',
    generation: '5th',
    from: '2010',
    grade: 'maker',
  })
  await addGeneration(store, one)
  expect((await shopNumbers(store)).generations).toHaveLength(before + 1)
  await expect(addGeneration(store, one)).rejects.toThrow()
})

test('a build goes out with all that is said of its numbers, and of those these lead to', async () => {
  const { tables } = await exportBuild(store, 'lantern')
  const numbers = (tables.supersessionNumber ?? []).map(({ number }) => number)
  for (const number of ['417.14', '417.18', '417.20', '520.1', '520.3'])
    expect(numbers).toContain(number)
  expect((tables.interchangeNumber ?? []).map(({ number }) => number)).toEqual(
    expect.arrayContaining(['250.7', '5001.1']),
  )
  expect(tables.application?.length).toBeGreaterThan(0)
})

test('a number is found as its issuer’s rule reads it now', async () => {
  const first = async (typed: string) =>
    (await find(store, typed)).items.find(({ match }) => match === 'equal')?.id
  expect(await first('KSN 340.2')).toBe('wick-2-thermostat')
  expect(await first('340/2')).toBeUndefined()
  const issuer = (await store.list('issuer', { name: 'KSN' }))[0]!
  await updateIssuer(store, issuer.id, issuer.version, { noise: ' .-/' })
  expect(await first('340/2')).toBe('wick-2-thermostat')
  await store.update('issuer', issuer.id, issuer.version + 1, { name: 'Kessarn parts' })
  expect(await first('Kessarn parts 340.2')).toBe('wick-2-thermostat')
})
