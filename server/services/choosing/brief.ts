import { briefFindings, targetTorque, uncutSheet } from '../../../core/brief/findings.ts'
import { KEPT_ASSEMBLIES } from '../../../core/brief/must-still-work.ts'
import type { FactKey } from '../../../core/facts/index.ts'
import type { Task } from '../../../core/joints/verdict.ts'
import { addRanges } from '../../../core/money/range.ts'
import { KEPT_FACTS } from '../../../core/needs/build-facts.ts'
import { NO, UNKNOWN } from '../../../core/needs/condition.ts'
import { truthsWith } from '../../../core/needs/line-list.ts'
import { LINE_ROWS } from '../../../core/needs/lines/index.ts'
import { type Need, need } from '../../../core/needs/need.ts'
import { effective } from '../../../core/pairing/order.ts'
import { torqueMargin } from '../../../core/pairing/torque-margin.ts'
import { kindWords } from '../../../core/ports/part-kinds.ts'
import type { Store } from '../../database/store.ts'
import { sheetAnswers } from '../builds/build-sheets.ts'
import { contextOf } from '../builds/build-view.ts'
import { type Planned, planBuild } from '../planning/planning.ts'
import { costsOf, totals } from '../planning/totals.ts'
import type { PairingRun } from '../trains/pairing-run.ts'
import { blockersOf } from './first-answer.ts'

/** The brief whole: its answers, what each thing that must still work adds, and what limits and build say of each other. */
export async function briefView(store: Store, buildId: string) {
  const [brief, law, uncut, plan] = await Promise.all([
    sheetAnswers(store, buildId, 'brief'),
    sheetAnswers(store, buildId, 'law'),
    sheetAnswers(store, buildId, 'uncut'),
    planBuild(store, buildId),
  ])
  const sums = totals(plan)
  const tasks = plan.run ? [...tasksOf(plan.run), ...tasksOfLines(plan)] : []
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
      hours: sums?.hours ?? null,
      likely: sums?.likely ?? null,
      blockers: blockersOf(plan).map(({ words }) => words),
      currency,
      marginNm: train ? torqueMargin(train, context) : null,
      marginAtTargetNm: train && target !== null ? torqueMargin(train, context, target) : null,
    }),
    targetNm: target,
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

/** Lines that weld or cut, as tasks that the brief's wishes are held against. */
const tasksOfLines = ({ needs }: Planned): Task[] =>
  needs
    .filter(({ work, outcome }) => work && (outcome === 'yes' || outcome === 'leans yes'))
    .map(({ id, words, hours, work }) => ({
      id,
      words,
      hours: hours[1],
      skills: work!.includes('weld') ? ['weld'] : ['mechanic'],
      reversible: !work!.includes('cut'),
    }))

/** Each thing that may have to work still: the lines it adds to the list as the build stands, and what they cost and take. */
function keepsOf(plan: Planned) {
  const asked = plan.view.build.mustWork
  return KEPT_ASSEMBLIES.map((kind) => {
    const lines = addedBy(plan, KEPT_FACTS[kind]!)
    const costs = costsOf({ ...plan, needs: lines, folded: [] })
    const priced = lines.map(({ id }) => costs.get(id)!)
    return {
      kind,
      words: kindWords(kind),
      isKept: asked.includes(kind),
      adds: lines.map((line) => line.words),
      price:
        lines.length === 0 || priced.some(({ price }) => price === null)
          ? null
          : addRanges(priced.map(({ price }) => ({ low: price![0], high: price![2] }))),
      hours: addRanges(priced.map(({ hours }) => ({ low: hours[0], high: hours[2] }))),
    }
  })
}

/** Lines that stand or open because something must still work, as far as the rows say. */
function addedBy({ facts }: Planned, key: FactKey): readonly Need[] {
  const truths = (value: string) => truthsWith(LINE_ROWS, facts, key, value)
  const [kept, gone] = [truths('yes'), truths('no')]
  return LINE_ROWS.flatMap((row) => {
    const [is, was] = [kept.get(row.kind) ?? NO, gone.get(row.kind) ?? NO]
    if (was !== NO || is === NO) return []
    const { kind, place, words, eur, hours, sort } = row
    return need({
      kind,
      place,
      words,
      eur,
      hours,
      sort,
      outcome: is === UNKNOWN ? 'open' : 'yes',
      why: [],
      ...(row.comes ? { comes: row.comes } : {}),
    })
  })
}
