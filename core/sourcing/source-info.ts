import type { WrittenNumber } from '../identity/claims.ts'
import type { Need } from '../needs/need.ts'
import type { CompiledPart } from '../ports/index.ts'
import type { Grade } from '../quantity/grade.ts'
import type { Market } from './market.ts'
import { type NumberSays, numberSays } from './number-says.ts'
import { type Meeting, weakestGrade } from './offer-matches.ts'
import type { Source } from './problem.ts'

/** What is shown of a source: candidate or bundle item. */
export interface SourceInfo {
  readonly id: string
  readonly need: string
  readonly source: Source | 'kit' | 'donor'
  readonly words: string
  readonly partId?: string
  readonly supplierId?: string
  readonly bundle?: string
  readonly number: NumberSays
  readonly numberShown?: string
  /** Fields nobody has measured that the need asks about. */
  readonly confirm: readonly string[]
  readonly evidence: Grade | null
  readonly leadDays?: number
  /** A pack of so many costs so much in the build's money, tax included; none of its own where it comes with a bundle. */
  readonly pack?: number
  readonly packMinor?: number
}

/** What is said of a part as a source of a need, by its numbers and by what is known of it. */
export function partSays(
  need: Need,
  part: CompiledPart,
  answer: Meeting,
  { numbers, serving }: Pick<Market, 'numbers' | 'serving'>,
  own: readonly WrittenNumber[] = [],
): Pick<SourceInfo, 'need' | 'partId' | 'number' | 'evidence' | 'confirm'> {
  const offered = [...(numbers.get(part.id) ?? []), ...own]
  const wanted = need.wants ? (numbers.get(need.wants) ?? []) : []
  return {
    need: need.id,
    partId: part.id,
    number: numberSays(wanted, offered, serving),
    evidence: weakestGrade(part),
    confirm: answer.meets === 'confirm' ? answer.unknown : [],
  }
}
