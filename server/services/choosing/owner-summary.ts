import { KEPT_ASSEMBLIES } from '../../../core/brief/must-still-work.ts'
import { ownerSummary, type SummarySection } from '../../../core/brief/owner-summary.ts'
import { LAW_ITEMS } from '../../../core/brief/questions.ts'
import { jointNamed } from '../../../core/joints/index.ts'
import { roadSheet } from '../../../core/mechanics/road/expectations.ts'
import { LEVEL } from '../../../core/mechanics/road/road-car.ts'
import { printMoney } from '../../../core/money/money.ts'
import { effective } from '../../../core/pairing/order.ts'
import { kindWords } from '../../../core/ports/part-kinds.ts'
import type { Store } from '../../database/store.ts'
import { sheetAnswers } from '../builds/build-sheets.ts'
import { nameOf, planBuild } from '../planning/planning.ts'
import { totals } from '../planning/totals.ts'
import { shopDay } from '../shop/day.ts'
import { ownTrain, roadOf, roadRow } from '../trains/road.ts'
import { blockersOf } from './first-answer.ts'

/** Cruise and hill that owners are told of. */
const ASKED = { cruiseKmh: 80, hill: { ...LEVEL, grade: 0.06 } }
/** Answers after which nothing is to be settled. */
const SETTLED: ReadonlySet<string> = new Set(['Yes, in writing', 'Does not apply'])

export interface OwnerSummary {
  readonly title: string
  readonly vehicle: string
  /** ISO date. */
  readonly on: string
  readonly sections: readonly SummarySection[]
}

/** One page for the vehicle's owner, dated: without suppliers, margins or hours. */
export async function summaryView(store: Store, buildId: string): Promise<OwnerSummary> {
  const [plan, law] = await Promise.all([
    planBuild(store, buildId),
    sheetAnswers(store, buildId, 'law'),
  ])
  const { view, run } = plan
  const { build, catalogue } = view
  const recipient = build.recipientId ? (catalogue.parts.get(build.recipientId) ?? null) : null
  const own = ownTrain(view, recipient)
  const road = run && roadOf(view, run.train)
  const sheetOf = (figure: NonNullable<typeof road>['after']) =>
    figure && roadSheet(figure.car, { ...ASKED, fuel: figure.fuel })
  const after = road && sheetOf(road.after)
  const sums = totals(plan)
  return {
    title: build.name,
    vehicle: recipient?.name ?? 'The vehicle',
    on: await shopDay(store),
    sections: ownerSummary({
      vehicle: recipient?.name ?? 'The vehicle',
      before: own ? `${own.engine.name} with ${own.transmission.name}` : null,
      after: nameOf(plan),
      money: (minor) => printMoney(minor, build.currency, true),
      likely: sums?.likely ?? null,
      repairMinor: build.likeForLikeMinor ?? null,
      keeps: KEPT_ASSEMBLIES.map((kind) => ({
        words: kindWords(kind),
        kept: build.mustWork.includes(kind),
      })),
      open: (run?.result.joints ?? []).flatMap((joint) =>
        effective(joint).code === 'unmeasured'
          ? (jointNamed(joint.joint)?.title ?? joint.joint)
          : [],
      ),
      blockers: blockersOf(plan).map(({ words }) => words),
      law: LAW_ITEMS.flatMap(([id, words]) =>
        SETTLED.has(law[`${id}:state`]?.value ?? '') ? [] : `${words}.`,
      ),
      road: after ? { before: road && sheetOf(road.before), after } : null,
      massChangeKg: run ? roadRow(view, run.train, own).massChangeKg : null,
    }),
  }
}
