import createGlpk from 'glpk.js/node'
import loadHighs from 'highs'
import { xorshift128plus } from 'pure-rand/generator/xorshift128plus'
import { expect, test } from 'vitest'
import { highsSolve } from '../../server/jobs/highs.ts'
import { buildModel } from './model.ts'
import type { Problem } from './problem.ts'
import { solveSourcing } from './solve.ts'

const highs = await loadHighs()
const glpk = await createGlpk()

/** A mid-size instance: 14 needs, 70 candidates, kits and donors, tiers and minimum orders. */
function instance(seed: number): Problem {
  const random = xorshift128plus(seed)
  const int = (low: number, high: number): number =>
    low + ((random.next() >>> 0) % (high - low + 1))
  const needs = Array.from({ length: 14 }, (_, n) => ({ id: `n${n}`, quantity: int(1, 6) }))
  return {
    currency: 'EUR',
    needs,
    suppliers: Array.from({ length: 5 }, (_, s) => ({
      id: `s${s}`,
      ...(s % 2 ? { minimumMinor: int(1000, 5000) } : {}),
      shipping: [
        { id: 'small', chargeMinor: int(300, 700), upToG: int(2000, 6000) },
        { id: 'large', chargeMinor: int(900, 2000) },
        { id: 'free', chargeMinor: 0, fromMinor: int(6000, 20_000) },
      ],
    })),
    candidates: Array.from({ length: 70 }, (_, c) => ({
      id: `c${c}`,
      need: `n${c % 14}`,
      source: 'buy' as const,
      supplier: `s${int(0, 4)}`,
      priceMinor: int(100, 6000),
      weightG: int(50, 1500),
      pack: int(1, 4),
    })),
    bundles: Array.from({ length: 5 }, (_, b) => ({
      id: `b${b}`,
      kind: b < 3 ? ('kit' as const) : ('donor' as const),
      ...(b < 3 ? { supplier: `s${b}` } : { scrapMinor: int(0, 2000) }),
      priceMinor: int(2000, 15_000),
      items: [0, 1, 2, 3].map((i) => ({
        id: `i${i}`,
        need: `n${(b * 3 + i) % 14}`,
        ...(b < 3 ? {} : { stripMinor: int(0, 800), resaleMinor: int(0, 2500) }),
      })),
    })),
    limits: { maxSuppliers: 4, maxDonors: 1 },
  }
}

/** The optimum of the built model by a second, independent solver. */
async function byGlpk(problem: Problem): Promise<number> {
  const { model } = buildModel(problem)
  const name = (column: number): string => `x${column}`
  const columns = Array.from({ length: model.numCols }, (_, column) => name(column))
  const { result } = await glpk.solve(
    {
      name: 'sourcing',
      objective: {
        direction: glpk.GLP_MIN,
        name: 'cost',
        vars: columns.map((column, i) => ({ name: column, coef: model.cost[i]! })),
      },
      subjectTo: Array.from({ length: model.numRows }, (_, row) => {
        const low = model.rowLower[row]!
        const high = model.rowUpper[row]!
        const type =
          low === high
            ? glpk.GLP_FX
            : low === -Infinity
              ? glpk.GLP_UP
              : high === Infinity
                ? glpk.GLP_LO
                : glpk.GLP_DB
        const vars: { name: string; coef: number }[] = []
        for (let at = model.starts[row]!; at < model.starts[row + 1]!; at++)
          vars.push({ name: name(model.indices[at]!), coef: model.values[at]! })
        return {
          name: `r${row}`,
          vars,
          bnds: { type, lb: low === -Infinity ? 0 : low, ub: high === Infinity ? 0 : high },
        }
      }),
      binaries: columns,
    },
    { msglev: glpk.GLP_MSG_OFF, presol: true, mipgap: 0 },
  )
  expect(result.status).toBe(glpk.GLP_OPT)
  return Math.round(result.z)
}

test('a second solver finds the same optimum on mid-size instances', async () => {
  for (let seed = 1; seed <= 12; seed++) {
    const plan = solveSourcing(instance(seed), highsSolve(highs))
    expect([seed, plan.status, plan.totalMinor]).toEqual([
      seed,
      'proven',
      await byGlpk(instance(seed)),
    ])
  }
})

test('stopped at once, the answer says so and shows no plan as proven', () => {
  const plan = solveSourcing(instance(3), highsSolve(highs, { shouldStop: () => true }), 1)
  expect(['none', 'gap', 'proven']).toContain(plan.status)
  if (plan.status === 'gap') expect(plan.boundMinor!).toBeLessThanOrEqual(plan.totalMinor!)
  if (plan.status === 'none') expect(plan.totalMinor).toBeNull()
})

test('nothing to source is a proven plan of nothing', () => {
  expect(
    solveSourcing(
      { currency: 'EUR', needs: [], candidates: [], bundles: [], suppliers: [] },
      highsSolve(highs),
    ),
  ).toMatchObject({
    status: 'proven',
    totalMinor: 0,
    lines: [],
    open: [],
  })
})

test('a bundle is bought to resell at a gain, and listed', () => {
  const plan = solveSourcing(
    {
      currency: 'EUR',
      needs: [{ id: 'n', quantity: 1 }],
      candidates: [{ id: 'c', need: 'n', source: 'keep', priceMinor: 0 }],
      bundles: [
        {
          id: 'd',
          kind: 'donor',
          priceMinor: 1000,
          items: [{ id: 'i', need: 'n', resaleMinor: 1500 }],
        },
      ],
      suppliers: [],
    },
    highsSolve(highs),
  )
  expect(plan).toMatchObject({ status: 'proven', totalMinor: -500, bundles: [{ bundle: 'd' }] })
})
