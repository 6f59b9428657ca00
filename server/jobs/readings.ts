import type { MessagePort } from 'node:worker_threads'
import { pino } from 'pino'
import type { PlacementSchool } from '../../core/joints/joint.ts'
import type { PlanLine } from '../../core/sourcing/account.ts'
import type { Store } from '../database/store.ts'
import type { Paper } from '../documents/pattern-pdf.ts'
import { ConflictError, UnprocessableError } from '../errors.ts'
import { viewBuild } from '../services/builds/build-view.ts'
import { facesOf } from '../services/catalogue/patterns.ts'
import { againstView } from '../services/choosing/against.ts'
import { briefView } from '../services/choosing/brief.ts'
import { buildHeader, headerOrFault } from '../services/choosing/build-header.ts'
import { firstAnswerView } from '../services/choosing/first-answer.ts'
import { kitColumn, kitsAtHand, planWithKit } from '../services/choosing/kits-compared.ts'
import { measureNextTyped, measureNextView } from '../services/choosing/measure-next.ts'
import { summaryView } from '../services/choosing/owner-summary.ts'
import { closingSet } from '../services/choosing/pairing-choice.ts'
import { choiceView, reasonsFor } from '../services/choosing/pairing-reasons.ts'
import { listPairings, pairingFigures, pairingWorking } from '../services/choosing/pairings.ts'
import { whatIf } from '../services/choosing/what-if.ts'
import { listAside } from '../services/keeping/set-aside.ts'
import { listedFor } from '../services/numbers/listed-for.ts'
import { checkNumbers, normaliseNumbers } from '../services/numbers/numbers.ts'
import { arrivalsOf, planFor } from '../services/planning/arrivals.ts'
import { budgetView } from '../services/planning/budget.ts'
import { lineStanding } from '../services/planning/decisions.ts'
import { donorSheet, donorsOf } from '../services/planning/donors.ts'
import { knownView } from '../services/planning/known.ts'
import { isSource } from '../services/planning/locks.ts'
import { matingCard } from '../services/planning/mating.ts'
import { partsList } from '../services/planning/parts-list.ts'
import { judgePlans, type Planned, planBuild } from '../services/planning/planning.ts'
import { recipientView } from '../services/planning/recipient.ts'
import { sourcingView } from '../services/planning/sourcing.ts'
import { tryRecipe } from '../services/planning/try-recipe.ts'
import { readSettings } from '../services/shop/settings.ts'
import { judgeChosen } from '../services/trains/judged-pairings.ts'
import { pairingDetail } from '../services/trains/pairing-detail.ts'
import { placed } from '../services/trains/placed.ts'
import { plateFaces } from '../services/trains/plate.ts'
import { findShafts } from '../services/trains/shafts.ts'

/** Hands the problem of a list to a solver; it hands each plan back to be judged as a whole, and closes the port when it is done. */
function handOver(planned: Planned, to: MessagePort): void {
  if (!planned.run)
    throw new ConflictError('Choose a pairing first: without it there is no parts list to source.')
  const again = judgePlans(planned)
  to.on('message', (lines: readonly PlanLine[]) => to.postMessage(again(lines)))
  to.unref()
  to.postMessage(planned.gathered.problem)
}

const encoder = new TextEncoder()
const log = pino({ level: process.env.JUNKET_LOG ?? 'warn' })

/**
 * Whatever plans, judges or draws from the data, by name: done on a thread with a connection of its own, so that
 * requests are answered meanwhile. What they answer is JSON, or a file.
 */
