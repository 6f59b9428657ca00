import type { Problem } from '../contract/problem.ts'

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
