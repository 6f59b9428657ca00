import { type Subject, subjectOf } from './lines/index.ts'
import type { Need } from './need.ts'

/** So little, and fitted in so few hours, is a small piece: common practice, no published source. */
const SMALL = { eur: 40, hours: 1 }
/** Lines of these belong to the whole build, not to one another. */
const COLLECTIONS: ReadonlySet<Subject> = new Set([
  'consumables',
  'fluids',
  'tools',
  'wear-parts',
  'services',
  'papers',
  'order-of-work',
  'selling-and-holding',
  'the-second-time',
])

type Piece = Pick<Need, 'id' | 'kind' | 'place' | 'sort' | 'outcome' | 'eur' | 'hours' | 'why'>

const isSmall = ({ sort, eur, hours }: Piece): boolean =>
  sort === 'part' && eur[1] <= SMALL.eur && hours[1] <= SMALL.hours

/**
 * What each small piece of a list belongs to, by id: the line it follows from, else the dearest of its subject, at its own
 * place first. Only pieces that stand as surely as what they belong to are told.
 */
export function belongsTo(needs: readonly Piece[]): ReadonlyMap<string, string> {
  const found = new Map<string, string>()
  const heads = needs.filter((one) => one.sort === 'part' && !isSmall(one))
  for (const piece of needs.filter(isSmall)) {
    const subject = subjectOf.get(piece.kind)
    if (!subject || COLLECTIONS.has(subject)) continue
    const parents = new Set(piece.why.flatMap(({ parent }) => parent ?? []))
    const rank = (head: Piece): number =>
      parents.has(head.kind) ? 2 : head.place === piece.place ? 1 : 0
    const [head] = heads
      .filter(
        (one) =>
          one.outcome === piece.outcome &&
          (parents.has(one.kind) || subjectOf.get(one.kind) === subject),
      )
      .sort((p, q) => rank(q) - rank(p) || q.eur[1] - p.eur[1] || (p.id < q.id ? -1 : 1))
    if (head) found.set(piece.id, head.id)
  }
  return found
}
