import { groupBy } from '../group.ts'
import {
  type Candidate,
  type Conflict,
  type Lock,
  type Problem,
  packsFor,
  type SourcingNeed,
  type Supplier,
  shippingOf,
} from './problem.ts'

/** What counts of a candidate, for all that its need wants. */
interface Weighed {
  readonly candidate: Candidate
  readonly cost: number
  readonly orderValue: number
  readonly weight: number
}

/**
 * Candidates of one need that a best plan may take: one is left out where another of the same supplier does at least as
 * well in every plan. It costs no more and weighs no more; its order value is no smaller, or it reaches the smallest order by
 * itself and either the highest threshold too, or it is cheaper by all that the supplier's shipping can ever differ. Locked
 * ones stay, and push nobody out; of equals the first stays.
 *
 * @param classOf what else tells candidates apart: only those of one class are held against each other
 */
export function undominated(
  candidates: readonly Candidate[],
  { quantity }: Pick<SourcingNeed, 'quantity'>,
  suppliers: ReadonlyMap<string, Supplier>,
  isLocked: (candidate: string) => boolean,
  classOf: (candidate: Candidate) => string = () => '',
): Candidate[] {
  const kept = new Set<Candidate>()
  const groups = groupBy(candidates, (one) => `${one.supplier ?? ''}\u0000${classOf(one)}`)
  for (const own of groups.values()) {
    const terms = termsOf(suppliers.get(own[0]!.supplier ?? ''))
    const front: Weighed[] = []
    const inOrder = own
      .map((candidate) => weigh(candidate, quantity))
      .sort((p, q) => p.cost - q.cost || q.orderValue - p.orderValue || p.weight - q.weight)
    for (const one of inOrder) {
      if (isLocked(one.candidate.id)) kept.add(one.candidate)
      else if (!front.some((other) => dominates(other, one, terms))) {
        kept.add(one.candidate)
        if (isEnough(one.candidate, quantity)) front.push(one)
      }
    }
  }
  return candidates.filter((candidate) => kept.has(candidate))
}

/** A problem without the candidates that no best plan needs: its optimum is the same. */
export function withoutDominated(problem: Problem): Problem {
  const suppliers = new Map(problem.suppliers.map((supplier) => [supplier.id, supplier]))
  const ofNeed = groupBy(problem.candidates, ({ need }) => need)
  const isLocked = lockedIn(problem.locks ?? [])
  const classOf = conflictClass(problem.conflicts ?? [])
  const kept = new Set(
    problem.needs.flatMap((need) =>
      undominated(ofNeed.get(need.id) ?? [], need, suppliers, isLocked, classOf),
    ),
  )
  return { ...problem, candidates: problem.candidates.filter((candidate) => kept.has(candidate)) }
}

/** Candidates of one class fail with the same others. */
export function conflictClass(conflicts: readonly Conflict[]): (candidate: Candidate) => string {
  const classes = new Map<string, string>()
  for (const { id, sides } of conflicts)
    for (const { need, parts } of sides)
      for (const part of parts) {
        const key = `${need}\u0000${part}`
        classes.set(key, `${classes.get(key) ?? ''} ${id}`)
      }
  return ({ need, part }) => (part === undefined ? '' : (classes.get(`${need}\u0000${part}`) ?? ''))
}

/** Whether a candidate is locked, in or out. */
export function lockedIn(locks: readonly Lock[]): (candidate: string) => boolean {
  const locked = new Set(locks.flatMap(({ candidate }) => candidate ?? []))
  return (candidate) => locked.has(candidate)
}

const weigh = (candidate: Candidate, quantity: number): Weighed => {
  const packs = packsFor(quantity, candidate.pack)
  return {
    candidate,
    cost: packs * candidate.priceMinor,
    orderValue: packs * (candidate.orderValueMinor ?? candidate.priceMinor),
    weight: packs * (candidate.weightG ?? 0),
  }
}
const isEnough = ({ stock, pack }: Candidate, quantity: number): boolean =>
  stock === undefined || packsFor(quantity, pack) <= stock

interface Terms {
  /** An order of this value can be sent, whatever it weighs. */
  readonly minimum: number
  /** The order value above which nothing more is gained. */
  readonly highest: number
  /** Most that one way of shipping costs over another. */
  readonly spread: number
}

function termsOf(supplier: Supplier | undefined): Terms {
  if (!supplier) return { minimum: 0, highest: 0, spread: 0 }
  const shipping = shippingOf(supplier)
  const charges = shipping.map(({ chargeMinor }) => chargeMinor)
  const highest = Math.max(...shipping.map(({ fromMinor = 0 }) => fromMinor))
  const takesAny = shipping.some(
    ({ fromMinor = 0, upToG }) => fromMinor === 0 && upToG === undefined,
  )
  return {
    minimum: Math.max(supplier.minimumMinor ?? 0, takesAny ? 0 : highest),
    highest,
    spread: Math.max(...charges) - Math.min(...charges),
  }
}

/** Whether one that costs no more takes the other's place in any plan without loss. */
function dominates(one: Weighed, other: Weighed, { minimum, highest, spread }: Terms): boolean {
  if (one.weight > other.weight) return false
  if (one.orderValue >= other.orderValue) return true
  return one.orderValue >= minimum && (one.orderValue >= highest || other.cost - one.cost >= spread)
}
