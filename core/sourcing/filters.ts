import { itemKey } from './ids.ts'
import { type Candidate, type Problem, packsFor } from './problem.ts'

/** Ids of rules as people know them: locks by their own id, limits and facts by these names. */
export const RULE = {
  banned: (supplier: string): string => `banned:${supplier}`,
  maxSuppliers: 'maxSuppliers',
  maxDonors: 'maxDonors',
  minimum: (supplier: string): string => `minimum:${supplier}`,
  weight: (supplier: string): string => `weight:${supplier}`,
  /** A limit that fails between two parts, in words. */
  fails: (words: string): string => `fails:${words}`,
} as const

/** A need as sourced: needs that no source reaches before locks, bans and limits are set aside as open. */
export interface Filtered {
  readonly problem: Problem
  readonly open: readonly string[]
}

const enoughStock = (candidate: Candidate, quantity: number): boolean =>
  candidate.stock === undefined || packsFor(quantity, candidate.pack) <= candidate.stock

/** Drops candidates without enough stock and items that cover only part, then sets needs without any source aside. */
export function setAsideOpen(problem: Problem): Filtered {
  const quantity = new Map(problem.needs.map((need) => [need.id, need.quantity]))
  const candidates = problem.candidates.filter(
    (candidate) =>
      quantity.has(candidate.need) && enoughStock(candidate, quantity.get(candidate.need)!),
  )
  const covers = (need: string, given?: number): boolean =>
    quantity.has(need) && (given === undefined || given >= quantity.get(need)!)
  const reached = new Set<string>(candidates.map((candidate) => candidate.need))
  for (const bundle of problem.bundles)
    for (const item of bundle.items) if (covers(item.need, item.quantity)) reached.add(item.need)
  const open = problem.needs.filter((need) => !reached.has(need.id)).map((need) => need.id)
  return {
    problem: {
      ...problem,
      needs: problem.needs.filter((need) => reached.has(need.id)),
      candidates,
    },
    open,
  }
}

/** Candidates taken out of the programme by locks and bans, each with the rule that did it. */
export function lockedOut(problem: Problem, dropped: ReadonlySet<string>): LockedOut {
  const candidates = new Map<string, string>()
  const bundles = new Map<string, string>()
  const items = new Map<string, string>()
  const banSupplier = (supplier: string, rule: string): void => {
    for (const candidate of problem.candidates)
      if (candidate.supplier === supplier) candidates.set(candidate.id, rule)
    for (const bundle of problem.bundles)
      if (bundle.supplier === supplier) bundles.set(bundle.id, rule)
  }
  for (const supplier of problem.limits?.banned ?? [])
    if (!dropped.has(RULE.banned(supplier))) banSupplier(supplier, RULE.banned(supplier))
  for (const lock of problem.locks ?? []) {
    if (lock.way !== 'out' || dropped.has(lock.id)) continue
    if (lock.candidate !== undefined) candidates.set(lock.candidate, lock.id)
    if (lock.bundle !== undefined && lock.item !== undefined)
      items.set(itemKey(lock.bundle, lock.item), lock.id)
    else if (lock.bundle !== undefined) bundles.set(lock.bundle, lock.id)
    if (lock.supplier !== undefined) banSupplier(lock.supplier, lock.id)
  }
  return { candidates, bundles, items }
}

/** What is taken out, each with the rule that does it. */
export interface LockedOut {
  readonly candidates: ReadonlyMap<string, string>
  readonly bundles: ReadonlyMap<string, string>
  /** By bundle and item. */
  readonly items: ReadonlyMap<string, string>
}

/** Needs that are not optional and that rules leave without any source. */
export function withoutSource(problem: Problem, dropped: ReadonlySet<string>): string[] {
  const out = lockedOut(problem, dropped)
  const left = new Set(
    problem.candidates.flatMap(({ id, need }) => (out.candidates.has(id) ? [] : need)),
  )
  const quantity = new Map(problem.needs.map((need) => [need.id, need.quantity]))
  for (const bundle of problem.bundles)
    if (!out.bundles.has(bundle.id))
      for (const item of bundle.items)
        if (
          !out.items.has(itemKey(bundle.id, item.id)) &&
          (item.quantity === undefined || item.quantity >= (quantity.get(item.need) ?? 0))
        )
          left.add(item.need)
  return problem.needs.flatMap(({ id, optional }) => (optional || left.has(id) ? [] : id))
}
