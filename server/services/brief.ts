import { briefFindings, targetTorque, uncutSheet } from '../../core/brief/findings.ts'
import type { Task } from '../../core/joints/verdict.ts'
import { addRanges } from '../../core/money/range.ts'
import { Facts } from '../../core/needs/facts.ts'
import { planNeeds } from '../../core/needs/fixpoint.ts'
import { pairingFacts } from '../../core/needs/pairing-facts.ts'
import { KEPT_ASSEMBLIES, mustStillWork } from '../../core/needs/rules/must-still-work.ts'
import { own } from '../../core/own.ts'
import { effective } from '../../core/pairing/order.ts'
import { torqueMargin } from '../../core/pairing/torque-margin.ts'
import { kindWords } from '../../core/ports/part-kinds.ts'
import { assumedPrice } from '../../core/templates/first-answer.ts'
import { RANGES } from '../../core/templates/ranges.ts'
import type { Store } from '../database/store.ts'
import { sheetAnswers } from './build-sheets.ts'
import { contextOf } from './build-view.ts'
import type { PairingRun } from './pairing-run.ts'
import { briefFacts, type Planned, planBuild } from './planning.ts'
import { totals } from './totals.ts'

/** The brief whole: its answers, what each thing that must still work adds, and what limits and build say of each other. */
export async function briefView(store: Store, buildId: string) {
  const [brief, law, uncut, plan] = await Promise.all([
    sheetAnswers(store, buildId, 'brief'),
    sheetAnswers(store, buildId, 'law'),
    sheetAnswers(store, buildId, 'uncut'),
    planBuild(store, buildId),
  ])
  const sums = totals(plan)
  const tasks = plan.run ? tasksOf(plan.run) : []
  const target = targetOf(brief['target-nm']?.value)
  const train = plan.run && {
    ...plan.run.train,
    inserted: plan.run.result.chosen.flatMap(
      (id) => plan.run!.insertable.find((part) => part.id === id) ?? [],
    ),
  }
  const context = contextOf(plan.view)
  const currency = plan.view.build.currency
  return {
    answers: { brief, law, uncut },
    keeps: keepsOf(plan),
    findings: briefFindings(brief, {
      tasks,
      hours: tasks.reduce((sum, task) => sum + task.hours, 0),
      likely: sums?.likely ?? null,
      safeMinor: sums?.safeMinor ?? null,
      currency,
      marginNm: train ? torqueMargin(train, context) : null,
      marginAtTargetNm: train && target !== null ? torqueMargin(train, context, target) : null,
    }),
    uncut: uncutSheet(uncut, currency, plan.view.build.likeForLikeMinor, sums?.likely ?? null),
    toAsk: Object.entries(law).filter(
      ([id, answer]) =>
        id.endsWith(':state') && (answer.value === 'To ask' || answer.value === 'No'),
    ).length,
  }
}

const tasksOf = ({ result }: PairingRun): Task[] => {
  const tasks = new Map<string, Task>()
  for (const { bare, closed } of result.joints)
    for (const task of effective({ bare, closed }).tasks) tasks.set(task.id, task)
  return [...tasks.values()]
}

/** The torque wanted in the end; null where nobody said, or it cannot be read: the findings say which. */
function targetOf(typed: string | undefined): number | null {
  if (!typed?.trim()) return null
  try {
    return targetTorque(typed)
  } catch {
    return null
  }
}

/** Each thing that may have to work still: the lines it adds to the list as the build stands, and what they cost and take. */
function keepsOf(plan: Planned) {
  const { build, catalogue } = plan.view
  const asked = build.mustWork
  const currency = build.currency
  return KEPT_ASSEMBLIES.map((kind) => {
    const lines = plan.run
      ? addedBy(plan, plan.run, kind)
      : [
          ...mustStillWork.run({
            facts: new Facts([{ key: `keep.${kind}`, value: true }]),
            joints: [],
            has: () => false,
          }),
        ]
    const prices = lines.map((line) => assumedPrice(line.kind, currency, catalogue.trade.rates))
    const hours = lines.map((line) => own(RANGES, line.kind)?.hours ?? ([0, 0] as const))
    return {
      kind,
      words: kindWords(kind),
      isKept: asked.includes(kind),
      adds: lines.map((line) => line.words),
      price:
        prices.some((price) => price === null) || prices.length === 0
          ? null
          : addRanges(prices as NonNullable<(typeof prices)[number]>[]),
      hours: {
        low: hours.reduce((sum, [low]) => sum + low, 0),
        high: hours.reduce((sum, [, high]) => sum + high, 0),
      },
    }
  })
}

function addedBy(plan: Planned, { train, result }: PairingRun, kind: string) {
  const facts = briefFacts(plan.view)
  const without = facts.mustWork.filter((one) => one !== kind)
  const needs = (mustWork: string[]) =>
    planNeeds(
      pairingFacts(train, result, (id) => plan.view.catalogue.parts.get(id), {
        ...facts,
        mustWork,
      }),
      result.joints,
    )
  const before = new Set(needs(without).map((need) => need.id))
  return needs([...without, kind]).filter((need) => !before.has(need.id))
}
