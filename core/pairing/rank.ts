import { CODES } from '../joints/code.ts'
import { JOINTS } from '../joints/index.ts'
import { Tally } from '../joints/judging/tally.ts'
import { type EngineEnd, type GearboxEnd, NOT_MET, sweep, trainOfEnds } from './sweep.ts'
import { assemble, contextOf, type PairingContext, tallyJoint } from './train.ts'

/** What each code weighs when pairings are ordered: a clash last, much unknown after little to make. */
const WEIGHTS = { fits: 0, work: 1, bridge: 4, unmeasured: 5, clash: 100 } as const

/** So few pairings are judged one by one: arranging a sweep would take longer. */
const FEW = 100

/** How far each pairing is from going together, by its bare codes, rows by engine: the less the more promising. */
export function weighPairs(
  engines: readonly EngineEnd[],
  gearboxes: readonly GearboxEnd[],
  ctx: PairingContext,
  few = FEW,
): Float64Array {
  const weights = new Float64Array(engines.length * gearboxes.length)
  if (weights.length <= few) {
    engines.forEach((engine, row) => {
      gearboxes.forEach((gearbox, column) => {
        weights[row * gearboxes.length + column] = weightOf(engine, gearbox, ctx)
      })
    })
    return weights
  }
  for (const { code } of sweep(engines, gearboxes, ctx))
    for (let at = 0; at < code.length; at++) {
      const found = code[at]!
      if (found !== NOT_MET) weights[at]! += WEIGHTS[CODES[found]!]
    }
  return weights
}

function weightOf(engine: EngineEnd, gearbox: GearboxEnd, ctx: PairingContext): number {
  const assembly = assemble(trainOfEnds(engine, gearbox))
  const full = contextOf(assembly, ctx)
  const tally = new Tally()
  let weight = 0
  for (const joint of JOINTS)
    if (tallyJoint(joint, assembly, full, tally.reset())) weight += WEIGHTS[CODES[tally.code]!]
  return weight
}

/** The same, where only the ends that changed since it was last asked are swept again: parts are the same objects until they change. */
export class PairWeights {
  #before: {
    readonly engines: readonly EngineEnd[]
    readonly gearboxes: readonly GearboxEnd[]
    readonly ctx: PairingContext
    readonly weights: Float64Array
  } | null = null

  weigh(
    engines: readonly EngineEnd[],
    gearboxes: readonly GearboxEnd[],
    ctx: PairingContext,
  ): Float64Array {
    const before = this.#before && isSameContext(this.#before.ctx, ctx) ? this.#before : null
    const rows = engines.map(
      (end) => before?.engines.findIndex((one) => isSameEngine(one, end)) ?? -1,
    )
    const columns = gearboxes.map(
      (end) => before?.gearboxes.findIndex((one) => isSameGearbox(one, end)) ?? -1,
    )
    const width = gearboxes.length
    const weights = new Float64Array(engines.length * width)
    const fill = (some: readonly number[], others: readonly number[]): void => {
      if (some.length === 0 || others.length === 0) return
      const found = weighPairs(
        some.map((row) => engines[row]!),
        others.map((column) => gearboxes[column]!),
        ctx,
      )
      some.forEach((row, i) => {
        others.forEach((column, j) => {
          weights[row * width + column] = found[i * others.length + j]!
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
          weights[row * width + column] =
            before.weights[rows[row]! * before.gearboxes.length + columns[column]!]!
    this.#before = { engines, gearboxes, ctx, weights }
    return weights
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
