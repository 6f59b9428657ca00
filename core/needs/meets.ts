import { threadKey } from '../mechanics/thread.ts'
import type { Field } from '../ports/field.ts'
import { type CompiledPart, fieldOf, isPortKind, PORT_KINDS } from '../ports/index.ts'
import { strength } from '../quantity/grade.ts'
import { type Constraint, type Need, seeks } from './need.ts'

/** yes: kind agrees and no constraint fails; confirm: a constraint's field is unknown; no: the reason. */
export type Meets =
  | { readonly meets: 'yes' }
  | { readonly meets: 'confirm'; readonly unknown: readonly string[] }
  | {
      readonly meets: 'no'
      readonly because: string
      /** A joint refused it, though it is what the line asks for. */
      readonly isJudged?: boolean
    }

/** Known well enough to buy on: assumed values only ask. */
const isKnown = (field: Field<unknown> | undefined): field is Field<unknown> =>
  field !== undefined && field.claim !== null && field.grade > strength('assumed')

/** Whether a part can meet a need. */
export function meets(
  part: CompiledPart,
  need: Pick<Need, 'kind' | 'part' | 'constraints' | 'wants'>,
): Meets {
  if (part.id === need.wants) return { meets: 'yes' }
  if (part.kind !== seeks(need))
    return { meets: 'no', because: `It is a ${part.kind}, the line wants a ${seeks(need)}` }
  const unknown: string[] = []
  for (const constraint of need.constraints) {
    if (constraint.port === undefined) {
      if (part.id !== constraint.equals)
        return { meets: 'no', because: 'Another part was chosen on the pairing' }
      continue
    }
    const fields = part.ports
      .filter(
        (port) =>
          port.kind === constraint.port &&
          (constraint.looks === undefined || port.looks === constraint.looks),
      )
      .map((port) => fieldOf(port, constraint.field!))
    if (fields.length === 0 || !fields.some(isKnown)) unknown.push(labelOf(constraint))
    else if (!fields.some((field) => isKnown(field) && holds(field.v, constraint)))
      return { meets: 'no', because: `${labelOf(constraint)} does not agree` }
  }
  return unknown.length > 0 ? { meets: 'confirm', unknown } : { meets: 'yes' }
}

function holds(value: unknown, { field, low, high, equals }: Constraint): boolean {
  if (field === 'thread' && equals !== undefined)
    return threadKey(String(value)) === threadKey(equals)
  if (equals !== undefined)
    return (typeof value === 'object' ? listKey(value) : String(value)) === equals
  return (
    typeof value === 'number' &&
    value >= (low ?? -Infinity) - 1e-6 &&
    value <= (high ?? Infinity) + 1e-6
  )
}

const labelOf = ({ port, field }: Constraint): string =>
  port && isPortKind(port)
    ? ((PORT_KINDS[port].fields as Record<string, { label: string }>)[field ?? '']?.label ??
      field ??
      port)
    : (field ?? 'part')

/** Lengths may differ by this much and still be equal, mm. */
const EQUAL_MM = 0.1

/** One spelling of a list of holes, dowels or figures, for comparing: rounded, in order of place. */
function listKey(list: unknown): string {
  const places = (list as readonly (number | Record<string, unknown>)[]).map((item) =>
    typeof item === 'number'
      ? item.toFixed(1)
      : [item.x, item.y, item.d].map((value) => Number(value ?? 0).toFixed(1)).join(' '),
  )
  return places.sort().join('; ')
}

/** Constraints that ask for a part with ports equal to this one's: what is known of it, field by field. Outlines decide nothing. */
export function constraintsOf(part: CompiledPart): Constraint[] {
  return part.ports.flatMap((port) =>
    Object.keys(PORT_KINDS[port.kind].fields).flatMap((name): Constraint[] => {
      const field = fieldOf(port, name)!
      if (!isKnown(field) || name === 'outline') return []
      const at = { port: port.kind, ...(port.looks ? { looks: port.looks } : {}), field: name }
      if (typeof field.v === 'number')
        return [{ ...at, low: field.v - EQUAL_MM, high: field.v + EQUAL_MM }]
      return [{ ...at, equals: typeof field.v === 'object' ? listKey(field.v) : String(field.v) }]
    }),
  )
}
