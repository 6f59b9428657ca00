import loadHighs from 'highs'
import { xorshift128plus } from 'pure-rand/generator/xorshift128plus'
import { expect, test } from 'vitest'
import { highsSolve } from '../../server/jobs/highs.ts'
import { setAsideOpen } from './filters.ts'
import { firstPlan } from './first-plan.ts'
import type { Problem } from './problem.ts'
import { solveSourcing } from './solve.ts'

const highs = await loadHighs()

/** Small seeded instances with kits, donors, tiers, minimum orders, limits and locks mixed in. */
function instance(seed: number): Problem {
  const random = xorshift128plus(seed)
  const int = (low: number, high: number): number =>
    low + (((random.next() >>> 0) % (high - low + 1)) as number)
  const chance = (percent: number): boolean => int(0, 99) < percent
  const needs = Array.from({ length: int(3, 4) }, (_, n) => ({
    id: `n${n}`,
    quantity: int(1, 5),
    ...(chance(20) ? { optional: true, penaltyMinor: int(500, 4000) } : {}),
  }))
  const suppliers = Array.from({ length: int(2, 3) }, (_, s) => ({
    id: `s${s}`,
    ...(chance(30) ? { minimumMinor: int(500, 4000) } : {}),
    shipping: [
      { id: 'small', chargeMinor: int(100, 900), ...(chance(40) ? { upToG: int(500, 3000) } : {}) },
      { id: 'large', chargeMinor: int(900, 2500) },
      ...(chance(60) ? [{ id: 'free', chargeMinor: 0, fromMinor: int(1000, 6000) }] : []),
    ],
  }))
  const candidates = Array.from({ length: int(8, 11) }, (_, c) => ({
    id: `c${c}`,
    need: needs[c % needs.length]!.id,
    part: `p${c % 5}`,
    source: 'buy' as const,
    ...(chance(85) ? { supplier: suppliers[int(0, suppliers.length - 1)]!.id } : {}),
    priceMinor: int(50, 3000),
    ...(chance(30) ? { orderValueMinor: int(50, 3000) } : {}),
    ...(chance(30) ? { pack: int(2, 4) } : {}),
    ...(chance(30) ? { stock: int(1, 4) } : {}),
    ...(chance(60) ? { weightG: int(50, 1500) } : {}),
  }))
  const bundles = [0, 1].map((b) => ({
    id: `b${b}`,
    kind: b === 0 ? ('kit' as const) : ('donor' as const),
    ...(b === 0 ? { supplier: 's0' } : {}),
    priceMinor: int(1000, 8000),
    ...(b === 1 ? { scrapMinor: int(0, 1500) } : { weightG: int(0, 2000) }),
    items: needs
      .filter(() => chance(60))
      .map((need, i) => ({
        id: `i${i}`,
        need: need.id,
        part: `p${i}`,
        ...(b === 1
          ? { stripMinor: int(0, 600), resaleMinor: int(0, 2500), held: chance(20) }
          : {}),
        ...(chance(20) ? { quantity: int(1, 5) } : {}),
      })),
  }))
  return {
    currency: 'EUR',
    needs,
    candidates,
    bundles,
    suppliers,
    limits: {
      ...(chance(30) ? { maxSuppliers: int(1, 2) } : {}),
      ...(chance(20) ? { maxDonors: 0 } : {}),
      ...(chance(15) ? { banned: ['s1'] } : {}),
    },
    locks: chance(35)
      ? [
          {
            id: 'L',
            way: chance(60) ? 'in' : 'out',
            ...(chance(50)
              ? { candidate: `c${int(0, 7)}` }
              : chance(50)
                ? { bundle: `b${int(0, 1)}`, ...(chance(40) ? { item: 'i0' } : {}) }
                : { supplier: 's0' }),
          },
        ]
      : [],
    conflicts: chance(50)
      ? Array.from({ length: int(1, 4) }, (_, k) => ({
          id: `fails:${k}`,
          sides: needs
            .slice(0, int(2, needs.length))
            .map(({ id }) => ({ need: id, parts: [`p${int(0, 4)}`, `p${int(0, 4)}`] })),
        }))
      : [],
  }
}