export const READINGS = {
  builds: async (store: Store) => ({
    items: await Promise.all(
      (await store.list('build')).map((build) => headerOrFault(store, build, log)),
    ),
  }),
  header: buildHeader,
  firstAnswer: firstAnswerView,
  brief: briefView,
  known: knownView,
  whatIf,
  tryRecipe,
  recipient: recipientView,
  pairings: listPairings,
  pairingFigures,
  pairingWorking,
  checkNumber: checkNumbers,
  listedFor,
  normalise: normaliseNumbers,
  measureNext: measureNextView,
  measureNextTyped,
  pairing: async (
    store: Store,
    build: string,
    engine: string,
    transmission: string,
    transfer: string | null,
    school: PlacementSchool | undefined,
  ) => pairingDetail(placed(await viewBuild(store, build), school), engine, transmission, transfer),
  closingSet,
  reasonsFor,
  choice: choiceView,
  against: againstView,
  summary: summaryView,
  summaryHtml: async (store: Store, build: string) =>
    encoder.encode(
      (await import('../documents/summary-html.ts')).summaryToHtml(await summaryView(store, build)),
    ),
  summaryPdf: async (store: Store, build: string) =>
    (await import('../documents/summary-pdf.ts')).summaryToPdf(
      await summaryView(store, build),
      (await readSettings(store)).paper,
    ),
  judged: judgeChosen,
  shafts: findShafts,
  mating: matingCard,
  parts: partsList,
  partsCsv: async (store: Store, build: string) =>
    encoder.encode(
      (await import('../documents/parts-csv.ts')).partsCsv(await partsList(store, build)),
    ),
  lineStanding,
  donors: donorsOf,
  donorSheet,
  sourcing: sourcingView,
  isSource,
  budget: budgetView,
  /** Hands the sources of a build to a solver, and answers what they are known by. */
  solve: async (store: Store, build: string, to: MessagePort) => {
    const planned = await planBuild(store, build)
    handOver(planned, to)
    return { madeFrom: planned.madeFrom }
  },
  kitsAtHand,
  planFor,
  arrivals: arrivalsOf,
  kitMadeFrom: async (store: Store, build: string, kit: string) =>
    (await planWithKit(store, build, kit)).madeFrom,
  /** The same as it would be with a kit. */
  solveWithKit: async (store: Store, build: string, kit: string, to: MessagePort) => {
    handOver(await planWithKit(store, build, kit), to)
    return { kit }
  },
  kitColumn,
  setAside: async (store: Store) => ({ items: await listAside(store) }),
  facePdf: async (store: Store, part: string, slot: string, paper: Paper) => {
    const { part: row, faces } = await facesOf(store, part)
    const face = faces.find((one) => one.name === slot)
    if (!face)
      throw new UnprocessableError(
        `${row.name} has no pattern of its ${slot} face yet: measure its holes first.`,
      )
    return (await pdf()).patternToPdf({
      title: `${row.name}, ${face.name} face`,
      faces: [face],
      isMirrored: face.looks === 'forward',
      paper,
    })
  },
  faceDxf: async (store: Store, part: string) => {
    const { part: row, faces } = await facesOf(store, part)
    if (faces.length === 0)
      throw new UnprocessableError(`${row.name} has no pattern yet: measure its holes first.`)
    return encoder.encode((await dxf()).patternToDxf(faces))
  },
  platePdf: async (
    store: Store,
    build: string,
    engine: string,
    transmission: string,
    paper: Paper,
  ) =>
    (await pdf()).patternToPdf({
      ...(await plateFaces(store, build, engine, transmission)),
      isMirrored: false,
      paper,
    }),
  plateDxf: async (store: Store, build: string, engine: string, transmission: string) =>
    encoder.encode(
      (await dxf()).patternToDxf((await plateFaces(store, build, engine, transmission)).faces),
    ),
} satisfies Record<string, (store: Store, ...args: never[]) => Promise<unknown>>

/** Loaded when one is asked for. */
const pdf = () => import('../documents/pattern-pdf.ts')
const dxf = () => import('../documents/pattern-dxf.ts')

export type Readings = typeof READINGS
export type ReadingName = keyof Readings
/** What a reading is asked with. */
export type Asked<N extends ReadingName> = Readings[N] extends (
  store: Store,
  ...args: infer A
) => unknown
  ? A
  : never
export type Answer<N extends ReadingName> = Awaited<ReturnType<Readings[N]>>

/** Does one reading. @returns its JSON as it goes out, or the bytes of a file */
export async function readAs(
  store: Store,
  name: ReadingName,
  args: readonly unknown[],
): Promise<Uint8Array<ArrayBuffer>> {
  const answer = await (
    READINGS[name] as (store: Store, ...args: readonly unknown[]) => Promise<unknown>
  )(store, ...args)
  // A copy of its own: it is handed to another thread whole.
  return answer instanceof Uint8Array
    ? new Uint8Array(answer)
    : encoder.encode(JSON.stringify(answer))
}
