import { createHash } from 'node:crypto'
import type { Code } from '../../../core/joints/code.ts'
import { JOINTS } from '../../../core/joints/index.ts'
import { convert } from '../../../core/money/money.ts'
import { paidPrice, rateBetween } from '../../../core/money/offer-price.ts'
import { type LineRow, ROW_CURRENCY } from '../../../core/needs/line.ts'
import { LINE_ROWS } from '../../../core/needs/lines/index.ts'
import {
  type DecidedLine,
  estimateList,
  type KeptMoments,
  type ListEstimateInput,
} from '../../../core/needs/list-estimate.ts'
import { needOfOwn } from '../../../core/needs/own-line.ts'
import { rowsOfRecipes } from '../../../core/needs/recipe.ts'
import { CODE_LETTERS } from '../../../core/pairing/code-letters.ts'
import { effective } from '../../../core/pairing/order.ts'
import type { PairingResult } from '../../../core/pairing/pairing.ts'
import { stoppersOpen } from '../../../core/pairing/stoppers.ts'
import type { Train } from '../../../core/pairing/train.ts'
import { GRADES } from '../../../core/quantity/grade.ts'
import type { RowOf, Store } from '../../database/store.ts'
import type { BuildView } from '../builds/build-view.ts'
import { partsIn } from '../planning/planning.ts'
import { Memory } from '../shop/memory.ts'
import { type BuildSheets, factsFrom, sheetsOf } from '../trains/build-facts.ts'
import { type PartPrices, pricesOf } from '../trains/pairing-prices.ts'
import { type PairingRun, runBuildPairing } from '../trains/pairing-run.ts'
import { ownTrain, roadRow } from '../trains/road.ts'

/** A pairing by its parts; without a transfer case the build's own stands behind it. */
export interface PairOf {
  readonly engineId: string
  readonly transmissionId: string
  readonly transferId: string | null
}

/** What the figures of any pairing of a build are made from, read once. */
export interface Ground {
  readonly view: BuildView
  readonly own: Train | null
  readonly sheets: BuildSheets
  readonly decided: ReadonlyMap<string, DecidedLine>
  readonly prices: PartPrices
  readonly minorOf: (eur: number) => number | null
  /** Rows of the list with those of the shop that speak of these parts: the same for the same. */
  readonly kept: KeptMoments
  readonly rowsFor: (parts: ReadonlySet<string>) => readonly LineRow[]
  /** What all of it but the parts comes to, in words. */
  readonly words: string
}

/** What rows at their own price add, by rate of exchange. */
const keptMoments = new Memory<KeptMoments>(6)
/** Rows that are remembered, over all builds. */
const remembered = new Memory<ReturnType<typeof workOut>>(20_000)
/** After so long what is ready is answered, and the rest is asked for again. */
const SLICE_MS = 250

/** What a list of pairings is told apart by, a row each, as many of those asked for as are ready soon; at least one. */
export async function figuresOf(store: Store, view: BuildView, pairs: readonly PairOf[]) {
  const ground = await groundOf(store, view, pairs)
  const until = performance.now() + SLICE_MS
  const items: ReturnType<typeof workOut>[] = []
  for (const pair of pairs) {
    items.push(rowOfPair(ground, pair))
    if (performance.now() > until) break
  }
  return { items }
}

/** All of them, however long it takes. */
export async function allFigures(store: Store, view: BuildView, pairs: readonly PairOf[]) {
  const ground = await groundOf(store, view, pairs)
  return pairs.map((pair) => rowOfPair(ground, pair))
}

export async function groundOf(
  store: Store,
  view: BuildView,
  pairs: readonly PairOf[],
): Promise<Ground> {
  const { build, catalogue } = view
  const parts = new Set(
    pairs.flatMap(({ engineId, transmissionId, transferId }) => [
      ...[engineId, transmissionId].flatMap((id) => [
        id,
        ...catalogue.ownedBy(id).map((row) => row.id),
      ]),
      ...(transferId === null ? [] : [transferId]),
    ]),
  )
  const [sheets, decisions, prices] = await Promise.all([
    sheetsOf(store, build.id),
    store.list('decision', { buildId: build.id }),
    pricesOf(store, view, parts),
  ])
  const rate = rateBetween(catalogue.trade.rates, ROW_CURRENCY, build.currency)
  return {
    view,
    own: ownTrain(
      view,
      build.recipientId ? (catalogue.parts.get(build.recipientId) ?? null) : null,
    ),
    sheets,
    decided: decidedOf(decisions),
    prices,
    minorOf: (eur) =>
      rate === null ? null : convert(Math.round(eur * 100), ROW_CURRENCY, build.currency, rate),
    rowsFor: rowsWith(view.recipes),
    kept: keptMoments.recall([], String(rate), () => new Map()),
    words: hash([
      build,
      sheets,
      decisions,
      view.recipes,
      view.ownLines,
      view.stoppers,
      view.jointClaims,
      view.choices,
      [...view.inserted],
      view.pairings,
      prices.changes,
    ]),
  }
}

