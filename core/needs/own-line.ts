import type { Decision } from '../sourcing/decision.ts'
import type { LinePlace, OWN_STATES, Sort, Stage } from './line.ts'
import { type Need, need } from './need.ts'

/** A line that somebody wrote, or pasted from a spreadsheet. */
export interface OwnLine {
  readonly id: string
  readonly words: string
  readonly place: LinePlace
  readonly sort: Sort
  readonly stage: Stage
  readonly why?: string | null | undefined
  readonly quantity: number
  readonly hours?: number | null | undefined
  readonly state?: (typeof OWN_STATES)[number] | null | undefined
}

/** How far a line is that was written so: had is here, ordered and paid are as good as bought. */
export const actsOfOwn = (state: OwnLine['state']): readonly Decision['act'][] =>
  state === 'had' ? ['receive'] : state === 'ordered' || state === 'paid' ? ['order'] : []

/** Hours of what somebody guessed seldom come out less, and double for a first-timer (common practice). */
const MORE = 2

/** As any other line of the list: sure, and never taken away by a rule. */
export function needOfOwn(line: OwnLine): Need {
  const hours = line.hours ?? 0
  return need({
    kind: `own:${line.id}`,
    place: line.place,
    words: line.words,
    quantity: line.quantity,
    sort: line.sort,
    stage: line.stage,
    hours: [hours, hours, hours * MORE],
    why: [{ rule: 'by hand', words: line.why?.trim() || 'Written by hand' }],
    rests: 'by hand',
  })
}
