import type { Range } from '../money/range.ts'
import { type Need, seeks } from '../needs/need.ts'
import type { CompiledPart } from '../ports/index.ts'
import { type Bought, boughtFor } from './bought.ts'
import { type BuildMoney, inCurrency } from './build-money.ts'
import { bundlesFor } from './bundles.ts'
import type { Decision } from './decision.ts'
import { comesId, itemKey, keptId, offeredId, typedId } from './ids.ts'
import { keptPieces } from './kept.ts'
import type { Market, SupplierRow } from './market.ts'
import { NO_NUMBER } from './number-says.ts'
import { NumbersAsked } from './numbers-asked.ts'
import { NO_NUMBERS_OF } from './numbers-wanted.ts'
import { assumedOnly, type Judge, refusedWith, sourced, strongestGrade } from './offer-matches.ts'
import {
  type Bundle,
  type Candidate,
  type Conflict,
  type Lock,
  type Problem,
  packsFor,
  type Source,
  type Supplier,
} from './problem.ts'
import type { SourceInfo } from './source-info.ts'

export interface Gathered {
  /** Bought candidates that no best plan takes are left out of it. */
  readonly problem: Problem
  readonly sources: Sources
  /** Offers, kits and donors that could not be candidates, with what to do. */
  readonly excluded: readonly { readonly id: string; readonly why: string }[]
  /** Locks that hold nothing any more, each with the reason: they are left out until it is back. */
  readonly resting: ReadonlyMap<string, string>
  /** The problem with sources cut off that fail with one another. */
  readonly withConflicts: (conflicts: readonly Conflict[]) => Problem
  /** Parts that a need could be met by, wherever they come from. */
  readonly partsFor: (need: string) => readonly CompiledPart[]
}

/** What is shown of the sources of a build, worked out when it is looked at: there may be hundreds of thousands. */
export class Sources {
  readonly #own: ReadonlyMap<string, readonly SourceInfo[]>
  readonly #bought: ReadonlyMap<string, Bought>
  readonly #byId: ReadonlyMap<string, SourceInfo>

  /** @param own kept, typed, of kits and of donors @param bought by need */
  constructor(own: readonly SourceInfo[], bought: ReadonlyMap<string, Bought>) {
    const groups = new Map<string, SourceInfo[]>()
    for (const source of own) groups.set(source.need, [...(groups.get(source.need) ?? []), source])
    this.#own = groups
    this.#bought = bought
    this.#byId = new Map(own.map((source) => [source.id, source]))
  }

  /** One source by its id; undefined where it is none any more. */
  get(id: string): SourceInfo | undefined {
    const own = this.#byId.get(id)
    if (own) return own
    // The need stands behind an @; ids that people bring in may hold one too.
    for (let at = id.indexOf('@'); at >= 0; at = id.indexOf('@', at + 1)) {
      const bought = this.#bought.get(id.slice(at + 1))
      const place = bought?.placeOf(id)
      if (bought && place !== undefined) return bought.info(place)
    }
    return undefined
  }

  /** What a need can be bought for: every offer, per pack. */
  bought(need: string): readonly Candidate[] {
    return this.#bought.get(need)?.candidates ?? []
  }

  /** From least to most that a need is offered for, for its quantity; null where nobody offers it. */
  range({ id, quantity }: Pick<Need, 'id' | 'quantity'>): Range | null {
    let [low, high] = [Infinity, -Infinity]
    for (const { priceMinor, pack } of this.bought(id)) {
      const cost = priceMinor * packsFor(quantity, pack)
      if (cost < low) low = cost
      if (cost > high) high = cost
    }
    return low === Infinity ? null : { low, high }
  }

