import { type Grade, strength } from '../quantity/grade.ts'
import { type Need, need } from './need.ts'

/** What is dear enough that nobody pays for it on hearsay, euros and minor units: common practice, no published source. */
const DEAR_EUR = 250
export const DEAR_MINOR = DEAR_EUR * 100

/** What is known of the source a plan takes. */
export interface TakenSource {
  readonly evidence: Grade | null
  /** Fields that nobody has measured though the line asks about them. */
  readonly confirm: readonly string[]
}

/** The task to prove a dear line before its money is paid; none where it is cheap, or known well. */
export function proofOf(
  line: Pick<Need, 'id' | 'kind' | 'place' | 'slot' | 'words' | 'eur'>,
  costMinor: number,
  { evidence, confirm }: TakenSource,
): Need | null {
  const isDear = costMinor >= DEAR_MINOR || line.eur[1] >= DEAR_EUR
  const isHeard = evidence !== null && strength(evidence) <= strength('heard')
  if (!isDear || !(isHeard || confirm.length > 0)) return null
  const unknown =
    confirm.length > 0
      ? `not known of it: ${confirm.slice(0, 3).join(', ').toLowerCase()}`
      : `what is known of it is ${evidence}`
  return need({
    kind: `proof:${line.kind}`,
    place: line.place,
    slot: line.slot,
    words: `${line.words}: measured or seen before money`,
    sort: 'task',
    stage: 'before',
    hours: [0.2, 0.5, 1.5],
    why: [{ rule: 'evidence', words: `It is dear, and ${unknown}`, parent: line.kind }],
    rests: `evidence=${evidence ?? '?'} unknown=${confirm.length}`,
  })
}
