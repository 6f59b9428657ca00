import { type Account, accountOf, type Selection } from './account.ts'
import { lockedOut } from './filters.ts'
import { itemKey } from './ids.ts'
import { type Problem, packsFor } from './problem.ts'

/** A plan that holds, found at once, and what no plan is below. */
export interface FirstPlan {
  /** Null where taking the cheapest of each line by itself breaks a limit. */
  readonly account: Account | null
  readonly skipped: ReadonlySet<string>
  /** Of total and penalties, minor units. */
  readonly bound: number
}

/**
 * The cheapest source of each need by itself, kits and donors apart, as long as the account holds; and a bound: each need at
 * its cheapest, bundles at what they cost or bring at least, shipping left out.
 */
export function firstPlan(problem: Problem): FirstPlan {
  const out = lockedOut(problem, new Set())
  const lockedIn = (problem.locks ?? []).filter(({ way }) => way === 'in')
  const forced = new Set(lockedIn.flatMap(({ candidate }) => candidate ?? []))
  const least = new Map<string, { id: string | null; cost: number }>()
  const offer = (need: string, id: string | null, cost: number): void => {
    const held = least.get(need)
    if (!held || cost < held.cost) least.set(need, { id, cost })
  }
  const quantity = new Map(problem.needs.map((need) => [need.id, need.quantity]))
  const bound = new Map<string, number>()
  const atLeast = (need: string, cost: number): void => {
    bound.set(need, Math.min(bound.get(need) ?? Infinity, cost))
  }
  for (const { id, optional, penaltyMinor = 0 } of problem.needs)
    if (optional) {
      offer(id, null, penaltyMinor)
      atLeast(id, penaltyMinor)
    }
  for (const { id, need, priceMinor, pack } of problem.candidates) {
    if (out.candidates.has(id) || !quantity.has(need)) continue
    const cost = packsFor(quantity.get(need)!, pack) * priceMinor
    offer(need, id, forced.has(id) ? -Infinity : cost)
    atLeast(need, cost)
  }
  let bundled = 0
  for (const { id, priceMinor, scrapMinor = 0, items } of problem.bundles) {
    if (out.bundles.has(id)) continue
    let brings = priceMinor - scrapMinor
    for (const { id: item, need, stripMinor = 0, resaleMinor = 0, held } of items) {
      const sold = held ? 0 : resaleMinor
      brings -= sold
      if (quantity.has(need) && !out.items.has(itemKey(id, item))) atLeast(need, stripMinor + sold)
    }
    bundled += Math.min(0, brings)
  }
  const selection: Selection = {
    candidates: new Set([...least.values()].flatMap(({ id }) => id ?? [])),
    bundles: new Set(),
    items: new Set(),
    skipped: new Set([...least].flatMap(([need, { id }]) => (id === null ? need : []))),
  }
  const account = accountOf(problem, selection)
  const holds =
    account.broken.length === 0 &&
    lockedIn.every(({ candidate, supplier }) =>
      candidate !== undefined
        ? selection.candidates.has(candidate)
        : account.baskets.some((basket) => basket.supplier === supplier),
    )
  return {
    account: holds ? account : null,
    skipped: selection.skipped,
    bound: [...bound.values()].reduce((sum, cost) => sum + cost, bundled),
  }
}
