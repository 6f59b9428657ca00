import type { FactKey } from '../facts/index.ts'
import { groupBy } from '../group.ts'
import { CompiledRows } from './compiled-rows.ts'
import {
  type Condition,
  evaluate,
  faultsIn,
  NO,
  openIn,
  readsOf,
  type Truth,
  UNKNOWN,
  type View,
  YES,
} from './condition.ts'
import type { LineRow, Reasoned } from './line.ts'

/** What is known of a build. */
export interface KnownFact {
  readonly value: string
  /** Taken from a type, not said by anybody. */
  readonly isAssumed?: boolean
  /** Who or what says so. */
  readonly from?: string
}
export type KnownFacts = Readonly<Partial<Record<FactKey, KnownFact>>>

/** How a line stands, with assumed facts as unknown and as known. */
export type Outcome = 'yes' | 'leans yes' | 'open' | 'folded'

export interface Line {
  /** `kind/place/slot`. */
  readonly id: string
  readonly row: LineRow
  readonly outcome: Outcome
  /** As it is taken to be, or as it would be once it is known. */
  readonly level: 'required' | 'wanted' | 'optional'
  readonly why: readonly string[]
  /** The reasons that speak for it. */
  readonly spoken: readonly Reasoned[]
  /** Facts that would settle it. */
  readonly because: readonly FactKey[]
}

type Truths = ReadonlyMap<LineRow, readonly Truth[]>

/** Rows in an order in which what a row waits for comes before it, as far as no row waits for itself; and by kind. */
interface Arranged {
  readonly order: readonly LineRow[]
  readonly byKind: ReadonlyMap<string, readonly LineRow[]>
}
const arranged = new WeakMap<readonly LineRow[], Arranged>()

function arrange(rows: readonly LineRow[]): Arranged {
  let held = arranged.get(rows)
  if (held) return held
  const byKind = groupBy(rows, ({ kind }) => kind)
  const order: LineRow[] = []
  const met = new Set<LineRow>()
  const visit = (row: LineRow): void => {
    if (met.has(row)) return
    met.add(row)
    for (const { if: condition } of row.when)
      for (const kind of readsOf(condition).lines)
        for (const one of byKind.get(kind) ?? []) visit(one)
    order.push(row)
  }
  rows.forEach(visit)
  arranged.set(rows, (held = { order, byKind }))
  return held
}

/**
 * The least list in which every row agrees with its reasons, from nothing standing: rows only rise, so it ends, and the
 * order of rows cannot matter. Rows that are settled stand as they are.
 *
 * @param asked rows that are not settled, with all that wait for them; all of them where nothing is settled
 */
function leastFixpoint(
  rows: readonly LineRow[],
  fact: View['fact'],
  settled: Truths | null = null,
  asked: readonly LineRow[] | null = null,
): { truths: Truths; view: View } {
  const { order: all, byKind } = arrange(rows)
  const order = asked ?? all
  const truths = new Map<LineRow, readonly Truth[]>(settled)
  for (const row of order)
    truths.set(
      row,
      row.when.map(() => NO),
    )
  const view: View = {
    fact,
    line: (kind, slot) => {
      let greatest: Truth = NO
      for (const row of byKind.get(kind) ?? [])
        if (slot === undefined || (row.slots ?? ['main']).includes(slot))
          for (const truth of truths.get(row)!) if (truth > greatest) greatest = truth
      return greatest
    },
  }
  for (let isRising = true; isRising; ) {
    isRising = false
    for (const row of order) {
      const own = truths.get(row)! as Truth[]
      for (let i = 0; i < own.length; i++) {
        if (own[i] === YES) continue
        const truth = evaluate(row.when[i]!.if, view)
        if (truth > own[i]!) {
          own[i] = truth
          isRising = true
        }
      }
    }
  }
  return { truths, view }
}

/** Rows that read a fact, themselves or through lines they wait for, in the order of all. */
const readersOf = new WeakMap<readonly LineRow[], Map<FactKey, ReadonlySet<LineRow>>>()
function readers(rows: readonly LineRow[], key: FactKey): ReadonlySet<LineRow> {
  let byFact = readersOf.get(rows)
  if (!byFact) readersOf.set(rows, (byFact = new Map()))
  let found = byFact.get(key)
  if (!found) {
    const { order } = arrange(rows)
    const reads = order.map((row) => ({
      row,
      facts: new Set(row.when.flatMap((one) => [...readsOf(one.if).facts])),
      lines: new Set(row.when.flatMap((one) => [...readsOf(one.if).lines])),
    }))
    const kinds = new Set(reads.flatMap(({ row, facts }) => (facts.has(key) ? row.kind : [])))
    for (let size = -1; size !== kinds.size; ) {
      size = kinds.size
      for (const { row, lines } of reads)
        if ([...lines].some((kind) => kinds.has(kind))) kinds.add(row.kind)
    }
    byFact.set(key, (found = new Set(order.filter(({ kind }) => kinds.has(kind)))))
  }
  return found
}

const baseOf = new WeakMap<KnownFacts, { rows: readonly LineRow[]; truths: Truths }>()

