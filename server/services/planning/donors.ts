import type { z } from 'zod'
import type { sheetInput } from '../../../contract/rows.ts'
import { type DonorMoney, netCost } from '../../../core/donors/net-cost.ts'
import { isPieceQuestion, pieceQuestion, questionOf, risksOf } from '../../../core/donors/sheet.ts'
import { convert } from '../../../core/money/money.ts'
import { rateBetween } from '../../../core/money/offer-price.ts'
import { seeks } from '../../../core/needs/need.ts'
import type { Joined, SheetAnswers } from '../../../core/sheets/sheet.ts'
import { donorId as asBundle } from '../../../core/sourcing/ids.ts'
import type { Store } from '../../database/store.ts'
import { UnprocessableError } from '../../errors.ts'
import { joinSheet } from '../builds/build-sheets.ts'
import { type Planned, planBuild } from './planning.ts'

/** Kinds a donor is bought for: what a pairing needs and a vehicle could yield. */
const YIELDED = new Set([
  'engine',
  'transmission',
  'transfer-case',
  'flywheel',
  'flexplate',
  'cover',
  'disc',
  'release-bearing',
  'starter',
  'converter',
  'separator',
  'dowel',
  'bell-bolt',
  'odd-bell-bolt',
  'fork-stud',
  'engine-mount',
  'gearbox-mount',
  'propshaft',
  'speedometer',
  'sump',
  'throttle-actuation',
  'throttle-bracket',
  'alternator-plug',
  'gearbox-cooler',
  'air-conditioning',
  'steering-assist',
  'brake-assist',
  'gauges',
  'emissions-equipment',
])

/** Every donor of the catalogue as this build sees it: what it uses of it, net cost with every term, its sheet's risks. */
export async function donorsOf(store: Store, buildId: string) {
  const plan = await planBuild(store, buildId)
  const sheets = await store.list('donorSheet', { buildId })
  const donors = await store.list('donor')
  return {
    currency: plan.view.build.currency,
    labourRateMinor: plan.view.build.labourRateMinor,
    donors: donors.map((donor) => {
      const answers = (sheets.find((sheet) => sheet.donorId === donor.id)?.answers ??
        {}) as SheetAnswers
      const money = moneyOf(plan, donor.id)
      const usable = usedBy(plan, donor.id)
      return {
        ...donor,
        net: money
          ? netCost(
              money,
              usable,
              plan.view.build.labourRateMinor,
              new Set(plan.needs.map(({ kind }) => kind)),
            )
          : null,
        answered: Object.keys(answers).length,
        risks: risksOf(answers),
        absent: wantedFrom(plan)
          .filter((piece) => answers[pieceQuestion(piece.id)]?.value === 'no')
          .map((piece) => piece.words),
      }
    }),
  }
}

/** Items of a donor that meet a need of the build. */
function usedBy(plan: Planned, donorId: string): Set<string> {
  const bundle = plan.gathered.problem.bundles.find((one) => one.id === asBundle(donorId))
  return new Set((bundle?.items ?? []).filter((item) => item.need !== '').map((item) => item.id))
}

/** The donor's money in the build's currency; null without an exchange rate. */
function moneyOf(plan: Planned, donorId: string): DonorMoney | null {
  const { catalogue, build } = plan.view
  const donor = catalogue.trade.donors.find((one) => one.id === donorId)
  const rate = donor && rateBetween(catalogue.trade.rates, donor.currency, build.currency)
  if (!donor || rate === null || rate === undefined) return null
  const inBuild = (minor: number): number => convert(minor, donor.currency, build.currency, rate)
  return {
    priceMinor: inBuild(donor.priceMinor),
    fetchMinor: inBuild(donor.fetchMinor),
    repairMinor: inBuild(donor.repairMinor),
    missingMinor: inBuild(donor.missingMinor),
    missingKind: donor.missingKind,
    disposalMinor: inBuild(donor.disposalMinor),
    storageMinor: inBuild(donor.storageMinor),
    scrapMinor: inBuild(donor.scrapMinor),
    saleFee: donor.saleFee,
    pieces: donor.items.map((item) => ({
      ...item,
      words: catalogue.parts.get(item.partId)?.name ?? item.partId,
      saleMinor: inBuild(item.saleMinor),
    })),
  }
}

/** What this pairing needs that a vehicle could yield, a line each. */
const wantedFrom = (plan: Planned): { id: string; words: string }[] =>
  plan.needs
    .filter((need) => !need.task && YIELDED.has(seeks(need)))
    .map((need) => ({
      id: need.id,
      words: need.quantity > 1 ? `${need.words}, ${need.quantity} off` : need.words,
    }))

/** One donor's sheet: the answers so far, and what to look for on it. */
export async function donorSheet(store: Store, buildId: string, donorId: string) {
  const plan = await planBuild(store, buildId)
  const donor = await store.get('donor', donorId)
  const sheet = (await store.list('donorSheet', { buildId, donorId }))[0]
  return {
    donor: { id: donor.id, name: donor.name, place: donor.place },
    build: plan.view.build.name,
    pieces: wantedFrom(plan).map((piece) => ({
      question: pieceQuestion(piece.id),
      words: piece.words,
    })),
    answers: sheet?.answers ?? {},
    risks: risksOf(sheet?.answers ?? {}),
  }
}

/** Joins answers into a donor's sheet, question by question: a queue may send late and twice, nothing is lost. */
export async function answerSheet(
  store: Store,
  buildId: string,
  donorId: string,
  { answers }: z.infer<typeof sheetInput>,
): Promise<Joined> {
  return store.transaction(async (tx) => {
    await tx.get('build', buildId)
    await tx.get('donor', donorId)
    for (const id of Object.keys(answers))
      if (!isPieceQuestion(id) && !questionOf(id))
        throw new UnprocessableError(`"${id}" is not a question of the sheet.`, [
          { path: `answers.${id}`, message: 'Not a question of the sheet.' },
        ])
    return joinSheet(tx, 'donorSheet', { buildId, donorId }, answers)
  })
}
