import type { PartLine } from '../../../contract/answers/planning.ts'
import type { NumberVerdict } from '../../../core/identity/supersession.ts'

export const STATE_WORDS: Record<PartLine['state'], string> = {
  blocker: 'stops the build',
  asked: 'hangs on a question',
  open: 'open',
  planned: 'in the plan',
  kept: 'kept, to be seen',
  comes: 'comes with it, to be seen',
  here: 'here',
  ordered: 'ordered',
  fitted: 'fitted',
  postponed: 'postponed',
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

/** What a level and how a line stands come to in words. */
export const LEVELS: Readonly<Record<PartLine['level'], string>> = {
  required: 'Required',
  wanted: 'Wanted',
  optional: 'Optional',
  confirm: 'To confirm',
}
