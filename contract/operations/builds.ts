import { z } from 'zod'
import { done, items, trash, words } from '../answers/basics.ts'
import { budgetPage, buildHeader, firstAnswer } from '../answers/builds.ts'
import { measureNext } from '../answers/measure-next.ts'
import { changedCode, pairingDetail, pairings, shafts } from '../answers/pairings.ts'
import { job, partsList, sourcing, underWay } from '../answers/planning.ts'
import { build, decision, jointClaim, lock, rowOf } from '../answers/rows.ts'
import { donorSheet, donors, joined, matingCard } from '../answers/sheets.ts'
import type { Operations } from '../operation.ts'
import {
  buildInput,
  buildPatch,
  couplingChoiceInput,
  couplingKitInput,
  decisionInput,
  jointClaimInput,
  lockInput,
  pairingChoice,
  sheetInput,
  startInput,
  stopperInput,
} from '../rows.ts'

const pair = z.object({ engine: z.string(), transmission: z.string() })

export const buildOperations = {
  'GET /builds': { summary: 'All builds', answer: items(buildHeader) },
  'POST /builds': { summary: 'Start a build', body: buildInput, answer: build },
  'POST /builds/start': {
    summary: 'Start a build from what is known after two minutes: templates, families, answers',
    body: startInput,
    answer: build,
  },
  'GET /builds/{id}': { summary: 'Header: totals, what is open, next action', answer: buildHeader },
  'PATCH /builds/{id}': { summary: 'Change the brief', body: buildPatch, answer: build },
  'DELETE /builds/{id}': { summary: 'Move a build to the trash', answer: trash },
  'GET /builds/{id}/first-answer': {
    summary: 'Verdicts with leaning, ranges, what to confirm or drop, what to measure first',
    answer: firstAnswer,
  },
  'POST /builds/{id}/stoppers': {
    summary: 'Answer one of the twelve stopper questions',
    body: stopperInput,
    answer: jointClaim,
  },
  'GET /builds/{id}/donors': {
    summary: 'Donors side by side: net cost with every term, risks of the sheet',
    answer: donors,
  },
  'GET /builds/{id}/donors/{donor}/sheet': {
    summary: "A donor's sheet for this build",
    answer: donorSheet,
  },
  'PATCH /builds/{id}/donors/{donor}/sheet': {
    summary: 'Join answers into the sheet, question by question; sending again changes nothing',
    body: sheetInput,
    answer: joined,
  },
  'GET /builds/{id}/mating': {
    summary: 'The mating card of the chosen pairing, and what its answers say',
    answer: matingCard,
  },
  'PATCH /builds/{id}/mating': {
    summary: 'Join answers into the mating card, question by question',
    body: sheetInput,
    answer: joined,
  },
  'POST /joint-claims': {
    summary: 'Record what is said of a joint, a kit or a finished build as a whole',
    body: jointClaimInput,
    answer: jointClaim,
    problems: [404],
  },
  'DELETE /joint-claims/{id}': { summary: 'Move such a claim to the trash', answer: trash },
  'GET /builds/{id}/pairings': {
    summary: 'The most promising pairings, a line each, of every engine with every transmission',
    query: z.object({ most: z.coerce.number().int().min(1).max(2000).optional() }),
    answer: pairings,
  },
  'GET /builds/{id}/measure-next': {
    summary: 'Which measurements would change the most among the pairings in play',
    answer: measureNext,
  },
  'GET /builds/{id}/pairing': {
    summary: 'One pairing whole: verdicts bare and closed, sets, drawing',
    query: pair,
    answer: pairingDetail,
  },
  'GET /builds/{id}/judged': {
    summary: 'Joints of the chosen pairing that read otherwise since an upgrade of the program',
    answer: items(changedCode),
  },
  'POST /builds/{id}/judged/seen': {
    summary: 'What an upgrade changed was seen: it is told no more',
    answer: done,
  },
  'GET /builds/{id}/shafts': {
    summary:
      'Propshaft or drive shafts of a pairing: halves off the shelf against one made to order, priced',
    query: pair,
    answer: shafts,
  },
  'POST /builds/{id}/pairing': {
    summary: 'Choose a pairing, or another closing set on it',
    body: pairingChoice,
    answer: rowOf('pairing'),
  },
  'POST /builds/{id}/coupling': {
    summary: 'Change one piece of the coupling set',
    body: couplingChoiceInput,
    answer: done,
  },
  'POST /builds/{id}/coupling-kit': {
    summary: 'Take the coupling pieces of a kit on a pairing, each in place of its kind',
    body: couplingKitInput,
    answer: z.strictObject({ replaced: words }),
  },
  'GET /builds/{id}/parts': { summary: 'The parts list', answer: partsList },
  'POST /builds/{id}/decisions': {
    summary: "Drop a line, price it, estimate it or keep the recipient's",
    body: decisionInput,
    answer: decision,
  },
  'DELETE /builds/{id}/decisions/{decision}': {
    summary: 'Take a decision back',
    answer: trash,
  },
  'GET /builds/{id}/sourcing': { summary: 'The plan as shown', answer: sourcing },
  'POST /builds/{id}/sourcing': {
    summary: 'Solve the sourcing: starts a job, or finds the one under way',
    answer: job,
  },
  'GET /builds/{id}/sourcing/job': { summary: 'The solve under way', answer: underWay },
  'POST /builds/{id}/locks': {
    summary: 'Lock an offer, a bundle or a supplier in or out',
    body: lockInput,
    answer: lock,
  },
  'DELETE /builds/{id}/locks/{lock}': { summary: 'Take a lock off', answer: trash },
  'GET /builds/{id}/budget': { summary: 'Budget lines and totals', answer: budgetPage },
} as const satisfies Operations
