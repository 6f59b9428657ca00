import type { Need } from '../needs/need.ts'
import type { CompiledPart } from '../ports/index.ts'
import type { Grade } from '../quantity/grade.ts'
import type { NumberSays } from './number-says.ts'
import { type Meeting, weakestGrade } from './offer-matches.ts'
import type { Source } from './problem.ts'
import type { Standing } from './standing.ts'

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
  /** Its number asks for somebody's name before it is ordered: nothing measured decides. */
  readonly tick: boolean
  readonly leadDays?: number
  /** On trial: tried by a few. */
  readonly standing?: Standing
  /** The day its price was last heard of. */
  readonly heardOn?: string
  /** A pack of so many costs so much in the build's money, tax included; none of its own where it comes with a bundle. */
  readonly pack?: number
  readonly packMinor?: number
}

/** What is said of a part as a source of a need, by its numbers and by what is known of it. */
export function partSays(
  need: Need,
  part: CompiledPart,
  answer: Meeting,
  number: NumberSays,
): Pick<SourceInfo, 'need' | 'partId' | 'number' | 'evidence' | 'confirm' | 'tick'> {
  const { says, plan } = number
  const portsDecide = answer.meets === 'yes' && need.constraints.length > 0
  return {
    need: need.id,
    partId: part.id,
    number,
    evidence: weakestGrade(part),
    confirm: answer.meets === 'confirm' ? answer.unknown : [],
    tick: plan === 'no' || (plan === 'confirm' && !(says === 'not listed' && portsDecide)),
  }
}
