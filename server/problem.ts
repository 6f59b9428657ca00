export interface Problem {
  readonly status: number
  readonly title: string
  readonly detail: string
  readonly errors?: readonly { readonly path: string; readonly message: string }[]
  readonly [extra: string]: unknown
}

/** What each status is called. */
export const TITLES: Record<number, string> = {
  400: 'Not understood',
  401: 'Sign in first',
  403: 'Not here',
  404: 'Not found',
  409: 'Changed meanwhile',
  413: 'Too large',
  415: 'Wrong content type',
  422: 'Not right yet',
  429: 'Too many tries',
  500: 'Something broke here',
  503: 'Not just now',
  507: 'The disk is full or cannot be written to',
}

/** RFC 9457 problem details as a response. */
export const problem = (body: Problem): Response =>
  new Response(JSON.stringify({ type: 'about:blank', ...body }), {
    status: body.status,
    headers: { 'content-type': 'application/problem+json' },
  })

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
