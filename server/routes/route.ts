import { createRoute, z } from '@hono/zod-openapi'
import type { Context } from 'hono'
import { problemSchema } from '../../contract/problem.ts'
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

/** Registers one route with its contract: parse, call one service, answer. */
export function route<B extends z.ZodType = z.ZodNever, Q extends z.ZodType = z.ZodNever>(
  app: App,
  described: Described<B, Q>,
  handle: (input: { body: z.infer<B>; query: z.infer<Q>; params: Record<string, string>; c: Context }) => Promise<unknown>,
): void {
  const names = [...described.path.matchAll(/\{(\w+)\}/g)].map((match) => match[1]!)
  const definition = createRoute({
    method: described.method,
    path: described.path,
    summary: described.summary,
    tags: [described.tag],
    request: {
      ...(names.length > 0 ? { params: z.object(Object.fromEntries(names.map((name) => [name, z.string()]))) } : {}),
      ...(described.query ? { query: described.query as never } : {}),
      ...(described.body ? { body: { required: true, content: { 'application/json': { schema: described.body } } } } : {}),
    },
    responses: {
      200: { description: described.summary, content: { 'application/json': { schema: described.answer ?? z.unknown() } } },
      400: { description: 'Malformed', content: problemContent },
      404: { description: 'Not found', content: problemContent },
      409: { description: 'Changed meanwhile, or still in use', content: problemContent },
      422: { description: 'Well-formed but not right, with the path of each fault', content: problemContent },
    },
  })
  app.openapi(
    definition as never,
    (async (c: Context) => {
      const valid = (part: string): never => (c.req as unknown as { valid: (part: string) => never }).valid(part)
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
