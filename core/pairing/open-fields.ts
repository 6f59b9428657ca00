import { jointNamed } from '../joints/index.ts'
import type { MissingField, Verdict } from '../joints/verdict.ts'
import { type AnyPort, type CompiledPart, fieldOf, withFields } from '../ports/index.ts'
import { strength } from '../quantity/grade.ts'
import { methodPlusMinus } from '../quantity/methods.ts'
import type { FieldOutcomes } from './field-chances.ts'
import {
  type CostTerm,
  EXACT_FIELDS,
  type InPlay,
  measureNext,
  type OpenField,
  type Worth,
} from './measure-next.ts'
import { assemble, contextOf, type PairingContext, recordJoint, type Train } from './train.ts'

/** A pairing in play as it was judged: the train with what closes it, and every joint's verdict. */
export interface JudgedPairing {
  readonly id: string
  readonly train: Train
  readonly verdicts: readonly Verdict[]
  /** What its whole list likely comes to as far as it is known, minor units. */
  readonly likelyMinor: number
}

/** What a joint costs by how it reads, minor units. */
export interface JointPrices {
  readonly labourMinor: number
  /** A piece that nobody has a price for. */
  readonly pieceMinor: number
  /** A pairing that is out. */
  readonly outMinor: number
}

/** A measurement worth taking, with where it is and which pairings it speaks of. */
export interface NextMeasurement extends Worth {
  readonly field: MissingField
  readonly pairings: readonly string[]
  /** Fields that tell it only together, this one among them; what they are worth is told of them all. */
  readonly together: number
}

const keyOf = ({ port, field }: Pick<MissingField, 'port' | 'field'>): string => `${port}.${field}`

/** What a verdict comes to, minor units; a clash is out. */
export function verdictCost(verdict: Verdict | null, prices: JointPrices): number {
  if (verdict === null) return 0
  const hours = verdict.tasks.reduce((sum, task) => sum + task.hours, 0)
  switch (verdict.code) {
    case 'clash':
      return Infinity
    case 'bridge':
      return prices.pieceMinor + hours * prices.labourMinor
    case 'unmeasured':
      return prices.pieceMinor / 2
    default:
      return hours * prices.labourMinor
  }
}

/** A joint that no few fields can settle settles as well as not: its chances once all of them are measured. */
const EVENLY = [0.5, 0.5] as const

/**
 * Which measurements to take next over the pairings in play. A joint that is not measured is judged under every outcome of
 * its open fields together, by its own declaration; what it then costs is a task's hours, a piece, or the pairing itself.
 * Where it has more than six, or one of which nothing is known to try, they tell something only together: as likely that
 * nothing is needed as that a piece is, which is what it counts for while it is open.
 *
 * @param outcomesOf what a field may be; null where nothing is known to try
 */
export function nextMeasurements(
  pairings: readonly JudgedPairing[],
  ctx: PairingContext,
  prices: JointPrices,
  outcomesOf: (field: MissingField) => FieldOutcomes | null,
): readonly NextMeasurement[] {
  const known = new Map<string, FieldOutcomes | null>()
  const mayBe = (field: MissingField): FieldOutcomes | null => {
    const key = keyOf(field)
    if (!known.has(key)) known.set(key, outcomesOf(field))
    return known.get(key)!
  }
  const asked: OpenField[] = []
  const places = new Map<
    string,
    { readonly at: number; readonly fields: readonly MissingField[] }
  >()
  const speaksOf = new Map<string, Set<string>>()
  const ask = (id: string, fields: readonly MissingField[], chances: readonly number[]): number => {
    let place = places.get(id)
    if (!place) {
      places.set(id, (place = { at: asked.length, fields }))
      asked.push({ id, minutes: fields.reduce((sum, one) => sum + one.minutes, 0), chances })
    }
    return place.at
  }
  const termOf = (pairing: JudgedPairing, verdict: Verdict): CostTerm | null => {
    const open = verdict.missing.filter(({ part }) => part !== '?')
    if (open.length === 0) return null
    const speaks = (id: string): void => {
      const of = speaksOf.get(id) ?? new Set<string>()
      speaksOf.set(id, of.add(pairing.id))
    }
    const outcomes = open.map(mayBe)
    if (open.length > EXACT_FIELDS || outcomes.includes(null)) {
      const id = open.map(keyOf).sort().join(' ')
      speaks(id)
      return {
        fields: [ask(id, open, EVENLY)],
        cost: ([how]) => (how === 0 ? 0 : prices.pieceMinor),
      }
    }
    const fields = open.map((field, i) => {
      speaks(keyOf(field))
      return ask(keyOf(field), [field], outcomes[i]!.chances)
    })
    const tried = new Map<string, number>()
    return {
      fields,
      cost: (drawn) => {
        const key = drawn.join()
        let cost = tried.get(key)
        if (cost === undefined) {
          const values = open.map((field, i) => ({ field, value: outcomes[i]!.values[drawn[i]!] }))
          cost = verdictCost(judgedWith(pairing.train, verdict.joint, ctx, values), prices)
          tried.set(key, cost)
        }
        return cost
      },
    }
  }
  const inPlay = pairings.map((pairing): InPlay => {
    const { id, verdicts, likelyMinor } = pairing
    const open = verdicts.filter(({ code }) => code === 'unmeasured')
    const terms = open.flatMap((verdict) => termOf(pairing, verdict) ?? [])
    return { id, terms: [{ fields: [], cost: () => likelyMinor }, ...terms] }
  })
  const found = new Map<string, NextMeasurement>()
  for (const worth of measureNext(asked, inPlay, prices.outMinor)) {
    if (worth.value <= 0 && worth.moves <= 0) continue
    const { fields } = places.get(worth.id)!
    const of = [...speaksOf.get(worth.id)!]
    // The most worth a minute first: what else it may tell comes after.
    for (const field of fields)
      if (!found.has(keyOf(field)))
        found.set(keyOf(field), {
          ...worth,
          id: keyOf(field),
          minutes: field.minutes,
          field,
          pairings: of,
          together: fields.length,
        })
  }
  return [...found.values()]
}

