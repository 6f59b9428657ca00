import { insertionPlace } from '../../../core/pairing/closing.ts'
import type { CompiledPart } from '../../../core/ports/index.ts'
import { PART_KINDS } from '../../../core/ports/part-kinds.ts'
import type { RowOf, Store } from '../../database/store.ts'
import type { Catalogue } from './catalogue.ts'
import { leastCost } from './least-cost.ts'
import { leastPrices } from './offered.ts'

/** What may be put in and what it costs: the same object while neither changes, so that what leans on it can be kept. */
export interface Insertables {
  readonly parts: readonly CompiledPart[]
  /** Cheapest known price of each part, for ranking sets that are otherwise equal; Infinity where none is known. */
  readonly cost: (partId: string) => number
}

interface Kept {
  readonly madeOf: readonly unknown[]
  readonly costs: readonly number[]
  readonly found: Insertables
}
const kept = new WeakMap<object, Map<string, Kept>>()
const listed = new WeakMap<object, readonly CompiledPart[]>()

/** Plates, spacers, wheels and pilots that belong to nothing, by id. */
function loose({ kinds, rows, ofKind }: Catalogue): readonly CompiledPart[] {
  let found = listed.get(kinds)
  if (!found) {
    found = Object.keys(PART_KINDS)
      .flatMap((kind) => ofKind(kind))
      .filter((part) => insertionPlace(part) !== null && !rows.get(part.id)?.ownerId)
      .sort((p, q) => (p.id < q.id ? -1 : 1))
    listed.set(kinds, found)
  }
  return found
}

/** What may be put between engine and gearbox of a build, with the cheapest price of each in its money. */
export async function insertablesOf(
  store: Store,
  build: RowOf<'build'>,
  catalogue: Catalogue,
): Promise<Insertables> {
  const parts = loose(catalogue)
  const { of, changes } = await leastPrices(
    store,
    parts.map((part) => part.id),
  )
  const { kits, rates } = catalogue.trade
  const madeOf = [parts, changes, kits, rates, build.currency, build.taxRate]
  let held = kept.get(store.root)
  if (!held) kept.set(store.root, (held = new Map()))
  const before = held.get(build.id)
  if (before?.madeOf.every((one, i) => one === madeOf[i])) return before.found
  const cost = leastCost(build, parts, of, catalogue.trade)
  const costs = parts.map((part) => cost(part.id))
  const isSame =
    before &&
    before.found.parts.length === parts.length &&
    parts.every((part, i) => part === before.found.parts[i] && costs[i] === before.costs[i])
  const found = isSame ? before.found : { parts, cost }
  held.set(build.id, { madeOf, costs, found })
  return found
}
