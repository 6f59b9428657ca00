import fc from 'fast-check'
import { expect, test } from 'vitest'
import { accountOf } from './account.ts'
import { undominated, withoutDominated } from './dominance.ts'
import type { Candidate, Problem } from './problem.ts'

const minor = fc.integer({ min: 0, max: 60 })
const anyCandidate = (id: string): fc.Arbitrary<Candidate> =>
  fc.record({
    id: fc.constant(id),
    need: fc.constantFrom('n', 'm'),
    part: fc.constantFrom('p', 'q', undefined),
    source: fc.constant('buy' as const),
    supplier: fc.constantFrom('s', 't', undefined),
    priceMinor: minor,
    orderValueMinor: fc.option(minor, { nil: undefined }),
    pack: fc.constantFrom(undefined, 1, 2, 3),
    stock: fc.constantFrom(undefined, undefined, 0, 1, 5),
    weightG: fc.constantFrom(undefined, 0, 10, 20),
  })
const anySupplier = (id: string) =>
  fc.record({
    id: fc.constant(id),
    minimumMinor: fc.constantFrom(undefined, 0, 15, 40),
    shipping: fc.array(
      fc.record({
        id: fc.constant('x'),
        upToG: fc.constantFrom(undefined, 15, 40),
        fromMinor: fc.constantFrom(undefined, 20, 50),
        chargeMinor: fc.integer({ min: 0, max: 12 }),
      }),
      {
        maxLength: 3,
      },
    ),
  })
const anyProblem: fc.Arbitrary<Problem> = fc.record({
  currency: fc.constant('EUR'),
  needs: fc.constantFrom(
    [
      { id: 'n', quantity: 1 },
      { id: 'm', quantity: 3 },
    ],
    [
      { id: 'n', quantity: 4 },
      { id: 'm', quantity: 2 },
    ],
  ),
  candidates: fc.tuple(...Array.from({ length: 7 }, (_, i) => anyCandidate(`c${i}`))),
  bundles: fc.constant([]),
  conflicts: fc.constantFrom(
    undefined,
    [
      {
        id: 'fails:x',
        sides: [
          { need: 'n', parts: ['p'] },
          { need: 'm', parts: ['p', 'q'] },
        ],
      },
    ],
    [
      {
        id: 'fails:y',
        sides: [
          { need: 'n', parts: ['q'] },
          { need: 'm', parts: ['q'] },
        ],
      },
    ],
  ),
  suppliers: fc.tuple(anySupplier('s'), anySupplier('t')),
  limits: fc.constantFrom(undefined, { maxSuppliers: 1 }),
  locks: fc.constantFrom(
    [],
    [{ id: 'L', way: 'in' as const, candidate: 'c0' }],
    [{ id: 'L', way: 'out' as const, candidate: 'c1' }],
    [{ id: 'L', way: 'in' as const, supplier: 's' }],
    [{ id: 'L', way: 'out' as const, supplier: 's' }],
  ),
})

/** The least that every choice of one candidate a need comes to; null where none keeps the rules. */
function cheapest(problem: Problem): number | null {
  const [n, m] = ['n', 'm'].map((need) => problem.candidates.filter((one) => one.need === need))
  const totals = n!.flatMap((p) =>
    m!.flatMap((q) => {
      const { broken, totalMinor } = accountOf(problem, {
        candidates: new Set([p.id, q.id]),
        bundles: new Set(),
        items: new Set(),
        skipped: new Set(),
      })
      return broken.length === 0 ? [totalMinor] : []
    }),
  )
  return totals.length === 0 ? null : Math.min(...totals)
}

test('without the dominated ones the least total is the same, whatever thresholds, weights, stock, limits and locks', () => {
  let dropped = 0
  fc.assert(
    fc.property(anyProblem, (problem) => {
      const less = withoutDominated(problem)
      dropped += problem.candidates.length - less.candidates.length
      expect(cheapest(less)).toBe(cheapest(problem))
    }),
    { numRuns: 4000, seed: 12 },
  )
  expect(dropped).toBeGreaterThan(2000)
})

test('a dearer offer stays where it could bring an order over a threshold, and goes where it could not pay for that', () => {
  const supplier = {
    id: 's',
    shipping: [
      { id: 'parcel', chargeMinor: 500 },
      { id: 'free', chargeMinor: 0, fromMinor: 9000 },
    ],
  }
  const offers = [1000, 1400, 1500, 9000].map(
    (priceMinor, i): Candidate => ({
      id: `o${i}`,
      need: 'n',
      source: 'buy',
      supplier: 's',
      priceMinor,
    }),
  )
  const left = undominated(offers, { quantity: 1 }, new Map([['s', supplier]]), () => false)
  expect(left.map(({ id }) => id)).toEqual(['o0', 'o1'])
  expect(
    undominated(offers, { quantity: 1 }, new Map([['s', supplier]]), (id) => id === 'o3').map(
      ({ id }) => id,
    ),
  ).toEqual(['o0', 'o1', 'o3'])
})
