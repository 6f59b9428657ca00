import { paidPrice } from '../money/offer-price.ts'
import type { Need } from '../needs/need.ts'
import { type BuildMoney, inCurrency } from './build-money.ts'
import { conflictClass, undominated } from './dominance.ts'
import { newestDay } from './freshness.ts'
import { offeredId } from './ids.ts'
import type { Market, OfferRow } from './market.ts'
import { type NumberSays, refusal } from './number-says.ts'
import type { NumbersAsked } from './numbers-asked.ts'
import { type Judge, type PartMatch, partsMeeting } from './offer-matches.ts'
import { type Candidate, type Conflict, packsFor, type Supplier } from './problem.ts'
import { partSays, type SourceInfo } from './source-info.ts'
import { standingRefusal } from './standing.ts'

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

/**
 * The offers of parts that meet a need, priced in the build's money, in the order of their ids.
 * @param held candidates that stay whatever their numbers say: locked in, or fitted here
 */
export function boughtFor(
  need: Need,
  market: Market,
  build: BuildMoney,
  judge: Judge,
  numbers: NumbersAsked,
  held: readonly string[],
): Bought {
  const matches = partsMeeting(need, market.kinds, judge)
  const { suppliers, rates } = market
  const madeOf: unknown[] = [suppliers, rates, ...numbers.madeOf]
  for (const { part } of matches)
    madeOf.push(market.offers.get(part.id), market.numbers.get(part.id))
  const words = JSON.stringify([need.id, build.currency, build.taxRate, numbers.words(need), held])
  let remembered = kept.get(matches)
  if (!remembered) kept.set(matches, (remembered = new Map()))
  const found = remembered.get(words)
  if (
    found &&
    found.madeOf.length === madeOf.length &&
    found.madeOf.every((one, i) => one === madeOf[i])
  )
    return found.bought
  const bought = gather(need, matches, market, build, numbers, new Set(held))
  if (remembered.size >= REMEMBERED) remembered.delete(remembered.keys().next().value!)
  remembered.set(words, { madeOf, bought })
  return bought
}

function gather(
  need: Need,
  matches: readonly PartMatch[],
  market: Market,
  build: BuildMoney,
  numbers: NumbersAsked,
  held: ReadonlySet<string>,
): Bought {
  const supplierOf = new Map(market.suppliers.map((supplier) => [supplier.id, supplier]))
  const candidates: Candidate[] = []
  const offers: { readonly offer: OfferRow; readonly match: PartMatch }[] = []
  const excluded: { id: string; why: string }[] = []
  const said = new Map<string, NumberSays>()
  /** What its numbers say, once for each part and number it is sold under. */
  const saysOf = (offer: OfferRow, { part }: PartMatch): NumberSays => {
    const key = `${part.id} ${offer.issuerId} ${offer.number}`
    let says = said.get(key)
    if (!says) said.set(key, (says = numbers.of(need, part.id, offer)))
    return says
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
    const unsold = standingRefusal(offer.standing)
    // What was had before it ended stays with its line.
    if (unsold && !(offer.standing === 'ended' && held.has(offeredId(offer.id, need.id)))) {
      excluded.push({ id: offer.id, why: `${supplier.name}, ${match.part.name}: ${unsold}` })
      continue
    }
    const number = saysOf(offer, match)
    if (number.plan === 'no' && !held.has(offeredId(offer.id, need.id))) {
      excluded.push({
        id: offer.id,
        why: `${supplier.name}, ${offer.number ?? match.part.name}: ${refusal(number)}`,
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
        ...partSays(need, match.part, match.answer, saysOf(offer, match)),
        ...(offer.number ? { numberShown: offer.number } : {}),
        ...(offer.leadDays === null ? {} : { leadDays: offer.leadDays }),
        ...(offer.standing === 'trial' ? { standing: offer.standing } : {}),
        ...heardOf(offer.seenOn, supplierOf.get(offer.supplierId)!.feedReadOn),
      }
    },
  }
}

/** The newer of two days, where there is one. */
function heardOf(seenOn?: string | null, readOn?: string | null): { heardOn?: string } {
  const heardOn = newestDay(seenOn, readOn)
  return heardOn === null ? {} : { heardOn }
}
