import loadHighs from 'highs'
import { xorshift128plus } from 'pure-rand/generator/xorshift128plus'
import type { Problem } from '../core/sourcing/problem.ts'
import { solveSourcing } from '../core/sourcing/solve.ts'
import { highsSolve } from '../server/jobs/highs.ts'
import { median, megabytes, type Row } from './row.ts'

/** Seeded instance: suppliers that carry about a quarter of the needs each, tiers, free-over, minimum orders, kits and donors. */
export function instance(
  seed: number,
  needs: number,
  candidates: number,
  bundles: number,
  suppliers: number,
): Problem {
  const random = xorshift128plus(seed)
  const int = (low: number, high: number): number =>
    low + ((random.next() >>> 0) % (high - low + 1))
  const chance = (percent: number): boolean => int(0, 99) < percent
  const base = Array.from({ length: needs }, () => int(200, 20_000))
  const carries = Array.from({ length: suppliers }, () =>
    Array.from({ length: needs }, () => chance(25)),
  )
  const need = (n: number): string => `n${n}`
  return {
    currency: 'EUR',
    needs: base.map((_, n) => ({ id: need(n), quantity: chance(20) ? int(2, 12) : 1 })),
    suppliers: Array.from({ length: suppliers }, (_, s) => ({
      id: `s${s}`,
      ...(chance(20) ? { minimumMinor: int(1000, 6000) } : {}),
      shipping: [
        { id: 'small', chargeMinor: int(400, 900), upToG: int(2000, 8000) },
        { id: 'large', chargeMinor: int(1200, 2600) },
        ...(chance(60) ? [{ id: 'free', chargeMinor: 0, fromMinor: int(8000, 40_000) }] : []),
      ],
    })),
    candidates: Array.from({ length: candidates }, (_, c) => {
      const n = c % needs
      const sellers = carries.flatMap((row, s) => (row[n] ? [s] : []))
      const supplier =
        sellers.length > 0 ? sellers[int(0, sellers.length - 1)]! : int(0, suppliers - 1)
      return {
        id: `c${c}`,
        need: need(n),
        source: 'buy' as const,
        supplier: `s${supplier}`,
        priceMinor: Math.max(1, Math.round((base[n]! * int(70, 140)) / 100)),
        weightG: int(50, 2500),
        ...(chance(15) ? { pack: int(2, 10) } : {}),
      }
    }),
    bundles: Array.from({ length: bundles }, (_, b) => {
      const items = Array.from({ length: int(3, 8) }, (_, i) => ({
        id: `i${i}`,
        n: int(0, needs - 1),
      })).filter((one, i, all) => all.findIndex((other) => other.n === one.n) === i)
      const worth = items.reduce((sum, item) => sum + base[item.n]!, 0)
      const donor = b % 3 === 0
      return {
        id: `b${b}`,
        kind: donor ? ('donor' as const) : ('kit' as const),
        ...(donor
          ? { scrapMinor: int(0, 4000) }
          : { supplier: `s${b % suppliers}`, weightG: int(500, 6000) }),
        priceMinor: Math.round((worth * int(55, 105)) / 100),
        items: items.map(({ id, n }) => ({
          id,
          need: need(n),
          ...(donor
            ? { stripMinor: int(100, 3000), resaleMinor: Math.round((base[n]! * int(5, 50)) / 100) }
            : {}),
        })),
      }
    }),
    limits: { maxSuppliers: Math.max(3, Math.round(suppliers / 2)), maxDonors: 2 },
  }
}

const SEEDS = [1, 2, 3, 4, 5]

export async function benchSourcing(): Promise<Row[]> {
  const highs = await loadHighs()
  const size = [40, 400, 15, 10] as const
  const seconds: number[] = []
  const firsts: number[] = []
  let proven = 0
  for (const seed of SEEDS) {
    const problem = instance(seed, ...size)
    const from = performance.now()
    let told = Number.NaN
    let moves = 0
    const onProgress = (best: number): void => {
      moves++
      if (Number.isNaN(told) && Math.abs(best) < 1e20) told = performance.now() - from
    }
    const plan = solveSourcing(problem, highsSolve(highs, { onProgress }), 60_000, onProgress)
    firsts.push(told / 1000)
    console.log(`  first plan told after ${firsts.at(-1)!.toFixed(3)} s, told ${moves} times`)
    seconds.push((performance.now() - from) / 1000)
    if (plan.status === 'proven') proven++
    console.log(
      `  sourcing ${size.join('/')} seed ${seed}: ${plan.status} ${plan.totalMinor} in ${seconds.at(-1)!.toFixed(2)} s, open ${plan.open.length}`,
    )
  }
  return [
    {
      name: `sourcing ${size.join('/')}: time to proof`,
      value: Number(median(seconds).toFixed(2)),
      unit: 's',
      goal: 3,
      better: 'lower',
      percentile: 'median',
      runs: SEEDS.length,
      seed: SEEDS.join(),
    },
    {
      name: `sourcing ${size.join('/')}: first plan told`,
      value: Number(Math.max(...firsts).toFixed(2)),
      unit: 's',
      goal: 1,
      better: 'lower',
      percentile: 'worst',
      runs: SEEDS.length,
      seed: SEEDS.join(),
    },
    {
      name: `sourcing ${size.join('/')}: proven`,
      value: proven,
      unit: `of ${SEEDS.length}`,
      goal: SEEDS.length,
      better: 'higher',
      runs: SEEDS.length,
      seed: SEEDS.join(),
    },
    {
      name: 'sourcing: memory after five models',
      value: megabytes(),
      unit: 'MB',
      goal: null,
      better: 'lower',
      runs: 1,
    },
  ]
}
