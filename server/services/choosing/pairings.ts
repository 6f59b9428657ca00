import { briefLimits } from '../../../core/brief/limits.ts'
import { CODES } from '../../../core/joints/code.ts'
import { JOINTS } from '../../../core/joints/index.ts'
import type { PlacementSchool } from '../../../core/joints/joint.ts'
import type { Lean } from '../../../core/joints/lean.ts'
import { convert } from '../../../core/money/money.ts'
import { rateBetween } from '../../../core/money/offer-price.ts'
import { ROW_CURRENCY } from '../../../core/needs/line.ts'
import { CODE_LETTERS, codeOfLetter } from '../../../core/pairing/code-letters.ts'
import { byPromise } from '../../../core/pairing/order.ts'
import { type Cell, cellOf, cellsAt, PairGrid } from '../../../core/pairing/pair-grid.ts'
import type { EngineEnd, GearboxEnd } from '../../../core/pairing/sweep.ts'
import type { FigureId } from '../../../core/pairing/working.ts'
import { type CompiledPart, portOf } from '../../../core/ports/index.ts'
import { GRADES } from '../../../core/quantity/grade.ts'
import { engineFigure } from '../../../core/train/engine-figure.ts'
import { gearboxFigure } from '../../../core/train/gearbox-figure.ts'
import { vehicleFigure } from '../../../core/train/vehicle-figure.ts'
import type { Store } from '../../database/store.ts'
import { sheetAnswers } from '../builds/build-sheets.ts'
import { type BuildView, contextOf, viewBuild } from '../builds/build-view.ts'
import { OWN_SHELF } from '../catalogue/own-shelf.ts'
import { Memory, RevisionMemory } from '../shop/memory.ts'
import { couplingOf, transferOf } from '../trains/pairing-run.ts'
import { placed } from '../trains/placed.ts'
import { allFigures, figuresOf, type PairOf } from './pairing-figures.ts'
import { workingOf } from './pairing-working.ts'

/** Pairings that are listed: the most promising; so many can be scrolled, searched and put in order at once. */
const MOST_LISTED = 6000

const grids = new RevisionMemory<Awaited<ReturnType<typeof gridView>>>()

/** Every engine with every gearbox and transfer case, by bare codes: one word a row, the most promising first. */
export const listPairings = (store: Store, buildId: string, school?: PlacementSchool) =>
  grids.recall(store, `${buildId}|${school ?? ''}`, async () =>
    gridView(store, placed(await viewBuild(store, buildId), school)),
  )

/** What tells some pairings of a list apart, as many as are ready soon. */
export const pairingFigures = async (
  store: Store,
  buildId: string,
  school: PlacementSchool | undefined,
  pairs: readonly PairOf[],
) => figuresOf(store, placed(await viewBuild(store, buildId), school), pairs)

/** How one figure of a pairing came about. */
export const pairingWorking = async (
  store: Store,
  buildId: string,
  school: PlacementSchool | undefined,
  pair: PairOf,
  figure: FigureId,
) => workingOf(store, placed(await viewBuild(store, buildId), school), pair, figure)

