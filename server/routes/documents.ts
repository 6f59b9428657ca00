import { z } from 'zod'
import { partsCsv } from '../documents/parts-csv.ts'
import { type App, newRouter, type Services } from '../router.ts'
import { exportBuild, importBuild } from '../services/build-document.ts'
import { importOffers, previewOffers } from '../services/offers.ts'
import { partsList } from '../services/planning.ts'
import { route } from './route.ts'

/** File names as other systems take them: letters, figures and hyphens. */
const fileName = (name: string, ending: string): string =>
  `${
    name
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '') || 'build'
  }.${ending}`

export function documentRoutes({ store }: Services): App {
  const app = newRouter()
  const tag = 'Documents'
  const csv = z.strictObject({
    csv: z.string().min(1, 'The file is empty.'),
    /** What a comma in a price means in this file. */
    decimal: z.enum(['point', 'comma', 'ask']).default('ask'),
  })
  route(app, { method: 'post', path: '/offers/preview', summary: 'What importing these offers would do; every bad row by line and column', tag, body: csv }, async ({ body }) =>
    previewOffers(store, body.csv, body.decimal),
  )
  route(app, { method: 'post', path: '/offers/import', summary: 'Import offers from CSV, all or nothing', tag, body: csv }, async ({ body }) =>
    importOffers(store, body.csv, body.decimal),
  )
  route(app, { method: 'get', path: '/builds/{id}/parts.csv', summary: 'The parts list as CSV', tag }, async ({ params, c }) => {
    const build = await store.get('build', params.id!)
    c.header('content-disposition', `attachment; filename="${fileName(`${build.name}-parts`, 'csv')}"`)
    return c.body(partsCsv(await partsList(store, params.id!)), 200, { 'content-type': 'text/csv; charset=utf-8' })
  })
  route(app, { method: 'get', path: '/builds/{id}/export.json', summary: 'The build and all it refers to, as JSON', tag }, async ({ params, c }) => {
    const build = await store.get('build', params.id!)
    c.header('content-disposition', `attachment; filename="${fileName(String(build.name), 'json')}"`)
    return c.body(`${JSON.stringify(await exportBuild(store, params.id!), null, 1)}\n`, 200, { 'content-type': 'application/json' })
  })
  route(app, { method: 'post', path: '/builds/import', summary: 'Read a build document, all or nothing', tag, body: z.unknown() }, async ({ body }) => importBuild(store, body))
  return app
}
