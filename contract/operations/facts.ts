import { answered, difference, known } from '../answers/facts.ts'
import type { Operations } from '../operation.ts'
import { factInput, whatIfInput } from '../rows.ts'

export const factOperations = {
  'GET /builds/{id}/facts': {
    summary: 'What is known of a build and what is assumed, and what to ask next, dearest first',
    answer: known,
  },
  'POST /builds/{id}/facts': {
    summary:
      'Answer one question, kept where it belongs: on the part, in the brief or for this build',
    body: factInput,
    answer: answered,
  },
  'POST /builds/{id}/what-if': {
    summary:
      'What other answers would change: lines in and out, money and hours; nothing is written',
    body: whatIfInput,
    answer: difference,
    problems: [422],
  },
} as const satisfies Operations
