import { groupBy } from '../group.ts'
import type { Selection } from './account.ts'
import { lockedOut, RULE } from './filters.ts'
import { itemKey } from './ids.ts'
import { type Problem, packsFor, shippingOf } from './problem.ts'

/** A binary programme as sparse rows: minimise cost·x, rowLower ≤ A·x ≤ rowUpper. */
export interface SparseModel {
  readonly numCols: number
  readonly numRows: number
  readonly cost: Float64Array
  readonly offset: number
  readonly colLower: Float64Array
  readonly rowLower: Float64Array
  readonly rowUpper: Float64Array
  readonly starts: Int32Array
  readonly indices: Int32Array
  readonly values: Float64Array
}

export interface BuiltModel {
  readonly model: SparseModel
  /** Reads a 0/1 solution back. */
  readonly read: (values: ArrayLike<number>) => Selection
}

class Rows {
  readonly lower: number[] = []
  readonly upper: number[] = []
  readonly starts: number[] = [0]
  readonly indices: number[] = []
  readonly values: number[] = []
  add(terms: readonly (readonly [number, number])[], lower: number, upper: number): void {
    for (const [column, value] of terms) {
      this.indices.push(column)
      this.values.push(value)
    }
    this.starts.push(this.indices.length)
    this.lower.push(lower)
    this.upper.push(upper)
  }
}

/**
 * Builds the programme of one problem: every need one source; items only with their bundle; supplier links per
 * exclusive set (here: the options of one need at one supplier); shipping choices with weight and value rows; limits; locks in.
 *
 * @param dropped rule ids left out, for explaining a contradiction
 * @param feasibilityOnly zero objective
 */
