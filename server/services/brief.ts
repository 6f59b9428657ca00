import { briefFindings, uncutSheet } from '../../core/brief/findings.ts'
import { kindWords } from '../../core/identity/part-kinds.ts'
import { jointNamed } from '../../core/joints/index.ts'
import { RecordSheet } from '../../core/joints/record.ts'
import type { Task } from '../../core/joints/verdict.ts'
import { addRanges } from '../../core/money/range.ts'
import { Facts } from '../../core/needs/facts.ts'
import { planNeeds } from '../../core/needs/fixpoint.ts'
import { pairingFacts } from '../../core/needs/pairing-facts.ts'
import { KEPT_ASSEMBLIES, mustStillWork } from '../../core/needs/rules/must-still-work.ts'
import { assemble, checkAssembly, contextOf as jointContext } from '../../core/pairing/train.ts'
import type { AnyPort, Compiled, CompiledPart } from '../../core/ports/index.ts'
import { assumedPrice } from '../../core/templates/first-answer.ts'
import { RANGES } from '../../core/templates/ranges.ts'
import type { Store } from '../database/store.ts'
import { sheetAnswers } from './build-sheets.ts'
import { contextOf, type PairingRun } from './pairings.ts'
import { briefFacts, type Planned, planBuild, totals } from './planning.ts'

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
  const target = Number.parseFloat(brief['target-nm']?.value ?? '')
  return {
    answers: { brief, law, uncut },
    keeps: keepsOf(plan),
    findings: briefFindings(brief, {
      tasks,
      hours: tasks.reduce((sum, task) => sum + task.hours, 0),
      likelyMinor: sums?.likelyMinor ?? null,
      safeMinor: sums?.safeMinor ?? null,
      marginNm: plan.run ? marginAt(plan, plan.run, null) : null,
      marginAtTargetNm: plan.run && Number.isFinite(target) ? marginAt(plan, plan.run, target) : null,
    }),
    uncut: uncutSheet(uncut, (plan.view.build.likeForLikeMinor as number | null) ?? null, sums?.likelyMinor ?? null),
    toAsk: Object.entries(law).filter(([id, answer]) => id.endsWith(':state') && (answer.value === 'To ask' || answer.value === 'No')).length,
  }
}

const tasksOf = ({ result }: PairingRun): Task[] => {
  const tasks = new Map<string, Task>()
  for (const { bare, closed } of result.joints) for (const task of (closed ?? bare).tasks) tasks.set(task.id, task)
  return [...tasks.values()]
}

/** Least torque margin at the gearbox input with the engine as it is, or at another peak, N·m; null where not known. */
function marginAt(plan: Planned, { train, result, insertable }: PairingRun, peakNm: number | null): number | null {
  const engine = peakNm === null ? train.engine : withPeak(train.engine, peakNm)
  const inserted = result.chosen.flatMap((id) => insertable.find((part) => part.id === id) ?? [])
  const assembly = assemble({ ...train, engine, inserted })
  const sheet = new RecordSheet()
  checkAssembly(jointNamed('torque')!, assembly, jointContext(assembly, contextOf(plan.view)), sheet)
  const margins = sheet.verdict('torque').limits.flatMap((limit) => (limit.id === 'torque' ? [limit.margin] : []))
  return margins.length === 0 || margins.some((margin) => margin === null) ? null : Math.min(...(margins as number[]))
}

/** The same engine tuned to another peak: its claim on torque is replaced, all else stays. */
function withPeak(engine: CompiledPart, nm: number): CompiledPart {
  const ports = engine.ports.map((port) => {
    if (port.kind !== 'engine-output') return port
    const { peakTorqueNm } = port as unknown as Compiled<'engine-output'>
    return { ...port, peakTorqueNm: { ...peakTorqueNm, v: nm, pm: 0, claim: 'target' } } as unknown as AnyPort
  })
  return { ...engine, ports }
}

/** Each thing that may have to work still: the lines it adds to the list as the build stands, and what they cost and take. */
function keepsOf(plan: Planned) {
  const { build, catalogue } = plan.view
  const asked = (build.mustWork ?? []) as string[]
  const currency = String(build.currency)
  return KEPT_ASSEMBLIES.map((kind) => {
    const lines = plan.run ? addedBy(plan, plan.run, kind) : [...mustStillWork.run({ facts: new Facts([{ key: `keep.${kind}`, value: true }]) } as never)]
    const prices = lines.map((line) => assumedPrice(line.kind, currency, catalogue.market.rates))
    const hours = lines.map((line) => RANGES[line.kind]?.hours ?? ([0, 0] as const))
    return {
      kind,
      words: kindWords(kind),
      isKept: asked.includes(kind),
      adds: lines.map((line) => line.words),
      price: prices.some((price) => price === null) || prices.length === 0 ? null : addRanges(prices as NonNullable<(typeof prices)[number]>[]),
      hours: { low: hours.reduce((sum, [low]) => sum + low, 0), high: hours.reduce((sum, [, high]) => sum + high, 0) },
    }
  })
}

function addedBy(plan: Planned, { train, result }: PairingRun, kind: string) {
  const facts = briefFacts(plan.view)
  const without = facts.mustWork.filter((one) => one !== kind)
  const needs = (mustWork: string[]) => planNeeds(pairingFacts(train, result, [...plan.view.catalogue.parts.values()], { ...facts, mustWork }), result.joints)
  const before = new Set(needs(without).map((need) => need.id))
  return needs([...without, kind]).filter((need) => !before.has(need.id))
}