async function gridView(store: Store, view: BuildView) {
  const { build, catalogue } = view
  const { ranked, of } = rank(view)
  const parts = [
    ...new Set(
      ranked.flatMap(({ engine, transmission, transfer }) => [
        engine,
        transmission,
        ...(transfer ? [transfer] : []),
      ]),
    ),
  ]
  const place = new Map(parts.map((part, i) => [part, i]))
  const [shelf, brief] = await Promise.all([
    store.read('offer', { supplierId: OWN_SHELF }),
    sheetAnswers(store, build.id, 'brief'),
  ])
  const euro = rateBetween(catalogue.trade.rates, ROW_CURRENCY, build.currency)
  const onShelf = new Set(shelf.map(({ partId }) => partId))
  const inDonor = new Set(
    catalogue.trade.donors.flatMap(({ items }) => items.map(({ partId }) => partId)),
  )
  const isVehicles = (id: string): boolean =>
    build.recipientId !== null && catalogue.rows.get(id)?.ownerId === build.recipientId
  return {
    school: build.school === 'set-back' ? ('set-back' as const) : ('keep' as const),
    currency: build.currency,
    /** Minor units of the build for a euro: what weights are kept in. */
    euroMinor: euro === null ? null : convert(100, ROW_CURRENCY, build.currency, euro),
    repairMinor: build.likeForLikeMinor ?? null,
    limits: briefLimits(brief, build.currency),
    of,
    joints: JOINTS.map(({ id }) => id),
    parts: parts.map((part) => ({
      id: part.id,
      name: part.name,
      family: portOf(part, 'face', 'rearward').family.v ?? portOf(part, 'face', 'forward').family.v,
      type: portOf(part, 'ratios').type.v,
      at: isVehicles(part.id)
        ? ('vehicle' as const)
        : onShelf.has(part.id)
          ? ('shelf' as const)
          : inDonor.has(part.id)
            ? ('donor' as const)
            : ('elsewhere' as const),
      engine: part.kind === 'engine' ? engineFigure(part) : null,
      gearbox: part.kind === 'transmission' ? gearboxFigure(part) : null,
    })),
    rows: ranked.map(({ engine, transmission, transfer, isChosen, cells }) => ({
      engine: place.get(engine)!,
      transmission: place.get(transmission)!,
      transfer: transfer === null ? null : place.get(transfer)!,
      chosen: isChosen,
      codes: cells.map((cell) => (cell ? CODE_LETTERS[CODES[cell.code]!] : '-')).join(''),
      grades: cells.map((cell) => (cell && GRADES[cell.weakest] ? cell.weakest : '-')).join(''),
      leans: cells.map((cell) => (cell ? LEAN_LETTERS[cell.lean] : '-')).join(''),
    })),
  }
}
const LEAN_LETTERS: Readonly<Record<Lean, string>> = { open: 'o', likely: 'l', doubtful: 'd' }

interface Ranked {
  readonly engine: CompiledPart
  readonly transmission: CompiledPart
  /** Another than the build's own; null for that, or none. */
  readonly transfer: CompiledPart | null
  readonly isChosen: boolean
  readonly cells: readonly (Cell | null)[]
}

/** What each build's pairings came to, so that a change sweeps only what it touched; the builds last looked at. */
const swept = new Map<string, PairGrid>()
const MOST_SWEPT = 12

function gridFor(key: string): PairGrid {
  const held = swept.get(key) ?? new PairGrid()
  swept.delete(key)
  swept.set(key, held)
  for (const oldest of swept.keys()) if (swept.size > MOST_SWEPT) swept.delete(oldest)
  return held
}

/** Nothing sold or written elsewhere changes the order. */
const ranking = new Memory<ReturnType<typeof rankAnew>>(12)

function rank(view: BuildView): ReturnType<typeof rankAnew> {
  const { build, catalogue, pairings, choices } = view
  const words = JSON.stringify([
    build.use,
    build.school,
    build.recipientId,
    pairings.map((row) => [row.engineId, row.transmissionId, row.chosen]),
    choices,
  ])
  return ranking.recall([catalogue.parts, catalogue.tolerances], words, () => rankAnew(view))
}

