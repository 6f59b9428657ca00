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
import type { FactKey } from './facts/index.ts'
import type { LineRow, Reasoned } from './line.ts'

/** What is known of a build. */
export interface KnownFact {
  readonly value: string
  /** Taken from a type, not said by anybody. */
  readonly isAssumed?: boolean
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
  /** Facts that would settle it. */
  readonly because: readonly FactKey[]
}

type Truths = ReadonlyMap<LineRow, readonly Truth[]>

/**
 * The least list in which every row agrees with its reasons, from nothing standing: rows only rise, so it ends, and the
 * order of rows cannot matter.
 */
function leastFixpoint(
  rows: readonly LineRow[],
  fact: View['fact'],
): { truths: Truths; view: View } {
  const byKind = new Map<string, LineRow[]>()
  for (const row of rows) byKind.set(row.kind, [...(byKind.get(row.kind) ?? []), row])
  const truths = new Map<LineRow, Truth[]>(rows.map((row) => [row, row.when.map(() => NO)]))
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
    for (const row of rows) {
      const own = truths.get(row)!
      row.when.forEach((reason, i) => {
        const truth = evaluate(reason.if, view)
        if (truth > own[i]!) {
          own[i] = truth
          isRising = true
        }
      })
    }
  }
  return { truths, view }
}

const LEVELS = ['required', 'wanted', 'optional'] as const
const greatestOf = (truths: readonly Truth[]): Truth => Math.max(NO, ...truths) as Truth

/**
 * The lines of a build: run once with what is assumed counted as unknown, once as known. Sorted by id.
 *
 * @throws TypeError where a row's condition cannot be
 */
export function linesOf(rows: readonly LineRow[], facts: KnownFacts): readonly Line[] {
  for (const { kind, when } of rows)
    for (const { if: condition } of when)
      for (const fault of faultsIn(condition)) throw new TypeError(`${kind}: ${fault}`)
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

/** Facts that any of the rows reads. */
export const factsRead = (rows: readonly LineRow[]): ReadonlySet<FactKey> =>
  new Set(rows.flatMap(({ when }) => when.flatMap((one) => [...readsOf(one.if).facts])))
