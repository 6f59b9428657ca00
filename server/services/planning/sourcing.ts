import { RULE } from '../../../core/sourcing/filters.ts'
import { itemKey, takenBy } from '../../../core/sourcing/ids.ts'
import { packsFor } from '../../../core/sourcing/problem.ts'
import type { RowOf, Store } from '../../database/store.ts'
import { isCurrent, nameOf, placedBy, planBuild } from './planning.ts'

/** What else could be taken for a line, sent with it; the rest are counted. */
const RIVALS_SHOWN = 40

/** The plan as shown: lines and baskets with names, locks, and the reason when locks contradict one another. */
export async function sourcingView(store: Store, buildId: string) {
  const planned = await planBuild(store, buildId)
  const { gathered, view, plan, broken, needs, judge } = planned
  const detail = plan?.detail ?? null
  const { sources } = gathered
  const { bundleName: bundleOf, supplierName: supplierOf } = view.catalogue.trade
  const lockedWords = ({ candidate, bundle, item, supplierId }: RowOf<'sourcingLock'>): string => {
    if (candidate) return sources.get(candidate)?.words ?? goneWords(candidate)
    if (bundle && item) return sources.get(itemKey(bundle, item))?.words ?? bundleOf(bundle)
    return bundle ? bundleOf(bundle) : supplierOf(supplierId ?? '')
  }
  const goneWords = (candidate: string): string => {
    const need = needs.find(({ id }) => candidate.endsWith(`@${id}`))
    return need ? `an offer for "${need.words}"` : 'an offer for a line that is gone'
  }
  const lockWords = (lock: RowOf<'sourcingLock'>): string =>
    `${lock.way === 'in' ? 'Keep' : 'Leave out'} ${lockedWords(lock)}`
  const waits = judge?.waits(placedBy(planned, detail?.lines ?? [])) ?? new Map()
  const words = (rule: string): string => {
    const lock = planned.locks.find((one) => one.id === rule)
    if (lock) return `the lock "${lockWords(lock)}"`
    if (rule.startsWith(RULE.fails(''))) return rule.slice(RULE.fails('').length)
    const [kind, id] = rule.split(':')
    if (kind === 'maxSuppliers') return 'the limit on suppliers'
    if (kind === 'maxDonors') return 'the limit on donors'
    return kind === 'minimum'
      ? `the smallest order of ${supplierOf(id ?? '')}`
      : kind === 'weight'
        ? `the parcel weights of ${supplierOf(id ?? '')}`
        : rule
  }
  return {
    currency: view.build.currency,
    pairing: nameOf(planned),
    status: detail?.status ?? null,
    totalMinor: detail?.totalMinor ?? null,
    boundMinor: detail?.boundMinor ?? null,
    isCurrent: isCurrent(planned),
    day: plan?.day ?? null,
    needs: needs.filter((need) => !need.task).length,
    lines: (detail?.lines ?? []).map((line) => {
      const need = needs.find((one) => one.id === line.need)
      const id = takenBy(line)
      const quantity = need?.quantity ?? 1
      const source = sources.get(id) ?? null
      const rivals = sources
        .of({ id: line.need, quantity }, RIVALS_SHOWN + 1)
        .filter((source) => source.id !== id)
      return {
        ...line,
        words: need?.words ?? line.need,
        quantity,
        source,
        // As the plan would be built; what no joint judges, by what its line asks.
        toProve: waits.get(line.need) ?? source?.confirm ?? [],
        bundleName: line.bundle ? bundleOf(line.bundle) : null,
        rivalCount: Math.max(rivals.length, sources.count(line.need) - 1),
        rivals: rivals.slice(0, RIVALS_SHOWN).map((rival) => ({
          id: rival.id,
          words: rival.words,
          source: rival.source,
          number: rival.number,
          confirm: rival.confirm,
          minor:
            rival.packMinor === undefined ? null : rival.packMinor * packsFor(quantity, rival.pack),
          bundle: rival.bundle ?? null,
          item: rival.bundle ? rival.id.slice(itemKey(rival.bundle, '').length) : null,
        })),
      }
    }),
    baskets: (detail?.baskets ?? []).map((basket) => ({
      ...basket,
      name: supplierOf(basket.supplier),
      items: [
        ...basket.candidates.map((id) => sources.get(id)?.words ?? id),
        ...basket.bundles.map(bundleOf),
      ],
    })),
    bundles: (detail?.bundles ?? []).map((bundle) => ({
      ...bundle,
      name: bundleOf(bundle.bundle),
    })),
    open: needs
      .filter((need) => detail?.open.includes(need.id))
      .map((need) => ({ id: need.id, words: need.words, waits: need.waits })),
    locks: planned.locks.map((lock) => ({
      ...lock,
      words: lockWords(lock),
      rests: gathered.resting.get(lock.id) ?? null,
    })),
    because: (broken ?? plan)?.detail.because?.map(words) ?? null,
    without: ((broken ?? plan)?.detail.without ?? []).map(
      (id) => needs.find((need) => need.id === id)?.words ?? id,
    ),
    isOld: broken !== null,
    excluded: gathered.excluded,
  }
}
