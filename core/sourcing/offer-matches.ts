import { constraintsOf, type Meets, meets } from '../needs/meets.ts'
import type { Need } from '../needs/need.ts'
import { type CompiledPart, fieldOf, PORT_KINDS } from '../ports/index.ts'
import { GRADES, type Grade } from '../quantity/grade.ts'
import type { Market } from './market.ts'

export type Meeting = Exclude<Meets, { meets: 'no' }>

/** A part that meets a need, surely or where it is confirmed. */
export interface PartMatch {
  readonly part: CompiledPart
  readonly answer: Meeting
}

/** Parts of a kind, those that only a type's assumed values are known of apart: nothing is bought on those. */
interface Shelved {
  readonly known: readonly CompiledPart[]
  readonly assumed: readonly CompiledPart[]
  readonly matches: Map<string, readonly PartMatch[]>
}

const shelved = new WeakMap<readonly CompiledPart[], Shelved>()
const NONE: readonly CompiledPart[] = []

function shelve(parts: readonly CompiledPart[]): Shelved {
  let found = shelved.get(parts)
  if (!found) {
    const isAssumed = (part: CompiledPart): boolean => strongestGrade(part) === 'assumed'
    shelved.set(
      parts,
      (found = {
        known: parts.filter((part) => !isAssumed(part)),
        assumed: parts.filter(isAssumed),
        matches: new Map(),
      }),
    )
  }
  return found
}

/** Most lists of matches remembered for the parts of one kind. */
const REMEMBERED = 60

/** Parts that meet a need, by id; the same list while the parts of its kind do not change. */
export function partsMeeting(need: Need, kinds: Market['kinds']): readonly PartMatch[] {
  const { known, matches } = shelve(kinds.get(need.kind) ?? NONE)
  const key = JSON.stringify([need.kind, need.wants, need.constraints])
  let found = matches.get(key)
  if (!found) {
    found = known.flatMap((part) => {
      const answer = meets(part, need)
      return answer.meets === 'no' ? [] : [{ part, answer }]
    })
    if (matches.size >= REMEMBERED) matches.delete(matches.keys().next().value!)
    matches.set(key, found)
  }
  return found
}

/** Parts of the kinds of these needs that are known by assumed values only. */
export function assumedOnly(
  needs: readonly Need[],
  kinds: Market['kinds'],
): readonly CompiledPart[] {
  return [...new Set(needs.map((need) => need.kind))].flatMap(
    (kind) => shelve(kinds.get(kind) ?? NONE).assumed,
  )
}

/** Needs that are bought or had, each with what its part wanted by name asks of another. */
export const sourced = (needs: readonly Need[], parts: Market['parts']): Need[] =>
  needs
    .filter((need) => need.task === undefined)
    .map((need) => ({ ...need, constraints: constraintsFor(need, parts) }))

/** Parts whose offers and numbers gathering sources asks for: those that meet a need, are wanted by one, or are only assumed. */
export function partsAsked(
  needs: readonly Need[],
  market: Pick<Market, 'parts' | 'kinds' | 'kits' | 'donors'>,
): Set<string> {
  const wanted = sourced(needs, market.parts)
  const kinds = new Set(wanted.map((need) => need.kind))
  const asked = new Set<string>()
  for (const need of wanted) {
    if (need.wants) asked.add(need.wants)
    for (const { part } of partsMeeting(need, market.kinds)) asked.add(part.id)
  }
  for (const part of assumedOnly(wanted, market.kinds)) asked.add(part.id)
  for (const { items } of [...market.kits, ...market.donors])
    for (const { partId } of items)
      if (kinds.has(market.parts.get(partId)?.kind ?? '')) asked.add(partId)
  return asked
}

/** A part wanted by name brings the constraints of its own ports: met by it or one with equal ports. */
function constraintsFor(need: Need, parts: Market['parts']): Need['constraints'] {
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
        const { grade } = fieldOf(port, name)!
        strongest = Math.max(strongest, grade)
        if (grade >= 0) weakest = Math.min(weakest, grade)
      }
    grades.set(
      part,
      (found = { strongest: GRADES[strongest] ?? null, weakest: GRADES[weakest] ?? null }),
    )
  }
  return found
}
