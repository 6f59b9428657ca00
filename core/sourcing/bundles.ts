import { chargedMissing, soldFor } from '../donors/net-cost.ts'
import { timesRate } from '../money/money.ts'
import { paidPrice } from '../money/offer-price.ts'
import { type Need, seeks } from '../needs/need.ts'
import type { CompiledPart } from '../ports/index.ts'
import { type BuildMoney, inCurrency } from './build-money.ts'
import { donorId, itemKey, kitId } from './ids.ts'
import type { Market } from './market.ts'
import { type NumberSays, refusal } from './number-says.ts'
import type { NumbersAsked } from './numbers-asked.ts'
import { answerOf, type Judge } from './offer-matches.ts'
import type { Bundle, BundleItem } from './problem.ts'
import { partSays, type SourceInfo } from './source-info.ts'
import { standingRefusal } from './standing.ts'

/** Kits and donors that meet a need of a build, with what is shown of each of their pieces, and those that cannot be priced. */
export interface Bundles {
  readonly bundles: readonly Bundle[]
  readonly sources: readonly SourceInfo[]
  readonly excluded: readonly { readonly id: string; readonly why: string }[]
}

const noRate = (id: string, name: string, currency: string): Bundles['excluded'][number] => ({
  id,
  why: `${name} is priced in ${currency}: no exchange rate is known. Add one in Settings.`,
})

/**
 * @param isAssumed whether a part is known by assumed values only: nothing is bought on those
 * @param held pieces that stay whatever their numbers say: locked in, or fitted here
 */
export function bundlesFor(
  needs: readonly Need[],
  market: Market,
  build: BuildMoney,
  isAssumed: (part: CompiledPart) => boolean,
  judge: Judge,
  numbers: NumbersAsked,
  held: ReadonlySet<string>,
): Bundles {
  const bundles: Bundle[] = []
  const sources: SourceInfo[] = []
  const excluded: Bundles['excluded'][number][] = []
  const supplierOf = new Map(market.suppliers.map((supplier) => [supplier.id, supplier]))
  /** What its number says of a piece for a need; null where it forbids it. */
  const refuse = (
    piece: string,
    need: Need,
    part: CompiledPart,
    name: string,
  ): NumberSays | null => {
    const number = numbers.of(need, part.id)
    if (number.plan !== 'no' || held.has(piece)) return number
    excluded.push({ id: piece, why: `${part.name}, ${name}: ${refusal(number)}` })
    return null
  }
  for (const kit of market.kits) {
    const unsold = standingRefusal(kit.standing)
    if (unsold) {
      excluded.push({ id: kit.id, why: `${kit.name}: ${unsold}` })
      continue
    }
    const price = paidPrice(kit.priceMinor, kit.currency, kit.taxIncluded, build, market.rates)
    const supplier = kit.supplierId ? supplierOf.get(kit.supplierId) : undefined
    const listed = supplier
      ? inCurrency(kit.priceMinor, kit.currency, supplier.currency, market.rates)
      : kit.priceMinor
    if (price === null || listed === null) {
      excluded.push(noRate(kit.id, kit.name, kit.currency))
      continue
    }
    const items = itemsFor(
      kit.items,
      kitId(kit.id),
      'kit',
      kit.name,
      needs,
      market,
      sources,
      isAssumed,
      judge,
      refuse,
    )
    if (items.every((item) => item.need === '')) continue
    bundles.push({
      id: kitId(kit.id),
      kind: 'kit',
      ...(supplier ? { supplier: supplier.id } : {}),
      priceMinor: price,
      orderValueMinor: listed,
      ...(kit.weightG === null ? {} : { weightG: kit.weightG }),
      items,
    })
  }
  const lines = new Set(needs.map(({ kind }) => kind))
  for (const donor of market.donors) {
    const money = (minor: number): number | null =>
      inCurrency(minor, donor.currency, build.currency, market.rates)
    if (money(0) === null) {
      excluded.push(noRate(donor.id, donor.name, donor.currency))
      continue
    }
    const yields = itemsFor(
      donor.items,
      donorId(donor.id),
      'donor',
      donor.name,
      needs,
      market,
      sources,
      isAssumed,
      judge,
      refuse,
    )
    if (yields.every((item) => item.need === '')) continue
    const items = yields.map((item, i) => {
      const row = donor.items[i]!
      const sold = { ...row, saleMinor: money(row.saleMinor)! }
      return {
        ...item,
        stripMinor: timesRate(build.labourRateMinor, row.stripHours),
        resaleMinor: soldFor(sold, donor.saleFee, build.labourRateMinor),
        held: row.held,
      }
    })
    bundles.push({
      id: donorId(donor.id),
      kind: 'donor',
      // Each amount in the build's money by itself, as the donor's own page has it.
      priceMinor: [
        donor.priceMinor,
        donor.fetchMinor,
        donor.repairMinor,
        chargedMissing(donor, lines),
        donor.disposalMinor,
        donor.storageMinor,
      ].reduce((sum, minor) => sum + money(minor)!, 0),
      scrapMinor: money(donor.scrapMinor)!,
      items,
    })
  }
  return { bundles, sources, excluded }
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
  judge: Judge,
  numberOf: (piece: string, need: Need, part: CompiledPart, name: string) => NumberSays | null,
): BundleItem[] {
  return rows.map((row) => {
    const part = market.parts.get(row.partId)
    const fitting =
      part && needs.some((need) => seeks(need) === part.kind) && !isAssumed(part)
        ? needs.flatMap((need) => {
            const answer = answerOf(part, need, judge)
            if (answer.meets === 'no') return []
            const number = numberOf(itemKey(bundle, row.id), need, part, name)
            return number ? [{ need, answer, number }] : []
          })
        : []
    const best = fitting[0]
    if (!best || !part) return { id: row.id, need: '', part: row.partId, quantity: row.quantity }
    sources.push({
      id: itemKey(bundle, row.id),
      source,
      words: `${part.name}, ${name}`,
      bundle,
      ...partSays(best.need, part, best.answer, best.number),
    })
    return { id: row.id, need: best.need.id, part: row.partId, quantity: row.quantity }
  })
}
