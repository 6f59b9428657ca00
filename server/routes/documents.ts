import { Readable } from 'node:stream'
import type { Context } from 'hono'
import type { z } from 'zod'
import { listMappingOf, type listQuery } from '../../contract/lists.ts'
import { mappingOf } from '../../contract/offer-list.ts'
import { documentOperations } from '../../contract/operations/documents.ts'
import type { offersInput } from '../../contract/rows.ts'
import { LIST_SAMPLES } from '../../core/tables/samples.ts'
import { listCsv, listXlsx } from '../documents/list-files.ts'
import { isZip } from '../documents/photo-zip.ts'
import { type App, newRouter, type Services } from '../router.ts'
import { exportBuild, importBuild } from '../services/builds/build-document.ts'
import { unzipBuild, zipBuild } from '../services/builds/build-zip.ts'
import { partsJson } from '../services/catalogue/parts-json.ts'
import { keptPhotos } from '../services/catalogue/photo-files.ts'
import { writtenRows } from '../services/importing/lists/written.ts'
import { shopDay } from '../services/shop/day.ts'
import { type SentFile, serve } from './serve.ts'

const CSV = { 'content-type': 'text/csv; charset=utf-8' }
const XLSX = {
  'content-type': 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
}

/** File names as other systems take them: letters, figures and hyphens. */
function fileName(name: string, ending: string): string {
  const plain = name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
  return `${plain || 'build'}.${ending}`
}
const attached = (c: Context, name: string): void =>
  c.header('content-disposition', `attachment; filename="${name}"`)

export function documentRoutes({ store, jobs, photos }: Services): App {
  const offersOf = (
    { bytes, isWrapped }: SentFile,
    { decimal, ...mapping }: Pick<z.output<typeof offersInput>, 'decimal' | 'columns' | 'instead'>,
  ) => jobs.files.read('offers', bytes, { isWrapped, decimal, mapping: mappingOf(mapping) })
  const offersWanted = async (whole: 'true' | undefined) => ({
    kind: 'offers' as const,
    terms: { day: await shopDay(store), isWhole: whole === 'true', leavesBadOut: false },
  })
  const listOf = ({ bytes }: SentFile, { kind, ...mapping }: z.output<typeof listQuery>) =>
    jobs.files.read('list', bytes, {
      isWrapped: false,
      decimal: 'ask',
      list: { kind, mapping: listMappingOf(mapping) },
    })
  const listWanted = async ({ kind, dates, decimal }: z.output<typeof listQuery>) => ({
    kind,
    terms: { day: await shopDay(store), dates, decimal },
  })
  return serve(newRouter(), 'Documents', documentOperations, {
    'POST /offers/preview': async ({ body, query }) =>
      jobs.imports.preview(store, offersOf(body, query), await offersWanted(query.whole)),
    'POST /offers/import': async ({ body, query }) =>
      jobs.imports.import(store, offersOf(body, query), await offersWanted(query.whole)),
    'POST /lists/preview': async ({ body, query }) =>
      jobs.imports.preview(store, listOf(body, query), await listWanted(query)),
    'POST /lists/import': async ({ body, query }) =>
      jobs.imports.import(store, listOf(body, query), await listWanted(query)),
    'GET /lists/all.csv': async ({ query: { list, ...asked }, c }) => {
      attached(c, fileName(list, 'csv'))
      return c.body(listCsv(list, writtenRows(store, list, asked)), 200, CSV)
    },
    'GET /lists/all.xlsx': async ({ query: { list, ...asked }, c }) => {
      attached(c, fileName(list, 'xlsx'))
      return c.body(listXlsx(list, writtenRows(store, list, asked)), 200, XLSX)
    },
    'GET /lists/sample.csv': async ({ query: { list }, c }) => {
      attached(c, fileName(`sample-${list}`, 'csv'))
      return c.body(listCsv(list, Readable.from(LIST_SAMPLES[list])), 200, CSV)
    },
    'GET /parts.json': async ({ query, c }) => {
      attached(c, 'parts.json')
      return c.body(partsJson(store, query), 200, { 'content-type': 'application/json' })
    },
    'GET /builds/{id}/parts.csv': async ({ params, c }) => {
      const { name } = await store.get('build', params.id)
      attached(c, fileName(`${name}-parts`, 'csv'))
      return c.body(await jobs.readings.file(store, 'partsCsv', params.id), 200, {
        'content-type': 'text/csv; charset=utf-8',
      })
    },
    'GET /builds/{id}/summary.html': async ({ params, c }) => {
      const { name } = await store.get('build', params.id)
      attached(c, fileName(`${name}-for-the-owner`, 'html'))
      return c.body(await jobs.readings.file(store, 'summaryHtml', params.id), 200, {
        'content-type': 'text/html; charset=utf-8',
      })
    },
    'GET /builds/{id}/summary.pdf': async ({ params, c }) => {
      const { name } = await store.get('build', params.id)
      attached(c, fileName(`${name}-for-the-owner`, 'pdf'))
      return c.body(await jobs.readings.file(store, 'summaryPdf', params.id), 200, {
        'content-type': 'application/pdf',
      })
    },
    'GET /builds/{id}/export.json': async ({ params, c }) => {
      const { name } = await store.get('build', params.id)
      attached(c, fileName(name, 'json'))
      const document = JSON.stringify(await exportBuild(store, params.id), null, 1)
      return c.body(`${document}\n`, 200, { 'content-type': 'application/json' })
    },
    'GET /builds/{id}/export.zip': async ({ params, c }) => {
      const { name } = await store.get('build', params.id)
      attached(c, fileName(name, 'zip'))
      return c.body(await zipBuild(store, keptPhotos(photos), params.id), 200, {
        'content-type': 'application/zip',
      })
    },
    'POST /builds/import': async ({ body: { bytes } }) => {
      const document = isZip(bytes) ? await unzipBuild(keptPhotos(photos), bytes) : bytes
      return importBuild(
        store,
        jobs.files.read('build', document, { isWrapped: false, decimal: 'ask' }),
      )
    },
  })
}
