import { afterAll, beforeAll, expect, test } from 'vitest'
import { checkNumber } from '../../../core/identity/check-number.ts'
import { demoDatabase } from '../../database/demo.seed.ts'
import type { Database } from '../../database/sqlite/connection.ts'
import { Store } from '../../database/store.ts'
import { createPart } from '../catalogue/parts.ts'
import { askedTarget } from './asked-target.ts'
import { listedFor } from './listed-for.ts'
import { addApplication, addNumber, strikeNumberClaim } from './number-claims.ts'
import { shopNumbers } from './shop-numbers.ts'

let knex: Database
let store: Store
beforeAll(async () => {
  knex = await demoDatabase()
  store = new Store(knex)
})
afterAll(() => knex.destroy())

test('what is listed for an engine stands for it as the check of the number says, generation by generation', async () => {
  const seen = new Set<string>()
  const index = await shopNumbers(store)
  const engines = await store.list('part', { kind: 'engine' })
  // Nobody knows of one when it was built, nor its generation.
  const { family } = (await store.list('application')).flatMap(({ scope }) =>
    scope?.targets?.engine?.generations ? scope.targets.engine : [],
  )[0]!
  const { id } = await createPart(store, { kind: 'engine', name: 'Of unknown age' })
  const bare = await store.update('part', id, 1, { family })
  for (const part of [...engines, bare]) {
    const engine = askedTarget(part)
    const { items } = await listedFor(store, part.id)
    expect(items.length > 0 && engine === undefined, part.id).toBe(false)
    const denied = new Set(items.flatMap(({ fits, number }) => (fits ? [] : number)))
    for (const { issuer, number, fits, stands, scope, isOwn } of items) {
      if (isOwn) continue
      expect(scope?.targets?.engine?.family.toLowerCase()).toBe(part.family!.toLowerCase())
      const { verdict, plan } = checkNumber(index, {
        have: [{ issuer, number, grade: 'maker' }],
        application: { engine },
        on: '2026-11-30',
      })
      seen.add(`${fits} ${stands}`)
      // A weaker denial is a note, a stronger one a conflict.
      if (denied.has(number)) expect([number, plan], verdict).not.toEqual([number, 'yes'])
      // Another row may list it too: what this one says is the least that is so.
      else if (fits && stands === 'holds')
        expect([number, plan], verdict).not.toEqual([number, 'no'])
    }
  }
  expect([...seen]).toEqual(
    expect.arrayContaining(['true holds', 'true other generation', 'true unknown']),
  )
})

test('numbers of what came with an engine are told with where they hold: a computer of another year is another one', async () => {
  const computer = await store.get('part', 'wick-2-computer')
  const own = async () =>
    (await listedFor(store, computer.ownerId!)).items.filter(({ parts: [one], isOwn }) =>
      isOwn ? one?.id === computer.id : false,
    )
  expect(await own()).toMatchObject([{ number: '811.4 D', stands: 'holds', scope: null }])
  await addNumber(store, computer.id, {
    issuer: 'KSN',
    number: '811.4 E',
    mark: 'catalogue',
    grade: 'maker',
    scope: { targets: { engine: { family: 'Kessarn Wick', generations: ['3rd'] } } },
  })
  expect((await own()).map(({ number, stands }) => [number, stands])).toEqual([
    ['811.4 D', 'holds'],
    ['811.4 E', 'other generation'],
  ])
})

test('a denial is told with the rest, what is struck out is not; by kind of part, and nothing without a family', async () => {
  const bare = await createPart(store, { kind: 'engine', name: 'Engine without a family' })
  expect(await listedFor(store, bare.id)).toEqual({ items: [], total: 0 })
  const { id, family } = (await store.list('part', { kind: 'engine' })).find((one) => one.family)!
  const before = await listedFor(store, id)
  const row = await addApplication(store, {
    issuer: 'MLD',
    number: '999.77',
    fits: 'no',
    grade: 'maker',
    scope: { targets: { engine: { family: family! } } },
  })
  const told = (await listedFor(store, id)).items.find((one) => one.id === row.id)
  expect(told).toMatchObject({ fits: false, stands: 'holds', grade: 'maker', parts: [] })
  await strikeNumberClaim(store, 'application', row.id, { version: row.version, why: 'A slip.' })
  expect(await listedFor(store, id)).toEqual(before)
  const kinds = before.items.map(({ parts: [first] }) => first?.kind ?? '')
  // Each kind stands together.
  expect(kinds.filter((kind, i) => kind !== kinds[i - 1]).length).toBe(new Set(kinds).size)
  await expect(listedFor(store, 'nobody')).rejects.toThrow()
})
