import { existsSync } from 'node:fs'
import { serveStatic } from '@hono/node-server/serve-static'
import type { Context, MiddlewareHandler, Next } from 'hono'
import { bodyLimit } from 'hono/body-limit'
import { getCookie } from 'hono/cookie'
import { HTTPException } from 'hono/http-exception'
import { secureHeaders } from 'hono/secure-headers'
import type { Logger } from 'pino'
import { v7 as uuidv7 } from 'uuid'
import { actAs } from './database/actor.ts'
import { ProblemError } from './errors.ts'
import { type Guard, TooManyTriesError } from './guard.ts'
import { type Problem, problem } from './problem.ts'
import { RestoreGate } from './restore-gate.ts'
import { type App, newRouter, type Services } from './router.ts'
import { briefRoutes } from './routes/brief.ts'
import { buildRoutes } from './routes/builds.ts'
import { catalogueRoutes } from './routes/catalogue.ts'
import { checkRoutes } from './routes/check.ts'
import { documentRoutes } from './routes/documents.ts'
import { historyRoutes } from './routes/history.ts'
import { jobRoutes } from './routes/jobs.ts'
import { marketRoutes } from './routes/market.ts'
import { patternRoutes } from './routes/patterns.ts'
import { planRoutes } from './routes/plan.ts'
import { COOKIE, sessionRoutes } from './routes/session.ts'
import { settingRoutes } from './routes/settings.ts'

/** The application: routes, one error gate, the OpenAPI document, and the interface's files. */
export function createApp(services: Services): App {
  const app = newRouter()
  app.use(
    secureHeaders({ contentSecurityPolicy: { defaultSrc: ["'self'"], styleSrc: ["'self'", "'unsafe-inline'"], imgSrc: ["'self'", 'data:', 'blob:'], frameAncestors: ["'none'"] } }),
  )
  app.use(
    '/api/*',
    bodyLimit({
      maxSize: 40 * 1024 * 1024,
      onError: () => problem({ status: 413, title: 'Too large', detail: 'More than 40 MB was sent. Split the file and send the parts one by one.' }),
    }),
  )
  if (services.guard) app.use('/api/*', admit(services.guard))
  app.use('/api/*', ownPagesOnly)
  const gate = new RestoreGate()
  app.use('/api/*', (c, next) => gate.pass(c, next))
  app.use('/api/*', (c, next) => actAsPerson(services, c, next))
  app.get('/api/health', async (c) => {
    await services.store.revision()
    return c.json({ status: 'ready' })
  })
  for (const routes of [
    checkRoutes,
    planRoutes,
    catalogueRoutes,
    marketRoutes,
    buildRoutes,
    jobRoutes,
    documentRoutes,
    settingRoutes,
    historyRoutes,
    sessionRoutes,
    patternRoutes,
    briefRoutes,
  ])
    app.route('/api', routes(services))
  app.doc31('/api/openapi.json', {
    openapi: '3.1.0',
    info: { title: 'Junket', version: '0.1.0', description: 'Checks joints and pairings, plans needs and sourcing. A computed verdict is not an engineering approval.' },
  })
  if (services.web && existsSync(`${services.web}/index.html`)) {
    const root = services.web
    app.use('/assets/*', async (c, next) => {
      await next()
      c.header('cache-control', 'public, max-age=31536000, immutable')
    })
    app.use('/*', serveStatic({ root: '/', rewriteRequestPath: (path) => `${root}${path}` }))
    app.get('/*', (c, next) => (c.req.path.startsWith('/api/') ? next() : serveStatic({ root: '/', path: `${root}/index.html` })(c, next)))
  }
  app.notFound((c) => problem({ status: 404, title: 'Not found', detail: `There is nothing at ${c.req.method} ${c.req.path}. The routes are listed at /api/openapi.json.` }))
  app.onError((error) => {
    const answer = problem(toProblem(error, services.log))
    if (error instanceof TooManyTriesError) answer.headers.set('retry-after', String(Math.ceil(error.retryAfterS)))
    return answer
  })
  return app
}