/** Short, for thousands of rows are remembered by it. */
const hash = (read: readonly unknown[]): string =>
  createHash('sha1').update(JSON.stringify(read)).digest('base64')

function rowsWith(recipes: BuildView['recipes']): Ground['rowsFor'] {
  const held = new Map<string, readonly LineRow[]>()
  const ofParts = new Set(recipes.flatMap(({ ofPart }) => ofPart ?? []))
  return (parts) => {
    const those = [...parts].filter((id) => ofParts.has(id)).sort()
    const key = those.join(' ')
    let rows = held.get(key)
    if (!rows) {
      const own = rowsOfRecipes(recipes, [], new Set(those))
      held.set(key, (rows = own.length === 0 ? LINE_ROWS : [...LINE_ROWS, ...own]))
    }
    return rows
  }
}

function decidedOf(decisions: readonly RowOf<'decision'>[]): Map<string, DecidedLine> {
  const found = new Map<string, DecidedLine>()
  for (const { needId, act, priceMinor } of decisions) {
    const before = found.get(needId)
    const typed = PRICES.has(act) ? (priceMinor ?? undefined) : undefined
    found.set(needId, {
      acts: [...(before?.acts ?? []), act],
      typedMinor: typed ?? before?.typedMinor,
    })
  }
  return found
}
const PRICES: ReadonlySet<string> = new Set(['price', 'estimate', 'order', 'receive'])

/** Remembered by all that a row is worked out from: parts by identity, masses and what was typed in words. */
export function rowOfPair(ground: Ground, pair: PairOf): ReturnType<typeof workOut> {
  const { view, own, words } = ground
  const { catalogue, build, choices, insertables } = view
  const { parts, rows, kinds, tolerances, trade } = catalogue
  const named = [
    pair.engineId,
    pair.transmissionId,
    ...(pair.transferId === null ? [] : [pair.transferId]),
    ...(build.recipientId ? [build.recipientId] : []),
    ...(own ? [own.engine.id, own.transmission.id] : []),
  ]
  const brought = [pair.engineId, pair.transmissionId].flatMap((id) => catalogue.ownedBy(id))
  const leansOn = [
    ...[...named, ...brought.map(({ id }) => id), ...choices.map((one) => String(one.partId))].map(
      (id) => parts.get(id) ?? null,
    ),
    // The one behind a gearbox is found among them.
    kinds.get('transfer-case') ?? null,
    tolerances,
    insertables,
    trade,
  ]
  const masses = named.map((id) => rows.get(id)?.massG ?? '?').join(' ')
  return remembered.recall(leansOn, `${words} ${masses}`, () => workOut(ground, pair))
}

function workOut(ground: Ground, { engineId, transmissionId, transferId }: PairOf) {
  const { view, own } = ground
  const run = runBuildPairing(view, engineId, transmissionId, transferId, false)
  const { train, result, heard } = run
  const spread = estimateList(estimateInputOf(ground, run))
  const verdicts = result.joints.map(({ joint, bare, closed }) => ({
    joint,
    answered: heard.get(joint)?.answer !== undefined,
    verdict: effective({ bare, closed }),
  }))
  const tasks = verdicts.flatMap(({ verdict }) => verdict.tasks)
  return {
    engineId,
    transmissionId,
    transferId,
    ...lettersOf(run),
    claimed: [...heard].flatMap(([joint, { answer }]) => (answer ? joint : [])),
    conflicting: [...heard].flatMap(([joint, { conflicts }]) =>
      conflicts.length > 0 ? joint : [],
    ),
    open: verdicts.filter(({ verdict, answered }) => verdict.code === 'unmeasured' && !answered)
      .length,
    stoppers: stoppersOpen(
      view.stoppers,
      (joint) => verdicts.find((one) => one.joint === joint)?.verdict.code ?? null,
    ).length,
    minutes: verdicts.reduce((sum, { verdict }) => sum + verdict.minutes, 0),
    hours: spread.hours,
    money: ground.minorOf(1) === null ? null : { ...spread.money, likely: spread.likelyMinor },
    jointHours: tasks.reduce((sum, { hours }) => sum + hours, 0),
    cuts: tasks.filter(({ reversible }) => !reversible).length,
    makes: tasks.filter(({ skills }) => skills.includes('weld') || skills.includes('machine'))
      .length,
    piecesMinor: piecesFrom(view, result.chosen),
    closedBy: result.chosen.map((id) => view.catalogue.parts.get(id)?.name ?? id),
    marginNm: marginOf(result),
    ...roadRow(view, train, own),
  }
}

