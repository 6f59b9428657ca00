import type { Need } from '../../core/needs/need.ts'
import { kindGroup, kindWords } from '../../core/ports/part-kinds.ts'
import { takenBy } from '../../core/sourcing/ids.ts'
import type { SourceInfo } from '../../core/sourcing/source-info.ts'
import { assumedPrice } from '../../core/templates/first-answer.ts'
import type { RowOf, Store } from '../database/store.ts'
import type { BuildView } from './build-view.ts'
import { isCurrent, nameOf, planBuild } from './planning.ts'

/** Sources of a line that are sent with it; the rest are counted. */
const CANDIDATES_SHOWN = 40

export type LineState = 'open' | 'planned' | 'kept' | 'work' | 'dropped' | 'estimated' | 'to solve'

/** The parts list: each need with its source in the plan, number verdict, evidence, why and state. */
export async function partsList(store: Store, buildId: string) {
  const plan = await planBuild(store, buildId)
  const lines = plan.plan?.detail?.lines ?? []
  const current = isCurrent(plan)
  const { sources } = plan.gathered
  const list = plan.needs.map((need) => {
    const line = current ? lines.find((one) => one.need === need.id) : undefined
    const source = line ? sources.get(takenBy(line)) : undefined
    const candidateCount = sources.count(need.id)
    const estimate = plan.decisions.find((one) => one.needId === need.id && one.act === 'estimate')
    return {
      ...lineOf(need, plan.view),
      source: source ?? null,
      costMinor: line?.costMinor ?? null,
      packs: line?.packs ?? null,
      candidates: sources.of(need, CANDIDATES_SHOWN),
      candidateCount,
      range:
        need.task || source || estimate
          ? null
          : assumedPrice(need.kind, plan.view.build.currency, plan.view.catalogue.trade.rates),
      estimateMinor: estimate?.priceMinor ?? null,
      decisions: plan.decisions.filter((one) => one.needId === need.id),
      state: stateOf(need, source, candidateCount, estimate),
    }
  })
  return {
    pairing: nameOf(plan),
    currency: plan.view.build.currency,
    planIsCurrent: current,
    planStatus: plan.plan?.status ?? null,
    lines: list,
    dropped: plan.dropped.map((need) => ({
      ...lineOf(need, plan.view),
      decisionId: plan.decisions.find((one) => one.needId === need.id && one.act === 'drop')!.id,
    })),
    excluded: plan.gathered.excluded,
  }
}

function lineOf(need: Need, view: BuildView) {
  const wants = need.wants ? view.catalogue.parts.get(need.wants) : undefined
  return {
    ...need,
    group: kindGroup(need.kind),
    kindWords: kindWords(need.kind),
    wantsName: wants?.name ?? null,
    joint: need.why.find((reason) => reason.joint)?.joint ?? null,
  }
}

function stateOf(
  need: Need,
  source: SourceInfo | undefined,
  candidates: number,
  estimate: RowOf<'decision'> | undefined,
): LineState {
  if (need.task) return 'work'
  if (source) return source.source === 'keep' ? 'kept' : 'planned'
  if (candidates > 0) return 'to solve'
  return estimate ? 'estimated' : 'open'
}
