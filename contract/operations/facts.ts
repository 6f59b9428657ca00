import { items, trash } from '../answers/basics.ts'
import { answered, difference, known, ownLines, tried } from '../answers/facts.ts'
import { ownLine, recipe } from '../answers/rows.ts'
import type { Operations } from '../operation.ts'
import {
  factInput,
  ownLinePatch,
  ownLinesInput,
  recipeInput,
  recipePatch,
  whatIfInput,
} from '../rows.ts'

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
  'POST /builds/{id}/lines': {
    summary: 'Add lines by hand, one or pasted from a spreadsheet: all of them or none',
    body: ownLinesInput,
    answer: ownLines,
  },
  'PATCH /builds/{id}/lines/{line}': {
    summary: 'Change a line written by hand',
    body: ownLinePatch,
    answer: ownLine,
  },
  'DELETE /builds/{id}/lines/{line}': {
    summary: 'Move a line written by hand to the trash',
    answer: trash,
  },
  'GET /recipes': { summary: 'The shop’s own rows of the list', answer: items(recipe) },
  'POST /recipes': {
    summary: 'Add a recipe: a condition and the lines it adds, data and never code',
    body: recipeInput,
    answer: recipe,
  },
  'POST /recipes/try': {
    summary: 'What a recipe would have added to the builds there are; nothing is written',
    body: recipeInput,
    answer: tried,
  },
  'PATCH /recipes/{id}': {
    summary: 'Change a recipe; its history keeps what it was',
    body: recipePatch,
    answer: recipe,
  },
  'DELETE /recipes/{id}': { summary: 'Move a recipe to the trash', answer: trash },
} as const satisfies Operations