/** One letter a joint, in their order: its code as it is, as it is closed, and the grade it leans on. */
function lettersOf({ result, heard }: PairingRun) {
  const letters = JOINTS.map(({ id }) => {
    const joint = result.joints.find((one) => one.joint === id)
    if (!joint) return { code: '-', closed: '-', grade: '-' }
    const answer = heard.get(id)?.answer
    const code: Code = answer?.run === 'bare' ? answer.code : joint.bare.code
    const closed = answer?.run === 'closed' ? answer.code : joint.closed?.code
    const evidence = answer ? answer.evidence : joint.bare.evidence
    return {
      code: CODE_LETTERS[code],
      closed: closed === undefined ? '-' : CODE_LETTERS[closed],
      grade: evidence === null ? '-' : String(GRADES.indexOf(evidence)),
    }
  })
  const of = (key: 'code' | 'closed' | 'grade'): string => letters.map((one) => one[key]).join('')
  return { codes: of('code'), closed: of('closed'), grades: of('grade') }
}

/** What the list of a pairing is estimated from. */
export function estimateInputOf(
  { view, sheets, decided, prices, minorOf, rowsFor, kept }: Ground,
  run: PairingRun,
): ListEstimateInput {
  const { train, result } = run
  const facts = factsFrom(view, run, sheets)
  const pieces = result.chosen.flatMap((id) => view.catalogue.parts.get(id) ?? [])
  const named = new Map(
    [train.engine, train.transmission, train.transfer, ...train.coupling].flatMap((part) =>
      part ? [[part.kind as string, part.id]] : [],
    ),
  )
  return {
    rows: rowsFor(partsIn(run)),
    facts,
    joints: result.joints,
    priceOf: (kind) => {
      const put = pieces.filter((part) => part.kind === kind)
      if (put.length > 0) {
        const sum = put.reduce((all, { id }) => all + view.insertables.cost(id), 0)
        return Number.isFinite(sum) ? [sum, sum, sum] : undefined
      }
      const part = named.get(kind)
      return part === undefined ? undefined : prices.of(part)
    },
    inserted: pieces.map(({ kind }) => kind),
    decided,
    own: view.ownLines.map((line) => ({
      need: needOfOwn(line),
      priceMinor: line.priceMinor ?? null,
    })),
    minorOf,
    rateMinor: view.build.labourRateMinor,
    kept,
  }
}

/** The least the pieces that close it are known to cost, each by itself or all in one kit; null where one has no price. */
function piecesFrom(
  { build, insertables, catalogue: { trade } }: BuildView,
  parts: readonly string[],
): number | null {
  const money = { currency: build.currency, taxRate: build.taxRate }
  const apart = parts.reduce((sum, part) => sum + insertables.cost(part), 0)
  const together = trade.kits
    .filter(({ items }) => parts.every((part) => items.some(({ partId }) => partId === part)))
    .map((kit) => paidPrice(kit.priceMinor, kit.currency, kit.taxIncluded, money, trade.rates))
  const least = Math.min(apart, ...together.map((price) => price ?? Infinity))
  return parts.length === 0 ? 0 : Number.isFinite(least) ? least : null
}

/** Least torque margin at the gearbox input, N·m; null when not known. */
function marginOf(result: PairingResult): number | null {
  const limits =
    result.joints
      .find((joint) => joint.joint === 'torque')
      ?.bare.limits.filter((limit) => limit.id === 'torque') ?? []
  const margins = limits.flatMap((limit) => (limit.margin === null ? [] : [limit.margin]))
  return margins.length === limits.length && margins.length > 0 ? Math.min(...margins) : null
}
