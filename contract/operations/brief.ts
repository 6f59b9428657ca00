import { brief, joined, recipient, sheet } from '../answers/sheets.ts'
import type { Operations } from '../operation.ts'
import { sheetInput } from '../rows.ts'

export const briefOperations = {
  'GET /builds/{id}/brief': {
    summary:
      'The brief: answers, what each thing kept adds, what limits and build say of each other',
    answer: brief,
  },
  'GET /builds/{id}/sheets/{kind}': {
    summary: 'One sheet: brief, law, uncut or cautions',
    answer: sheet,
    problems: [422],
  },
  'PATCH /builds/{id}/sheets/{kind}': {
    summary: 'Join answers into a sheet, question by question',
    body: sheetInput,
    answer: joined,
  },
  'GET /builds/{id}/recipient': {
    summary: 'The recipient on its drawings, and the room it has for the train',
    answer: recipient,
  },
  'PATCH /builds/{id}/recipient': {
    summary: 'Measurements off a card or a phone; each becomes a claim once',
    body: sheetInput,
    answer: joined,
  },
} as const satisfies Operations
