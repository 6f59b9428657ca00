import { timesRate } from '../../core/money/money.ts'
import { kindGroup } from '../../core/ports/part-kinds.ts'
import { takenBy } from '../../core/sourcing/ids.ts'
import type { Store } from '../database/store.ts'
import { planBuild } from './planning.ts'
import { totals } from './totals.ts'

/** Budget lines with totals by group and by source. */
export async function budgetView(store: Store, buildId: string) {
  const plan = await planBuild(store, buildId)
  const solved = plan.plan?.detail
  const sums = totals(plan)
  const { sources } = plan.gathered
  const { bundleName, supplierName } = plan.view.catalogue.trade
  const lines = [
    ...(solved?.lines ?? []).map((line) => {
      const need = plan.needs.find((one) => one.id === line.need)
      const source = sources.get(takenBy(line))
      return {
        words: need?.words ?? line.need,
        group: kindGroup(need?.kind ?? ''),
        source: source?.source ?? 'planned',
        from: source?.words ?? '',
        minor: line.costMinor,
      }
    }),
    ...(solved?.bundles ?? []).flatMap((bundle) => [
      {
        words: bundleName(bundle.bundle),
        group: 'Kits and donors',
        source: bundle.bundle.startsWith('kit:') ? 'kit' : 'donor',
        from: bundle.bundle.startsWith('kit:') ? 'Price of the kit' : 'Price, fetch and disposal',
        minor: bundle.priceMinor,
      },
      ...(bundle.resaleMinor + bundle.scrapMinor > 0
        ? [
            {
              words: `${bundleName(bundle.bundle)}, sold and scrapped`,
              group: 'Kits and donors',
              source: 'donor',
              from: 'Expected resale and scrap',
              minor: -(bundle.resaleMinor + bundle.scrapMinor),
            },
          ]
        : []),
    ]),
    ...(solved?.baskets ?? [])
      .filter((basket) => basket.shippingMinor > 0)
      .map((basket) => ({
        words: `Shipping, ${supplierName(basket.supplier)}`,
        group: 'Shipping',
        source: 'buy',
        from: supplierName(basket.supplier),
        minor: basket.shippingMinor,
      })),
    ...plan.needs
      .filter((need) => need.task)
      .map((need) => ({
        words: need.words,
        group: 'Work',
        source: 'work',
        from: `${need.task!.hours} h`,
        minor: timesRate(plan.view.build.labourRateMinor, need.task!.hours),
      })),
    ...plan.decisions
      .filter((decision) => decision.act === 'estimate' && solved?.open.includes(decision.needId))
      .map((decision) => ({
        words: plan.needs.find((need) => need.id === decision.needId)?.words ?? decision.needId,
        group: kindGroup(plan.needs.find((need) => need.id === decision.needId)?.kind ?? ''),
        source: 'estimate',
        from: String(decision.source ?? 'Typed estimate'),
        minor: Number(decision.priceMinor),
      })),
  ]
  const sumBy = (key: 'group' | 'source') => {
    const sums = new Map<string, number>()
    for (const line of lines) sums.set(line[key], (sums.get(line[key]) ?? 0) + line.minor)
    return [...sums].map(([name, minor]) => ({ name, minor })).sort((p, q) => q.minor - p.minor)
  }
  return {
    totals: sums,
    lines,
    byGroup: sumBy('group'),
    bySource: sumBy('source'),
    open: plan.needs
      .filter((need) => solved?.open.includes(need.id))
      .map((need) => ({ id: need.id, words: need.words, waits: need.waits })),
  }
}