  /** How many a need has. */
  count(need: string): number {
    return (this.#own.get(need)?.length ?? 0) + (this.#bought.get(need)?.candidates.length ?? 0)
  }

  /** Those of a need, at most so many: kept, typed and bundled ones, then what is bought, cheapest for its quantity first. */
  of({ id, quantity }: Pick<Need, 'id' | 'quantity'>, most: number): SourceInfo[] {
    const own = (this.#own.get(id) ?? []).slice(0, most)
    const bought = this.#bought.get(id)
    return bought
      ? [...own, ...bought.cheapest(quantity, most - own.length).map((place) => bought.info(place))]
      : own
  }
}

/**
 * Gathers every candidate for the needs of a build: kept, typed, bought offers, kit and donor items, priced in the
 * build's currency with tax. A part is a candidate if its kind is the need's and no constraint fails; one with unknown
 * constraint fields is marked confirm.
 *
 * @param coming needs that what is bought is said to bring, by id
 * @param numbers what its numbers say of each source; without it only parts wanted by name have numbers, whatever the day
 */
export function gatherCandidates(
  needs: readonly Need[],
  market: Market,
  build: BuildMoney,
  decisions: readonly Decision[],
  locks: readonly Lock[],
  judge: Judge = null,
  coming: ReadonlySet<string> = NONE,
  numbers = new NumbersAsked(market, NO_NUMBERS_OF, ANY_DAY),
): Gathered {
  const wanted = sourced(needs, market.parts)
  const held = heldWhatever(locks, wanted, decisions, market)
  const excluded: { id: string; why: string }[] = []
  const known = new Set<string>()
  const isAssumed = (part: CompiledPart): boolean => {
    if (strongestGrade(part) !== 'assumed') return false
    if (!known.has(part.id))
      excluded.push({
        id: part.id,
        why: `${part.name} is known by assumed values only: nothing is bought on those. Measure it, or find what its maker says.`,
      })
    known.add(part.id)
    return true
  }
  for (const part of assumedOnly(wanted, market.kinds))
    if ((market.offers.get(part.id)?.length ?? 0) > 0) isAssumed(part)
  const bought = new Map(
    wanted.map((need) => [
      need.id,
      boughtFor(need, market, build, judge, numbers, held.get(need.id) ?? []),
    ]),
  )
  for (const one of bought.values()) excluded.push(...one.excluded)
  for (const need of wanted)
    for (const [why, names] of refusedWith(bought.get(need.id)!.matches))
      excluded.push({ id: `${need.id}: ${why}`, why: `${need.words}: ${leftOut(names)}. ${why}.` })
  const bundled = bundlesFor(
    wanted,
    market,
    build,
    isAssumed,
    judge,
    numbers,
    new Set([...held.values()].flat()),
  )
  // What a kit or donor is known to hold is what comes: nothing comes beside it by custom.
  const brought = new Set(bundled.bundles.flatMap(({ items }) => items.map(({ need }) => need)))
  const kept = keptPieces(wanted, decisions)
  const own: { candidate: Candidate; info: SourceInfo }[] = wanted.flatMap((need) =>
    ownSources(need, decisions, kept, coming.has(need.id) && !brought.has(need.id)),
  )
  excluded.push(...bundled.excluded)
  const suppliers = market.suppliers.flatMap((supplier) => tariff(supplier, build, market))
  const sources = new Sources([...own.map(({ info }) => info), ...bundled.sources], bought)
  const resting = restingLocks(locks, wanted, sources, bundled.bundles, suppliers, bought)
  const active = locks.filter(({ id }) => !resting.has(id))
  const locked = active.flatMap(({ candidate }) => candidate ?? [])
  const withConflicts = (conflicts: readonly Conflict[]): Problem => ({
    currency: build.currency,
    needs: wanted.map((need) => ({ id: need.id, quantity: need.quantity })),
    candidates: [
      ...own.map(({ candidate }) => candidate),
      ...wanted.flatMap((need) =>
        bought.get(need.id)!.foremost(need, suppliers, locked, conflicts),
      ),
    ],
    bundles: bundled.bundles,
    suppliers,
    limits: {
      ...(build.maxSuppliers ? { maxSuppliers: build.maxSuppliers } : {}),
      ...(build.maxDonors != null ? { maxDonors: build.maxDonors } : {}),
    },
    locks: active,
    ...(conflicts.length > 0 ? { conflicts } : {}),
  })
  return {
    problem: withConflicts([]),
    sources,
    excluded,
    resting,
    withConflicts,
    partsFor: (need) => {
      const found = new Map<string, CompiledPart>()
      const add = (id: string | undefined): void => {
        const part = id === undefined ? undefined : market.parts.get(id)
        if (part) found.set(part.id, part)
      }
      for (const { part } of bought.get(need)?.matches ?? []) found.set(part.id, part)
      for (const { candidate } of own) if (candidate.need === need) add(candidate.part)
      for (const { items } of bundled.bundles)
        for (const item of items) if (item.need === need) add(item.part)
      return [...found.values()]
    },
  }
}

/** Candidates and pieces, by need, that stay whatever their numbers say: locked in, or of a line that is fitted. */
function heldWhatever(
  locks: readonly Lock[],
  needs: readonly Need[],
  decisions: readonly Decision[],
  market: Market,
): ReadonlyMap<string, readonly string[]> {
  const held = new Map<string, string[]>()
  const add = (need: string, id: string): void => {
    held.set(need, [...(held.get(need) ?? []), id])
  }
  for (const { way, candidate, bundle, item } of locks) {
    if (way !== 'in') continue
    if (candidate !== undefined) add(candidate.slice(candidate.indexOf('@') + 1), candidate)
    if (bundle !== undefined && item !== undefined) add('', itemKey(bundle, item))
  }
  const fitted = new Set(decisions.flatMap(({ needId, act }) => (act === 'fit' ? needId : [])))
  for (const need of needs) {
    if (!fitted.has(need.id)) continue
    for (const { id } of market.kinds.get(seeks(need)) ?? [])
      for (const offer of market.offers.get(id) ?? []) add(need.id, offeredId(offer.id, need.id))
  }
  return held
}

/** How many names of what was left out are said. */
const NAMED = 2
const leftOut = (names: readonly string[]): string =>
  names.length <= NAMED
    ? `${names.join(' and ')} left out`
    : `${names.slice(0, NAMED).join(', ')} and ${names.length - NAMED} more left out`

/** Locks whose line, offer, bundle or supplier is not there to be taken. */
function restingLocks(
  locks: readonly Lock[],
  needs: readonly Need[],
  sources: Sources,
  bundles: readonly Bundle[],
  suppliers: readonly Supplier[],
  bought: ReadonlyMap<string, Bought>,
): Map<string, string> {
  const sells = (supplier: string): boolean =>
    suppliers.some(({ id }) => id === supplier) &&
    (bundles.some((bundle) => bundle.supplier === supplier) ||
      [...bought.values()].some(({ candidates }) =>
        candidates.some((one) => one.supplier === supplier),
      ))
  const whyOf = ({ candidate, bundle, item, supplier }: Lock): string | null => {
    if (candidate !== undefined) {
      if (sources.get(candidate)) return null
      return needs.some(({ id }) => candidate.endsWith(`@${id}`))
        ? 'what it holds is not sold any more, or does not fit this pairing'
        : 'its line is not on the list any more'
    }
    if (bundle !== undefined) {
      if (!bundles.some(({ id }) => id === bundle))
        return 'nothing of it meets a line of this list any more'
      return item === undefined || sources.get(itemKey(bundle, item))
        ? null
        : 'this piece meets no line of the list any more'
    }
    return sells(supplier ?? '') ? null : 'nothing on this list is sold there'
  }
  return new Map(
    locks.flatMap((lock): [string, string][] => {
      const why = whyOf(lock)
      return why === null ? [] : [[lock.id, why]]
    }),
  )
}

const NONE: ReadonlySet<string> = new Set()
/** Where nobody says which day it is: rows without days are in force on it. */
const ANY_DAY = '2000-01-01'
const UNSEEN = 'Whether it is there and sound: nobody has said so yet'

/** What a need has without anybody selling it: the recipient's own, what comes with the rest, or a price somebody typed. */
function ownSources(
  need: Need,
  decisions: readonly Decision[],
  kept: ReturnType<typeof keptPieces>,
  isComing: boolean,
): { candidate: Candidate; info: SourceInfo }[] {
  const make = (id: string, source: Source, priceMinor: number, words: string) => ({
    candidate: {
      id,
      need: need.id,
      source,
      priceMinor,
      pack: need.quantity,
      ...(need.wants && source === 'keep' ? { part: need.wants } : {}),
    },
    info: {
      id,
      need: need.id,
      source,
      words,
      pack: need.quantity,
      packMinor: priceMinor,
      number: NO_NUMBER,
      confirm: source === 'comes' || (source === 'keep' && !kept.get(need.id)) ? [UNSEEN] : [],
      evidence: null,
      tick: false,
      ...(need.wants && source === 'keep' ? { partId: need.wants } : {}),
    },
  })
  const typed = decisions.find(({ needId, act }) => needId === need.id && act === 'price')
  return [
    ...(kept.has(need.id) ? [make(keptId(need.id), 'keep', 0, 'Kept from the recipient')] : []),
    ...(isComing ? [make(comesId(need.id), 'comes', 0, 'Comes with what is bought')] : []),
    ...(typed
      ? [make(typedId(need.id), 'typed', typed.priceMinor ?? 0, typed.source ?? 'Typed price')]
      : []),
  ]
}

/** Shipping in the build's currency; thresholds stay as the supplier states prices. */
function tariff(supplier: SupplierRow, build: BuildMoney, { rates }: Market): Supplier[] {
  const charge = inCurrency(supplier.shippingMinor, supplier.currency, build.currency, rates)
  if (charge === null) return []
  const free =
    supplier.freeOverMinor === null
      ? []
      : [{ id: 'free', chargeMinor: 0, fromMinor: supplier.freeOverMinor }]
  return [
    {
      id: supplier.id,
      ...(supplier.minimumMinor > 0 ? { minimumMinor: supplier.minimumMinor } : {}),
      shipping: [{ id: 'parcel', chargeMinor: charge }, ...free],
    },
  ]
}
