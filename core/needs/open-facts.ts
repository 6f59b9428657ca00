import { FACT_ROWS, type FactKey } from '../facts/index.ts'
import { NO, type Truth, UNKNOWN } from './condition.ts'
import type { LineRow } from './line.ts'
import { type KnownFacts, truthsWith } from './line-list.ts'

/** One value that an open fact may have, with how true each line then is. */
export interface Possible {
  readonly value: string
  /** Chance of it: an assumed value has four in five, the rest share evenly (common practice, no published source). */
  readonly chance: number
  /** By kind, of the lines that hang on this fact: how true it is with this value. */
  readonly truths: ReadonlyMap<string, Truth>
}

export interface OpenFact {
  readonly key: FactKey
  readonly assumed: string | null
  readonly values: readonly Possible[]
}

/** How sure an assumption is taken to be. */
const ASSUMED = 0.8

/** Facts that are not known or only assumed, and what each of their values would make of the lines that read them. */
export function openFacts(
  rows: readonly LineRow[],
  facts: KnownFacts,
  keys: readonly FactKey[],
): readonly OpenFact[] {
  return keys.map((key) => {
    const known = facts[key]
    const assumed = known?.isAssumed ? known.value : null
    const values = FACT_ROWS[key].values
    return {
      key,
      assumed,
      values: values.map((value) => ({
        value,
        chance:
          assumed === null
            ? 1 / values.length
            : value === assumed
              ? ASSUMED
              : (1 - ASSUMED) / (values.length - 1),
        truths: truthsWith(rows, facts, key, value),
      })),
    }
  })
}

/** How often a line stands, told that a fact has a value: not known still is half. */
export const standsBy = (truth: Truth | undefined): number =>
  truth === undefined || truth === NO ? 0 : truth === UNKNOWN ? 0.5 : 1
