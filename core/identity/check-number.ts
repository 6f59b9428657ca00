import { GRADES, type Grade, strength as strengthOf } from '../quantity/grade.ts'
import type { Application, Mark, Where, WrittenNumber } from './claims.ts'
import { TARGETS } from './claims.ts'
import { type Denial, denialsAmong } from './denials.ts'
import { type Follow, Follower } from './follower.ts'
import { isWeakMark, type Mention, type NumberIndex, type SupersessionRow } from './number-index.ts'
import type { PathStep } from './path-step.ts'
import { reachFrom } from './reach.ts'
import { byText, type Had, type Way, waysToServe } from './serving.ts'
import { RAISES, raisedBy, VERDICT_WORDS, type VerdictWord } from './steps.ts'
import { straightChain } from './straight.ts'
import { gradeOf } from './strength.ts'
import type { AskedFor, WhereAnswer } from './where.ts'

/** A number wanted. */
export interface Wanted extends WrittenNumber {
  readonly mark?: Mark | undefined
  readonly grade?: Grade | undefined
  readonly quantity?: number | undefined
  readonly where?: Where | undefined
}
/** A number in hand or on offer. */
export interface InHand extends WrittenNumber {
  readonly mark?: Mark | undefined
  readonly grade?: Grade | undefined
}

export interface NumberQuestion {
  /** Any one of these is wanted; none: what fits the application. */
  readonly want?: readonly Wanted[] | undefined
  /** What is had, all together. */
  readonly have: readonly InHand[]
  readonly application?: Application | undefined
  /** The day it is asked for. */
  readonly on: string
  readonly follow?: Follow | undefined
  /** Of numbers listed for an application only those are followed that may lead to one had: what else is listed is not told. */
  readonly isNarrow?: boolean | undefined
}

export const PLANS = ['yes', 'confirm', 'no'] as const
export type NumberPlan = (typeof PLANS)[number]

export interface Counted extends WrittenNumber {
  readonly quantity: number
}

/** One answer: what it is worth and how it comes about. */
export interface NumberAnswer {
  readonly verdict: VerdictWord
  readonly plan: NumberPlan
  /** The weakest it leans on; null without a path. */
  readonly evidence: Grade | null
  readonly path: readonly PathStep[]
  /** How many of each number had it takes. */
  readonly use: readonly Counted[]
  readonly missing: readonly Counted[]
  readonly surplus: readonly Counted[]
  /** What would settle it. */
  readonly open: readonly string[]
  readonly todo: readonly string[]
  readonly cautions: readonly string[]
}

export interface NumberVerdict extends NumberAnswer {
  /** Other ways, the better first. */
  readonly others: readonly NumberAnswer[]
  /** What the number wanted is listed as today. */
  readonly current: readonly WrittenNumber[]
  /** Numbers that are easily mistaken for one that nobody lists. */
  readonly didYouMean: readonly WrittenNumber[]
}

const MOST_OTHERS = 8
const SURE = strengthOf('catalogue')
const NONE: readonly never[] = []
const NOTHING_SAID: Application = {}

/** Where one starts: at a number wanted, or at one that is listed for the application. */
interface Root {
  readonly mention: Mention
  readonly quantity: number
  readonly strength: number
  readonly where: WhereAnswer
  readonly code: number
  /** The row that lists it, where nothing is wanted by number. */
  readonly listedBy: { readonly id: string; readonly strength: number } | null
  readonly notes: readonly string[]
}

/**
 * Whether numbers had serve for a number wanted, or for an application: the best way by plan, verdict, evidence and steps, with
 * every step, what is open, to be done, missing and left over. Rules of this house; common practice, no published source.
 *
 * @throws RangeError where neither a number is wanted nor an application given, or a date is none
 */
