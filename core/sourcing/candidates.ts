import { type NumberVerdict, numberVerdict } from '../identity/supersession.ts'
import { type Currency, convert, timesRate } from '../money/money.ts'
import { paidPrice, type Rate, rateBetween } from '../money/offer-price.ts'
import { meets } from '../needs/meets.ts'
import type { Need } from '../needs/need.ts'
import type { CompiledPart } from '../ports/index.ts'
import type { Grade } from '../quantity/grade.ts'
import type { Market, OfferRow, SupplierRow } from './market.ts'
import { assumedOnly, partsMeeting, sourced, strongestGrade, weakestGrade } from './offer-matches.ts'
import type { Bundle, Candidate, Lock, Problem, Source, Supplier } from './problem.ts'

export interface Decision {
  readonly needId: string
  readonly act: 'drop' | 'price' | 'estimate' | 'keep' | 'confirm'
  readonly priceMinor: number | null
  readonly source: string | null
}

export interface BuildMoney {
  readonly currency: Currency
  readonly taxRate: number
  readonly labourRateMinor: number
  readonly maxSuppliers?: number | null
  readonly maxDonors?: number | null
}

/** What is shown of a source: candidate or bundle item. */
export interface SourceInfo {
  readonly id: string
  readonly need: string
  readonly source: Source | 'kit' | 'donor'
  readonly words: string
  readonly partId?: string
  readonly supplierId?: string
  readonly bundle?: string
  readonly number: NumberVerdict
  readonly numberShown?: string
  /** Fields nobody has measured that the need asks about. */
  readonly confirm: readonly string[]
  readonly evidence: Grade | null
  readonly leadDays?: number
}

export interface Gathered {
  readonly problem: Problem
  readonly sources: readonly SourceInfo[]
  /** Offers, kits and donors that could not be candidates, with what to do. */
  readonly excluded: readonly { readonly id: string; readonly why: string }[]
}

/**
 * Gathers every candidate for the needs of a build: kept, typed, bought offers, kit and donor items, priced in the
 * build's currency with tax. A part is a candidate if its kind is the need's and no constraint fails; one with unknown
 * constraint fields is marked confirm.
 */
export function gatherCandidates(needs: readonly Need[], market: Market, build: BuildMoney, decisions: readonly Decision[], locks: readonly Lock[]): Gathered {
  const constrained = sourced(needs, market.parts)
  const sources: SourceInfo[] = []
  const excluded: { id: string; why: string }[] = []
  const candidates: Candidate[] = []
  const supplierOf = new Map(market.suppliers.map((supplier) => [supplier.id, supplier]))

  for (const need of constrained) {
    const decided = (act: Decision['act']) => decisions.find((decision) => decision.needId === need.id && decision.act === act)
    const add = (id: string, source: Source, priceMinor: number, words: string): void => {
      candidates.push({ id, need: need.id, source, priceMinor, pack: need.quantity })
      sources.push({
        id,
        need: need.id,
        source,
        words,
        number: { says: 'no number wanted' },
        confirm: [],
        evidence: null,
        ...(need.wants && source === 'keep' ? { partId: need.wants } : {}),
      })
    }
    if (need.keep || decided('keep')) add(`keep@${need.id}`, 'keep', 0, 'Kept from the recipient')
    const typed = decided('price')
    if (typed) add(`typed@${need.id}`, 'typed', typed.priceMinor ?? 0, typed.source ?? 'Typed price')
  }

  const offersOf = (part: CompiledPart): readonly OfferRow[] => market.offers.get(part.id) ?? []
  const known = new Set<string>()
  const isAssumed = (part: CompiledPart): boolean => {
    if (strongestGrade(part) !== 'assumed') return false
    if (!known.has(part.id))
      excluded.push({ id: part.id, why: `${part.name} is known by assumed values only: nothing is bought on those. Measure it, or find what its maker says.` })
    known.add(part.id)
    return true
  }
  for (const part of assumedOnly(constrained, market.kinds)) if (offersOf(part).length > 0) isAssumed(part)
  // As the offers stand, then as the needs do: the order decides which of equals a plan takes.
  const matches = constrained
    .flatMap((need) => partsMeeting(need, market.kinds).flatMap(({ part, answer }) => offersOf(part).map((offer) => ({ offer, part, need, answer }))))
    .sort((p, q) => (p.offer.id < q.offer.id ? -1 : p.offer.id > q.offer.id ? 1 : 0))
  for (const { offer, part, need, answer } of matches) {
    const supplier = supplierOf.get(offer.supplierId)
    if (!supplier) continue
    const price = paidPrice(offer.priceMinor, offer.currency, offer.taxIncluded, build, market.rates)
    const listed = inCurrency(offer.priceMinor, offer.currency, supplier.currency, market.rates)
    if (price === null || listed === null) {
      excluded.push({
        id: offer.id,
        why: `${supplier.name} asks ${offer.currency} for ${part.name}: no exchange rate to ${price === null ? build.currency : supplier.currency} is known. Add one in Settings.`,
      })
      continue
    }
    const id = `offer:${offer.id}@${need.id}`
    candidates.push({
      id,
      need: need.id,
      source: 'buy',
      supplier: supplier.id,
      priceMinor: price,
      orderValueMinor: listed,
      pack: offer.pack,
      ...(offer.stock === null ? {} : { stock: offer.stock }),
    })
    const own = offer.issuerId && offer.normalised ? [`${offer.issuerId}:${offer.normalised}`] : []
    sources.push({
      ...sourceInfo(id, need, part, market, own),
      source: 'buy',
      words: `${part.name}, ${supplier.name}`,
      supplierId: supplier.id,
      confirm: answer.meets === 'confirm' ? answer.unknown : [],
      ...(offer.number ? { numberShown: offer.number } : {}),
      ...(offer.leadDays === null ? {} : { leadDays: offer.leadDays }),
    })
  }

  const bundles: Bundle[] = []
  for (const kit of market.kits) {
    const price = paidPrice(kit.priceMinor, kit.currency, kit.taxIncluded, build, market.rates)
    const supplier = kit.supplierId ? supplierOf.get(kit.supplierId) : undefined
    const listed = supplier ? inCurrency(kit.priceMinor, kit.currency, supplier.currency, market.rates) : kit.priceMinor
    if (price === null || listed === null) {
      excluded.push({ id: kit.id, why: `${kit.name} is priced in ${kit.currency}: no exchange rate is known. Add one in Settings.` })
      continue
    }
    const items = itemsFor(kit.items, `kit:${kit.id}`, 'kit', kit.name, constrained, market, sources, isAssumed)
    if (items.every((item) => item.need === '')) continue
    bundles.push({
      id: `kit:${kit.id}`,
      kind: 'kit',
      ...(supplier ? { supplier: supplier.id } : {}),
      priceMinor: price,
      orderValueMinor: listed,
      ...(kit.weightG === null ? {} : { weightG: kit.weightG }),
      items,
    })
  }
  for (const donor of market.donors) {
    const money = (minor: number): number | null => inCurrency(minor, donor.currency, build.currency, market.rates)
    const price = money(donor.priceMinor + donor.fetchMinor + donor.repairMinor + donor.disposalMinor + donor.storageMinor)
    if (price === null) {
      excluded.push({ id: donor.id, why: `${donor.name} is priced in ${donor.currency}: no exchange rate is known. Add one in Settings.` })
      continue
    }
    const yields = itemsFor(donor.items, `donor:${donor.id}`, 'donor', donor.name, constrained, market, sources, isAssumed)
    if (yields.every((item) => item.need === '')) continue
    const items = yields.map((item, i) => {
      const row = donor.items[i]!
      const net = timesRate(money(row.saleMinor)!, row.chance * (1 - donor.saleFee)) - timesRate(build.labourRateMinor, row.sellingHours)
      return { ...item, stripMinor: timesRate(build.labourRateMinor, row.stripHours), resaleMinor: Math.max(0, net), held: row.held }
    })
    bundles.push({ id: `donor:${donor.id}`, kind: 'donor', priceMinor: price, scrapMinor: money(donor.scrapMinor)!, items })
  }

  const problem: Problem = {
    currency: build.currency,
    needs: constrained.map((need) => ({ id: need.id, quantity: need.quantity })),
    candidates,
    bundles,
    suppliers: market.suppliers.flatMap((supplier) => tariff(supplier, build, market.rates)),
    limits: { ...(build.maxSuppliers ? { maxSuppliers: build.maxSuppliers } : {}), ...(build.maxDonors != null ? { maxDonors: build.maxDonors } : {}) },
    locks,
  }
  return { problem, sources, excluded }
}

