import { jointNamed } from '../../../core/joints/index.ts'
import type { MissingField } from '../../../core/joints/verdict.ts'
import { effective } from '../../../core/pairing/order.ts'
import type { Store } from '../../database/store.ts'
import { listStoppers } from '../builds/joint-claims.ts'
import { questionsOf } from '../planning/known.ts'
import { nameOf, type Planned, planBuild } from '../planning/planning.ts'
import { costsOf, totals } from '../planning/totals.ts'

/** How many questions are put first. */
const ASK_FIRST = 12
/** How many measurements are proposed first. */
const MEASURE_FIRST = 8

/** What can be said at once: verdicts with leaning, price and hours as ranges, what to confirm or drop, what to measure first. */
export async function firstAnswerView(store: Store, buildId: string) {
  const plan = await planBuild(store, buildId)
  const { build } = plan.view
  const costs = costsOf(plan)
  return {
    pairing: nameOf(plan),
    engineId: plan.run?.train.engine.id ?? null,
    transmissionId: plan.run?.train.transmission.id ?? null,
    currency: build.currency,
    joints: (plan.run?.result.joints ?? []).map(({ joint, bare, closed }) => {
      const verdict = effective({ bare, closed })
      const heard = plan.run?.heard.get(joint)
      return {
        joint,
        title: jointNamed(joint)?.title ?? joint,
        code: heard?.answer ? heard.answer.code : verdict.code,
        lean: verdict.lean,
        agreed: verdict.agreed,
        stated: verdict.stated,
        evidence: heard?.answer ? heard.answer.evidence : verdict.evidence,
        missing: verdict.missing.length,
        minutes: verdict.minutes,
      }
    }),
    stoppers: await listStoppers(store, buildId),
    counts: {
      yes: plan.needs.filter(({ outcome }) => outcome === 'yes').length,
      leansYes: plan.needs.filter(({ outcome }) => outcome === 'leans yes').length,
      open: plan.needs.filter(({ outcome }) => outcome === 'open').length,
      folded: plan.folded.length,
      assumed: plan.needs.filter(({ id }) => costs.get(id)?.from === 'assumed').length,
    },
    // As header, brief and budget have them.
    totals: totals(plan, costs),
    questions: plan.run ? questionsOf(plan, ASK_FIRST) : [],
    blockers: blockersOf(plan),
    measure: measureFirst(plan),
  }
}

/** What stops the build for sure, and nobody has accepted. */
export const blockersOf = ({ needs, decisions }: Pick<Planned, 'needs' | 'decisions'>) =>
  needs
    .filter(
      ({ id, sort, outcome }) =>
        sort === 'blocker' &&
        outcome === 'yes' &&
        !decisions.some(({ needId, act }) => needId === id && act === 'confirm'),
    )
    .map(({ id, words, why }) => ({ id, words, why: why[0]?.words ?? '' }))

/** Fields that open joints read, those most joints wait for first, then the quickest. */
function measureFirst(plan: Awaited<ReturnType<typeof planBuild>>) {
  const byField = new Map<
    string,
    {
      field: string
      port: string
      label: string
      partName: string
      minutes: number
      methods: MissingField['methods']
      joints: string[]
    }
  >()
  for (const { joint, bare, closed } of plan.run?.result.joints ?? []) {
    if (plan.run?.heard.get(joint)?.answer) continue
    for (const field of effective({ bare, closed }).missing) {
      if (field.part === '?') continue
      const key = `${field.port}.${field.field}`
      const held = byField.get(key) ?? {
        field: field.field,
        port: field.port,
        label: field.label,
        partName: field.partName,
        minutes: field.minutes,
        methods: field.methods,
        joints: [],
      }
      if (!held.joints.includes(joint)) held.joints.push(joint)
      byField.set(key, held)
    }
  }
  return [...byField.values()]
    .sort(
      (p, q) => q.joints.length / Math.max(1, q.minutes) - p.joints.length / Math.max(1, p.minutes),
    )
    .slice(0, MEASURE_FIRST)
}
