import { existsSync } from 'node:fs'
import { setImmediate } from 'node:timers/promises'
import { serveStatic } from '@hono/node-server/serve-static'
import type { Context, MiddlewareHandler, Next } from 'hono'
import { bodyLimit } from 'hono/body-limit'
import { getCookie } from 'hono/cookie'
import { HTTPException } from 'hono/http-exception'
import { secureHeaders } from 'hono/secure-headers'
import { BODY_BYTES, FILE_LIMITS, FILE_PATHS } from '../contract/files.ts'
import type { Problem } from '../contract/problem.ts'
import { TooManyTriesError } from './access/guard.ts'
import { answersAs } from './access/hosts.ts'
import { isOverTls } from './access/tls.ts'
import { actAs } from './database/actor.ts'
import { newId } from './database/new-id.ts'
import { brokenRule } from './database/sqlite/constraint.ts'
import { storageFault } from './database/sqlite/storage-fault.ts'
import { FileFault } from './documents/file-fault.ts'
import { ProblemError } from './errors.ts'
import { problem, TITLES } from './problem.ts'
import { type App, newRouter, type Services } from './router.ts'
import { briefRoutes } from './routes/brief.ts'
import { buildRoutes } from './routes/builds.ts'
import { catalogueRoutes } from './routes/catalogue.ts'
import { checkRoutes } from './routes/check.ts'
import { documentRoutes } from './routes/documents.ts'
import { factRoutes } from './routes/facts.ts'
import { historyRoutes } from './routes/history.ts'
import { jobRoutes } from './routes/jobs.ts'
import { kitRoutes } from './routes/kits.ts'
import { marketRoutes } from './routes/market.ts'
import { numberRoutes } from './routes/numbers.ts'
import { patternRoutes } from './routes/patterns.ts'
import { photoRoutes } from './routes/photos.ts'
import { planRoutes } from './routes/plan.ts'
import { COOKIE, sessionRoutes } from './routes/session.ts'
import { settingRoutes } from './routes/settings.ts'

/** The application: routes, one error gate, the OpenAPI document, and the interface's files. */
export function createApp(services: Services): App {
  const app = newRouter()
  app.use(
    secureHeaders({
      strictTransportSecurity: false,
      contentSecurityPolicy: {
        defaultSrc: ["'self'"],
        styleSrc: ["'self'", "'unsafe-inline'"],
        imgSrc: ["'self'", 'data:', 'blob:'],
        frameAncestors: ["'none'"],
      },
    }),
  )
  app.use(async (c, next) => {
    await next()
    // Said over plain http it would be ignored, or worse: believed of a machine that has no certificate.
    if (isOverTls(c)) c.header('strict-transport-security', 'max-age=15552000')
  })
  app.use(onlyErrors)
  app.use('/api/*', inTurn())
  app.use('/api/*', receive)
  app.use('/api/*', admit(services))
  app.use('/api/*', ownPagesOnly)
  const { gate } = services.jobs
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
    numberRoutes,
    marketRoutes,
    kitRoutes,
    buildRoutes,
    jobRoutes,
    documentRoutes,
    settingRoutes,
    historyRoutes,
    sessionRoutes,
    patternRoutes,
    photoRoutes,
    briefRoutes,
    factRoutes,
  ])
    app.route('/api', routes(services))
  let document: Promise<string> | undefined
  app.get('/api/openapi.json', async (c) => {
    document ??= openApi(app)
    return c.body(await document, 200, { 'content-type': 'application/json' })
  })
  if (services.web && existsSync(`${services.web}/index.html`)) {
    const root = services.web
    app.use('/assets/*', async (c, next) => {
      await next()
      if (c.res.ok) c.header('cache-control', 'public, max-age=31536000, immutable')
    })
    app.use('/*', serveStatic({ root: '/', rewriteRequestPath: (path) => `${root}${path}` }))
    const page = serveStatic({ root: '/', path: `${root}/index.html` })
    // A page of the interface has no ending; a file that is not there is not there.
    app.get('/*', (c, next) =>
      /^\/(api|assets)\/|\/[^/]*\.\w+$/.test(c.req.path) ? next() : page(c, next),
    )
  }
  app.notFound((c) =>
    problem({
      status: 404,
      title: 'Not found',
      detail: `There is nothing at ${c.req.method} ${c.req.path}. The routes are listed at /api/openapi.json.`,
    }),
  )
  app.onError((error) => {
    const answer = problem(toProblem(error, services))
    if (error instanceof TooManyTriesError)
      answer.headers.set('retry-after', String(Math.ceil(error.retryAfterS)))
    return answer
  })
  return app
}

/** The OpenAPI document, made when it is first asked for. */
async function openApi(app: App): Promise<string> {
  const { withExamples } = await import('./examples/with-examples.ts')
  const document = app.getOpenAPI31Document({
    openapi: '3.1.0',
    info: {
      title: 'Junket',
      version: '0.1.0',
      description:
        'Checks joints and pairings, plans needs and sourcing. A computed verdict is not an engineering approval.',
    },
  })
  return JSON.stringify(withExamples(document, '/api'))
}

/** One request begins in each turn of the event loop: however many come at once, timers and streams are kept waiting by one only. */
function inTurn(): MiddlewareHandler {
  let last: Promise<unknown> = Promise.resolve()
  return async (_, next) => {
    const turn = last.then(() => setImmediate())
    last = turn
    await turn
    await next()
  }
}

