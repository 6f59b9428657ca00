import type { PartLine } from '../../../contract/answers/planning.ts'
import type { NumberSays } from '../../../core/sourcing/number-says.ts'

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

/** The verdict on a part number in words. */
export function numberWords({ says, path }: NumberSays): string {
  const last = path.at(-1) ?? ''
  switch (says) {
    case 'exact':
      return 'Exact'
    case 'superseded by':
      return `Superseded by ${last}`
    case 'interchange':
      return `Interchanges with ${last}`
    case 'with note':
      return `With a note: ${last}`
    case 'different generation':
      return 'Of another generation'
    case 'not listed':
      return 'Not listed'
    case 'conflict':
      return 'Numbers conflict: settle it'
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
