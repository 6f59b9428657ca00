import { chordsInput, dxfInput } from '../../contract/patterns.ts'
import { ChordsError, patternFromChords } from '../../core/patterns/from-chords.ts'
import { DxfError, patternFromDxf, patternToDxf } from '../documents/pattern-dxf.ts'
import { UnprocessableError } from '../errors.ts'
import { type App, newRouter, type Services } from '../router.ts'
import { facesOf } from '../services/patterns.ts'
import { route } from './route.ts'

/** Bolt patterns in and out: from distances, from and to DXF. What is read here is kept by recording it as a claim. */
export function patternRoutes({ store }: Services): App {
  const app = newRouter()
  const tag = 'Patterns'
  route(
    app,
    { method: 'post', path: '/patterns/chords', summary: 'A pattern from distances between its holes and to the axis, with the misfit of each', tag, body: chordsInput },
    async ({ body }) => refused(() => patternFromChords(body)),
  )
  route(app, { method: 'post', path: '/patterns/dxf', summary: 'Read the faces of a DXF file', tag, body: dxfInput }, async ({ body }) =>
    refused(() => ({ faces: patternFromDxf(body.dxf) })),
  )
  route(app, { method: 'get', path: '/parts/{id}/pattern.dxf', summary: 'The faces of a part as DXF, mm, train frame', tag }, async ({ params, c }) => {
    const { part, faces } = await facesOf(store, params.id!)
    if (faces.length === 0) throw new UnprocessableError(`${part.name} has no pattern yet: measure its holes first.`)
    c.header('content-disposition', 'attachment; filename="pattern.dxf"')
    return c.body(patternToDxf(faces), 200, { 'content-type': 'image/vnd.dxf' })
  })
  return app
}

function refused<T>(work: () => T): T {
  try {
    return work()
  } catch (error) {
    if (error instanceof ChordsError || error instanceof DxfError) throw new UnprocessableError(error.message)
    throw error
  }
}
