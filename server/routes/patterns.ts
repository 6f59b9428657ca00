import type { Context } from 'hono'
import { patternOperations } from '../../contract/operations/patterns.ts'
import { ChordsError, patternFromChords } from '../../core/patterns/from-chords.ts'
import { patternFromTrace, TraceError } from '../../core/patterns/from-trace.ts'
import { UnprocessableError } from '../errors.ts'
import { type App, newRouter, type Services } from '../router.ts'
import { serve } from './serve.ts'

/** Bolt patterns in and out: from distances, from and to DXF. What is read here is kept by recording it as a claim. */
export function patternRoutes({ store, jobs }: Services): App {
  const { readings } = jobs
  return serve(newRouter(), 'Patterns', patternOperations, {
    'POST /patterns/chords': async ({ body }) => refused(() => patternFromChords(body)),
    'POST /patterns/dxf': async ({ body: { bytes, isWrapped } }) => {
      for await (const read of jobs.files.read('dxf', bytes, { isWrapped, decimal: 'ask' }))
        return read
      throw new UnprocessableError('The file holds nothing. Choose another.')
    },
    'POST /patterns/trace': async ({ body }) => refused(() => patternFromTrace(body)),
    'GET /parts/{id}/faces/{slot}/pattern.pdf': async ({ params, query, c }) =>
      pdf(
        c,
        await readings.file(store, 'facePdf', params.id, params.slot, query.paper),
        'template',
      ),
    'GET /builds/{id}/plate.pdf': async ({ params, query: { engine, transmission, paper }, c }) =>
      pdf(
        c,
        await readings.file(store, 'platePdf', params.id, engine, transmission, paper),
        'plate',
      ),
    'GET /builds/{id}/plate.dxf': async ({ params, query: { engine, transmission }, c }) =>
      dxf(c, await readings.file(store, 'plateDxf', params.id, engine, transmission), 'plate'),
    'GET /parts/{id}/pattern.dxf': async ({ params, c }) =>
      dxf(c, await readings.file(store, 'faceDxf', params.id), 'pattern'),
  })
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
