import type { Field } from '../ports/field.ts'
import { type CompiledPart, fieldOf, type PortKindName, portOf } from '../ports/index.ts'

/** One measurement two transmissions share or do not. */
export interface InsideField {
  readonly port: string
  readonly field: string
  readonly label: string
  readonly unit: string
  readonly one: unknown
  readonly other: unknown
  readonly apart: number | null
  readonly within: number | null
  readonly verdict: 'equal' | 'differs' | 'unproved'
}

/** What is inside: shaft, pump and ratios. The bell face, mounts and tail may differ and they are still the same inside. */
const INSIDE: Readonly<Partial<Record<PortKindName, readonly string[]>>> = {
  'input-shaft': ['noseMm', 'splines', 'majorMm', 'form'],
  pump: ['lugsMm', 'bushMm', 'turbineSplines', 'statorSplines'],
  ratios: ['type', 'gears', 'finalDrive', 'stall'],
  output: ['type', 'splines', 'majorMm'],
  'case-shaft': ['splines', 'majorMm'],
}

/** Lengths from the bell face differ by the bell; what must agree is one length less another. */
const STEPS: readonly (readonly [port: PortKindName, from: string, to: string, label: string])[] = [
  ['input-shaft', 'tipMm', 'noseEndMm', 'Tip to the shoulder of the nose'],
  ['input-shaft', 'tipMm', 'splineStartMm', 'Tip to the start of the splines'],
  ['input-shaft', 'tipMm', 'splineEndMm', 'Tip to the end of the splines'],
]

/**
 * Whether two transmissions are the same inside, proved by measurements: equal where they agree within the sum of both
 * bounds, different where they do not, unproved where one is not known or nobody said how closely. Nothing is taken
 * on anybody's word: what is below measured, maker or fitted proves nothing.
 */
export function sameInside(
  one: CompiledPart,
  other: CompiledPart,
): {
  readonly fields: readonly InsideField[]
  readonly verdict: 'same' | 'different' | 'unproved'
} {
  const fields: InsideField[] = []
  for (const [kind, names] of Object.entries(INSIDE) as [PortKindName, readonly string[]][]) {
    const [a, b] = [portOf(one, kind), portOf(other, kind)]
    for (const name of names) {
      const [p, q] = [fieldOf(a, name)!, fieldOf(b, name)!]
      // What neither has does not tell them apart.
      if (p.claim === null && q.claim === null) continue
      fields.push(compare(kind, name, p.at.words.label, p.at.words.unit, p, q))
    }
  }
  for (const [kind, from, to, label] of STEPS) {
    const step = (part: CompiledPart): { v: number; pm: number; known: boolean; grade: number } => {
      const port = portOf(part, kind)
      const [start, end] = [fieldOf(port, from)!, fieldOf(port, to)!]
      return {
        v: Number(end.v) - Number(start.v),
        pm: end.pm + start.pm,
        known: start.claim !== null && end.claim !== null,
        grade: Math.min(start.grade, end.grade),
      }
    }
    const [p, q] = [step(one), step(other)]
    if (!p.known && !q.known) continue
    fields.push(
      compare(
        kind,
        `${from}-${to}`,
        label,
        'mm',
        { ...p, claim: p.known ? 'step' : null },
        { ...q, claim: q.known ? 'step' : null },
      ),
    )
  }
  const differs = fields.some((field) => field.verdict === 'differs')
  const proved = fields.length > 0 && fields.every((field) => field.verdict === 'equal')
  return { fields, verdict: differs ? 'different' : proved ? 'same' : 'unproved' }
}

/** Strength from which a claim proves something: maker, measured, fitted. */
const PROVES = 3

type Comparable = Pick<Field<unknown>, 'v' | 'pm' | 'grade' | 'claim'>

function compare(
  port: string,
  field: string,
  label: string,
  unit: string,
  one: Comparable,
  other: Comparable,
): InsideField {
  const shared = {
    port,
    field,
    label,
    unit,
    one: one.claim === null ? null : one.v,
    other: other.claim === null ? null : other.v,
  }
  const isProved =
    one.claim !== null && other.claim !== null && one.grade >= PROVES && other.grade >= PROVES
  if (typeof one.v === 'number' && typeof other.v === 'number') {
    const apart = Math.abs(one.v - other.v)
    const within = one.pm + other.pm
    const known = isProved && Number.isFinite(apart)
    const verdict =
      !known || (apart > 0 && !Number.isFinite(within))
        ? 'unproved'
        : apart <= within + 1e-9
          ? 'equal'
          : 'differs'
    return {
      ...shared,
      apart: Number.isFinite(apart) ? apart : null,
      within: Number.isFinite(within) ? within : null,
      verdict,
    }
  }
  const verdict = !isProved
    ? 'unproved'
    : JSON.stringify(one.v) === JSON.stringify(other.v)
      ? 'equal'
      : 'differs'
  return { ...shared, apart: null, within: null, verdict }
}
