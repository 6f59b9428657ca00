import type { z } from 'zod'

type Method = 'GET' | 'POST' | 'PUT' | 'PATCH' | 'DELETE'
/** An operation is called by its method and path: `GET /builds/{id}`. */
export type OperationName = `${Method} /${string}`

/** What is asked and answered at one method and path. */
export interface Operation {
  readonly summary: string
  readonly query?: z.ZodObject
  readonly body?: z.ZodType
  /** Content types the body may come as, as it is: a file, read by whoever reads files. */
  readonly raw?: readonly string[]
  /** The JSON answered; or the content type of the file answered. */
  readonly answer: z.ZodType | `${string}/${string}`
  /** Statuses it may refuse with beside those that any may. */
  readonly problems?: readonly (400 | 404 | 409 | 413 | 422 | 429)[]
}

/** The operations of one subject. */
export type Operations = Readonly<Record<OperationName, Operation>>

/** Names in the braces of a path. */
export type ParamsOf<N extends string> = N extends `${string}{${infer P}}${infer Rest}`
  ? { readonly [K in P]: string } & ParamsOf<Rest>
  : unknown
type Of<O, K extends 'query' | 'body', Side extends 'in' | 'out'> =
  O extends Readonly<Record<K, infer S extends z.ZodType>>
    ? Side extends 'in'
      ? z.input<S>
      : z.output<S>
    : undefined

/** What a handler is given, and what a caller gives. */
export type QueryOf<O, Side extends 'in' | 'out' = 'out'> = Of<O, 'query', Side>
export type BodyOf<O, Side extends 'in' | 'out' = 'out'> = Of<O, 'body', Side>
/** What is answered; nothing where it is a file. */
export type AnswerOf<O> = O extends { readonly answer: infer S extends z.ZodType }
  ? z.output<S>
  : never

/** The method and the path of an operation. */
export function partsOf(name: OperationName): { readonly method: Method; readonly path: string } {
  const at = name.indexOf(' ')
  return { method: name.slice(0, at) as Method, path: name.slice(at + 1) }
}

/** Statuses of problems that any operation may answer with. */
export const ANY_PROBLEM = [401, 403, 415, 500, 503, 507] as const
export const problemsOf = (name: OperationName, { body, query, raw, problems = [] }: Operation) =>
  [
    ...new Set([
      ...(body || raw ? [400, 413, 422] : []),
      ...(query ? [422] : []),
      ...(name.includes('{') ? [404] : []),
      ...(name.startsWith('GET') ? [] : [409, 422]),
      ...problems,
      ...ANY_PROBLEM,
    ]),
  ].sort((p, q) => p - q)
