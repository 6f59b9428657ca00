import { intervalOf } from './interval.ts'
import type {
  GroupRow,
  Mention,
  NumberIndex,
  NumberNode,
  NumberRow,
  SupersessionRow,
} from './number-index.ts'
import { RAISES, raisedBy, type Step, together } from './steps.ts'
import type { AskedFor, WhereAnswer } from './where.ts'

/** How far one goes from a number: over everything, over supersessions, over other numbers of the part alone. */
export const FOLLOWS = ['all', 'supersessions', 'none'] as const
export type Follow = (typeof FOLLOWS)[number]

const NONE: readonly never[] = []

/** The steps that lead on from a number on a day, for what is asked. */
export class Follower {
  readonly #index: NumberIndex
  readonly #asked: AskedFor
  readonly #day: string
  readonly #follow: Follow
  /** Whether a number may be borne by many parts. */
  readonly isWeak: (at: number) => boolean
  readonly #rings = new Map<SupersessionRow, boolean>()

  constructor(
    index: NumberIndex,
    asked: AskedFor,
    day: string,
    follow: Follow,
    isWeak: (at: number) => boolean,
  ) {
    this.#index = index
    this.#asked = asked
    this.#day = day
    this.#follow = follow
    this.isWeak = isWeak
  }

  isInForce({ since, until }: SupersessionRow): boolean {
    return (
      (since === undefined || intervalOf(since).from <= this.#day) &&
      (until === undefined || intervalOf(until).to >= this.#day)
    )
  }

  /** Whether one of its old is reached again from one of its new, over rows in force whose where does not fail. */
  isRing(row: SupersessionRow): boolean {
    if (!row.isOnRing) return false
    let held = this.#rings.get(row)
    if (held === undefined) {
      const reached = this.onwardFrom(row.new.map(({ at }) => at))
      this.#rings.set(row, (held = row.old.some(({ at }) => reached.has(at))))
    }
    return held
  }

  /** Rows on from a number that are in force and whose where does not fail. */
  onward(at: number): readonly SupersessionRow[] {
    return (this.#index.nodes[at]?.onward ?? NONE).filter(
      (row) => this.isInForce(row) && this.#asked.where(row.where).truth !== 'fails',
    )
  }

  /** All numbers reached forward, those it starts at among them. */
  onwardFrom(starts: readonly number[]): ReadonlySet<number> {
    const reached = new Set(starts)
    for (const at of reached)
      for (const row of this.onward(at)) for (const one of row.new) reached.add(one.at)
    return reached
  }

  /** Steps from a number; by interchange only where none was taken yet. */
  from(at: number, mayInterchange: boolean): Step[] {
    const node = this.#index.nodes[at]
    if (!node) return []
    const steps: Step[] = []
    this.#toSamePart(at, node, steps)
    if (this.#follow !== 'none') {
      for (const row of node.onward) this.#over(row, at, row.old, row.new, true, steps)
      for (const row of node.backward)
        if (row.back !== 'no') this.#over(row, at, row.new, row.old, false, steps)
    }
    if (this.#follow === 'all' && mayInterchange)
      for (const row of node.groups) this.#inGroup(row, at, steps)
    return steps
  }

  #toSamePart(at: number, node: NumberNode, steps: Step[]): void {
    for (const own of node.parts)
      for (const row of this.#index.rowsOf(own.part))
        if (row.mention.at !== at) this.#samePart(own, row, steps)
  }

  #samePart(own: NumberRow, row: NumberRow, steps: Step[]): void {
    const where = together(this.#asked.where(own.where), this.#asked.where(row.where))
    const isTwice = [own, row].some(
      ({ mention }) => !this.isWeak(mention.at) && this.#index.nodes[mention.at]!.partCount > 1,
    )
    this.#add(steps, where, {
      kind: 'same',
      row: row.id,
      from: own.mention,
      to: [row.mention],
      others: NONE,
      code: isTwice ? RAISES.conflict : RAISES.exact,
      rowStrength: Math.min(own.strength, row.strength),
      notes: isTwice ? ['One of its numbers is listed on two parts.'] : NONE,
    })
  }

  #over(
    row: SupersessionRow,
    at: number,
    side: readonly Mention[],
    to: readonly Mention[],
    isForward: boolean,
    steps: Step[],
  ): void {
    if (!this.isInForce(row) || to.some((one) => one.at === at)) return
    const isRing = this.isRing(row)
    const isUnsaid = !isForward && row.back === 'unsaid'
    const others = side.length === 1 ? NONE : side.filter((one) => one.at !== at)
    const notes: string[] = []
    if (isRing) notes.push('The supersessions run in a ring.')
    if (isUnsaid) notes.push('Nobody said whether the old one serves for the new.')
    if (others.length > 0) notes.push('It is one of several that belong together.')
    this.#add(steps, this.#asked.where(row.where), {
      kind: !isForward
        ? 'back'
        : to.length > 1
          ? 'split'
          : others.length > 0
            ? 'merged'
            : 'superseded',
      row: row.id,
      from: side.find((one) => one.at === at)!,
      to,
      others,
      code: isRing
        ? RAISES.conflict
        : isUnsaid || others.length > 0
          ? RAISES['with note']
          : RAISES['superseded by'],
      rowStrength: row.strength,
      notes,
    })
  }

  #inGroup(row: GroupRow, at: number, steps: Step[]): void {
    if (!row.serves) return
    const own = row.members.find(({ mention, way }) => mention.at === at && way !== 'serves')
    if (!own) return
    for (const member of row.members)
      if (member.mention.at !== at && member.way !== 'served')
        this.#add(steps, together(this.#asked.where(row.where), this.#asked.where(member.where)), {
          kind: 'interchange',
          row: row.id,
          from: own.mention,
          to: [member.mention],
          others: NONE,
          code: RAISES.interchange,
          rowStrength: row.strength,
          notes: NONE,
        })
  }

  #add(
    steps: Step[],
    where: WhereAnswer,
    { kind, row, from, to, others, code, rowStrength, notes }: Bare,
  ): void {
    if (where.truth === 'fails') return
    const isWeak = to.some(({ at }) => this.isWeak(at))
    steps.push({
      kind,
      row,
      from,
      to,
      others,
      code: Math.max(code, raisedBy(where), isWeak ? RAISES['with note'] : 0),
      rowStrength,
      strength: Math.min(rowStrength, where.strength),
      open: where.truth === 'unknown' ? where.open : NONE,
      todo: where.todo,
      notes: isWeak ? [...notes, WEAK_ON] : notes,
      text: null,
    })
  }
}

const WEAK_ON = 'A number stamped or cast may be borne by many parts.'
/** A step as its row has it. */
type Bare = Omit<Step, 'strength' | 'open' | 'todo' | 'text'>
