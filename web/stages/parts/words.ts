import type { PartLine } from '../../../contract/answers/planning.ts'
import type { NumberVerdict } from '../../../core/identity/supersession.ts'

export const STATE_WORDS: Record<PartLine['state'], string> = {
  open: 'open',
  planned: 'in the plan',
  kept: 'kept',
  work: 'work',
  dropped: 'dropped',
  estimated: 'estimated',
  'to solve': 'to solve',
}

const last = (path: readonly string[]): string => path.at(-1)?.split(':').slice(1).join(':') ?? ''

/** The verdict on a part number in words. */
export function numberWords(verdict: NumberVerdict): string {
  switch (verdict.says) {
    case 'exact':
      return 'Exact'
    case 'superseded by':
      return `Superseded by ${last(verdict.path)}`
    case 'not listed':
      return 'Not listed'
    case 'bad data':
      return 'Supersessions run in a circle: mend them'
    default:
      return 'No number wanted'
  }
}