function rankAnew(view: BuildView): { readonly ranked: readonly Ranked[]; readonly of: number } {
  const { build, catalogue, pairings, choices } = view
  const recipient = build.recipientId ? (catalogue.parts.get(build.recipientId) ?? null) : null
  const engines = catalogue
    .ofKind('engine')
    .map((engine): EngineEnd => ({ engine, coupling: couplingOf(catalogue, engine.id) }))
  const cases = vehicleFigure(recipient).isFourDriven ? catalogue.ofKind('transfer-case') : []
  const columns = catalogue.ofKind('transmission').flatMap((transmission) => {
    const own = transferOf(catalogue, [], transmission.id, recipient?.id)
    const others = cases.filter((one) => one !== own)
    const end = { transmission, coupling: couplingOf(catalogue, transmission.id), recipient }
    return [
      { end: { ...end, transfer: own } satisfies GearboxEnd, other: null },
      ...others.map((one) => ({ end: { ...end, transfer: one } satisfies GearboxEnd, other: one })),
    ]
  })
  const grid = gridFor(`${build.id}|${build.school}`).read(
    engines,
    columns.map(({ end }) => end),
    contextOf(view),
  )
  const touched = new Set(pairings.map((row) => `${row.engineId}|${row.transmissionId}`))
  const chosen = pairings.find((row) => row.chosen === true)
  const isOwn = (part: CompiledPart): boolean =>
    build.recipientId !== null && catalogue.rows.get(part.id)?.ownerId === build.recipientId
  // A pairing for which another case was chosen stands with it, as it is judged; not a second time by itself.
  const cased = new Map(
    pairings.flatMap((row): [string, string][] => {
      const choice = choices.find((one) => one.pairingId === row.id && one.kind === 'transfer-case')
      return choice ? [[`${row.engineId}|${row.transmissionId}`, String(choice.partId)]] : []
    }),
  )
  const order: { at: number; weight: number; other: CompiledPart | null }[] = []
  // What the build has touched, and what came with the vehicle, is listed whatever it weighs.
  engines.forEach(({ engine }, row) => {
    columns.forEach(({ end: { transmission }, other }, column) => {
      const choice = cased.get(`${engine.id}|${transmission.id}`)
      if (other !== null && other.id === choice) return
      const stands =
        choice === undefined
          ? -1
          : columns.findIndex(
              (one) => one.end.transmission === transmission && one.other?.id === choice,
            )
      const at = row * columns.length + (other === null && stands >= 0 ? stands : column)
      const isKept =
        other === null &&
        (touched.has(`${engine.id}|${transmission.id}`) || (isOwn(engine) && isOwn(transmission)))
      order.push({ at, other, weight: isKept ? -1 : grid.weights[at]! })
    })
  })
  order.sort((p, q) => p.weight - q.weight || p.at - q.at)
  const ranked = order.slice(0, MOST_LISTED).map(({ at, other }): Ranked => {
    const { engine } = engines[Math.floor(at / columns.length)]!
    const { end } = columns[at % columns.length]!
    return {
      engine,
      transmission: end.transmission,
      transfer: other,
      isChosen:
        other === null &&
        chosen?.engineId === engine.id &&
        chosen.transmissionId === end.transmission.id,
      cells: [...cellsAt(grid, at)].map(cellOf),
    }
  })
  const named = ranked
    .map((one) => ({
      one,
      promising: {
        chosen: one.isChosen,
        engine: one.engine.name,
        transmission: one.transmission.name,
        isWorkedOut: false,
        joints: one.cells.flatMap((cell) =>
          cell ? { code: CODES[cell.code]!, closed: null } : [],
        ),
      },
    }))
    .sort((p, q) => byPromise(p.promising, q.promising))
  return { ranked: named.map(({ one }) => one), of: order.length }
}

/** The most promising pairings with all that is worked out of them, best first. */
export async function pairingRows(store: Store, view: BuildView, most = 24) {
  const { ranked, of } = rank(view)
  const some = ranked.slice(0, most)
  const figures = await allFigures(
    store,
    view,
    some.map(({ engine, transmission, transfer }) => ({
      engineId: engine.id,
      transmissionId: transmission.id,
      transferId: transfer?.id ?? null,
    })),
  )
  const isVehicles = (id: string): boolean =>
    view.build.recipientId !== null &&
    view.catalogue.rows.get(id)?.ownerId === view.build.recipientId
  const items = figures.map((row, i) => ({
    ...row,
    engine: some[i]!.engine.name,
    transmission: some[i]!.transmission.name,
    chosen: some[i]!.isChosen,
    isOwn: isVehicles(row.engineId) && isVehicles(row.transmissionId),
    isWorkedOut: true,
    joints: JOINTS.flatMap(({ id }, at) => {
      const code = codeOfLetter(row.codes[at])
      return code === null
        ? []
        : [
            {
              joint: id,
              code,
              closed: codeOfLetter(row.closed[at]),
              evidence: GRADES[Number(row.grades[at])] ?? null,
              claimed: row.claimed.includes(id),
            },
          ]
    }),
  }))
  return { items: items.sort(byPromise), of }
}
