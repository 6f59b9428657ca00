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
  /** What closes it costs already, minor units. */
  readonly piecesMinor: number
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

/**
 * Which measurements to take next over the pairings in play. Each joint that is not measured is judged under every outcome
 * of its open fields together (at most six; the first asked for), by the joint's own declaration; what it then costs is a
 * task's hours, a piece, or the pairing itself.
 *
 * @param outcomesOf what a field may be; null where nothing is known to try
 */
export function nextMeasurements(
  pairings: readonly JudgedPairing[],
  ctx: PairingContext,
  prices: JointPrices,
  outcomesOf: (field: MissingField) => FieldOutcomes | null,
): readonly NextMeasurement[] {
  const open = new Map<string, { field: MissingField; outcomes: FieldOutcomes; of: Set<string> }>()
  for (const { id, verdicts } of pairings)
    for (const field of verdicts.flatMap(({ code, missing }) =>
      code === 'unmeasured' ? missing : [],
    )) {
      if (field.part === '?') continue
      const held = open.get(keyOf(field))
      const outcomes = held?.outcomes ?? outcomesOf(field)
      if (!outcomes) continue
      if (held) held.of.add(id)
      else open.set(keyOf(field), { field, outcomes, of: new Set([id]) })
    }
  const keys = [...open.keys()]
  const fields = keys.map((id): OpenField => {
    const { field, outcomes } = open.get(id)!
    return { id, minutes: field.minutes, chances: outcomes.chances }
  })
  const inPlay = pairings.map(({ id, train, verdicts, piecesMinor }): InPlay => {
    const settled = verdicts.filter(({ code }) => code !== 'unmeasured')
    const base = settled.reduce((sum, verdict) => sum + verdictCost(verdict, prices), piecesMinor)
    const terms = verdicts
      .filter(({ code }) => code === 'unmeasured')
      .map((verdict): CostTerm => {
        const at = verdict.missing
          .flatMap((field) => {
            const place = keys.indexOf(keyOf(field))
            return place < 0 ? [] : [place]
          })
          .slice(0, EXACT_FIELDS)
        const tried = new Map<string, number>()
        return {
          fields: at,
          cost: (outcomes) => {
            const key = outcomes.join()
            let cost = tried.get(key)
            if (cost === undefined) {
              const values = new Map(
                at.map((place, i) => {
                  const { field, outcomes: may } = open.get(keys[place]!)!
                  return [keyOf(field), { field, value: may.values[outcomes[i]!] }] as const
                }),
              )
              cost = verdictCost(judgedWith(train, verdict.joint, ctx, values), prices)
              tried.set(key, cost)
            }
            return cost
          },
        }
      })
    return { id, terms: [{ fields: [], cost: () => base }, ...terms] }
  })
  return measureNext(fields, inPlay, prices.outMinor)
    .filter(({ value }) => value > 0)
    .map((worth) => {
      const { field, of } = open.get(worth.id)!
      return { ...worth, field, pairings: [...of] }
    })
}

type Tried = ReadonlyMap<string, { readonly field: MissingField; readonly value: unknown }>
const MEASURED = strength('measured')

/** One joint of a train with some fields as if they were measured. */
function judgedWith(
  train: Train,
  joint: string,
  ctx: PairingContext,
  tried: Tried,
): Verdict | null {
  const told: Train = {
    ...train,
    engine: withTried(train.engine, tried),
    transmission: withTried(train.transmission, tried),
    recipient: train.recipient && withTried(train.recipient, tried),
    transfer: train.transfer && withTried(train.transfer, tried),
    coupling: train.coupling.map((part) => withTried(part, tried)),
    inserted: train.inserted.map((part) => withTried(part, tried)),
  }
  const assembly = assemble(told)
  return recordJoint(jointNamed(joint)!, assembly, contextOf(assembly, ctx))
}

function withTried(part: CompiledPart, tried: Tried): CompiledPart {
  const own = [...tried.values()].filter(({ field }) => field.part === part.id)
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
const plusMinusOf = ({ methods }: MissingField, value: unknown): number => {
  const [method] = methods
  return typeof value === 'number' && method ? (methodPlusMinus(method) ?? 0) : 0
}
