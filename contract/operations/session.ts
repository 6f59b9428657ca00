import { z } from 'zod'
import { session } from '../answers/shop.ts'
import type { Operations } from '../operation.ts'

const passcode = z.string().max(200)

export const sessionOperations = {
  'GET /session': { summary: 'Whether a passcode is asked, and given', answer: session },
  'POST /session': {
    summary: 'Sign in with the passcode of the shop',
    body: z.strictObject({ passcode }),
    answer: session,
    problems: [404, 429],
  },
  'DELETE /session': { summary: 'Sign out', answer: session },
  'PUT /passcode': {
    summary: 'Set the passcode, with the old one where one is asked; everybody else signs in anew',
    body: z.strictObject({ passcode, old: passcode.optional() }),
    answer: session,
    problems: [404, 429],
  },
} as const satisfies Operations
