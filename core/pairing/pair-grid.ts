import { CODES } from '../joints/code.ts'
import { JOINTS } from '../joints/index.ts'
import { Tally } from '../joints/judging/tally.ts'
import { LEANS, type Lean, leanOf } from '../joints/lean.ts'
import { CODE_WEIGHTS } from './order.ts'
import { countsOf, type EngineEnd, type GearboxEnd, NOT_MET, sweep, trainOfEnds } from './sweep.ts'
import { assemble, contextOf, type PairingContext, tallyJoint } from './train.ts'

/** So few pairings are judged one by one: arranging a sweep would take longer. */
const FEW = 100

/** One joint of one pair in a byte: code, weakest grade, leaning; 255 where it does not apply. */
export interface Cell {
  readonly code: number
  readonly weakest: number
  readonly lean: Lean
}
export const cellOf = (byte: number): Cell | null =>
  byte === NOT_MET
    ? null
    : { code: byte & 7, weakest: (byte >> 3) & 7, lean: LEANS[byte >> 6] ?? 'open' }

const byteOf = (
  code: number,
  weakest: number,
  counts: { readonly stated: number; readonly known: number; readonly outside: number },
): number => code | (weakest << 3) | (LEANS.indexOf(leanOf(counts)) << 6)

/** Every joint of every pair: rows by engine, columns by gearbox, joints in their order. */
export interface Grid {
  readonly cells: Uint8Array
  /** How far each pair is from going together, by its bare codes: the less the more promising. */
  readonly weights: Float64Array
}

const WIDTH = JOINTS.length

/** The joints of one pair of a grid, in their order. */
export const cellsAt = ({ cells }: Grid, at: number): Uint8Array =>
  cells.subarray(at * WIDTH, (at + 1) * WIDTH)

/** Judges every engine with every gearbox by bare codes. */
export function gridOf(
  engines: readonly EngineEnd[],
  gearboxes: readonly GearboxEnd[],
  ctx: PairingContext,
  few = FEW,
): Grid {
  const size = engines.length * gearboxes.length
  const cells = new Uint8Array(size * WIDTH).fill(NOT_MET)
  if (size <= few)
    engines.forEach((engine, row) => {
      gearboxes.forEach((gearbox, column) => {
        judgePair(engine, gearbox, ctx, cells, (row * gearboxes.length + column) * WIDTH)
      })
    })
  else
    sweep(engines, gearboxes, ctx).forEach(({ code, counts, weakest }, joint) => {
      for (let at = 0; at < size; at++)
        if (code[at] !== NOT_MET)
          cells[at * WIDTH + joint] = byteOf(code[at]!, weakest[at]!, countsOf(counts[at]!))
    })
  return { cells, weights: weightsOf(cells) }
}

function weightsOf(cells: Uint8Array): Float64Array {
  const weights = new Float64Array(cells.length / WIDTH)
  cells.forEach((byte, at) => {
    if (byte !== NOT_MET) weights[Math.floor(at / WIDTH)]! += CODE_WEIGHTS[CODES[byte & 7]!]
  })
  return weights
}

function judgePair(
  engine: EngineEnd,
  gearbox: GearboxEnd,
  ctx: PairingContext,
  cells: Uint8Array,
  from: number,
): void {
  const assembly = assemble(trainOfEnds(engine, gearbox))
  const full = contextOf(assembly, ctx)
  const tally = new Tally()
  JOINTS.forEach((joint, i) => {
    if (tallyJoint(joint, assembly, full, tally.reset()))
      cells[from + i] = byteOf(tally.code, tally.weakest, tally)
  })
}

/** The same, where only the ends that changed since it was last asked are swept again: parts are the same objects until they change. */
export class PairGrid {
  #before: {
    readonly engines: readonly EngineEnd[]
    readonly gearboxes: readonly GearboxEnd[]
    readonly ctx: PairingContext
    readonly grid: Grid
  } | null = null

  read(engines: readonly EngineEnd[], gearboxes: readonly GearboxEnd[], ctx: PairingContext): Grid {
    const before = this.#before && isSameContext(this.#before.ctx, ctx) ? this.#before : null
    const rows = engines.map(
      (end) => before?.engines.findIndex((one) => isSameEngine(one, end)) ?? -1,
    )
    const columns = gearboxes.map(
      (end) => before?.gearboxes.findIndex((one) => isSameGearbox(one, end)) ?? -1,
    )
    const width = gearboxes.length
    const cells = new Uint8Array(engines.length * width * WIDTH)
    const fill = (some: readonly number[], others: readonly number[]): void => {
      if (some.length === 0 || others.length === 0) return
      const found = gridOf(
        some.map((row) => engines[row]!),
        others.map((column) => gearboxes[column]!),
        ctx,
      )
      some.forEach((row, i) => {
        others.forEach((column, j) => {
          cells.set(cellsAt(found, i * others.length + j), (row * width + column) * WIDTH)
        })
      })
    }
    const places = (known: readonly number[], isKnown: boolean): number[] =>
      known.flatMap((at, place) => (at >= 0 === isKnown ? [place] : []))
    fill(
      places(rows, false),
      gearboxes.map((_, column) => column),
    )
    fill(places(rows, true), places(columns, false))
    if (before)
      for (const row of places(rows, true))
        for (const column of places(columns, true))
          cells.set(
            cellsAt(before.grid, rows[row]! * before.gearboxes.length + columns[column]!),
            (row * width + column) * WIDTH,
          )
    const grid = { cells, weights: weightsOf(cells) }
    this.#before = { engines, gearboxes, ctx, grid }
    return grid
  }
}

const isSameContext = (one: PairingContext, other: PairingContext): boolean =>
  one.tolerances === other.tolerances && one.use === other.use && one.placement === other.placement
const isSameList = (one: readonly unknown[], other: readonly unknown[]): boolean =>
  one.length === other.length && one.every((part, i) => part === other[i])
const isSameEngine = (one: EngineEnd, other: EngineEnd): boolean =>
  one.engine === other.engine && isSameList(one.coupling, other.coupling)
const isSameGearbox = (one: GearboxEnd, other: GearboxEnd): boolean =>
  one.transmission === other.transmission &&
  one.transfer === other.transfer &&
  one.recipient === other.recipient &&
  isSameList(one.coupling, other.coupling)
