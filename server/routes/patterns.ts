import type { Context } from 'hono'
import { chordsInput, dxfInput, paperQuery, plateQuery, traceInput } from '../../contract/patterns.ts'
import { ChordsError, patternFromChords } from '../../core/patterns/from-chords.ts'
import { patternFromTrace, TraceError } from '../../core/patterns/from-trace.ts'
import { patternToDxf } from '../documents/pattern-dxf.ts'
import { patternToPdf } from '../documents/pattern-pdf.ts'
import { UnprocessableError } from '../errors.ts'
import { type App, newRouter, type Services } from '../router.ts'
import { facesOf } from '../services/patterns.ts'
import { plateFaces } from '../services/plate.ts'
import { fileRoute, route } from './route.ts'

/** Bolt patterns in and out: from distances, from and to DXF. What is read here is kept by recording it as a claim. */
export function patternRoutes({ store, jobs }: Services): App {
  const app = newRouter()
  const tag = 'Patterns'
  route(
    app,
    { method: 'post', path: '/patterns/chords', summary: 'A pattern from distances between its holes and to the axis, with the misfit of each', tag, body: chordsInput },
    async ({ body }) => refused(() => patternFromChords(body)),
  )
  fileRoute(
    app,
    { path: '/patterns/dxf', summary: 'Read the faces of a DXF file', tag, json: dxfInput, raw: ['image/vnd.dxf', 'application/octet-stream'] },
    async ({ bytes, isWrapped }) => {
      for await (const read of jobs.files.read('dxf', bytes, { isWrapped, decimal: 'ask' })) return read
    },
  )
  route(
    app,
    { method: 'post', path: '/patterns/trace', summary: 'A pattern from points marked on a picture, with its scale, skew and misfits', tag, body: traceInput },
    async ({ body }) => refused(() => patternFromTrace(body)),
  )
  route(
    app,
    { method: 'get', path: '/parts/{id}/faces/{slot}/pattern.pdf', summary: 'A face as a 1:1 template to print and lay on it', tag, query: paperQuery },
    async ({ params, query, c }) => {
      const { part, faces } = await facesOf(store, params.id!)
      const face = faces.find((one) => one.name === params.slot)
      if (!face) throw new UnprocessableError(`${part.name} has no pattern of its ${params.slot} face yet: measure its holes first.`)
      return pdf(c, await patternToPdf({ title: `${part.name}, ${face.name} face`, faces: [face], isMirrored: face.looks === 'forward', paper: query.paper }), 'template')
    },
  )
  route(
    app,
    { method: 'get', path: '/builds/{id}/plate.pdf', summary: 'Both patterns of a plate at 1:1, seen from the gearbox', tag, query: plateQuery },
    async ({ params, query, c }) =>
      pdf(c, await patternToPdf({ ...(await plateFaces(store, params.id!, query.engine, query.transmission)), isMirrored: false, paper: query.paper }), 'plate'),
  )
  route(
    app,
    { method: 'get', path: '/builds/{id}/plate.dxf', summary: 'Both patterns of a plate with dowels, registers and outlines on named layers', tag, query: plateQuery },
    async ({ params, query, c }) => {
      const { faces } = await plateFaces(store, params.id!, query.engine, query.transmission)
      c.header('content-disposition', 'attachment; filename="plate.dxf"')
      return c.body(patternToDxf(faces), 200, { 'content-type': 'image/vnd.dxf' })
    },
  )
  route(app, { method: 'get', path: '/parts/{id}/pattern.dxf', summary: 'The faces of a part as DXF, mm, train frame', tag }, async ({ params, c }) => {
    const { part, faces } = await facesOf(store, params.id!)
    if (faces.length === 0) throw new UnprocessableError(`${part.name} has no pattern yet: measure its holes first.`)
    c.header('content-disposition', 'attachment; filename="pattern.dxf"')
    return c.body(patternToDxf(faces), 200, { 'content-type': 'image/vnd.dxf' })
  })
  return app
}

function pdf(c: Context, bytes: Buffer, name: string): Response {
  c.header('content-disposition', `inline; filename="${name}.pdf"`)
  return c.body(new Uint8Array(bytes), 200, { 'content-type': 'application/pdf' })
}

function refused<T>(work: () => T): T {
  try {
    return work()
  } catch (error) {
    if (error instanceof ChordsError || error instanceof TraceError) throw new UnprocessableError(error.message)
    throw error
  }
}
