import { constraintsOf, type Meets, meets } from '../needs/meets.ts'
import { type Need, seeks } from '../needs/need.ts'
import type { PartJudge } from '../pairing/judged-parts.ts'
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

/** Judges what could be bought where it would be used; null before a pairing is chosen. */
export type Judge = Pick<PartJudge, 'key' | 'of'> | null

/** Whether a part meets a need: by its constraints, and by every joint it would stand in. */
export function answerOf(part: CompiledPart, need: Need, judge: Judge): Meets {
  const told = meets(part, need)
  if (told.meets === 'no' || !judge) return told
  const standing = judge.of({ part, instead: need.wants })
  if (standing.refused !== null) return { meets: 'no', because: standing.refused, isJudged: true }
  if (!standing.isOpen) return told
  return {
    meets: 'confirm',
    // Asked for where it is shown: there may be thousands.
    get unknown() {
      return [...(told.meets === 'confirm' ? told.unknown : []), ...standing.open]
    },
  }
}

/** Parts that a joint refused for a need, by reason. */
export type Refused = ReadonlyMap<string, readonly string[]>
const refusedOf = new WeakMap<readonly PartMatch[], Refused>()

/** Which parts a joint refused when these were found. */
export const refusedWith = (matches: readonly PartMatch[]): Refused =>
  refusedOf.get(matches) ?? new Map()

/** Parts that meet a need, by id; the same list while neither the parts of its kind nor what judges them change. */
export function partsMeeting(
  need: Need,
  kinds: Market['kinds'],
  judge: Judge,
): readonly PartMatch[] {
  const { known, matches } = shelve(kinds.get(seeks(need)) ?? NONE)
  const key = JSON.stringify([seeks(need), need.wants, need.constraints, judge?.key])
  let found = matches.get(key)
  if (!found) {
    const refused = new Map<string, string[]>()
    found = known.flatMap((part) => {
      const answer = answerOf(part, need, judge)
      if (answer.meets !== 'no') return [{ part, answer }]
      if (answer.isJudged)
        refused.set(answer.because, [...(refused.get(answer.because) ?? []), part.name])
      return []
    })
    refusedOf.set(found, refused)
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
  return [...new Set(needs.map(seeks))].flatMap((kind) => shelve(kinds.get(kind) ?? NONE).assumed)
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
  judge: Judge,
): Set<string> {
  const wanted = sourced(needs, market.parts)
  const kinds = new Set(wanted.map(seeks))
  const asked = new Set<string>()
  for (const need of wanted) {
    if (need.wants) asked.add(need.wants)
    for (const { part } of partsMeeting(need, market.kinds, judge)) asked.add(part.id)
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