/** What comes from another thread may be no Error here, and would pass by the gate that answers them. */
const onlyErrors: MiddlewareHandler = async (_, next) => {
  try {
    await next()
  } catch (thrown) {
    if (thrown instanceof Error) throw thrown
    const { message = String(thrown), code } = (thrown ?? {}) as { message?: string; code?: string }
    throw Object.assign(new Error(message), { code })
  }
}

const tooLarge = (bytes: number) => () =>
  problem({
    status: 413,
    title: 'Too large',
    detail: `More than ${Math.round(bytes / 1024 / 1024)} MB was sent. Split the file and send the parts one by one.`,
  })
const fileBody = bodyLimit({ maxSize: FILE_LIMITS.bytes, onError: tooLarge(FILE_LIMITS.bytes) })
const plainBody = bodyLimit({ maxSize: BODY_BYTES, onError: tooLarge(BODY_BYTES) })
const FILES = new Set<string>(FILE_PATHS.map((path) => `/api${path}`))

/** Takes the whole body in before anything waits on it: a restore, or a turn, never waits on an upload that does not end. */
const receive: MiddlewareHandler = (c, next) =>
  (FILES.has(c.req.path) ? fileBody : plainBody)(c, async () => {
    if (!['GET', 'HEAD', 'DELETE'].includes(c.req.method)) await c.req.arrayBuffer()
    await next()
  })

/** Who is answered: its own names only, and beyond this machine only who gave the passcode. */
const admit =
  ({ guard, names = [] }: Services): MiddlewareHandler =>
  async (c, next) => {
    if (!guard) return next()
    if (!answersAs(c.req.header('host'), guard.asks, names)) {
      const host = c.req.header('host')
      return problem({
        status: 403,
        title: 'Not here',
        detail: guard.asks
          ? `Junket does not answer as ${host}. Use this machine's address or name, or start it with JUNKET_NAMES=${host?.replace(/:\d+$/, '')}.`
          : `Junket answers as localhost or 127.0.0.1 on this machine, not as ${host}.`,
      })
    }
    if (guard.asks && !OPEN_PATHS.has(c.req.path) && !guard.isSignedIn(getCookie(c, COOKIE)))
      return problem({
        status: 401,
        title: 'Sign in first',
        detail: 'Give the passcode of this shop first.',
      })
    await next()
  }

const OPEN_PATHS = new Set(['/api/health', '/api/session'])

/** Writes come from Junket's own pages, or from programs that say no origin, in a form that is read here. */
const ownPagesOnly: MiddlewareHandler = async (c, next) => {
  const origin = c.req.header('origin')
  if (c.req.method !== 'GET' && origin && hostOf(origin) !== c.req.header('host'))
    return problem({
      status: 403,
      title: 'Other origin',
      detail: "Writes are taken from this Junket's own pages only.",
    })
  if (['POST', 'PUT', 'PATCH'].includes(c.req.method) && c.req.header('content-length') !== '0') {
    const type = c.req.header('content-type') ?? ''
    const isFile = FILES.has(c.req.path)
    if (type !== '' && !(isFile ? READ_FILES : READ_BODIES).test(type))
      return problem({
        status: 415,
        title: 'Wrong content type',
        detail: `"${type}" is not read here. Send application/json${isFile ? ', or the file as it is as text/csv, image/vnd.dxf, image/jpeg or application/octet-stream' : ''}.`,
      })
    if (type === '' && c.req.header('content-length'))
      return problem({ status: 415, title: 'No content type', detail: 'Send application/json.' })
  }
  await next()
}

const READ_BODIES = /^(application\/json|text\/plain)\b/
const READ_FILES =
  /^(application\/json|text\/csv|text\/plain|image\/vnd\.dxf|application\/dxf|application\/zip|application\/octet-stream|image\/(jpeg|png|webp))\b/

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
  const command = newId()
  c.header('x-junket-command', command)
  await actAs({ who: person ? String(person.name) : store.who, command }, next)
}

/** The one gate from errors to answers. */
function toProblem(
  error: Error & { code?: string },
  { log, folder = 'the data folder' }: Services,
): Problem {
  if (error instanceof ProblemError)
    return {
      status: error.status,
      title: TITLES[error.status] ?? 'Not done',
      detail: error.message,
      ...error.extra,
    }
  if (error instanceof FileFault)
    return {
      status: error.status,
      title: TITLES[error.status]!,
      detail: error.message,
      ...(error.faults.length > 0 ? { errors: error.faults } : {}),
    }
  if (error instanceof HTTPException)
    return {
      status: error.status,
      title: TITLES[error.status] ?? 'Not done',
      detail:
        error.status === 400 ? 'The body is not JSON. Check brackets and quotes.' : error.message,
    }
  const broken = brokenRule(error)
  if (broken)
    return {
      status: 409,
      title: TITLES[409]!,
      detail: `${broken.message} Nothing was changed.`,
      ...(broken.field ? { errors: [{ path: broken.field, message: broken.message }] } : {}),
    }
  const storage = storageFault(error, folder)
  if (storage) {
    log?.error({ err: error }, 'the disk refused a write')
    return { status: 507, title: TITLES[507]!, detail: storage }
  }
  log?.error({ err: error }, 'request failed')
  return {
    status: 500,
    title: 'Something broke here',
    detail:
      'Junket could not finish this. Nothing was half-written; try again, and note what you did if it happens twice.',
  }
}
