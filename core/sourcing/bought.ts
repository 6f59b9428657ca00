import type { WrittenNumber } from '../identity/claims.ts'
import { paidPrice } from '../money/offer-price.ts'
import type { Need } from '../needs/need.ts'
import { type BuildMoney, inCurrency } from './build-money.ts'
import { conflictClass, undominated } from './dominance.ts'
import { offeredId } from './ids.ts'
import type { Market, OfferRow } from './market.ts'
import { numberSays } from './number-says.ts'
import { type Judge, type PartMatch, partsMeeting } from './offer-matches.ts'
import { type Candidate, type Conflict, packsFor, type Supplier } from './problem.ts'
import { partSays, type SourceInfo } from './source-info.ts'

/** What can be bought for one need, by offer: the same object while nothing it was made of changes. */
export interface Bought {
  readonly candidates: readonly Candidate[]
  /** Parts that meet the need. */
  readonly matches: readonly PartMatch[]
  readonly excluded: readonly { readonly id: string; readonly why: string }[]
  /** Those that a best plan may take, and those locked. */
  foremost(
    need: Need,
    suppliers: readonly Supplier[],
    locked: readonly string[],
    conflicts: readonly Conflict[],
  ): readonly Candidate[]
  /** Places of the cheapest for so many pieces, cheapest first; of equals the first. */
  cheapest(quantity: number, most: number): readonly number[]
  /** What is shown of the candidate at this place. */
  info(place: number): SourceInfo
  /** The place of a candidate; undefined where it is none. */
  placeOf(id: string): number | undefined
}

interface Kept {
  readonly madeOf: readonly unknown[]
  readonly bought: Bought
}
const kept = new WeakMap<readonly PartMatch[], Map<string, Kept>>()
/** Needs that the same parts meet, remembered for each list of parts. */
const REMEMBERED = 12

/** The offers of parts that meet a need, priced in the build's money, in the order of their ids. */
export function boughtFor(need: Need, market: Market, build: BuildMoney, judge: Judge): Bought {
  const matches = partsMeeting(need, market.kinds, judge)
  const { suppliers, rates, serving } = market
  const madeOf: unknown[] = [
    suppliers,
    rates,
    serving,
    need.wants && market.numbers.get(need.wants),
  ]
  for (const { part } of matches)
    madeOf.push(market.offers.get(part.id), market.numbers.get(part.id))
  const words = JSON.stringify([need.id, need.wants, build.currency, build.taxRate])
  let held = kept.get(matches)
  if (!held) kept.set(matches, (held = new Map()))
  const found = held.get(words)
  if (
    found &&
    found.madeOf.length === madeOf.length &&
    found.madeOf.every((one, i) => one === madeOf[i])
  )
    return found.bought
  const bought = gather(need, matches, market, build)
  if (held.size >= REMEMBERED) held.delete(held.keys().next().value!)
  held.set(words, { madeOf, bought })
  return bought
}

const NONE: readonly WrittenNumber[] = []

/** The number an offer is listed under. */
const ownNumber = ({ issuerId, number }: OfferRow): readonly WrittenNumber[] =>
  issuerId && number ? [{ issuer: issuerId, number }] : NONE