/** Cheapest plan by trying every choice of one source per need and every set of bundles; shares nothing with the model. */
function enumerate(p: Problem): { total: number | null; open: string[] } {
  const covers = (q: number | undefined, need: number): boolean => q === undefined || q >= need
  const open = p.needs.filter((n) => {
    const bought = p.candidates.some(
      (c) => c.need === n.id && Math.ceil(n.quantity / (c.pack ?? 1)) <= (c.stock ?? 1e9),
    )
    return (
      !bought &&
      !p.bundles.some((b) => b.items.some((i) => i.need === n.id && covers(i.quantity, n.quantity)))
    )
  })
  const needs = p.needs.filter((n) => !open.includes(n))
  let best: { objective: number; total: number } | null = null
  const banned = p.limits?.banned ?? []
  for (let mask = 0; mask < 1 << p.bundles.length; mask++) {
    const bought = p.bundles.filter((_, i) => mask & (1 << i))
    const options = needs.map((n) => [
      ...p.candidates
        .filter((c) => c.need === n.id && Math.ceil(n.quantity / (c.pack ?? 1)) <= (c.stock ?? 1e9))
        .map((c) => ({ c, packs: Math.ceil(n.quantity / (c.pack ?? 1)) })),
      ...bought.flatMap((b) =>
        b.items
          .filter((i) => i.need === n.id && covers(i.quantity, n.quantity))
          .map((i) => ({ b, i })),
      ),
      ...(n.optional ? [{ skip: n.penaltyMinor ?? 0 }] : []),
    ])
    const walk = (at: number, picked: any[]): void => {
      if (at < options.length) {
        for (const option of options[at]!) walk(at + 1, [...picked, option])
        return
      }
      let total = 0
      let penalty = 0
      const order: Record<string, { v: number; w: number }> = {}
      const charge = (s: string | undefined, v: number, w: number): void => {
        if (s === undefined) return
        order[s] ??= { v: 0, w: 0 }
        order[s].v += v
        order[s].w += w
      }
      for (const b of bought) {
        total += b.priceMinor - (b.scrapMinor ?? 0)
        for (const i of b.items)
          total += picked.some((o) => o.b === b && o.i === i)
            ? (i.stripMinor ?? 0)
            : i.held
              ? 0
              : -(i.resaleMinor ?? 0)
        charge(b.supplier, b.orderValueMinor ?? b.priceMinor, b.weightG ?? 0)
      }
      for (const o of picked) {
        if (o.c) {
          total += o.packs * o.c.priceMinor
          charge(
            o.c.supplier,
            o.packs * (o.c.orderValueMinor ?? o.c.priceMinor),
            o.packs * (o.c.weightG ?? 0),
          )
        } else if (o.skip !== undefined) penalty += o.skip
      }
      for (const [id, { v, w }] of Object.entries(order)) {
        const supplier = p.suppliers.find((s) => s.id === id)!
        const fitting = supplier.shipping
          .filter((t) => v >= (t.fromMinor ?? 0) && w <= (t.upToG ?? 1e12))
          .map((t) => t.chargeMinor)
        if (v < (supplier.minimumMinor ?? 0) || fitting.length === 0 || banned.includes(id)) return
        total += Math.min(...fitting)
      }
      if (Object.keys(order).length > (p.limits?.maxSuppliers ?? 99)) return
      if (bought.filter((b) => b.kind === 'donor').length > (p.limits?.maxDonors ?? 99)) return
      const partFor = (id: string): string | undefined => {
        const o = picked[needs.findIndex((n) => n.id === id)]
        return o?.c?.part ?? o?.i?.part
      }
      if (
        (p.conflicts ?? []).some(({ sides }) =>
          sides.every(({ need, parts }) => parts.includes(partFor(need) ?? '')),
        )
      )
        return
      for (const lock of p.locks ?? []) {
        const held = lock.item
          ? picked.some((o) => o.b?.id === lock.bundle && o.i?.id === lock.item)
          : lock.candidate
            ? picked.some((o) => o.c?.id === lock.candidate)
            : lock.bundle
              ? bought.some((b) => b.id === lock.bundle)
              : lock.supplier! in order
        if (held !== (lock.way === 'in')) return
      }
      if (best === null || total + penalty < best.objective)
        best = { objective: total + penalty, total }
    }
    walk(0, [])
  }
  return {
    total: (best as { objective: number } | null)?.objective ?? null,
    open: open.map((n) => n.id),
  }
}