/** A value as if it had been measured. */
export interface TriedValue {
  readonly field: Pick<MissingField, 'part' | 'port' | 'field' | 'methods'>
  readonly value: unknown
}

/**
 * A pairing judged anew with some fields as if they were measured; what closes it and what it likely comes to stay what they
 * were, but for the joints that are settled so.
 */
export function withMeasured(
  pairing: JudgedPairing,
  ctx: PairingContext,
  prices: JointPrices,
  values: readonly TriedValue[],
): JudgedPairing {
  const told = trainWith(pairing.train, values)
  const assembly = assemble(told)
  const given = contextOf(assembly, ctx)
  const verdicts = pairing.verdicts.flatMap(
    ({ joint }) => recordJoint(jointNamed(joint)!, assembly, given) ?? [],
  )
  const settled = (of: readonly Verdict[]): number =>
    of.reduce((sum, one) => sum + (one.code === 'unmeasured' ? 0 : verdictCost(one, prices)), 0)
  const likely = pairing.likelyMinor + settled(verdicts) - settled(pairing.verdicts)
  return { ...pairing, train: told, verdicts, likelyMinor: Math.min(likely, prices.outMinor) }
}

type Tried = readonly TriedValue[]
const MEASURED = strength('measured')

/** One joint of a train with some fields as if they were measured. */
function judgedWith(
  train: Train,
  joint: string,
  ctx: PairingContext,
  tried: Tried,
): Verdict | null {
  const assembly = assemble(trainWith(train, tried))
  return recordJoint(jointNamed(joint)!, assembly, contextOf(assembly, ctx))
}

const trainWith = (train: Train, tried: Tried): Train => ({
  ...train,
  engine: withTried(train.engine, tried),
  transmission: withTried(train.transmission, tried),
  recipient: train.recipient && withTried(train.recipient, tried),
  transfer: train.transfer && withTried(train.transfer, tried),
  coupling: train.coupling.map((part) => withTried(part, tried)),
  inserted: train.inserted.map((part) => withTried(part, tried)),
})

function withTried(part: CompiledPart, tried: Tried): CompiledPart {
  const own = tried.filter(({ field }) => field.part === part.id)
  if (own.length === 0) return part
  return {
    ...part,
    ports: part.ports.map((port): AnyPort => {
      const said = own.filter(({ field }) => field.port === port.id)
      return said.length === 0
        ? port
        : Object.assign(
            {},
            withFields(
              port,
              Object.fromEntries(
                said.map(({ field, value }) => [
                  field.field,
                  {
                    ...fieldOf(port, field.field)!,
                    v: value,
                    pm: plusMinusOf(field, value),
                    grade: MEASURED,
                    claim: 'tried',
                  },
                ]),
              ),
            ),
            { present: true },
          )
    }),
  }
}

/** As closely as the first of its methods tells a figure. */
const plusMinusOf = ({ methods }: TriedValue['field'], value: unknown): number => {
  const [method] = methods
  return typeof value === 'number' && method ? (methodPlusMinus(method) ?? 0) : 0
}