/** Bound to this machine: only its own names are answered. Beyond: only whoever gave the passcode. */
const admit =
  (guard: Guard): MiddlewareHandler =>
  async (c, next) => {
    if (!guard.asks) {
      const host = (c.req.header('host') ?? 'localhost').replace(/:\d+$/, '')
      if (!LOOPBACK_NAMES.has(host)) return problem({ status: 403, title: 'Not here', detail: `Junket answers as localhost or 127.0.0.1 on this machine, not as ${host}.` })
    } else if (!OPEN_PATHS.has(c.req.path) && !guard.isSignedIn(getCookie(c, COOKIE)))
      return problem({ status: 401, title: 'Sign in first', detail: 'Give the passcode of this shop first.' })
    await next()
  }

const LOOPBACK_NAMES = new Set(['localhost', '127.0.0.1', '[::1]'])
const OPEN_PATHS = new Set(['/api/health', '/api/session'])

/** Writes come from Junket's own pages, or from programs that say no origin, in a form that is read here. */
const ownPagesOnly: MiddlewareHandler = async (c, next) => {
  const origin = c.req.header('origin')
  if (c.req.method !== 'GET' && origin && hostOf(origin) !== c.req.header('host'))
    return problem({ status: 403, title: 'Other origin', detail: "Writes are taken from this Junket's own pages only." })
  if (['POST', 'PUT', 'PATCH'].includes(c.req.method) && c.req.header('content-length') !== '0') {
    const type = c.req.header('content-type') ?? ''
    if (type !== '' && !/^(application\/json|text\/csv|text\/plain)/.test(type))
      return problem({ status: 415, title: 'Wrong content type', detail: `"${type}" is not read here. Send application/json, or text/csv for offers.` })
    if (type === '' && c.req.header('content-length')) return problem({ status: 415, title: 'No content type', detail: 'Send application/json.' })
  }
  await next()
}

const hostOf = (origin: string): string | null => {
  try {
    return new URL(origin).host
  } catch {
    return null
  }
}

/** Each write is one command of the person at the bench; the answer names it, so that it can be undone. */
async function actAsPerson({ store }: Services, c: Context, next: Next): Promise<void> {
  if (c.req.method === 'GET') return next()
  const id = c.req.header('x-junket-person')
  const person = id ? await store.find('person', id) : null
  const command = uuidv7()
  c.header('x-junket-command', command)
  await actAs({ who: person ? String(person.name) : store.who, command }, next)
}

/** The one gate from errors to answers. */
function toProblem(error: Error & { code?: string }, log?: Logger): Problem {
  if (error instanceof ProblemError) return { status: error.status, title: TITLES[error.status] ?? 'Not done', detail: error.message, ...error.extra }
  if (error instanceof HTTPException)
    return { status: error.status, title: TITLES[error.status] ?? 'Not done', detail: error.status === 400 ? 'The body is not JSON. Check brackets and quotes.' : error.message }
  if (error.code === 'SQLITE_CONSTRAINT_FOREIGNKEY')
    return { status: 409, title: TITLES[409]!, detail: 'Something else still uses it, or it names something that is not here. Nothing was changed.' }
  if (error.code?.startsWith('SQLITE_CONSTRAINT'))
    return { status: 409, title: TITLES[409]!, detail: `It clashes with what is here already (${error.message.split(' - ').at(-1)}). Nothing was changed.` }
  log?.error({ err: error }, 'request failed')
  return { status: 500, title: 'Something broke here', detail: 'Junket could not finish this. Nothing was half-written; try again, and note what you did if it happens twice.' }
}

const TITLES: Record<number, string> = {
  400: 'Not understood',
  401: 'Sign in first',
  404: 'Not found',
  409: 'Changed meanwhile',
  413: 'Too large',
  415: 'Wrong content type',
  422: 'Not right yet',
  429: 'Too many tries',
}
