import { z } from 'zod'
import { arrival, arrivals } from '../answers/arrivals.ts'
import { items, trash } from '../answers/basics.ts'
import { kitChoice, kitsAtHand, kitsCompared, report, watched, watchRow } from '../answers/kits.ts'
import type { Operations } from '../operation.ts'
import { arrivalInput, kitChoiceInput, reportInput, watchInput } from '../rows.ts'

export const kitOperations = {
  'GET /builds/{id}/kits': {
    summary: 'Kits by how many joints of the chosen pairing go together with them',
    answer: kitsAtHand,
  },
  'GET /builds/{id}/kits/compared': {
    summary:
      'Two to four kits on the chosen pairing, joint by joint, each with the best plan of the rest around it; and which to take',
    query: z.object({ ids: z.string().min(1, 'Name the kits, with commas.').max(400) }),
    answer: kitsCompared,
  },
  'POST /builds/{id}/kits': {
    summary:
      'Take a kit: its pieces on the pairing, itself locked in; another than recommended is taken for a reason',
    body: kitChoiceInput,
    answer: kitChoice,
  },
  'GET /reports': {
    summary: 'What is said to have held or failed, of a kit, a part or what a supplier sells',
    query: z.object({
      kit: z.string().max(80).optional(),
      part: z.string().max(80).optional(),
      supplier: z.string().max(80).optional(),
    }),
    answer: items(report),
  },
  'POST /reports': {
    summary: 'Say that something held or failed',
    body: reportInput,
    answer: report,
  },
  'DELETE /reports/{id}': { summary: 'Move a report to the trash', answer: trash },
  'GET /watches': {
    summary: 'Parts that are wanted, each with the cheapest offer that is sold now',
    answer: items(watched),
  },
  'POST /watches': { summary: 'Want a part', body: watchInput, answer: watchRow },
  'DELETE /watches/{id}': { summary: 'Want a part no more', answer: trash },
  'GET /builds/{id}/arrivals': {
    summary:
      'What came: the sizes joints lean on, what was measured of them, until when it is taken back; what others found of parts this build waits for',
    answer: arrivals,
  },
  'POST /builds/{id}/arrivals': {
    summary: 'Say that what is planned for a line is here, and of which batch',
    body: arrivalInput,
    answer: arrival,
    problems: [404],
  },
  'DELETE /builds/{id}/arrivals/{arrival}': {
    summary: 'Take back that something came; what was measured on it stays',
    answer: trash,
  },
} as const satisfies Operations
