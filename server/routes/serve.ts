import type { Context } from 'hono'
import type { z } from 'zod'
import {
  type AnswerOf,
  type BodyOf,
  type Operation,
  type OperationName,
  type Operations,
  type ParamsOf,
  partsOf,
  problemsOf,
  type QueryOf,
} from '../../contract/operation.ts'
import { problemSchema, validationProblem } from '../../contract/problem.ts'
import { ProblemError } from '../errors.ts'
import { problem, TITLES } from '../problem.ts'
import type { App } from '../router.ts'
import type { Sent } from '../sent.ts'

/** A body that is a file: bytes nobody has looked at, for a worker to read. */
export interface SentFile {
  readonly bytes: Uint8Array
  /** True where it came inside a JSON body. */
  readonly isWrapped: boolean
}

interface Input<N extends string, O> {
  readonly params: ParamsOf<N>
  readonly query: QueryOf<O>
  readonly body: O extends { readonly raw: unknown } ? SentFile : BodyOf<O>
  readonly c: Context
}
/** What a handler is given, before its types are known. */
interface Given {
  readonly params: Readonly<Record<string, string>>
  readonly query: unknown
  readonly body: unknown
  readonly c: Context
}
type Answered<O> = O extends { readonly answer: string }
  ? Response
  : AnswerOf<O> | Sent<AnswerOf<O>>
/** What answers each of some operations. */
export type Handlers<Ops extends Operations> = {
  readonly [N in keyof Ops & string]: (input: Input<N, Ops[N]>) => Promise<Answered<Ops[N]>>
}

/** Answers are held against the contract where that costs nobody time: in tests and in development. */
const isAnswerChecked =
  process.env.VITEST !== undefined || process.env.JUNKET_CHECK_ANSWERS !== undefined

/** Registers operations as the contract declares them: what is asked is parsed, then one handler answers. */
export function serve<Ops extends Operations>(
  app: App,
  subject: string,
  operations: Ops,
  handlers: Handlers<Ops>,
): App {
  for (const [name, operation] of Object.entries(operations) as [OperationName, Operation][]) {
    const { method, path } = partsOf(name)
    app.openAPIRegistry.registerPath(described(name, operation, subject))
    const handle = handlers[name as keyof Ops & string] as (given: Given) => Promise<unknown>
    app.on(method, path.replaceAll(/\{(\w+)\}/g, ':$1'), async (c) => {
      const query = operation.query?.safeParse(c.req.query())
      if (query && !query.success) return problem(validationProblem(query.error.issues, 'query'))
      const body = operation.raw ? await fileOf(c) : await bodyOf(c, operation.body)
      if (body instanceof Response) return body
      const answer = await handle({ params: c.req.param(), query: query?.data, body, c })
      if (isAnswerChecked) await check(name, operation, answer)
      return answer instanceof Response ? answer : c.json(answer)
    })
  }
  return app
}

async function bodyOf(c: Context, schema: z.ZodType | undefined): Promise<unknown> {
  if (!schema) return undefined
  const isJson = (c.req.header('content-type') ?? '').startsWith('application/json')
  const typed = isJson ? await c.req.json().catch(notJson) : {}
  const parsed = schema.safeParse(typed)
  return parsed.success ? parsed.data : problem(validationProblem(parsed.error.issues, 'json'))
}
function notJson(): never {
  throw new ProblemError(400, 'The body is not JSON. Check brackets and quotes.')
}

async function fileOf(c: Context): Promise<SentFile | Response> {
  const bytes = new Uint8Array(await c.req.arrayBuffer())
  if (bytes.length === 0)
    return problem({
      status: 422,
      title: 'Not right yet',
      detail: 'The file is empty. Choose another.',
    })
  return {
    bytes,
    isWrapped: (c.req.header('content-type') ?? '').startsWith('application/json'),
  }
}

/** @throws Error where an answer is not what the contract says: a fault of this program */
async function check(name: string, { answer: schema }: Operation, answer: unknown): Promise<void> {
  if (typeof schema === 'string') return
  const sent: unknown = JSON.parse(
    answer instanceof Response ? await answer.clone().text() : JSON.stringify(answer),
  )
  const { success, error } = schema.safeParse(sent)
  if (success) return
  const said = error.issues
    .slice(0, 5)
    .map(({ path, message, code }) => `${path.join('.')} (${code}): ${message}`)
  throw new Error(`${name} answered otherwise than the contract says: ${said.join('; ')}`)
}

const problemContent = { 'application/problem+json': { schema: problemSchema } }

/** An operation as the OpenAPI document tells it. */
function described(name: OperationName, operation: Operation, subject: string) {
  const { summary, query, body, raw = [], answer } = operation
  const { method, path } = partsOf(name)
  const names = [...path.matchAll(/\{(\w+)\}/g)].map((match) => match[1]!)
  const binary = { schema: { type: 'string', format: 'binary' } as const }
  return {
    method: method.toLowerCase() as Lowercase<typeof method>,
    path,
    operationId: operationId(name),
    summary,
    tags: [subject],
    parameters: names.map((one) => ({
      name: one,
      in: 'path' as const,
      required: true,
      schema: { type: 'string' as const },
    })),
    request: {
      ...(query ? { query } : {}),
      ...(body || raw.length > 0
        ? {
            body: {
              required: true,
              content: {
                ...(body ? { 'application/json': { schema: body } } : {}),
                ...Object.fromEntries(raw.map((type) => [type, binary])),
              },
            },
          }
        : {}),
    },
    responses: {
      200: {
        description: summary,
        content:
          typeof answer === 'string'
            ? { [answer]: binary }
            : { 'application/json': { schema: answer } },
      },
      ...Object.fromEntries(
        problemsOf(name, operation).map((status) => [
          status,
          { description: TITLES[status] ?? 'Not done', content: problemContent },
        ]),
      ),
    },
  }
}

/** `getBuildsIdParts` for `GET /builds/{id}/parts`. */
const operationId = (name: OperationName): string =>
  name
    .toLowerCase()
    .split(/[^a-z0-9]+/)
    .filter(Boolean)
    .map((word, i) => (i === 0 ? word : word.charAt(0).toUpperCase() + word.slice(1)))
    .join('')
