import { expect, test } from 'vitest'
import { accountOf, type Selection } from './account.ts'
import { lockedOut, setAsideOpen } from './filters.ts'
import { itemKey } from './ids.ts'
import type { Problem } from './problem.ts'

const problem: Problem = {
  currency: 'EUR',
  needs: [
    { id: 'disc', quantity: 1 },
    { id: 'bolt', quantity: 8 },
    { id: 'oil', quantity: 1, optional: true, penaltyMinor: 300 },
  ],
  candidates: [
    {
      id: 'disc-n',
      need: 'disc',
      source: 'buy',
      supplier: 'north',
      priceMinor: 9000,
      weightG: 1200,
    },
    { id: 'disc-keep', need: 'disc', source: 'keep', priceMinor: 0 },
    {
      id: 'bolt-n',
      need: 'bolt',
      source: 'buy',
      supplier: 'north',
      priceMinor: 400,
      orderValueMinor: 350,
      pack: 5,
      stock: 2,
      weightG: 100,
    },
    { id: 'bolt-s', need: 'bolt', source: 'buy', supplier: 'south', priceMinor: 90, stock: 7 },
  ],
  bundles: [
    {
      id: 'kit',
      kind: 'kit',
      supplier: 'south',
      priceMinor: 8000,
      orderValueMinor: 7000,
      weightG: 3000,
      items: [
        { id: 'k1', need: 'disc' },
        { id: 'k2', need: 'bolt', quantity: 4 },
      ],
    },
    {
      id: 'car',
      kind: 'donor',
      priceMinor: 20_000,
      scrapMinor: 4000,
      items: [
        { id: 'd1', need: 'disc', stripMinor: 500, resaleMinor: 3000 },
        { id: 'd2', need: '', resaleMinor: 2500 },
        { id: 'd3', need: '', resaleMinor: 900, held: true },
      ],
    },
  ],
  suppliers: [
    {
      id: 'north',
      minimumMinor: 500,
      shipping: [
        { id: 'letter', chargeMinor: 300, upToG: 1000 },
        { id: 'parcel', chargeMinor: 900 },
        { id: 'free', chargeMinor: 0, fromMinor: 9700 },
      ],
    },
    { id: 'south', minimumMinor: 1000, shipping: [] },
  ],
}

const take = (
  parts: Partial<Record<'candidates' | 'bundles' | 'items' | 'skipped', string[]>>,
): Selection => ({
  candidates: new Set(parts.candidates),
  bundles: new Set(parts.bundles),
  items: new Set(parts.items),
  skipped: new Set(parts.skipped),
})
const skipped = ['oil']

test('packs are rounded up, shipping is the cheapest the order qualifies for', () => {
  const account = accountOf(problem, take({ candidates: ['disc-keep', 'bolt-n'], skipped }))
  expect(account).toMatchObject({
    totalMinor: 800 + 300,
    penaltyMinor: 300,
    broken: [],
    baskets: [{ supplier: 'north', shipping: 'letter', orderValueMinor: 700, weightG: 200 }],
  })
  expect(account.lines.find((line) => line.need === 'bolt')).toMatchObject({
    packs: 2,
    costMinor: 800,
  })
})

test('free-over counts goods as the supplier lists them, inclusive', () => {
  expect(accountOf(problem, take({ candidates: ['disc-n', 'bolt-n'], skipped }))).toMatchObject({
    totalMinor: 9000 + 800,
    baskets: [{ shipping: 'free', orderValueMinor: 9700 }],
  })
})

test('a donor: price less scrap, resale of what is neither used nor held, strip labour of what is used', () => {
  const used = accountOf(
    problem,
    take({ candidates: ['bolt-n'], bundles: ['car'], items: [itemKey('car', 'd1')], skipped }),
  )
  expect(used.totalMinor).toBe(20_000 - 4000 - 2500 + 500 + 800 + 300)
  const unused = accountOf(
    problem,
    take({ candidates: ['disc-keep', 'bolt-n'], bundles: ['car'], skipped }),
  )
  expect(unused.totalMinor).toBe(20_000 - 4000 - 2500 - 3000 + 800 + 300)
})

test.each<[string, Selection, RegExp]>([
  ['a need without a source', take({ candidates: ['disc-keep'], skipped }), /bolt has 0 sources/],
  [
    'a need with two',
    take({ candidates: ['disc-keep', 'disc-n', 'bolt-n'], skipped }),
    /disc has 2 sources/,
  ],
  ['stock too short', take({ candidates: ['disc-keep', 'bolt-s'], skipped }), /too little stock/],
  ['an order too small', take({ candidates: ['disc-keep', 'bolt-s'], skipped }), /larger order/],
  [
    'an item without its bundle',
    take({ candidates: ['bolt-n'], items: [itemKey('car', 'd1')], skipped }),
    /is not bought/,
  ],
  [
    'an item that covers only part',
    take({ candidates: ['disc-keep'], bundles: ['kit'], items: [itemKey('kit', 'k2')], skipped }),
    /only part/,
  ],
  [
    'a need left out that is not optional',
    take({ candidates: ['disc-keep'], skipped: ['oil', 'bolt'] }),
    /not optional/,
  ],
])('%s is told', (_, selection, says) => {
  expect(accountOf(problem, selection).broken.join('; ')).toMatch(says)
})

test('limits are counted on orders placed', () => {
  const both = take({
    candidates: ['bolt-n'],
    bundles: ['kit'],
    items: [itemKey('kit', 'k1')],
    skipped,
  })
  expect(accountOf(problem, both).broken).toEqual([])
  expect(accountOf({ ...problem, limits: { maxSuppliers: 1 } }, both).broken).toEqual([
    'too many suppliers',
  ])
  expect(accountOf({ ...problem, limits: { banned: ['south'] } }, both).broken).toEqual([
    'south is banned',
  ])
  expect(
    accountOf(
      { ...problem, limits: { maxDonors: 0 } },
      take({ candidates: ['disc-keep', 'bolt-n'], bundles: ['car'], skipped }),
    ).broken,
  ).toEqual(['too many donors'])
})

test('a need is open only where nothing reaches it before locks, bans and limits', () => {
  const { open, problem: left } = setAsideOpen(problem)
  expect(open).toEqual(['oil'])
  expect(left.candidates.map((one) => one.id)).toEqual(['disc-n', 'disc-keep', 'bolt-n'])
  expect(
    setAsideOpen({
      ...problem,
      candidates: problem.candidates.filter((one) => one.need !== 'bolt'),
    }).open,
  ).toEqual(['bolt', 'oil'])
})

test('what locks and bans take out is told with the rule that did it, and comes back when the rule is dropped', () => {
  const locked: Problem = {
    ...problem,
    limits: { banned: ['south'] },
    locks: [
      { id: 'L1', way: 'out', candidate: 'disc-n' },
      { id: 'L2', way: 'out', bundle: 'car' },
      { id: 'L3', way: 'in', candidate: 'disc-keep' },
    ],
  }
  const out = lockedOut(locked, new Set())
  expect([...out.candidates]).toEqual([
    ['bolt-s', 'banned:south'],
    ['disc-n', 'L1'],
  ])
  expect([...out.bundles]).toEqual([
    ['kit', 'banned:south'],
    ['car', 'L2'],
  ])
  expect([...lockedOut(locked, new Set(['L1', 'banned:south'])).candidates]).toEqual([])
})
