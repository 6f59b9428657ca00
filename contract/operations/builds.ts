import { z } from 'zod'
import { FIGURES } from '../../core/pairing/working.ts'
import { done, items, trash, words } from '../answers/basics.ts'
import { budgetPage, buildHeader, firstAnswer } from '../answers/builds.ts'
import { against, choice, ownerSummary } from '../answers/choice.ts'
import { measureNext } from '../answers/measure-next.ts'
import {
  changedCode,
  pairingDetail,
  pairingFigures,
  pairings,
  pairingWorking,
  shafts,
} from '../answers/pairings.ts'
import { job, partsList, sourcing, underWay } from '../answers/planning.ts'
import { build, decision, jointClaim, lock, rowOf } from '../answers/rows.ts'
import { donorSheet, donors, joined, matingCard } from '../answers/sheets.ts'
import type { Operations } from '../operation.ts'
import {
  buildInput,
  buildPatch,
  choiceWords,
  copyInput,
  couplingChoiceInput,
  couplingKitInput,
  decisionInput,
  jointClaimInput,
  lockInput,
  measureNextInput,
  pairingChoice,
  pairingSeen,
  pairingsAsked,
  school,
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
    summary:
      'Every engine with every gearbox and transfer case, judged joint by joint, the most promising first',
    query: z.object({ school: school.optional() }),
    answer: pairings,
  },
  'POST /builds/{id}/pairing-figures': {
    summary: 'What tells pairings apart: money, hours, mass, road, as many as are ready soon',
    body: pairingsAsked,
    answer: pairingFigures,
  },
  'GET /builds/{id}/pairing-working': {
    summary: 'How one figure of a pairing came about: what it was worked out from, and how',
    query: pair.extend({
      transfer: z.string().max(120).optional(),
      school: school.optional(),
      figure: z.enum(FIGURES),
    }),
    answer: pairingWorking,
  },
  'GET /builds/{id}/measure-next': {
    summary: 'Which measurements would change the most among the pairings in play',
    answer: measureNext,
  },
  'POST /builds/{id}/measure-next': {
    summary: 'The same as if what is typed had been measured already; nothing is written',
    body: measureNextInput,
    answer: measureNext,
  },
  'GET /builds/{id}/pairing': {
    summary: 'One pairing whole: verdicts bare and closed, sets, drawing',
    query: pair.extend({ transfer: z.string().max(120).optional(), school: school.optional() }),
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
  'DELETE /builds/{id}/pairing': {
    summary: 'Open the choice of the pairing again; why it was chosen stays with it',
    answer: done,
  },
  'GET /builds/{id}/choice': {
    summary: 'Why the pairing was chosen, what it beat, and what would be chosen now',
    answer: choice,
  },
  'POST /builds/{id}/choice': {
    summary: 'Say in your own words why the pairing was chosen',
    body: choiceWords,
    answer: done,
  },
  'POST /builds/{id}/choice/seen': {
    summary: 'That another would be chosen now was seen: it is told no more',
    body: pairingSeen,
    answer: done,
  },
  'POST /builds/{id}/copy': {
    summary: 'Copy a build, or branch it: the same vehicle and brief, its pairing chosen anew',
    body: copyInput,
    answer: build,
  },
  'GET /builds/{id}/against/{other}': {
    summary: 'Two builds to the end in parts, money and hours',
    answer: against,
  },
  'GET /builds/{id}/summary': {
    summary: "One page for the vehicle's owner, without suppliers, margins or hours",
    answer: ownerSummary,
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
