import { createRoute, z } from '@hono/zod-openapi'
import type { Context } from 'hono'
import type { FILE_PATHS } from '../../contract/files.ts'
import { problemSchema } from '../../contract/problem.ts'
import { problem, validationProblem } from '../problem.ts'
import type { App } from '../router.ts'

interface Described<B extends z.ZodType, Q extends z.ZodType> {
  readonly method: 'get' | 'post' | 'put' | 'patch' | 'delete'
  readonly path: string
  readonly summary: string
  readonly tag: string
  readonly body?: B
  readonly query?: Q
  readonly answer?: z.ZodType
}

const problemContent = { 'application/problem+json': { schema: problemSchema } }

interface DescribedFile<Q extends z.ZodType>
  extends Omit<Described<z.ZodNever, Q>, 'body' | 'method'> {
  readonly path: (typeof FILE_PATHS)[number]
  /** The file inside a JSON body, or the JSON that the file is. */
  readonly json: z.ZodType
  /** Content types it may come as, as it is. */
  readonly raw: readonly string[]
}

/** What a file route hands on: bytes nobody has looked at, for a worker to read. */
export interface SentFile<Q> {
  readonly bytes: Uint8Array
  /** True where it came inside a JSON body. */
  readonly isWrapped: boolean
  readonly query: Q
  readonly c: Context
}

/** Registers a route that takes a file: documented like any other, its body parsed by whoever reads files. */
export function fileRoute<Q extends z.ZodType = z.ZodNever>(
  app: App,
  described: DescribedFile<Q>,
  handle: (file: SentFile<z.infer<Q>>) => Promise<unknown>,
): void {
  const { path, summary, tag, query, json, raw, answer } = described
  const binary = { schema: { type: 'string', format: 'binary' } as const }
  app.openAPIRegistry.registerPath({
    method: 'post',
    path,
    summary,
    tags: [tag],
    request: {
      ...(query ? { query: query as never } : {}),
      body: {
        required: true,
        content: {
          'application/json': { schema: json },
          ...Object.fromEntries(raw.map((type) => [type, binary])),
        },
      },
    },
    responses: {
      200: {
        description: summary,
        content: { 'application/json': { schema: answer ?? z.unknown() } },
      },
      400: { description: 'Malformed', content: problemContent },
      413: { description: 'Too large', content: problemContent },
      422: {
        description:
          'Cannot be read, or takes too long or too much memory; each fault by where it is',
        content: problemContent,
      },
      429: { description: 'Other files are being read', content: problemContent },
    },
  })
  app.post(path, async (c) => {
    const asked = query?.safeParse(c.req.query())
    if (asked && !asked.success) return problem(validationProblem(asked.error.issues, 'query'))
    const bytes = new Uint8Array(await c.req.arrayBuffer())
    if (bytes.length === 0)
      return problem({
        status: 422,
        title: 'Not right yet',
        detail: 'The file is empty. Choose another.',
      })
    const done = await handle({
      bytes,
      isWrapped: (c.req.header('content-type') ?? '').startsWith('application/json'),
      query: asked?.data as z.infer<Q>,
      c,
    })
    return c.json(done as object)
  })
}

/** Registers one route with its contract: parse, call one service, answer. */
export function route<B extends z.ZodType = z.ZodNever, Q extends z.ZodType = z.ZodNever>(
  app: App,
  described: Described<B, Q>,
  handle: (input: {
    body: z.infer<B>
    query: z.infer<Q>
    params: Record<string, string>
    c: Context
  }) => Promise<unknown>,
): void {
  const names = [...described.path.matchAll(/\{(\w+)\}/g)].map((match) => match[1]!)
  const definition = createRoute({
    method: described.method,
    path: described.path,
    summary: described.summary,
    tags: [described.tag],
    request: {
      ...(names.length > 0
        ? { params: z.object(Object.fromEntries(names.map((name) => [name, z.string()]))) }
        : {}),
      ...(described.query ? { query: described.query as never } : {}),
      ...(described.body
        ? { body: { required: true, content: { 'application/json': { schema: described.body } } } }
        : {}),
    },
    responses: {
      200: {
        description: described.summary,
        content: { 'application/json': { schema: described.answer ?? z.unknown() } },
      },
      400: { description: 'Malformed', content: problemContent },
      404: { description: 'Not found', content: problemContent },
      409: { description: 'Changed meanwhile, or still in use', content: problemContent },
      422: {
        description: 'Well-formed but not right, with the path of each fault',
        content: problemContent,
      },
    },
  })
  app.openapi(
    definition as never,
    (async (c: Context) => {
      const valid = (part: string): never =>
        (c.req as unknown as { valid: (part: string) => never }).valid(part)
      const answer = await handle({
        body: described.body ? valid('json') : (undefined as never),
        query: described.query ? valid('query') : (undefined as never),
        params: c.req.param() as Record<string, string>,
        c,
      })
      return answer instanceof Response ? answer : c.json(answer as object)
    }) as never,
  )
}