export function checkNumber(index: NumberIndex, question: NumberQuestion): NumberVerdict {
  const { have, on, follow = 'all' } = question
  const want = question.want ?? NONE
  if (want.length === 0 && !question.application)
    throw new RangeError('Say which number is wanted, or what it is wanted for.')
  const plainly = straightAnswer(index, question)
  if (plainly) return plainly
  const places = new Places(index)
  const asked = index.askedFor(question.application ?? NOTHING_SAID)
  const wanted = want.map((one) => ({ one, mention: places.mention(one) }))
  const had = new Map<number, Had[]>()
  for (const one of have) {
    const mention = places.mention(one)
    const held = had.get(mention.at)
    const own: Had = { mention, strength: gradeOf(one.grade) }
    if (held) held.push(own)
    else had.set(mention.at, [own])
  }
  const weak = new Set<number>()
  for (const one of [...want, ...have]) if (isWeakMark(one.mark)) weak.add(places.mention(one).at)
  const isWeak = (at: number): boolean => weak.has(at) || (index.nodes[at]?.isWeak ?? false)
  const near = question.isNarrow ? new Set([...had.keys()].map((at) => index.island(at))) : null
  const follower = new Follower(index, asked, on, follow, isWeak)
  const roots =
    want.length > 0
      ? wanted.flatMap(({ one, mention }) => rootOf(one, mention, asked, isWeak))
      : listed(index, asked, isWeak, near)
  const reach = reachFrom(new Set(roots.map(({ mention }) => mention.at)), follower)
  const denials = denialsAmong(index, asked, follower, reach)
  const found = waysToServe(roots, had, follower, denials, reach)
  const answers = roots
    .flatMap((root, i) =>
      found[i]!.flatMap((way) => judged(root, way, denials.ofNumber(root.mention.at)) ?? NONE),
    )
    .sort(better)
  const cautions = [...asked.cautions, ...ringsAhead(roots, follower)]
  const [best, ...others] = answers
  const answer = best?.answer ?? withoutPath(index, question, wanted, places, asked, follow)
  return {
    ...answer,
    cautions: [...new Set([...answer.cautions, ...cautions])],
    others: others.slice(0, MOST_OTHERS).map((one) => one.answer),
    current: currentOf(roots, index, follower),
    didYouMean: [...want, ...have].flatMap((one) => places.alike(one)),
  }
}

const NO_OTHERS: readonly never[] = []
/** Nothing leads from what is wanted to what is had: ports decide. */
const NO_PATH: NumberAnswer = {
  verdict: 'not listed',
  plan: 'confirm',
  evidence: null,
  path: NONE,
  use: NONE,
  missing: NONE,
  surplus: NONE,
  open: NONE,
  todo: NONE,
  cautions: NONE,
}

/** The answer along a straight chain; null where it is none. The same as in full, without looking left and right. */
function straightAnswer(
  index: NumberIndex,
  { want = NONE, have, application, follow = 'all' }: NumberQuestion,
): NumberVerdict | null {
  const [one, other] = want
  const [own, more] = have
  if (!one || other || !own || more || one.where || application || follow === 'none') return null
  if (isWeakMark(one.mark) || isWeakMark(own.mark)) return null
  const places = new Places(index)
  const [wanted, had] = [places.mention(one), places.mention(own)]
  const chain = straightChain(index, wanted, had)
  if (!chain) return null
  const { rows, last } = chain
  const current = [last ? { issuer: last.issuer, number: last.spelled } : written(wanted)]
  const didYouMean =
    last && rows ? NO_OTHERS : want.concat(have as Wanted[]).flatMap((a) => places.alike(a))
  // What it is listed for may tell it apart.
  const isListed = (at: number): boolean => (index.nodes[at]?.applications.length ?? 0) > 0
  if (!rows && (isListed(wanted.at) || isListed(had.at))) return null
  if (!rows) return { ...NO_PATH, others: NO_OTHERS, current, didYouMean }
  let strength = Math.min(gradeOf(one.grade), gradeOf(own.grade))
  let quantity = one.quantity ?? 1
  const path: PathStep[] = []
  for (const row of rows) {
    strength = Math.min(strength, row.strength)
    quantity = Math.ceil(quantity / row.taken) * row.given
    path.push(stepOver(row))
  }
  const code = rows.length === 0 ? RAISES.exact : RAISES['superseded by']
  return {
    verdict: VERDICT_WORDS[code]!,
    plan: planOf(code, strength, false),
    evidence: GRADES[strength]!,
    path,
    use: [{ issuer: own.issuer, number: own.number, quantity }],
    missing: NONE,
    surplus: NONE,
    open: NONE,
    todo: NONE,
    cautions: NONE,
    others: NO_OTHERS,
    current,
    didYouMean,
  }
}

