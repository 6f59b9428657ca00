import type { Denial, Denials } from './denials.ts'
import type { Follower } from './follower.ts'
import { Heap } from './heap.ts'
import type { Mention } from './number-index.ts'
import type { Reach } from './reach.ts'
import { RAISES, type Step } from './steps.ts'

/** A number had, with how well it is known. */
export interface Had {
  readonly mention: Mention
  readonly strength: number
}

/** One way in which a number is served by numbers had: how it ends, or the step it takes and the ways of what that leads to. */
export interface Way {
  readonly node: Node
  /** Null where it ends here. */
  readonly step: Step | null
  readonly had: Had | null
  /** Of the step's numbers, in their order; null where one is missing. */
  readonly ways: readonly (Way | null)[]
  readonly code: number
  readonly strength: number
  readonly steps: number
  /** What is said against it, by place. */
  readonly against: readonly Denial[]
  readonly notes: readonly string[]
  readonly isPartial: boolean
}

/** A number on a branch: what matters of how one came there is part of it. */
interface Node {
  readonly at: number
  readonly mention: Mention
  readonly isStart: boolean
  readonly mayInterchange: boolean
  /** Numbers before it on its branch that something is said against behind. */
  readonly before: readonly number[]
  readonly against: readonly Denial[]
  readonly from: Edge[]
  readonly users: { readonly edge: Edge; readonly place: number }[]
  readonly ways: Way[]
  readonly partial: Way[]
}
interface Edge {
  readonly parent: Node
  readonly step: Step
  readonly to: readonly Node[]
}

export interface Start {
  readonly mention: Mention
}

const NOTHING: readonly never[] = []

/**
 * All ways, none of which is no better than another, in which numbers had serve for each start: by what a way raises, its
 * evidence, its steps and what is said against it. A way through several numbers (a split) needs one for each of them. Found
 * from the ends backward, the best first: no number comes twice on a branch, as going round only adds. Knuth, A generalization
 * of Dijkstra's algorithm, 1977, from memory; sets of ways instead of one, as evidence and steps do not follow one order.
 *
 * @returns ways by start; those that leave something missing too, where not everything of a split is had
 */
export function waysToServe(
  starts: readonly Start[],
  had: ReadonlyMap<number, readonly Had[]>,
  follower: Follower,
  denials: Denials,
  reach: Reach,
): readonly (readonly Way[])[] {
  const matters = new Set([...denials.ofPair.values()].flatMap((firsts) => [...firsts.keys()]))
  // Where a split lies on a ring, a piece may be served by going round over what is on the branch already: that serves nothing.
  for (const at of reach.reached)
    if (
      reach.from(at).some(({ to }) => to.length > 1 && to.some((one) => reach.leadsTo(one.at, at)))
    )
      for (const one of reach.ringOf(at)) matters.add(one)
  const roots =
    explored(starts, had, follower, denials, reach, matters) ??
    explored(starts, had, follower, denials, reach, new Set())!
  return roots.map(({ ways, partial }) => [...ways, ...partial])
}

/** So many numbers on branches are told apart by how one came there; beyond, by themselves alone. */
const MOST_TOLD_APART = 20_000

/** The starts with all their ways; null where there are too many branches to be told apart. */
function explored(
  starts: readonly Start[],
  had: ReadonlyMap<number, readonly Had[]>,
  follower: Follower,
  denials: Denials,
  reach: Reach,
  matters: ReadonlySet<number>,
): readonly Node[] | null {
  const nodes = new Map<string, Node>()
  const queue: Node[] = []
  const nodeOf = (
    mention: Mention,
    isStart: boolean,
    mayInterchange: boolean,
    before: readonly number[],
  ): Node => {
    const { at, aside } = mention
    const ends = had.has(at) ? aside.map(({ kind, text }) => `${kind} ${text}`).join(' ') : ''
    const key = `${at}|${isStart ? 's' : ''}${mayInterchange ? 'i' : ''}|${before.join(' ')}|${ends}`
    let node = nodes.get(key)
    if (!node) {
      const firsts = denials.ofPair.get(at)
      node = {
        at,
        mention,
        isStart,
        mayInterchange,
        before,
        against: firsts
          ? byPlace(before.flatMap((first) => firsts.get(first) ?? NOTHING))
          : NOTHING,
        from: [],
        users: [],
        ways: [],
        partial: [],
      }
      nodes.set(key, node)
      queue.push(node)
    }
    return node
  }
  const roots = starts.map(({ mention }) => nodeOf(mention, true, true, NOTHING))
  const heap = new Heap<Way>(better)
  for (const node of queue) {
    if (matters.size > 0 && nodes.size > MOST_TOLD_APART) return null
    for (const one of had.get(node.at) ?? NOTHING) heap.push(endsAt(node, one, denials))
    if (!node.isStart && follower.isWeak(node.at)) continue
    const before =
      matters.has(node.at) && !node.before.includes(node.at)
        ? [...node.before, node.at].sort((p, q) => p - q)
        : node.before
    for (const step of reach.from(node.at)) {
      if (step.kind === 'interchange' && !node.mayInterchange) continue
      if (before.length > 0 && step.to.some(({ at }) => before.includes(at))) continue
      const mayInterchange = node.mayInterchange && step.kind !== 'interchange'
      const edge: Edge = {
        parent: node,
        step,
        to: step.to.map((mention) => nodeOf(mention, false, mayInterchange, before)),
      }
      node.from.push(edge)
      for (const [place, child] of edge.to.entries()) child.users.push({ edge, place })
    }
  }
  settle(heap, (way) => {
    for (const { edge, place } of way.node.users)
      for (const ways of combined(edge, place, way)) heap.push(through(edge, ways))
  })
  // What serves a part of a split only stands by itself: it is no piece of another.
  for (const node of nodes.values())
    for (const edge of node.from) {
      const served = edge.to.map(({ ways }) => ways)
      if (served.every(({ length }) => length > 0) || served.every(({ length }) => length === 0))
        continue
      let all: readonly (readonly (Way | null)[])[] = [[]]
      for (const ways of served)
        all = all.flatMap((some) =>
          (ways.length === 0 ? [null] : ways).map((way) => [...some, way]),
        )
      for (const ways of all) heap.push(through(edge, ways))
    }
  settle(heap, (way) => {
    for (const { edge } of way.node.users) if (edge.to.length === 1) heap.push(through(edge, [way]))
  })
  return roots
}

