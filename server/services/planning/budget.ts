import { placeWords, STAGES } from '../../../core/needs/line.ts'
import { takenBy } from '../../../core/sourcing/ids.ts'
import type { Store } from '../../database/store.ts'
import { planBuild } from './planning.ts'
import { costsOf, totals } from './totals.ts'

/** Budget lines with totals by group and by source. */
export async function budgetView(store: Store, buildId: string) {
  const plan = await planBuild(store, buildId)
  const solved = plan.plan?.detail
  const costs = costsOf(plan)
  const sums = totals(plan, costs)
  const { sources } = plan.gathered
  const { bundleName, supplierName } = plan.view.catalogue.trade
  const rate = plan.view.build.labourRateMinor
  const bought = new Map((solved?.lines ?? []).map((line) => [line.need, line]))
  const lines = [
    ...plan.needs
      .filter(({ sort }) => sort !== 'blocker')
      .map((need) => {
        const cost = costs.get(need.id)!
        const line = bought.get(need.id)
        const source = line && sources.get(takenBy(line))
        const price = line ? [line.costMinor, line.costMinor, line.costMinor] : cost.price
        return {
          id: need.id,
          words: need.words,
          group: placeWords(need.place),
          stage: need.stage,
          source: source?.source ?? (line ? 'planned' : cost.supply),
          from: source?.words ?? '',
          outcome: need.outcome,
          low: price?.[0] ?? null,
          minor: price?.[1] ?? null,
          high: price?.[2] ?? null,
          hours: cost.hours[1],
        }
      }),
    ...(solved?.bundles ?? []).flatMap((bundle) => [
      extra(
        bundleName(bundle.bundle),
        'Kits and donors',
        bundle.bundle.startsWith('kit:') ? 'kit' : 'donor',
        bundle.bundle.startsWith('kit:') ? 'Price of the kit' : 'Price, fetch and disposal',
        bundle.priceMinor,
      ),
      ...(bundle.resaleMinor + bundle.scrapMinor > 0
        ? [
            extra(
              `${bundleName(bundle.bundle)}, sold and scrapped`,
              'Kits and donors',
              'donor',
              'Expected resale and scrap',
              -(bundle.resaleMinor + bundle.scrapMinor),
            ),
          ]
        : []),
    ]),
    ...(solved?.baskets ?? [])
      .filter((basket) => basket.shippingMinor > 0)
      .map((basket) =>
        extra(
          `Shipping, ${supplierName(basket.supplier)}`,
          'Shipping',
          'buy',
          supplierName(basket.supplier),
          basket.shippingMinor,
        ),
      ),
    ...(sums && sums.contingencyMinor > 0
      ? [
          extra(
            'What nobody thought of',
            'Shop',
            'typed',
            'Typed in the brief',
            sums.contingencyMinor,
          ),
        ]
      : []),
  ]
  const sumBy = (
    of: (line: (typeof lines)[number]) => string,
    what: (line: (typeof lines)[number]) => number,
  ) => {
    const sums = new Map<string, number>()
    for (const line of lines) sums.set(of(line), (sums.get(of(line)) ?? 0) + what(line))
    return [...sums]
      .map(([name, minor]) => ({ name, minor: Math.round(minor) }))
      .filter(({ minor }) => minor !== 0)
      .sort((p, q) => q.minor - p.minor)
  }
  const money = (line: (typeof lines)[number]): number => line.minor ?? 0
  const order = new Map<string, number>(STAGES.map((stage, i) => [stage, i]))
  return {
    totals: sums,
    lines,
    byGroup: sumBy(({ group }) => group, money),
    bySource: sumBy(({ source }) => source, money),
    /** Work at the shop's rate, in the order it is done. */
    byStage: sumBy(
      ({ stage }) => stage,
      ({ hours }) => hours * rate,
    ).sort((p, q) => (order.get(p.name) ?? 0) - (order.get(q.name) ?? 0)),
    open: plan.needs
      .filter(({ id, outcome, sort }) => {
        const { supply, from } = costs.get(id)!
        return (
          sort === 'part' &&
          (outcome === 'yes' || outcome === 'leans yes') &&
          !bought.has(id) &&
          from !== 'typed' &&
          supply === 'get'
        )
      })
      .map((need) => ({ id: need.id, words: need.words, waits: need.waits })),
  }
}

const extra = (words: string, group: string, source: string, from: string, minor: number) => ({
  id: words,
  words,
  group,
  stage: 'before',
  source,
  from,
  outcome: 'yes' as const,
  low: minor,
  minor,
  high: minor,
  hours: 0,
})