function itemsFor(
  rows: readonly { id: string; partId: string; quantity: number }[],
  bundle: string,
  source: 'kit' | 'donor',
  name: string,
  needs: readonly Need[],
  market: Market,
  sources: SourceInfo[],
  isAssumed: (part: CompiledPart) => boolean,
) {
  return rows.map((row) => {
    const part = market.parts.get(row.partId)
    const fitting =
      part && needs.some((need) => need.kind === part.kind) && !isAssumed(part)
        ? needs.flatMap((need) => {
            const answer = meets(part, need)
            return answer.meets === 'no' ? [] : [{ need, answer }]
          })
        : []
    const best = fitting[0]
    if (!best || !part) return { id: row.id, need: '', quantity: row.quantity }
    sources.push({
      ...sourceInfo(`${bundle}\u0000${row.id}`, best.need, part, market, []),
      source,
      words: `${part.name}, ${name}`,
      bundle,
      confirm: best.answer.meets === 'confirm' ? best.answer.unknown : [],
    })
    return { id: row.id, need: best.need.id, quantity: row.quantity }
  })
}

function sourceInfo(id: string, need: Need, part: CompiledPart, market: Market, own: readonly string[]): Omit<SourceInfo, 'source' | 'words' | 'confirm'> {
  const offered = [...(market.numbers.get(part.id) ?? []), ...own]
  const wanted = need.wants ? (market.numbers.get(need.wants) ?? []) : []
  return { id, need: need.id, partId: part.id, number: numberVerdict(wanted, offered, market.supersessions), evidence: weakestGrade(part) }
}

function inCurrency(minor: number, from: Currency, to: Currency, rates: readonly Rate[]): number | null {
  const rate = rateBetween(rates, from, to)
  return rate === null ? null : convert(minor, from, to, rate)
}

/** Shipping in the build's currency; thresholds stay as the supplier states prices. */
function tariff(supplier: SupplierRow, build: BuildMoney, rates: readonly Rate[]): Supplier[] {
  const charge = inCurrency(supplier.shippingMinor, supplier.currency, build.currency, rates)
  if (charge === null) return []
  const free = supplier.freeOverMinor === null ? [] : [{ id: 'free', chargeMinor: 0, fromMinor: supplier.freeOverMinor }]
  return [{ id: supplier.id, ...(supplier.minimumMinor > 0 ? { minimumMinor: supplier.minimumMinor } : {}), shipping: [{ id: 'parcel', chargeMinor: charge }, ...free] }]
}
