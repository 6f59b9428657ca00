import type { Context } from 'hono'
import {
  chordsInput,
  dxfInput,
  paperQuery,
  plateQuery,
  traceInput,
} from '../../contract/patterns.ts'
import { ChordsError, patternFromChords } from '../../core/patterns/from-chords.ts'
import { patternFromTrace, TraceError } from '../../core/patterns/from-trace.ts'
import { UnprocessableError } from '../errors.ts'
import { type App, newRouter, type Services } from '../router.ts'
import { fileRoute, route } from './route.ts'

/** Bolt patterns in and out: from distances, from and to DXF. What is read here is kept by recording it as a claim. */
export function patternRoutes({ store, jobs }: Services): App {
  const { readings } = jobs
  const app = newRouter()
  const tag = 'Patterns'
  route(
    app,
    {
      method: 'post',
      path: '/patterns/chords',
      summary:
        'A pattern from distances between its holes and to the axis, with the misfit of each',
      tag,
      body: chordsInput,
    },
    async ({ body }) => refused(() => patternFromChords(body)),
  )
  fileRoute(
    app,
    {
      path: '/patterns/dxf',
      summary: 'Read the faces of a DXF file',
      tag,
      json: dxfInput,
      raw: ['image/vnd.dxf', 'application/octet-stream'],
    },
    async ({ bytes, isWrapped }) => {
      for await (const read of jobs.files.read('dxf', bytes, { isWrapped, decimal: 'ask' }))
        return read
    },
  )
  route(
    app,
    {
      method: 'post',
      path: '/patterns/trace',
      summary: 'A pattern from points marked on a picture, with its scale, skew and misfits',
      tag,
      body: traceInput,
    },
    async ({ body }) => refused(() => patternFromTrace(body)),
  )
  route(
    app,
    {
      method: 'get',
      path: '/parts/{id}/faces/{slot}/pattern.pdf',
      summary: 'A face as a 1:1 template to print and lay on it',
      tag,
      query: paperQuery,
    },
    async ({ params, query, c }) =>
      pdf(
        c,
        await readings.file(store, 'facePdf', params.id!, params.slot!, query.paper),
        'template',
      ),
  )
  route(
    app,
    {
      method: 'get',
      path: '/builds/{id}/plate.pdf',
      summary: 'Both patterns of a plate at 1:1, seen from the gearbox',
      tag,
      query: plateQuery,
    },
    async ({ params, query, c }) =>
      pdf(
        c,
        await readings.file(
          store,
          'platePdf',
          params.id!,
          query.engine,
          query.transmission,
          query.paper,
        ),
        'plate',
      ),
  )
  route(
    app,
    {
      method: 'get',
      path: '/builds/{id}/plate.dxf',
      summary: 'Both patterns of a plate with dowels, registers and outlines on named layers',
      tag,
      query: plateQuery,
    },
    async ({ params, query, c }) =>
      dxf(
        c,
        await readings.file(store, 'plateDxf', params.id!, query.engine, query.transmission),
        'plate',
      ),
  )
  route(
    app,
    {
      method: 'get',
      path: '/parts/{id}/pattern.dxf',
      summary: 'The faces of a part as DXF, mm, train frame',
      tag,
    },
    async ({ params, c }) => dxf(c, await readings.file(store, 'faceDxf', params.id!), 'pattern'),
  )
  return app
}

function pdf(c: Context, made: Uint8Array<ArrayBuffer>, name: string): Response {
  c.header('content-disposition', `inline; filename="${name}.pdf"`)
  return c.body(made, 200, { 'content-type': 'application/pdf' })
}

function dxf(c: Context, made: Uint8Array<ArrayBuffer>, name: string): Response {
  c.header('content-disposition', `attachment; filename="${name}.dxf"`)
  return c.body(made, 200, { 'content-type': 'image/vnd.dxf' })
}

function refused<T>(work: () => T): T {
  try {
    return work()
  } catch (error) {
    if (error instanceof ChordsError || error instanceof TraceError)
      throw new UnprocessableError(error.message)
    throw error
  }
}