/** A plain row as a step: the same each time. */
const stepOver = (row: SupersessionRow): PathStep =>
  (row.step ??= {
    kind: 'superseded',
    from: [written(row.old[0]!)],
    to: [written(row.new[0]!)],
    row: row.id,
    grade: GRADES[row.strength]!,
  })

/** Numbers asked about that no claim names get places behind all others. */
class Places {
  readonly #index: NumberIndex
  #own: Map<string, number> | null = null

  constructor(index: NumberIndex) {
    this.#index = index
  }

  mention({ issuer, number }: WrittenNumber): Mention {
    const spelled = this.#index.findSpelled(issuer, number)
    if (spelled !== null) return { issuer, number, at: spelled, quantity: 1, aside: NONE }
    const { key, aside } = this.#index.read({ issuer, number })
    const known = this.#index.find(issuer, key)
    if (known !== null) return { issuer, number, at: known, quantity: 1, aside }
    const name = `${issuer}\n${key}`
    this.#own ??= new Map()
    let at = this.#own.get(name)
    if (at === undefined) this.#own.set(name, (at = this.#index.nodes.length + this.#own.size))
    return { issuer, number, at, quantity: 1, aside }
  }

  alike({ issuer, number }: WrittenNumber): readonly WrittenNumber[] {
    const { key } = this.#index.read({ issuer, number })
    if (this.#index.find(issuer, key) !== null) return NONE
    return this.#index
      .lookAlikes(issuer, key)
      .map((node) => ({ issuer: node.issuer, number: node.spelled }))
  }
}

const WEAK = 'A number stamped or cast may be borne by many parts.'

function rootOf(
  { grade, quantity = 1, where }: Wanted,
  mention: Mention,
  asked: AskedFor,
  isWeak: (at: number) => boolean,
): readonly Root[] {
  const answer = asked.where(where)
  if (answer.truth === 'fails') return NONE
  const weak = isWeak(mention.at)
  return [
    {
      mention,
      quantity,
      strength: Math.min(gradeOf(grade), answer.strength),
      where: answer,
      code: Math.max(raisedBy(answer), weak ? RAISES['with note'] : 0),
      listedBy: null,
      notes: weak ? [WEAK] : NONE,
    },
  ]
}

/** Numbers that are listed for a target stated with its family. @param near the islands they are on; null: any */
function listed(
  index: NumberIndex,
  asked: AskedFor,
  isWeak: (at: number) => boolean,
  near: ReadonlySet<number | null> | null,
): readonly Root[] {
  const rows = new Set(
    TARGETS.flatMap((kind) => {
      const target = asked.target(kind)
      if (!target) return NONE
      return near ? index.listedOn(kind, target.family, near) : index.listedFor(kind, target.family)
    }),
  )
  return [...rows].flatMap((row): readonly Root[] => {
    const answer = asked.where(row.where)
    if (answer.truth === 'fails') return []
    const weak = isWeak(row.mention.at)
    return [
      {
        mention: row.mention,
        quantity: 1,
        strength: Math.min(row.strength, answer.strength),
        where: answer,
        code: Math.max(raisedBy(answer), weak ? RAISES['with note'] : 0),
        listedBy: row,
        notes: weak ? [WEAK] : NONE,
      },
    ]
  })
}

interface Judged {
  readonly answer: NumberAnswer
  readonly code: number
  readonly strength: number
  readonly steps: number
  /** Where it starts, as text. */
  readonly text: string
  readonly way: Way
}

/** A way with what stands against it, as an answer; null where a number would come twice on a branch. */
function judged(root: Root, way: Way, against: readonly Denial[]): Judged | null {
  const told = new Told()
  if (!told.walk(way, root.quantity)) return null
  const strength = Math.min(way.strength, root.strength)
  let code = Math.max(way.code, root.code)
  const open = new Set([...(root.where.truth === 'unknown' ? root.where.open : NONE), ...told.open])
  const cautions = new Set([...root.notes, ...told.notes])
  for (const denial of new Set([...against, ...way.against])) {
    code = Math.max(
      code,
      denial.holds && denial.strength >= strength ? RAISES.conflict : RAISES['with note'],
    )
    cautions.add(`${capital(denial.words)} (${GRADES[denial.strength]}).`)
    for (const key of denial.open) open.add(key)
  }
  const listedStep: readonly PathStep[] =
    root.listedBy === null
      ? NONE
      : [
          {
            kind: 'application',
            from: NONE,
            to: [written(root.mention)],
            row: root.listedBy.id,
            grade: GRADES[root.listedBy.strength]!,
          },
        ]
  return {
    answer: {
      verdict: VERDICT_WORDS[code]!,
      plan: planOf(code, strength, told.missing.size > 0),
      evidence: GRADES[strength]!,
      path: [...listedStep, ...told.path],
      use: told.counted(told.use),
      missing: told.counted(told.missing),
      surplus: told.counted(told.surplus),
      open: [...open],
      todo: [...new Set([...root.where.todo, ...told.todo])],
      cautions: [...cautions],
    },
    code,
    strength,
    steps: way.steps + listedStep.length,
    text: `${root.mention.issuer} ${root.mention.number} ${root.quantity} ${root.listedBy?.id ?? ''}`,
    way,
  }
}

function planOf(code: number, strength: number, isMissing: boolean): NumberPlan {
  if (isMissing || code > RAISES['with note']) return 'no'
  return code === RAISES['with note'] || strength < SURE ? 'confirm' : 'yes'
}

const better = (p: Judged, q: Judged): number =>
  PLANS.indexOf(p.answer.plan) - PLANS.indexOf(q.answer.plan) ||
  p.code - q.code ||
  q.strength - p.strength ||
  p.steps - q.steps ||
  p.answer.missing.length - q.answer.missing.length ||
  (p.text < q.text ? -1 : p.text > q.text ? 1 : byText(p.way, q.way))

const written = ({ issuer, number }: WrittenNumber): WrittenNumber => ({ issuer, number })
const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1)