function gather(
  need: Need,
  matches: readonly PartMatch[],
  market: Market,
  build: BuildMoney,
): Bought {
  const supplierOf = new Map(market.suppliers.map((supplier) => [supplier.id, supplier]))
  const candidates: Candidate[] = []
  const offers: { readonly offer: OfferRow; readonly match: PartMatch }[] = []
  // As they are now: what is shown later must not hang on what the market has let go of meanwhile.
  const asked = [...(need.wants ? [need.wants] : []), ...matches.map(({ part }) => part.id)]
  const known = {
    numbers: new Map(asked.map((id) => [id, market.numbers.get(id) ?? NONE])),
    serving: market.serving,
  }
  const excluded: { id: string; why: string }[] = []
  const wanted = (need.wants && known.numbers.get(need.wants)) || NONE
  const said = new Map<string, string | null>()
  /** Why its numbers forbid to plan it; null where they do not, or none is wanted. */
  const refusedBy = (offer: OfferRow, { part }: PartMatch): string | null => {
    if (wanted.length === 0) return null
    const key = `${part.id} ${offer.issuerId} ${offer.number}`
    let why = said.get(key)
    if (why === undefined) {
      const had = [...(known.numbers.get(part.id) ?? NONE), ...ownNumber(offer)]
      const number = numberSays(wanted, had, market.serving)
      why =
        number.plan === 'no'
          ? `by its number ${number.says}, so it is not planned. ${number.cautions.join(' ')}`.trim()
          : null
      said.set(key, why)
    }
    return why
  }
  const all = matches.flatMap((match) =>
    (market.offers.get(match.part.id) ?? []).map((offer) => ({ offer, match })),
  )
  // As the offers stand: the order decides which of equals a plan takes.
  all.sort((p, q) => (p.offer.id < q.offer.id ? -1 : p.offer.id > q.offer.id ? 1 : 0))
  for (const one of all) {
    const { offer, match } = one
    const supplier = supplierOf.get(offer.supplierId)
    if (!supplier) continue
    const price = paidPrice(
      offer.priceMinor,
      offer.currency,
      offer.taxIncluded,
      build,
      market.rates,
    )
    const refused = refusedBy(offer, match)
    if (refused) {
      excluded.push({
        id: offer.id,
        why: `${supplier.name}, ${offer.number ?? match.part.name}: ${refused}`,
      })
      continue
    }
    const listed = inCurrency(offer.priceMinor, offer.currency, supplier.currency, market.rates)
    if (price === null || listed === null) {
      excluded.push({
        id: offer.id,
        why: `${supplier.name} asks ${offer.currency} for ${match.part.name}: no exchange rate to ${price === null ? build.currency : supplier.currency} is known. Add one in Settings.`,
      })
      continue
    }
    offers.push(one)
    candidates.push({
      id: offeredId(offer.id, need.id),
      need: need.id,
      source: 'buy',
      part: match.part.id,
      supplier: supplier.id,
      priceMinor: price,
      orderValueMinor: listed,
      pack: offer.pack,
      ...(offer.stock === null ? {} : { stock: offer.stock }),
    })
  }
  let places: Map<string, number> | null = null
  const placeOf = (id: string): number | undefined => {
    places ??= new Map(candidates.map((candidate, place) => [candidate.id, place]))
    return places.get(id)
  }
  let cheap: { readonly words: string; readonly places: readonly number[] } | null = null
  let foremost: { readonly words: string; readonly list: readonly Candidate[] } | null = null
  return {
    candidates,
    matches,
    excluded,
    placeOf,
    cheapest(quantity, most) {
      const words = `${quantity} ${most}`
      if (cheap?.words !== words) {
        const costs = candidates.map(
          ({ priceMinor, pack }) => priceMinor * packsFor(quantity, pack),
        )
        const places = candidates.map((_, place) => place)
        cheap = {
          words,
          places: places.sort((p, q) => costs[p]! - costs[q]! || p - q).slice(0, Math.max(0, most)),
        }
      }
      return cheap.places
    },
    foremost({ id, quantity }, tariffs, locked, conflicts) {
      const own = locked.filter((one) => placeOf(one) !== undefined)
      const against = conflicts.filter(({ sides }) => sides.some((side) => side.need === id))
      const words = JSON.stringify([quantity, tariffs, own, against])
      if (foremost?.words !== words) {
        const terms = new Map(tariffs.map((tariff) => [tariff.id, tariff]))
        foremost = {
          words,
          list: undominated(
            candidates,
            { quantity },
            terms,
            (one) => own.includes(one),
            conflictClass(against),
          ),
        }
      }
      return foremost.list
    },
    info(place) {
      const { offer, match } = offers[place]!
      return {
        id: candidates[place]!.id,
        source: 'buy',
        words: `${match.part.name}, ${supplierOf.get(offer.supplierId)!.name}`,
        supplierId: offer.supplierId,
        pack: offer.pack,
        packMinor: candidates[place]!.priceMinor,
        ...partSays(need, match.part, match.answer, known, ownNumber(offer)),
        ...(offer.number ? { numberShown: offer.number } : {}),
        ...(offer.leadDays === null ? {} : { leadDays: offer.leadDays }),
      }
    },
  }
}
