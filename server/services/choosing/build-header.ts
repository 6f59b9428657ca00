import { jointNamed } from '../../../core/joints/index.ts'
import { effective } from '../../../core/pairing/order.ts'
import { lowerFirst } from '../../../core/quantity/plain-text.ts'
import type { RowOf, Store } from '../../database/store.ts'
import { questionsOf } from '../planning/known.ts'
import { isCurrent, nameOf, type Planned, planBuild } from '../planning/planning.ts'
import { totals } from '../planning/totals.ts'
import type { PairingRun } from '../trains/pairing-run.ts'
import { blockersOf } from './first-answer.ts'

/** The header of a build: pairing, totals, what is open by stage, one next action. */
export async function buildHeader(store: Store, buildId: string) {
  const plan = await planBuild(store, buildId)
  const { build, catalogue } = plan.view
  const recipient = build.recipientId
    ? (catalogue.parts.get(build.recipientId)?.name ?? null)
    : null
  const sums = totals(plan)
  const openParts = sums?.open ?? 0
  const unmeasured =
    plan.run?.result.joints.filter(
      ({ bare, closed }) => effective({ bare, closed }).code === 'unmeasured',
    ) ?? []
  const open = {
    brief: briefGaps(build),
    known: sums?.questions ?? 0,
    pairing: unmeasured.length + (plan.run ? 0 : 1),
    parts: openParts,
    sourcing: plan.run && !isCurrent(plan) ? 1 : 0,
  }
  return {
    build,
    recipient,
    pairing: nameOf(plan),
    engineId: plan.run?.train.engine.id ?? null,
    transmissionId: plan.run?.train.transmission.id ?? null,
    totals: sums,
    open,
    blockers: blockersOf(plan),
    next: nextAction(plan, unmeasured, openParts),
  }
}

/** A build's header; where it cannot be computed, the build by its name and why, so that one never hides the others. */
export async function headerOrFault(
  store: Store,
  build: RowOf<'build'>,
  log?: { error: (context: object, words: string) => void },
): Promise<Awaited<ReturnType<typeof buildHeader>>> {
  try {
    return await buildHeader(store, build.id)
  } catch (error) {
    log?.error({ err: error, build: build.id }, 'a build cannot be read')
    return {
      build,
      recipient: null,
      pairing: null,
      engineId: null,
      transmissionId: null,
      totals: null,
      blockers: [],
      open: { brief: 0, known: 0, pairing: 0, parts: 0, sourcing: 0 },
      next: { words: 'It cannot be computed: look at its history', stage: 'brief' },
    }
  }
}

const briefGaps = (build: RowOf<'build'>): number =>
  [build.recipientId, build.likeForLikeMinor, build.use].filter((value) => value === null).length

function nextAction(
  plan: Planned,
  unmeasured: PairingRun['result']['joints'],
  openParts: number,
): { words: string; stage: string } {
  if (!plan.view.build.recipientId)
    return { words: 'Say which vehicle it goes into', stage: 'brief' }
  if (!plan.run) return { words: 'Choose engine and gearbox', stage: 'pairing' }
  const blocker = blockersOf(plan)[0]
  if (blocker)
    return {
      words: `This stops the build: ${lowerFirst(blocker.words)}`,
      stage: `parts?line=${encodeURIComponent(blocker.id)}`,
    }
  const joint = unmeasured[0]
  const missing = joint ? effective(joint).missing[0] : undefined
  if (joint && missing && !missing.port.startsWith('?'))
    return {
      words: `Measure on ${missing.partName}: ${lowerFirst(missing.label)}`,
      stage: `pairing?joint=${joint.joint}`,
    }
  if (!isCurrent(plan)) return { words: 'Find the cheapest sources: solve', stage: 'sourcing' }
  if (joint)
    return {
      words: `Settle a joint that is not measured: ${lowerFirst(jointNamed(joint.joint)?.title ?? joint.joint)}`,
      stage: `pairing?joint=${joint.joint}`,
    }
  const question = questionsOf(plan, 1)[0]
  if (question) return { words: `Answer: ${lowerFirst(question.asks)}`, stage: 'known' }
  return openParts > 0
    ? {
        words: `Find a source or a price for ${openParts} ${openParts === 1 ? 'line' : 'lines'}`,
        stage: 'parts',
      }
    : { words: 'Everything has a source: look at the budget', stage: 'budget' }
}