/** A way written down from its start, with how many of each it takes. */
class Told {
  readonly path: PathStep[] = []
  readonly use = new Map<number, { mention: Mention; quantity: number }>()
  readonly missing = new Map<number, { mention: Mention; quantity: number }>()
  readonly surplus = new Map<number, { mention: Mention; quantity: number }>()
  readonly open: string[] = []
  readonly todo: string[] = []
  readonly notes: string[] = []

  /** Numbers from the start to where it is. */
  readonly #branch = new Set<number>()

  /** @returns whether no number comes twice on a branch */
  walk(way: Way, quantity: number): boolean {
    const { node, step, had, ways } = way
    if (this.#branch.has(node.at)) return false
    for (const note of way.notes) this.notes.push(note)
    if (!step) {
      add(this.use, had!.mention, quantity)
      return true
    }
    this.path.push({
      kind: step.kind,
      from: [written(step.from)],
      to: step.to.map(written),
      row: step.row,
      grade: GRADES[step.rowStrength]!,
    })
    for (const key of step.open) this.open.push(key)
    for (const one of step.todo) this.todo.push(one)
    const times = Math.ceil(quantity / step.from.quantity)
    for (const other of step.others) add(this.surplus, other, times * other.quantity)
    this.#branch.add(node.at)
    const isPlain = step.to.every((mention, i) => {
      const wanted = times * mention.quantity
      const own = ways[i]
      if (own) return this.walk(own, wanted)
      add(this.missing, mention, wanted)
      return !this.#branch.has(mention.at)
    })
    this.#branch.delete(node.at)
    return isPlain
  }

  counted(counts: Told['use']): readonly Counted[] {
    return [...counts.values()].map(({ mention, quantity }) => ({ ...written(mention), quantity }))
  }
}

function add(counts: Told['use'], mention: Mention, quantity: number): void {
  const held = counts.get(mention.at)
  if (held) held.quantity += quantity
  else counts.set(mention.at, { mention, quantity })
}

/** Rings of supersessions in front of a start: said, whether or not a path goes there. */
function ringsAhead(roots: readonly Root[], follower: Follower): readonly string[] {
  const reached = follower.onwardFrom(roots.map(({ mention }) => mention.at))
  return [...reached].some((at) => follower.onward(at).some((row) => follower.isRing(row)))
    ? ['Supersessions ahead of it run in a ring: one of them is wrong.']
    : NONE
}

/** Where supersessions lead to from the starts, as they are listed today. */
function currentOf(
  roots: readonly Root[],
  index: NumberIndex,
  follower: Follower,
): readonly WrittenNumber[] {
  const ends = [...follower.onwardFrom(roots.map(({ mention }) => mention.at))].filter(
    (at) => follower.onward(at).length === 0,
  )
  return ends
    .map((at) => {
      const node = index.nodes[at]
      return node
        ? { issuer: node.issuer, number: node.spelled }
        : written(
            roots
              .map(({ mention }) => mention)
              .filter((one) => one.at === at)
              .toSorted((p, q) => (p.number < q.number ? -1 : 1))[0]!,
          )
    })
    .sort((p, q) => (`${p.issuer} ${p.number}` < `${q.issuer} ${q.number}` ? -1 : 1))
}

/** No path: of another generation where what is had is listed for others alone, else not listed. */
function withoutPath(
  index: NumberIndex,
  question: NumberQuestion,
  wanted: readonly { readonly mention: Mention }[],
  places: Places,
  asked: AskedFor,
  follow: Follow,
): NumberAnswer {
  const isOther = question.have.some((one) =>
    isOfOtherGeneration(index, places.mention(one).at, wanted, asked),
  )
  return {
    ...NO_PATH,
    verdict: isOther ? 'different generation' : 'not listed',
    plan: isOther || follow === 'none' ? 'no' : 'confirm',
  }
}

const plain = (word: string): string => word.trim().toLowerCase()

/** Generations of a target and family that a number is listed for; null where a row of it names none, or there is no row. */
function generationsFor(
  index: NumberIndex,
  at: number,
  kind: (typeof TARGETS)[number],
  family: string,
): ReadonlySet<string> | null | 'no rows' {
  const rows = (index.nodes[at]?.applications ?? NONE).flatMap(({ fits, where }) => {
    const target = fits ? where?.targets?.[kind] : undefined
    return target && plain(target.family) === family ? [target.generations ?? NONE] : []
  })
  if (rows.length === 0) return 'no rows'
  if (rows.some(({ length }) => length === 0)) return null
  return new Set(rows.flat().map(plain))
}

function isOfOtherGeneration(
  index: NumberIndex,
  at: number,
  wanted: readonly { readonly mention: Mention }[],
  asked: AskedFor,
): boolean {
  return TARGETS.some((kind) => {
    const families = new Set(
      (index.nodes[at]?.applications ?? NONE).flatMap(({ where }) => {
        const target = where?.targets?.[kind]
        return target ? [plain(target.family)] : []
      }),
    )
    return [...families].some((family) => {
      const of = generationsFor(index, at, kind, family)
      if (!(of instanceof Set)) return false
      const target = asked.target(kind)
      const known =
        target && plain(target.family) === family ? (asked.generation(kind)?.id ?? null) : null
      const isNoneOf = (more: ReadonlySet<string>): boolean => {
        const all = [...more, ...(known === null ? NONE : [known])]
        return all.length > 0 && !all.some((one) => of.has(one))
      }
      if (wanted.length === 0) return isNoneOf(new Set())
      return wanted.some(({ mention }) => {
        const own = generationsFor(index, mention.at, kind, family)
        return own === null ? false : isNoneOf(own === 'no rows' ? new Set() : own)
      })
    })
  })
}
