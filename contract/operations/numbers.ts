import { z } from 'zod'
import { items } from '../answers/basics.ts'
import {
  addedApplication,
  addedInterchange,
  addedNumber,
  addedSupersession,
  generation,
  numberClaim,
  numberConflicts,
} from '../answers/catalogue.ts'
import {
  applicationInput,
  generationInput,
  interchangeInput,
  NUMBER_CLAIMS,
  numberInput,
  supersessionInput,
} from '../number-inputs.ts'
import type { Operations } from '../operation.ts'
import { strikeInput } from '../rows.ts'

export const numberOperations = {
  'POST /parts/{id}/numbers': {
    summary: 'Add a number to a part, as it was read and by whom',
    body: numberInput,
    answer: addedNumber,
  },
  'POST /supersessions': {
    summary: 'Record that numbers are replaced by others',
    body: supersessionInput,
    answer: addedSupersession,
  },
  'POST /interchanges': {
    summary: 'Record that numbers serve for one another, or do not',
    body: interchangeInput,
    answer: addedInterchange,
  },
  'POST /applications': {
    summary: 'Record what a number fits, or does not',
    body: applicationInput,
    answer: addedApplication,
  },
  'GET /generations': { summary: 'Breaks within families', answer: items(generation) },
  'POST /generations': {
    summary: 'Record a break within a family: from when to when, and what tells it',
    body: generationInput,
    answer: generation,
  },
  'POST /number-claims/{id}/strike': {
    summary: 'Strike a claim on numbers out: it is kept, and never used again',
    body: strikeInput.extend({ table: z.enum(NUMBER_CLAIMS) }),
    answer: numberClaim,
  },
  'GET /number-conflicts': {
    summary: 'Claims on numbers that cannot all be so, with what hangs on them',
    answer: numberConflicts,
  },
} as const satisfies Operations
