import { expect, test } from 'vitest'
import { itemKey } from './ids.ts'
import { buildModel } from './model.ts'
import type { Problem } from './problem.ts'

const problem: Problem = {
  currency: 'EUR',
  needs: [
    { id: 'a', quantity: 3 },
    { id: 'b', quantity: 1, optional: true, penaltyMinor: 40 },
  ],
  candidates: [
    { id: 'a1', need: 'a', source: 'buy', supplier: 's', priceMinor: 100, pack: 2, weightG: 400 },
    { id: 'a2', need: 'a', source: 'buy', supplier: 's', priceMinor: 70, weightG: 900 },
    { id: 'b1', need: 'b', source: 'keep', priceMinor: 0 },
  ],
  bundles: [
    {
      id: 'd',
      kind: 'donor',
      priceMinor: 500,
      scrapMinor: 50,
      items: [
        { id: 'i', need: 'a', stripMinor: 20, resaleMinor: 60 },
        { id: 'h', need: 'b', resaleMinor: 30, held: true },
      ],
    },
  ],
  suppliers: [
    {
      id: 's',
      minimumMinor: 150,
      shipping: [
        { id: 'small', chargeMinor: 10, upToG: 1000 },
        { id: 'large', chargeMinor: 25 },
        { id: 'never', chargeMinor: 0, fromMinor: 99_999 },
      ],
    },
  ],
}

/** Rows as plain objects, for reading. */
function rowsOf({
  model,
}: ReturnType<typeof buildModel>): { terms: Record<number, number>; low: number; high: number }[] {
  return Array.from({ length: model.numRows }, (_, row) => {
    const terms: Record<number, number> = {}
    for (let at = model.starts[row]!; at < model.starts[row + 1]!; at++)
      terms[model.indices[at]!] = model.values[at]!
    return { terms, low: model.rowLower[row]!, high: model.rowUpper[row]! }
  })
}

test('costs: packs × price, bundle less scrap and resale, items strip plus resale forgone, a held item nothing', () => {
  const { model } = buildModel(problem)
  // a1 2 packs, a2 3, b1, donor, its item, its held item, skipping b, supplier, small, large. A tier out of reach has no column.
  expect([...model.cost]).toEqual([200, 210, 0, 500 - 50 - 60, 20 + 60, 0, 40, 0, 10, 25])
})

test('every need has exactly one source; items only with their bundle; one link per need and supplier', () => {
  const rows = rowsOf(buildModel(problem))
  expect(rows[0]).toEqual({ terms: { 0: 1, 1: 1, 4: 1 }, low: 1, high: 1 })
  expect(rows[1]).toEqual({ terms: { 2: 1, 5: 1, 6: 1 }, low: 1, high: 1 })
  expect(rows).toContainEqual({ terms: { 4: 1, 3: -1 }, low: -Infinity, high: 0 })
  expect(rows).toContainEqual({ terms: { 0: 1, 1: 1, 7: -1 }, low: -Infinity, high: 0 })
})

test('thresholds as the supplier lists goods, weight against the tier, heavy options only with a tier that carries them', () => {
  const rows = rowsOf(buildModel(problem))
  expect(rows).toContainEqual({
    terms: { 0: 200, 1: 210, 8: -150, 9: -150 },
    low: 0,
    high: Infinity,
  })
  expect(rows).toContainEqual({
    terms: { 0: 800, 1: 2700, 8: -1000, 9: -2700 },
    low: -Infinity,
    high: 0,
  })
  expect(rows).toContainEqual({ terms: { 1: 1, 9: -1 }, low: -Infinity, high: 0 })
})

test('a rule left out leaves its rows out; feasibility alone costs nothing', () => {
  const without = buildModel(problem, new Set(['minimum:s', 'weight:s']), true)
  expect(
    rowsOf(without).some(({ terms }) => Object.values(terms).some((value) => Math.abs(value) > 1)),
  ).toBe(false)
  expect([...without.model.cost].every((cost) => cost === 0)).toBe(true)
})

test('locks in fix a column at 1; out and bans take columns away', () => {
  const locked = (locks: Problem['locks'], banned: string[] = []) =>
    buildModel({ ...problem, locks, limits: { banned } }).model
  expect(locked([{ id: 'l', way: 'in', candidate: 'a2' }]).colLower[1]).toBe(1)
  expect(locked([{ id: 'l', way: 'out', candidate: 'a2' }]).numCols).toBe(9)
  expect(locked([], ['s']).numCols).toBe(5)
})

test('a 0/1 answer reads back as what is taken', () => {
  const built = buildModel(problem)
  const answer = new Float64Array(built.model.numCols)
  for (const column of [0, 3, 5, 7, 8]) answer[column] = 1
  expect(built.read(answer)).toEqual({
    candidates: new Set(['a1']),
    bundles: new Set(['d']),
    items: new Set([itemKey('d', 'h')]),
    skipped: new Set(),
  })
})

test('an answer that is not whole is refused', () => {
  const built = buildModel(problem)
  expect(() => built.read(new Float64Array(built.model.numCols).fill(0.4))).toThrow(/not whole/)
  expect(built.read(new Float64Array(built.model.numCols).fill(1e-7)).candidates.size).toBe(0)
})
