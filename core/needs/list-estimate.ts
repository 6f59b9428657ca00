import type { FactKey } from '../facts/index.ts'
import { LEVELS } from '../money/draw.ts'
import {
  type Moments,
  momentsOfLine,
  type Spread,
  type SpreadLine,
  spreadOf,
} from '../money/spread.ts'
import type { Three } from '../money/three.ts'
import { effective } from '../pairing/order.ts'
import { kindWords } from '../ports/part-kinds.ts'
import type { Decision } from '../sourcing/decision.ts'
import type { RuleInput } from './from-pairing/rule.ts'
import type { LineRow } from './line.ts'
import { type KnownFacts, type Outcome, outcomesOf } from './line-list.ts'
import { type Need, needId, seeks } from './need.ts'
import { FAILS, type Supply, supplyOf } from './supply.ts'

/** What people decided of a line, by need. */
export interface DecidedLine {
  readonly acts: readonly Decision['act'][]
  readonly typedMinor?: number | undefined
}

export interface ListEstimateInput {
  readonly rows: readonly LineRow[]
  readonly facts: KnownFacts
  readonly joints: RuleInput['joints']
  /** What the very part costs that the pairing names for a kind, minor units; undefined where it names none or none has a price. */
  readonly priceOf: (kind: string) => Three | undefined
  /** Kinds of the pieces put in to close it. */
  readonly inserted: readonly string[]
  readonly decided: ReadonlyMap<string, DecidedLine>
  /** Lines written by hand, with what was typed for them. */
  readonly own: readonly { readonly need: Need; readonly priceMinor: number | null }[]
  /** Euros of a row in minor units of the build; null where there is no rate. */
  readonly minorOf: (eur: number) => number | null
  readonly rateMinor: number
  /** What lines of rows at their own price add, kept from list to list of one build. */
  readonly kept: KeptMoments
}
/** By row, and by the places of how it stands and comes. */
export type KeptMoments = Map<LineRow, (Moments | undefined)[]>
const OUTCOMES: readonly Outcome[] = ['yes', 'leans yes', 'open', 'folded']
const SUPPLIES: readonly Supply[] = ['get', 'comes', 'keep', 'here', 'settled']

/** How often a line stands by how it stands: what is assumed is so in four of five (common practice, no published source). */
const STANDS: Readonly<Record<Outcome, number>> = {
  yes: 1,
  'leans yes': 0.8,
  open: 0.5,
  folded: 0.1,
}
/** A piece that nobody priced, euros, low, likely, high (common practice, no published source). */
export const PIECE_EUR: Three = [90, 250, 700]
/** A first-timer's hours of a task against its own (common practice). */
const FIRST_TIMER = 2
const NOTHING: Three = [0, 0, 0]

/**
 * What the list of one pairing among many may come to: prices and hours of the rows that stand, each by itself, the very parts
 * where they have a price, joint by joint the work, and a piece for every gap that nothing closes. No list is written and
 * nothing is solved; facts that several lines lean on count as if each stood alone (`totals.ts` counts them together).
 */
export function estimateList(input: ListEstimateInput): Spread {
  const found: Moments[] = []
  walkList(input, (moments) => found.push(moments))
  return spreadOf(found, input.rateMinor, LEVELS)
}

/** One line of an estimate, with what it adds in the middle: minor units and hours. */
export interface EstimatedLine extends SpreadLine {
  readonly words: string
  readonly addsMinor: number
  readonly addsHours: number
}

/** The lines that an estimate is made of, in the order of the list. */
export function estimatedLines(input: ListEstimateInput): readonly EstimatedLine[] {
  const found: EstimatedLine[] = []
  walkList(input, ({ price, hours }, words, line) =>
    found.push({ ...line(), words, addsMinor: price, addsHours: hours }),
  )
  return found
}

type Add = (moments: Moments, words: string, line: () => SpreadLine) => void

function walkList(input: ListEstimateInput, told: Add): void {
  const { rows, facts, joints, priceOf, inserted, decided, own, minorOf, kept } = input
  const add = (words: string, line: SpreadLine): void =>
    told(momentsOfLine(line), words, () => line)
  const fact = (key: FactKey): string | undefined => facts[key]?.value
  const outcomes = outcomesOf(rows, facts)
  const sure = new Set<string>()
  const sought = new Set<string>()
  for (const [row, outcome] of outcomes) {
    if (outcome === 'yes') sure.add(row.kind)
    if (outcome !== 'folded') sought.add(seeks(row))
  }
  const priced = (eur: Three): Three => {
    const [low = null, likely = null, high = null] = eur.map(minorOf)
    return low === null || likely === null || high === null ? NOTHING : [low, likely, high]
  }
  for (const [row, outcome] of outcomes) {
    if (row.cured?.some((kind) => sure.has(kind))) continue
    for (const id of idsOf(row)) {
      const said = decided.get(id)
      if (said?.acts.includes('drop')) continue
      const supply = supplyOf(row, fact, said?.acts ?? NO_ACTS)
      const typed = said?.typedMinor
      const price = typed === undefined ? priceOf(seeks(row)) : ([typed, typed, typed] as const)
      const line = (): SpreadLine => ({
        price: row.sort === 'blocker' ? NOTHING : (price ?? priced(row.eur)),
        hours: row.hours,
        chance: chanceOf(supply),
        stands: STANDS[outcome],
      })
      const moments =
        price === undefined ? ofRow(kept, row, outcome, supply, line) : momentsOfLine(line())
      told(moments, row.words, line)
      if (row.renew === 'twice') told(moments, row.words, line)
    }
  }
  const extra = (kind: string): SpreadLine => ({
    price: priceOf(kind) ?? priced(PIECE_EUR),
    hours: NOTHING,
    chance: 1,
    stands: 1,
  })
  for (const kind of inserted) if (!sought.has(kind)) add(kindWords(kind), extra(kind))
  for (const { bare, closed } of joints) {
    const { tasks, limits } = effective({ bare, closed })
    for (const { hours, words } of tasks)
      add(words, {
        price: NOTHING,
        hours: [hours, hours, hours * FIRST_TIMER],
        chance: 1,
        stands: 1,
      })
    for (const { code, pieces } of limits)
      if (code === 'bridge' && pieces.length > 0 && !pieces.some((kind) => sought.has(kind)))
        add(kindWords(pieces[0]!), extra(pieces[0]!))
  }
  for (const { need, priceMinor } of own)
    add(need.words, {
      price: priceMinor === null ? NOTHING : [priceMinor, priceMinor, priceMinor],
      hours: need.hours,
      chance: 1,
      stands: 1,
    })
}

const NO_ACTS: readonly Decision['act'][] = []
const ids = new WeakMap<LineRow, readonly string[]>()
function idsOf(row: LineRow): readonly string[] {
  let held = ids.get(row)
  if (!held)
    ids.set(row, (held = (row.slots ?? ['main']).map((slot) => needId(row.kind, row.place, slot))))
  return held
}

function ofRow(
  kept: KeptMoments,
  row: LineRow,
  outcome: Outcome,
  supply: Supply,
  line: () => SpreadLine,
): Moments {
  let held = kept.get(row)
  if (!held) kept.set(row, (held = []))
  const at = OUTCOMES.indexOf(outcome) * SUPPLIES.length + SUPPLIES.indexOf(supply)
  return (held[at] ??= momentsOfLine(line()))
}

const chanceOf = (supply: Supply): number =>
  supply === 'here' ? 0 : supply === 'comes' || supply === 'keep' ? FAILS : 1
