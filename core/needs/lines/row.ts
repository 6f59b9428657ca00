import type { Three } from '../../money/three.ts'
import type { CautionId } from '../cautions.ts'
import { all, type Condition } from '../condition.ts'
import type { Bringer, LinePlace, LineRow, Sort, Stage } from '../line.ts'
import type { WaitsFor } from '../need.ts'

interface More {
  /** Beside what is given for its neighbours. */
  readonly only?: Condition
  readonly level?: 'wanted' | 'optional'
  readonly quantity?: number
  readonly comes?: readonly Bringer[]
  readonly renew?: 'always' | 'twice'
  readonly waits?: WaitsFor
  readonly part?: string
  readonly caution?: readonly CautionId[]
  readonly work?: readonly ('weld' | 'cut')[]
  readonly cured?: readonly string[]
}

/** A row that does not know yet what is given. */
type Draft = (given: Condition) => LineRow | Again
/** A further reason for a kind that has its row. */
interface Again {
  readonly again: string
  readonly when: LineRow['when']
}

const draft =
  (sort: Sort) =>
  (
    kind: string,
    words: string,
    place: LinePlace,
    stage: Stage,
    eur: Three,
    hours: Three,
    says: string,
    { only, level, ...more }: More = {},
  ): Draft =>
  (given) => ({
    kind,
    words,
    place,
    stage,
    sort,
    eur,
    hours,
    when: [reason(given, only, says, level)],
    ...more,
  })

const reason = (
  given: Condition,
  only: Condition | undefined,
  says: string,
  level: More['level'],
): LineRow['when'][number] => ({
  if: only ? all(given, only) : given,
  says,
  ...(level ? { level } : {}),
})

/** Something to get. Prices in euros and hours are low, likely, high: common practice, no published source. */
export const part = draft('part')
export const task = draft('task')
export const service = draft('service')
export const paper = draft('paper')
export const tool = draft('tool')
/** What stops the build until it is answered: never priced. */
export const blocker = draft('blocker')

/** One more reason for a kind that has its row already. */
export const again =
  (kind: string, says: string, { only, level }: Pick<More, 'only' | 'level'> = {}): Draft =>
  (given) => ({ again: kind, when: [reason(given, only, says, level)] })

/** Rows that share a condition. */
export const given = (condition: Condition, drafts: readonly Draft[]): (LineRow | Again)[] =>
  drafts.map((draft) => draft(condition))

/**
 * Rows, each kind once, with every reason for it.
 *
 * @throws TypeError where a kind has two rows, or a reason none
 */
export function merged(drafts: readonly (LineRow | Again)[]): readonly LineRow[] {
  const rows = new Map<string, LineRow>()
  for (const one of drafts)
    if ('kind' in one) {
      if (rows.has(one.kind)) throw new TypeError(`${one.kind} has two rows.`)
      rows.set(one.kind, one)
    }
  for (const one of drafts)
    if ('again' in one) {
      const row = rows.get(one.again)
      if (!row) throw new TypeError(`${one.again} has a further reason and no row.`)
      rows.set(one.again, { ...row, when: [...row.when, ...one.when] })
    }
  return [...rows.values()]
}