test('equals complete enumeration on 240 random small instances', () => {
  let [infeasible, firsts] = [0, 0]
  for (let seed = 1; seed <= 240; seed++) {
    const problem = instance(seed)
    const expected = enumerate(problem)
    const plan = solveSourcing(problem, highsSolve(highs))
    expect([seed, plan.open]).toEqual([seed, expected.open])
    if (expected.total === null) {
      infeasible++
      expect([seed, plan.status]).toEqual([seed, 'infeasible'])
      continue
    }
    // What is told at once holds: nothing is below the bound, and the first plan is no better than the best.
    const { problem: posed } = setAsideOpen(problem)
    const first = firstPlan(posed)
    expect(first.bound).toBeLessThanOrEqual(expected.total)
    if (first.account) {
      firsts++
      expect(first.account.totalMinor + first.account.penaltyMinor).toBeGreaterThanOrEqual(
        expected.total,
      )
    }
    const penalty = plan.skipped.reduce(
      (sum, id) => sum + (problem.needs.find((n) => n.id === id)!.penaltyMinor ?? 0),
      0,
    )
    expect([seed, plan.status, plan.totalMinor! + penalty]).toEqual([
      seed,
      'proven',
      expected.total,
    ])
  }
  expect(infeasible).toBeGreaterThanOrEqual(8)
  expect(firsts).toBeGreaterThan(40)
})

test('a contradiction is explained by a set in which every rule matters', () => {
  let seen = 0
  for (let seed = 1; seed <= 240 && seen < 8; seed++) {
    const problem = instance(seed)
    const plan = solveSourcing(problem, highsSolve(highs))
    if (plan.status !== 'infeasible') continue
    seen++
    expect(plan.because!.length).toBeGreaterThan(0)
    for (const rule of plan.because!)
      expect(
        enumerate(
          without(
            problem,
            plan.because!.filter((other) => other !== rule),
          ),
        ).total,
      ).not.toBeNull()
  }
  expect(seen).toBe(8)
})

/** The problem with only the named rules left standing. */
function without(p: Problem, kept: readonly string[]): Problem {
  return {
    ...p,
    locks: (p.locks ?? []).filter((lock) => kept.includes(lock.id)),
    conflicts: (p.conflicts ?? []).filter(({ id }) => kept.includes(id)),
    limits: {
      ...(kept.includes('maxSuppliers') ? { maxSuppliers: p.limits?.maxSuppliers } : {}),
      ...(kept.includes('maxDonors') ? { maxDonors: p.limits?.maxDonors } : {}),
      banned: (p.limits?.banned ?? []).filter((id) => kept.includes(`banned:${id}`)),
    },
    suppliers: p.suppliers.map((s) => ({
      ...s,
      minimumMinor: kept.includes(`minimum:${s.id}`) ? s.minimumMinor : 0,
      shipping: s.shipping.map((t) => ({
        ...t,
        fromMinor: kept.includes(`minimum:${s.id}`) ? t.fromMinor : 0,
        upToG: kept.includes(`weight:${s.id}`) ? t.upToG : undefined,
      })),
    })),
  }
}
