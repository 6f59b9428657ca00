import type { LINE_STATES } from '../../../contract/answers/planning.ts'
import { FACT_ROWS, factWords, isFactKey } from '../../../core/facts/index.ts'
import { belongsTo } from '../../../core/needs/belongs.ts'
import { placeWords } from '../../../core/needs/line.ts'
import type { LineCost } from '../../../core/needs/line-cost.ts'
import { LIST_VERSION } from '../../../core/needs/lines/version.ts'
import type { Need } from '../../../core/needs/need.ts'
import { actsOfOwn } from '../../../core/needs/own-line.ts'
import { takenBy } from '../../../core/sourcing/ids.ts'
import type { SourceInfo } from '../../../core/sourcing/source-info.ts'
import type { RowOf, Store } from '../../database/store.ts'
import type { BuildView } from '../builds/build-view.ts'
import { isCurrent, nameOf, ownLineOf, planBuild } from './planning.ts'
import { costsOf } from './totals.ts'

/** Sources of a line that are sent with it; the rest are counted. */
const CANDIDATES_SHOWN = 40

export type LineState = (typeof LINE_STATES)[number]

/** The parts list: each need with its source in the plan, number verdict, evidence, why and state. */
export async function partsList(store: Store, buildId: string) {
  const plan = await planBuild(store, buildId)
  const lines = plan.plan?.detail?.lines ?? []
  const { sources } = plan.gathered
  const costs = costsOf(plan)
  const sought = new Set(plan.sought.map(({ id }) => id))
  const heads = belongsTo(plan.needs)
  const list = plan.needs.map((need) => {
    // Of the last plan, current or not: a line that is the same is bought the same.
    const line = lines.find((one) => one.need === need.id)
    const source = line ? sources.get(takenBy(line)) : undefined
    const candidateCount = sources.count(need.id)
    const decisions = plan.decisions.filter((one) => one.needId === need.id)
    const acts = [
      ...decisions.map(({ act }) => act),
      ...actsOfOwn(ownLineOf(plan.view, need)?.state),
    ]
    const estimate = decisions.find(({ act }) => act === 'estimate')
    const cost = costs.get(need.id)!
    return {
      ...lineOf(need, plan.view),
      source: source ?? null,
      costMinor: line?.costMinor ?? null,
      packs: line?.packs ?? null,
      candidates: sources.of(need, CANDIDATES_SHOWN),
      candidateCount,
      supply: cost.supply,
      price: cost.price,
      time: cost.hours,
      estimateMinor: estimate?.priceMinor ?? null,
      decisions,
      state: stateOf(need, cost, source, candidateCount, acts, sought.has(need.id)),
      aside: asideOf(need, decisions),
      belongsTo: heads.get(need.id) ?? null,
      given: givenOf(decisions, ownLineOf(plan.view, need)),
      hangs: need.because.map((key) => FACT_ROWS[key].asks ?? factWords(key)),
    }
  })
  return {
    pairing: nameOf(plan),
    currency: plan.view.build.currency,
    planIsCurrent: isCurrent(plan),
    planStatus: plan.plan?.status ?? null,
    listVersion: LIST_VERSION,
    planListVersion: plan.plan?.detail.listVersion ?? null,
    lines: list,
    dropped: plan.dropped.map((need) => ({
      ...lineOf(need, plan.view),
      decisionId: plan.decisions.find((one) => one.needId === need.id && one.act === 'drop')!.id,
    })),
    folded: plan.folded.map((need) => ({
      ...lineOf(need, plan.view),
      hangs: need.because.map((key) => FACT_ROWS[key].asks ?? factWords(key)),
    })),
    excluded: plan.gathered.excluded,
  }
}

/** Who sees to a line, and what is noted of it: as decided last, else as it was written. */
function givenOf(
  decisions: readonly RowOf<'decision'>[],
  own: RowOf<'ownLine'> | undefined,
): { to: string | null; note: string | null } | null {
  const held = decisions.find(({ act }) => act === 'assign')
  const given = held
    ? { to: held.source ?? null, note: held.note ?? null }
    : { to: own?.person ?? null, note: own?.note ?? null }
  return given.to || given.note ? given : null
}

/** Decisions that say what a line is, and so lean on its reasons; a typed price stays whatever they are. */
const LEANS: ReadonlySet<string> = new Set(['drop', 'keep', 'confirm', 'postpone'])

/** What changed since a decision was made that stands aside now; null where none does. */
function asideOf(need: Need, decisions: readonly RowOf<'decision'>[]): string | null {
  const old = decisions.find(({ act, rests }) => LEANS.has(act) && rests && rests !== need.rests)
  if (!old) return null
  const [was, is] = [partsOf(old.rests!), partsOf(need.rests)]
  const changed = [...new Set([...was.keys(), ...is.keys()])].filter(
    (key) => was.get(key) !== is.get(key),
  )
  const told = changed.slice(0, 3).map((key) => {
    const words = isFactKey(key) ? factWords(key) : key.replaceAll('-', ' ')
    return `${words} was ${was.get(key) ?? 'not asked'}, is ${is.get(key) ?? 'not asked'} now`
  })
  return `${ACT_WORDS[old.act] ?? old.act} before: ${told.join('; ')}.`
}
const ACT_WORDS: Readonly<Record<string, string>> = {
  drop: 'Dropped',
  keep: 'Kept',
  confirm: 'Confirmed',
  postpone: 'Postponed',
}
const partsOf = (rests: string): Map<string, string> =>
  new Map(
    rests.split(' ').map((one) => {
      const at = one.indexOf('=')
      return [one.slice(0, at), one.slice(at + 1)]
    }),
  )

function lineOf(need: Need, view: BuildView) {
  const wants = need.wants ? view.catalogue.parts.get(need.wants) : undefined
  return {
    ...need,
    group: placeWords(need.place),
    kindWords: need.words,
    wantsName: wants?.name ?? null,
    joint: need.why.find((reason) => reason.joint)?.joint ?? null,
  }
}

function stateOf(
  need: Need,
  cost: LineCost,
  source: SourceInfo | undefined,
  candidates: number,
  acts: readonly RowOf<'decision'>['act'][],
  isSought: boolean,
): LineState {
  const did = (act: RowOf<'decision'>['act']): boolean => acts.includes(act)
  if (need.sort === 'blocker') return 'blocker'
  if (did('fit')) return 'fitted'
  if (did('receive')) return 'here'
  if (did('order')) return 'ordered'
  if (did('postpone')) return 'postponed'
  if (need.task || need.sort === 'task') return need.outcome === 'open' ? 'asked' : 'work'
  if (source)
    return source.source === 'keep' ? 'kept' : source.source === 'comes' ? 'comes' : 'planned'
  if (did('estimate') || (cost.from === 'typed' && !did('price'))) return 'estimated'
  if (cost.supply === 'here') return 'here'
  if (need.outcome === 'open') return 'asked'
  if (isSought && candidates > 0) return 'to solve'
  if (cost.supply === 'comes') return 'comes'
  if (cost.supply === 'keep') return 'kept'
  return 'open'
}
