import { constraintsOf, type Meets, meets } from '../needs/meets.ts'
import type { Need } from '../needs/need.ts'
import type { Field } from '../ports/field.ts'
import { type CompiledPart, PORT_KINDS } from '../ports/index.ts'
import { GRADES, type Grade } from '../quantity/grade.ts'
import type { OfferRow } from './market.ts'

/** An offer whose part meets a need; `place` is where it stands among all offers. */
export interface OfferMatch {
  readonly place: number
  readonly offer: OfferRow
  readonly part: CompiledPart
  readonly answer: Exclude<Meets, { meets: 'no' }>
}

interface Sold {
  readonly place: number
  readonly offer: OfferRow
  readonly part: CompiledPart
}

interface Shelved {
  /** What is offered of each kind of part, in the order of the offers. */
  readonly kinds: ReadonlyMap<string, readonly Sold[]>
  /** Parts offered that only a type's assumed values are known of, by kind: nothing is bought on those. */
  readonly assumed: ReadonlyMap<string, readonly CompiledPart[]>
  readonly matches: Map<string, readonly OfferMatch[]>
}

const shelved = new WeakMap<readonly OfferRow[], WeakMap<ReadonlyMap<string, CompiledPart>, Shelved>>()

/** Offers by kind of part: worked out once for the same offers of the same parts. */
function shelve(offers: readonly OfferRow[], parts: ReadonlyMap<string, CompiledPart>): Shelved {
  let held = shelved.get(offers)
  if (!held) shelved.set(offers, (held = new WeakMap()))
  let found = held.get(parts)
  if (!found) {
    const kinds = new Map<string, Sold[]>()
    const assumed = new Map<string, Set<CompiledPart>>()
    offers.forEach((offer, place) => {
      const part = parts.get(offer.partId)
      if (!part) return
      if (strongestGrade(part) === 'assumed') assumed.set(part.kind, (assumed.get(part.kind) ?? new Set()).add(part))
      else {
        const group = kinds.get(part.kind)
        if (group) group.push({ place, offer, part })
        else kinds.set(part.kind, [{ place, offer, part }])
      }
    })
    held.set(parts, (found = { kinds, assumed: new Map([...assumed].map(([kind, set]) => [kind, [...set]])), matches: new Map() }))
  }
  return found
}

/** Most lists of matches remembered for one state of the offers. */
const REMEMBERED = 400

/** Offers whose part meets a need, in their order; the same list while neither offers nor parts change. */
export function matchesOf(need: Need, offers: readonly OfferRow[], parts: ReadonlyMap<string, CompiledPart>): readonly OfferMatch[] {
  const { kinds, matches } = shelve(offers, parts)
  const key = JSON.stringify([need.kind, need.wants, need.constraints])
  let found = matches.get(key)
  if (!found) {
    const answers = new Map<string, Meets>()
    const answerOf = (part: CompiledPart): Meets => {
      let answer = answers.get(part.id)
      if (!answer) answers.set(part.id, (answer = meets(part, need)))
      return answer
    }
    found = (kinds.get(need.kind) ?? []).flatMap(({ place, offer, part }) => {
      const answer = answerOf(part)
      return answer.meets === 'no' ? [] : [{ place, offer, part, answer }]
    })
    if (matches.size >= REMEMBERED) matches.delete(matches.keys().next().value!)
    matches.set(key, found)
  }
  return found
}

/** Parts offered for the kinds of these needs that are known by assumed values only. */
export function assumedOnly(needs: readonly Need[], offers: readonly OfferRow[], parts: ReadonlyMap<string, CompiledPart>): readonly CompiledPart[] {
  const { assumed } = shelve(offers, parts)
  return [...new Set(needs.map((need) => need.kind))].flatMap((kind) => assumed.get(kind) ?? [])
}

/** A part wanted by name brings the constraints of its own ports: met by it or one with equal ports. */
export function constraintsFor(need: Need, parts: ReadonlyMap<string, CompiledPart>): Need['constraints'] {
  if (need.constraints.length > 0 || need.wants === undefined) return need.constraints
  const part = parts.get(need.wants)
  return part ? constraintsOf(part) : []
}

/** Strongest grade among what is known of a part; null when nothing is. */
export const strongestGrade = (part: CompiledPart): Grade | null => gradesOf(part).strongest
/** Weakest grade among what is known of a part; null when nothing is. */
export const weakestGrade = (part: CompiledPart): Grade | null => gradesOf(part).weakest

interface Grades {
  readonly strongest: Grade | null
  readonly weakest: Grade | null
}
const grades = new WeakMap<CompiledPart, Grades>()

function gradesOf(part: CompiledPart): Grades {
  let found = grades.get(part)
  if (!found) {
    let [strongest, weakest] = [-1, GRADES.length as number]
    for (const port of part.ports)
      for (const name of Object.keys(PORT_KINDS[port.kind].fields)) {
        const { grade } = (port as unknown as Record<string, Field<unknown>>)[name]!
        strongest = Math.max(strongest, grade)
        if (grade >= 0) weakest = Math.min(weakest, grade)
      }
    grades.set(part, (found = { strongest: GRADES[strongest] ?? null, weakest: GRADES[weakest] ?? null }))
  }
  return found
}
