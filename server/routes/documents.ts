import { z } from 'zod'
import { offersInput } from '../../contract/rows.ts'
import type { Decimal } from '../../core/quantity/units.ts'
import { type App, newRouter, type Services } from '../router.ts'
import { exportBuild, importBuild } from '../services/build-document.ts'
import { fileRoute, route, type SentFile } from './route.ts'

/** File names as other systems take them: letters, figures and hyphens. */
const fileName = (name: string, ending: string): string =>
  `${
    name
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '') || 'build'
  }.${ending}`

export function documentRoutes({ store, jobs }: Services): App {
  const app = newRouter()
  const tag = 'Documents'
  const offers = {
    tag,
    json: offersInput,
    raw: ['text/csv', 'application/octet-stream'],
    query: offersInput.pick({ decimal: true }),
  } as const
  const chunksOf = ({ bytes, isWrapped, query }: SentFile<{ decimal: Decimal }>) =>
    jobs.files.read('offers', bytes, { isWrapped, decimal: query.decimal })
  fileRoute(
    app,
    {
      ...offers,
      path: '/offers/preview',
      summary: 'What importing these offers would do; every bad row by line and column',
    },
    async (file) => jobs.offers.preview(store, chunksOf(file)),
  )
  fileRoute(
    app,
    { ...offers, path: '/offers/import', summary: 'Import offers from CSV, all or nothing' },
    async (file) => jobs.offers.import(store, chunksOf(file)),
  )
  route(
    app,
    { method: 'get', path: '/builds/{id}/parts.csv', summary: 'The parts list as CSV', tag },
    async ({ params, c }) => {
      const build = await store.get('build', params.id!)
      c.header(
        'content-disposition',
        `attachment; filename="${fileName(`${build.name}-parts`, 'csv')}"`,
      )
      return c.body(await jobs.readings.file(store, 'partsCsv', params.id!), 200, {
        'content-type': 'text/csv; charset=utf-8',
      })
    },
  )
  route(
    app,
    {
      method: 'get',
      path: '/builds/{id}/export.json',
      summary: 'The build and all it refers to, as JSON',
      tag,
    },
    async ({ params, c }) => {
      const build = await store.get('build', params.id!)
      c.header(
        'content-disposition',
        `attachment; filename="${fileName(String(build.name), 'json')}"`,
      )
      return c.body(`${JSON.stringify(await exportBuild(store, params.id!), null, 1)}\n`, 200, {
        'content-type': 'application/json',
      })
    },
  )
  fileRoute(
    app,
    {
      path: '/builds/import',
      summary: 'Read a build document, all or nothing; every fault by table, id and field',
      tag,
      json: z.unknown(),
      raw: ['application/octet-stream'],
    },
    async ({ bytes }) =>
      importBuild(store, jobs.files.read('build', bytes, { isWrapped: false, decimal: 'ask' })),
  )
  return app
}
