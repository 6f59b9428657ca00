import { job } from '../answers/planning.ts'
import type { Operations } from '../operation.ts'

export const jobOperations = {
  'GET /jobs/{id}': { summary: 'State of a job', answer: job },
  'DELETE /jobs/{id}': { summary: 'Cancel a job; the best plan so far is kept', answer: job },
  'GET /jobs/{id}/events': {
    summary: 'The state of a job as it changes, as a stream of events',
    answer: 'text/event-stream',
  },
} as const satisfies Operations