export function buildModel(
  problem: Problem,
  dropped: ReadonlySet<string> = new Set(),
  feasibilityOnly = false,
): BuiltModel {
  const out = lockedOut(problem, dropped)
  const cost: number[] = []
  const forced: number[] = []
  const column = (price: number): number => {
    cost.push(feasibilityOnly ? 0 : price)
    return cost.length - 1
  }
  const quantity = new Map(problem.needs.map((need) => [need.id, need.quantity]))
  const x = new Map<
    string,
    {
      column: number
      need: string
      part?: string
      supplier?: string
      value: number
      weight: number
    }
  >()
  const z = new Map<
    string,
    { column: number; supplier?: string; value: number; weight: number; donor: boolean }
  >()
  const u = new Map<string, { column: number; need: string; bundle: string; part?: string }>()
  const h = new Map<string, number>()

  for (const candidate of problem.candidates) {
    if (out.candidates.has(candidate.id) || !quantity.has(candidate.need)) continue
    const packs = packsFor(quantity.get(candidate.need)!, candidate.pack)
    x.set(candidate.id, {
      column: column(packs * candidate.priceMinor),
      need: candidate.need,
      ...(candidate.part === undefined ? {} : { part: candidate.part }),
      ...(candidate.supplier === undefined ? {} : { supplier: candidate.supplier }),
      value: packs * (candidate.orderValueMinor ?? candidate.priceMinor),
      weight: packs * (candidate.weightG ?? 0),
    })
  }
  for (const bundle of problem.bundles) {
    if (out.bundles.has(bundle.id)) continue
    const resale = bundle.items.reduce(
      (sum, item) => sum + (item.held ? 0 : (item.resaleMinor ?? 0)),
      0,
    )
    z.set(bundle.id, {
      column: column(bundle.priceMinor - (bundle.scrapMinor ?? 0) - resale),
      ...(bundle.supplier === undefined ? {} : { supplier: bundle.supplier }),
      value: bundle.orderValueMinor ?? bundle.priceMinor,
      weight: bundle.weightG ?? 0,
      donor: bundle.kind === 'donor',
    })
    for (const item of bundle.items) {
      if (
        !quantity.has(item.need) ||
        out.items.has(itemKey(bundle.id, item.id)) ||
        (item.quantity !== undefined && item.quantity < quantity.get(item.need)!)
      )
        continue
      u.set(itemKey(bundle.id, item.id), {
        column: column((item.stripMinor ?? 0) + (item.held ? 0 : (item.resaleMinor ?? 0))),
        need: item.need,
        bundle: bundle.id,
        ...(item.part === undefined ? {} : { part: item.part }),
      })
    }
  }
  for (const need of problem.needs)
    if (need.optional) h.set(need.id, column(need.penaltyMinor ?? 0))

  const rows = new Rows()
  // need
  const byNeed = new Map<string, [number, number][]>(problem.needs.map((need) => [need.id, []]))
  for (const option of x.values()) byNeed.get(option.need)!.push([option.column, 1])
  for (const item of u.values()) byNeed.get(item.need)!.push([item.column, 1])
  for (const [need, skip] of h) byNeed.get(need)!.push([skip, 1])
  for (const terms of byNeed.values()) rows.add(terms, 1, 1)
  // bundle
  for (const item of u.values())
    rows.add(
      [
        [item.column, 1],
        [z.get(item.bundle)!.column, -1],
      ],
      -Infinity,
      0,
    )
  // suppliers
  const y = new Map<string, number>()
  for (const supplier of problem.suppliers) {
    const sold = [...x.values()].filter((option) => option.supplier === supplier.id)
    const kits = [...z.values()].filter((bundle) => bundle.supplier === supplier.id)
    if (sold.length === 0 && kits.length === 0) continue
    const used = column(0)
    y.set(supplier.id, used)
    const sets = new Map<string, typeof sold>()
    for (const option of sold) sets.set(option.need, [...(sets.get(option.need) ?? []), option])
    for (const set of sets.values())
      rows.add(
        [...set.map((option): [number, number] => [option.column, 1]), [used, -1]],
        -Infinity,
        0,
      )
    for (const kit of kits)
      rows.add(
        [
          [kit.column, 1],
          [used, -1],
        ],
        -Infinity,
        0,
      )
    // An order is placed only where something is ordered.
    rows.add(
      [[used, 1], ...[...sold, ...kits].map((option): [number, number] => [option.column, -1])],
      -Infinity,
      0,
    )

    const threshold = (from = 0): number =>
      dropped.has(RULE.minimum(supplier.id)) ? 0 : Math.max(from, supplier.minimumMinor ?? 0)
    const best = [...sets.values()].map((set) => ({
      value: Math.max(...set.map((o) => o.value)),
      weight: Math.max(...set.map((o) => o.weight)),
    }))
    const mostValue =
      best.reduce((sum, one) => sum + Math.max(0, one.value), 0) +
      kits.reduce((sum, kit) => sum + Math.max(0, kit.value), 0)
    const mostWeight =
      best.reduce((sum, one) => sum + one.weight, 0) +
      kits.reduce((sum, kit) => sum + kit.weight, 0)
    const capOf = (upTo: number | undefined): number =>
      dropped.has(RULE.weight(supplier.id)) ? mostWeight : Math.min(upTo ?? Infinity, mostWeight)
    const choices = shippingOf(supplier)
      .map((choice) => ({ choice, from: threshold(choice.fromMinor), cap: capOf(choice.upToG) }))
      .filter(({ from }) => from <= mostValue)
    const columns = choices.map(({ choice, from, cap }) => ({
      from,
      cap,
      column: column(choice.chargeMinor),
    }))
    rows.add([...columns.map((one): [number, number] => [one.column, 1]), [used, -1]], 0, 0)
    if (columns.some((one) => one.from > 0))
      rows.add(
        [
          ...[...sold, ...kits].map((option): [number, number] => [option.column, option.value]),
          ...columns.map((one): [number, number] => [one.column, -one.from]),
        ],
        0,
        Infinity,
      )
    const caps = [...new Set(columns.map((one) => one.cap).filter((cap) => cap < mostWeight))]
    if (caps.length > 0)
      rows.add(
        [
          ...[...sold, ...kits].map((option): [number, number] => [option.column, option.weight]),
          ...columns.map((one): [number, number] => [one.column, -one.cap]),
        ],
        -Infinity,
        0,
      )
    // Heavy items need a tier that carries them.
    for (const cap of caps) {
      const carriers = columns
        .filter((one) => one.cap > cap)
        .map((one): [number, number] => [one.column, -1])
      for (const set of [...sets.values(), ...kits.map((kit) => [kit])]) {
        const heavy = set.filter((option) => option.weight > cap)
        if (heavy.length > 0)
          rows.add(
            [...heavy.map((option): [number, number] => [option.column, 1]), ...carriers],
            -Infinity,
            0,
          )
      }
    }
  }
  // limits
  const { maxSuppliers, maxDonors } = problem.limits ?? {}
  if (maxSuppliers !== undefined && !dropped.has(RULE.maxSuppliers))
    rows.add(
      [...y.values()].map((c): [number, number] => [c, 1]),
      -Infinity,
      maxSuppliers,
    )
  if (maxDonors !== undefined && !dropped.has(RULE.maxDonors))
    rows.add(
      [...z.values()].filter((b) => b.donor).map((b): [number, number] => [b.column, 1]),
      -Infinity,
      maxDonors,
    )
  // locks in
  for (const lock of problem.locks ?? []) {
    if (lock.way !== 'in' || dropped.has(lock.id)) continue
    const target =
      lock.candidate !== undefined
        ? x.get(lock.candidate)?.column
        : lock.bundle !== undefined
          ? lock.item !== undefined
            ? u.get(itemKey(lock.bundle, lock.item))?.column
            : z.get(lock.bundle)?.column
          : y.get(lock.supplier ?? '')
    if (target === undefined) rows.add([], 1, 1)
    else forced.push(target)
  }

  // Not one of every side together: each need has one source.
  const ofNeed = groupBy([...x.values(), ...u.values()], ({ need }) => need)
  for (const { id, sides } of problem.conflicts ?? []) {
    if (dropped.has(id)) continue
    const terms = sides.flatMap(({ need, parts }) => {
      const named = new Set(parts)
      return (ofNeed.get(need) ?? []).flatMap((one): [number, number][] =>
        one.part !== undefined && named.has(one.part) ? [[one.column, 1]] : [],
      )
    })
    if (terms.length > 0) rows.add(terms, -Infinity, sides.length - 1)
  }

  const colLower = new Float64Array(cost.length)
  for (const target of forced) colLower[target] = 1
  const model: SparseModel = {
    numCols: cost.length,
    numRows: rows.lower.length,
    cost: Float64Array.from(cost),
    offset: 0,
    colLower,
    rowLower: Float64Array.from(rows.lower),
    rowUpper: Float64Array.from(rows.upper),
    starts: Int32Array.from(rows.starts),
    indices: Int32Array.from(rows.indices),
    values: Float64Array.from(rows.values),
  }
  const isOne = (values: ArrayLike<number>, target: number): boolean => {
    const value = values[target]!
    if (Math.abs(value - Math.round(value)) > 1e-5)
      throw new RangeError(`The solver's answer is not whole (${value}): not proven.`)
    return Math.round(value) === 1
  }
  return {
    model,
    read: (values) => ({
      candidates: new Set(
        [...x].filter(([, option]) => isOne(values, option.column)).map(([id]) => id),
      ),
      bundles: new Set(
        [...z].filter(([, bundle]) => isOne(values, bundle.column)).map(([id]) => id),
      ),
      items: new Set([...u].filter(([, item]) => isOne(values, item.column)).map(([id]) => id)),
      skipped: new Set([...h].filter(([, skip]) => isOne(values, skip)).map(([id]) => id)),
    }),
  }
}
