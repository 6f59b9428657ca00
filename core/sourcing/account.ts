import { itemKey } from './ids.ts'
import {
  type Bundle,
  type Candidate,
  type Problem,
  packsFor,
  type ShippingChoice,
  shippingOf,
} from './problem.ts'

/** What is taken: candidates, bundles, bundle items by `bundle item` id, optional needs left out. */
export interface Selection {
  readonly candidates: ReadonlySet<string>
  readonly bundles: ReadonlySet<string>
  readonly items: ReadonlySet<string>
  readonly skipped: ReadonlySet<string>
}

export interface PlanLine {
  readonly need: string
  readonly candidate?: string
  readonly bundle?: string
  readonly item?: string
  readonly packs: number
  readonly costMinor: number
}

export interface Basket {
  readonly supplier: string
  readonly shipping: string
  readonly shippingMinor: number
  readonly goodsMinor: number
  readonly orderValueMinor: number
  readonly weightG: number
  readonly candidates: readonly string[]
  readonly bundles: readonly string[]
}

export interface Account {
  readonly totalMinor: number
  readonly penaltyMinor: number
  readonly lines: readonly PlanLine[]
  readonly baskets: readonly Basket[]
  readonly bundles: readonly {
    readonly bundle: string
    readonly priceMinor: number
    readonly scrapMinor: number
    readonly resaleMinor: number
    readonly stripMinor: number
  }[]
  /** What the selection breaks, in words; empty when it is feasible. */
  readonly broken: readonly string[]
}

/**
 * Recomputes a selection in integers from offers, bundles and tariffs, without the model: total, baskets with the
 * cheapest shipping each order qualifies for, and whatever it breaks. This total is the one shown.
 */
export function accountOf(problem: Problem, selection: Selection): Account {
  const broken: string[] = []
  const lines: PlanLine[] = []
  const used = {
    suppliers: new Map<
      string,
      { candidates: Candidate[]; bundles: Bundle[]; value: number; weight: number; goods: number }
    >(),
  }
  const orderOf = (supplier: string) => {
    let order = used.suppliers.get(supplier)
    if (!order)
      used.suppliers.set(
        supplier,
        (order = { candidates: [], bundles: [], value: 0, weight: 0, goods: 0 }),
      )
    return order
  }
  let total = 0
  let penalty = 0
  const bundles: Account['bundles'][number][] = []

  for (const bundle of problem.bundles) {
    if (!selection.bundles.has(bundle.id)) continue
    let resale = 0
    let strip = 0
    for (const item of bundle.items) {
      if (selection.items.has(itemKey(bundle.id, item.id))) strip += item.stripMinor ?? 0
      else if (!item.held) resale += item.resaleMinor ?? 0
    }
    const scrap = bundle.scrapMinor ?? 0
    total += bundle.priceMinor - scrap - resale + strip
    bundles.push({
      bundle: bundle.id,
      priceMinor: bundle.priceMinor,
      scrapMinor: scrap,
      resaleMinor: resale,
      stripMinor: strip,
    })
    if (bundle.supplier === undefined) continue
    const order = orderOf(bundle.supplier)
    order.bundles.push(bundle)
    order.value += bundle.orderValueMinor ?? bundle.priceMinor
    order.weight += bundle.weightG ?? 0
    order.goods += bundle.priceMinor
  }

  for (const need of problem.needs) {
    const chosen = problem.candidates.filter(
      (c) => c.need === need.id && selection.candidates.has(c.id),
    )
    const items = problem.bundles.flatMap((bundle) =>
      bundle.items
        .filter((item) => item.need === need.id && selection.items.has(itemKey(bundle.id, item.id)))
        .map((item) => ({ bundle, item })),
    )
    const sources = chosen.length + items.length + (selection.skipped.has(need.id) ? 1 : 0)
    if (sources !== 1) broken.push(`${need.id} has ${sources} sources`)
    for (const candidate of chosen) {
      const packs = packsFor(need.quantity, candidate.pack)
      const cost = packs * candidate.priceMinor
      if (candidate.stock !== undefined && packs > candidate.stock)
        broken.push(`${candidate.id} has too little stock`)
      total += cost
      lines.push({ need: need.id, candidate: candidate.id, packs, costMinor: cost })
      if (candidate.supplier === undefined) continue
      const order = orderOf(candidate.supplier)
      order.candidates.push(candidate)
      order.value += packs * (candidate.orderValueMinor ?? candidate.priceMinor)
      order.weight += packs * (candidate.weightG ?? 0)
      order.goods += cost
    }
    for (const { bundle, item } of items) {
      if (!selection.bundles.has(bundle.id))
        broken.push(`${item.id} is used but ${bundle.id} is not bought`)
      if (item.quantity !== undefined && item.quantity < need.quantity)
        broken.push(`${item.id} covers only part of ${need.id}`)
      lines.push({
        need: need.id,
        bundle: bundle.id,
        item: item.id,
        packs: 1,
        costMinor: item.stripMinor ?? 0,
      })
    }
    if (selection.skipped.has(need.id)) {
      if (!need.optional) broken.push(`${need.id} is not optional`)
      penalty += need.penaltyMinor ?? 0
    }
  }

  const baskets: Basket[] = []
  for (const supplier of problem.suppliers) {
    const order = used.suppliers.get(supplier.id)
    if (!order) continue
    if (order.value < (supplier.minimumMinor ?? 0))
      broken.push(`${supplier.id} asks for a larger order`)
    const choice = cheapestShipping(shippingOf(supplier), order.value, order.weight)
    if (!choice) broken.push(`no shipping of ${supplier.id} carries the order`)
    total += choice?.chargeMinor ?? 0
    baskets.push({
      supplier: supplier.id,
      shipping: choice?.id ?? '',
      shippingMinor: choice?.chargeMinor ?? 0,
      goodsMinor: order.goods,
      orderValueMinor: order.value,
      weightG: order.weight,
      candidates: order.candidates.map((candidate) => candidate.id),
      bundles: order.bundles.map((bundle) => bundle.id),
    })
  }
  const { maxSuppliers, maxDonors, banned = [] } = problem.limits ?? {}
  if (maxSuppliers !== undefined && used.suppliers.size > maxSuppliers)
    broken.push('too many suppliers')
  if (
    maxDonors !== undefined &&
    problem.bundles.filter((b) => b.kind === 'donor' && selection.bundles.has(b.id)).length >
      maxDonors
  )
    broken.push('too many donors')
  const taken = new Map<string, string>()
  for (const { id, need, part } of problem.candidates)
    if (part !== undefined && selection.candidates.has(id)) taken.set(need, part)
  for (const { id, items } of problem.bundles)
    for (const { id: item, need, part } of items)
      if (part !== undefined && selection.items.has(itemKey(id, item))) taken.set(need, part)
  for (const { id, sides } of problem.conflicts ?? [])
    if (sides.every(({ need, parts }) => parts.includes(taken.get(need) ?? '')))
      broken.push(`${id} holds together`)
  for (const id of banned) if (used.suppliers.has(id)) broken.push(`${id} is banned`)
  return { totalMinor: total, penaltyMinor: penalty, lines, baskets, bundles, broken }
}

function cheapestShipping(
  choices: readonly ShippingChoice[],
  value: number,
  weight: number,
): ShippingChoice | undefined {
  return choices
    .filter((choice) => value >= (choice.fromMinor ?? 0) && weight <= (choice.upToG ?? Infinity))
    .reduce<ShippingChoice | undefined>(
      (best, choice) =>
        best === undefined || choice.chargeMinor < best.chargeMinor ? choice : best,
      undefined,
    )
}
