import type { AnswerOf, BodyOf, OperationName, ParamsOf, QueryOf } from './operation.ts'
import type { AllOperations } from './operations/index.ts'

/** An operation that answers JSON, by its method and path. */
export type Callable = {
  [N in keyof AllOperations]: AllOperations[N] extends { readonly answer: string } ? never : N
}[keyof AllOperations] &
  OperationName

type Query<Q> = Q extends undefined
  ? unknown
  : Record<never, never> extends Q
    ? { readonly query?: Q }
    : { readonly query: Q }
type Body<O> = O extends { readonly raw: unknown }
  ? { readonly body: BodyOf<O, 'in'> | Blob }
  : O extends { readonly body: unknown }
    ? { readonly body: BodyOf<O, 'in'> }
    : unknown
/** What an operation is asked with: what its path, query and body want. */
export type Asked<N extends Callable> = (unknown extends ParamsOf<N>
  ? unknown
  : { readonly params: ParamsOf<N> }) &
  Query<QueryOf<AllOperations[N], 'in'>> &
  Body<AllOperations[N]>
/** What it answers. */
export type Answer<N extends Callable> = AnswerOf<AllOperations[N]>
/** It may be left out where nothing is wanted. */
export type Given<N extends Callable> =
  Record<never, never> extends Asked<N> ? [asked?: Asked<N>] : [asked: Asked<N>]

/** The path with its names filled in, and the query behind it. */
export function addressOf(
  path: string,
  params: Readonly<Record<string, string>> = {},
  query: Readonly<Record<string, unknown>> = {},
): string {
  const filled = path.replaceAll(/\{(\w+)\}/g, (_, one: string) =>
    encodeURIComponent(params[one] ?? ''),
  )
  const wanted = Object.entries(query).filter(([, value]) => value !== undefined)
  const text = new URLSearchParams(wanted.map(([key, value]) => [key, String(value)])).toString()
  return text ? `${filled}?${text}` : filled
}
