import type { Context } from 'hono'
import type { z } from 'zod'
import { mappingOf } from '../../contract/offer-list.ts'
import { documentOperations } from '../../contract/operations/documents.ts'
import type { offersInput } from '../../contract/rows.ts'
import { isZip } from '../documents/photo-zip.ts'
import { type App, newRouter, type Services } from '../router.ts'
import { exportBuild, importBuild } from '../services/build-document.ts'
import { unzipBuild, zipBuild } from '../services/build-zip.ts'
import { shopDay } from '../services/day.ts'
import type { OfferTerms } from '../services/offer-reading.ts'
import { keptPhotos } from '../services/photo-files.ts'
import { type SentFile, serve } from './serve.ts'

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
  const termsOf = async (whole: 'true' | undefined): Promise<OfferTerms> => ({
    day: await shopDay(store),
    isWhole: whole === 'true',
    leavesBadOut: false,
  })
  return serve(newRouter(), 'Documents', documentOperations, {
    'POST /offers/preview': async ({ body, query }) =>
      jobs.offers.preview(store, offersOf(body, query), await termsOf(query.whole)),
    'POST /offers/import': async ({ body, query }) =>
      jobs.offers.import(store, offersOf(body, query), await termsOf(query.whole)),
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