/** How true each line that reads a fact is, told that it has a value; assumed facts count as known. By kind. */
export function truthsWith(
  rows: readonly LineRow[],
  facts: KnownFacts,
  key: FactKey,
  value: string,
): ReadonlyMap<string, Truth> {
  let base = baseOf.get(facts)
  if (!base || base.rows !== rows) {
    base = { rows, truths: leastFixpoint(rows, (one) => facts[one]?.value).truths }
    baseOf.set(facts, base)
  }
  const affected = [...readers(rows, key)]
  const { truths } = leastFixpoint(
    rows,
    (one) => (one === key ? value : facts[one]?.value),
    base.truths,
    affected,
  )
  return new Map(affected.map((row) => [row.kind, greatestOf(truths.get(row)!)]))
}

const LEVELS = ['required', 'wanted', 'optional'] as const
const greatestOf = (truths: readonly Truth[]): Truth => Math.max(NO, ...truths) as Truth

/**
 * The lines of a build: run once with what is assumed counted as unknown, once as known. Sorted by id.
 *
 * @throws TypeError where a row's condition cannot be
 */
export function linesOf(rows: readonly LineRow[], facts: KnownFacts): readonly Line[] {
  checked(rows)
  const firm = leastFixpoint(rows, (key) => {
    const known = facts[key]
    return known?.isAssumed ? undefined : known?.value
  })
  const planned = leastFixpoint(rows, (key) => facts[key]?.value)
  return rows
    .flatMap((row) => {
      const [sure, taken] = [firm.truths.get(row)!, planned.truths.get(row)!]
      const outcome = outcomeOf(greatestOf(sure), greatestOf(taken))
      if (outcome === null) return []
      // What is taken speaks for the line; where nothing is, whatever is open.
      const truths = outcome === 'folded' ? sure : taken
      const most = greatestOf(truths)
      const spoken = row.when.filter((_, i) => truths[i] === most)
      return (row.slots ?? ['main']).map((slot) => ({
        id: `${row.kind}/${row.place}/${slot}`,
        row,
        outcome,
        level: levelOf(row, spoken),
        why: spoken.map(({ says }) => says),
        spoken,
        because:
          outcome === 'yes'
            ? []
            : becauseOf(
                rows,
                row.when.filter((_, i) => sure[i] === UNKNOWN),
                firm.view,
              ),
      }))
    })
    .sort((p, q) => (p.id < q.id ? -1 : 1))
}

const compiledOf = new WeakMap<readonly LineRow[], CompiledRows>()

/** How each row stands, without why: absent where it does not. @throws TypeError where a row's condition cannot be */
export function outcomesOf(
  rows: readonly LineRow[],
  facts: KnownFacts,
): ReadonlyMap<LineRow, Outcome> {
  checked(rows)
  const { order } = arrange(rows)
  let compiled = compiledOf.get(rows)
  if (!compiled) compiledOf.set(rows, (compiled = new CompiledRows(order)))
  const [firm, planned] = [compiled.truths(facts, false), compiled.truths(facts, true)]
  const found = new Map<LineRow, Outcome>()
  order.forEach((row, at) => {
    const outcome = outcomeOf(firm[at] as Truth, planned[at] as Truth)
    if (outcome !== null) found.set(row, outcome)
  })
  return found
}

const sound = new WeakSet<LineRow>()
function checked(rows: readonly LineRow[]): void {
  for (const row of rows) {
    if (sound.has(row)) continue
    for (const { if: condition } of row.when)
      for (const fault of faultsIn(condition)) throw new TypeError(`${row.kind}: ${fault}`)
    sound.add(row)
  }
}

function outcomeOf(firm: Truth, planned: Truth): Outcome | null {
  if (firm === NO) return null
  if (firm === YES) return 'yes'
  return planned === YES ? 'leans yes' : planned === UNKNOWN ? 'open' : 'folded'
}

const levelOf = (row: LineRow, spoken: readonly Reasoned[]): Line['level'] =>
  LEVELS[
    Math.min(...spoken.map(({ level }) => LEVELS.indexOf(level ?? row.level ?? 'required')))
  ] ?? 'required'

/** The unknown facts behind reasons, through the lines they wait for, each once. */
function becauseOf(
  rows: readonly LineRow[],
  reasons: readonly Reasoned[],
  view: View,
): readonly FactKey[] {
  const found = new Set<FactKey>()
  const seen = new Set<string>()
  const follow = (condition: Condition): void => {
    const { facts, lines } = openIn(condition, view)
    for (const key of facts) found.add(key)
    for (const kind of lines) {
      if (seen.has(kind)) continue
      seen.add(kind)
      for (const row of rows) if (row.kind === kind) for (const one of row.when) follow(one.if)
    }
  }
  for (const one of reasons) follow(one.if)
  return [...found].sort()
}

/** What conditions name, sorted. */
export const factsBehind = {
  of: (conditions: readonly Condition[]): readonly FactKey[] =>
    [...new Set(conditions.flatMap((one) => [...readsOf(one).facts]))].sort(),
}

/** Facts that any of the rows reads. */
export const factsRead = (rows: readonly LineRow[]): ReadonlySet<FactKey> =>
  new Set(rows.flatMap(({ when }) => when.flatMap((one) => [...readsOf(one.if).facts])))
