import { z } from 'zod'

/** RFC 9457 problem details: what was wrong, where, and what to do. */
export const problemSchema = z
  .object({
    type: z.string(),
    title: z.string(),
    status: z.number(),
    detail: z.string(),
    errors: z.array(z.object({ path: z.string(), message: z.string() })).optional(),
  })
  .meta({ id: 'Problem' })

/** What a refusal is answered with. */
export interface Problem {
  readonly status: number
  readonly title: string
  readonly detail: string
  readonly errors?: readonly { readonly path: string; readonly message: string }[]
  readonly [extra: string]: unknown
}

/** Zod issues as one problem: where each fault is and what to do. */
export function validationProblem(
  issues: readonly { readonly path: readonly PropertyKey[]; readonly message: string }[],
  target: string,
): Problem {
  const errors = issues.map((issue) => ({
    path: issue.path.map(String).join('.'),
    message: issue.message,
  }))
  const first = errors[0]
  return {
    status: 422,
    title: 'Not right yet',
    detail: first
      ? `${first.path === '' ? target : first.path}: ${first.message}${errors.length > 1 ? ` (and ${errors.length - 1} more)` : ''}`
      : 'The request does not have the right shape.',
    errors,
  }
}