/** Takes ways, the best first, and keeps those that nothing kept is as good as. */
function settle(heap: Heap<Way>, kept: (way: Way) => void): void {
  for (let way = heap.pop(); way; way = heap.pop()) {
    const held = way.isPartial ? way.node.partial : way.node.ways
    if (held.some((one) => isNoWorse(one, way!))) continue
    held.push(way)
    kept(way)
  }
}

/** Where a branch ends: with a note where something is told of the number that the one had does not say. */
function endsAt(node: Node, had: Had, denials: Denials): Way {
  const differs = node.mention.aside.some(
    ({ kind, text }) => !had.mention.aside.some((one) => one.kind === kind && one.text === text),
  )
  return {
    node,
    step: null,
    had,
    ways: NOTHING,
    code: differs ? RAISES['with note'] : RAISES.exact,
    strength: had.strength,
    steps: 0,
    against: byPlace([...node.against, ...denials.ofNumber(node.at)]),
    notes: differs
      ? [`${node.mention.number} is asked for, ${had.mention.number} is had: look at the ending.`]
      : NOTHING,
    isPartial: false,
  }
}

/** A way by a step, from ways of the numbers it leads to. */
function through({ parent, step }: Edge, ways: readonly (Way | null)[]): Way {
  const [only] = ways
  if (only && ways.length === 1)
    return {
      node: parent,
      step,
      had: null,
      ways,
      code: Math.max(step.code, only.code),
      strength: Math.min(step.strength, only.strength),
      steps: 1 + only.steps,
      against:
        parent.against.length === 0 ? only.against : byPlace([...parent.against, ...only.against]),
      notes: step.notes,
      isPartial: only.isPartial,
    }
  const found = ways.filter((way) => way !== null)
  const isPartial = found.length < ways.length || found.some((way) => way.isPartial)
  return {
    node: parent,
    step,
    had: null,
    ways,
    code: Math.max(
      step.code,
      found.length < ways.length ? RAISES['with note'] : 0,
      ...found.map(({ code }) => code),
    ),
    strength: Math.min(step.strength, ...found.map(({ strength }) => strength)),
    steps: 1 + found.reduce((sum, { steps }) => sum + steps, 0),
    against: byPlace([...parent.against, ...found.flatMap(({ against }) => against)]),
    notes: step.notes,
    isPartial,
  }
}

/** Every choice of ways for the numbers a step leads to, with the one just found at its place. */
function combined({ to }: Edge, place: number, found: Way): readonly (readonly Way[])[] {
  if (to.length === 1) return [[found]]
  let all: readonly (readonly Way[])[] = [[]]
  for (const [i, { ways }] of to.entries()) {
    const own = i === place ? [found] : ways
    all = all.flatMap((some) => own.map((way) => [...some, way]))
  }
  return all
}

function byPlace(found: readonly Denial[]): readonly Denial[] {
  if (found.length < 2) return found
  return [...new Set(found)].sort((p, q) => p.place - q.place)
}

const isNoWorse = (p: Way, q: Way): boolean =>
  p.code <= q.code &&
  p.strength >= q.strength &&
  p.steps <= q.steps &&
  p.against.every((one) => q.against.includes(one))

/** The order in which ways are taken: what it raises, evidence, steps, and text, so that the order of rows never matters. */
function better(p: Way, q: Way): number {
  const order = p.code - q.code || q.strength - p.strength || p.steps - q.steps
  if (order !== 0) return order
  return byText(p, q)
}

/** Ways in the order of their steps as text, front to back: the same whatever order rows come in. */
export function byText(p: Way, q: Way): number {
  if (p === q) return 0
  const [a, b] = [textOf(p), textOf(q)]
  if (a !== b) return a < b ? -1 : 1
  for (const [i, one] of p.ways.entries()) {
    const other = q.ways[i] ?? null
    const order =
      one === null || other === null
        ? Number(one === null) - Number(other === null)
        : byText(one, other)
    if (order !== 0) return order
  }
  return 0
}

/** What a way does first, as text. */
const textOf = ({ step, had }: Way): string =>
  step
    ? (step.text ??= `${step.kind} ${step.row} ${[step.from, ...step.to, ...step.others].map(inWords).join(', ')}`)
    : inWords(had!.mention)

const inWords = ({ issuer, number, quantity }: Mention): string => `${issuer} ${number} ${quantity}`
