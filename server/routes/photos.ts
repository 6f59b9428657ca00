import type { Context } from 'hono'
import { photoOperations } from '../../contract/operations/photos.ts'
import { type App, newRouter, type Services } from '../router.ts'
import { keptPhotos } from '../services/catalogue/photo-files.ts'
import { addPhoto, listPhotos } from '../services/catalogue/photos.ts'
import { toTrash } from './plain-answers.ts'
import { serve } from './serve.ts'

/** A picture never changes under its id. */
const FOREVER = 'private, max-age=31536000, immutable'

export function photoRoutes({ store, photos }: Services): App {
  const kept = () => keptPhotos(photos)
  const send = async (c: Context, id: string, ending: 'jpg' | 'webp'): Promise<Response> => {
    const { hash } = await store.get('photo', id)
    return c.body(new Uint8Array(await kept().files.read(hash, ending)), 200, {
      'content-type': ending === 'jpg' ? 'image/jpeg' : 'image/webp',
      'cache-control': FOREVER,
    })
  }
  return serve(newRouter(), 'Photos', photoOperations, {
    'GET /photos': async ({ query }) => ({ items: await listPhotos(store, query) }),
    'POST /photos': async ({ query, body }) => addPhoto(store, kept(), query, body.bytes),
    'PATCH /photos/{id}': async ({ params, body: { version, ...patch } }) =>
      store.transaction((tx) => tx.update('photo', params.id, version, patch)),
    'DELETE /photos/{id}': async ({ params }) => toTrash(store, 'photo', params.id),
    'GET /photos/{id}/image': async ({ params, c }) => send(c, params.id, 'jpg'),
    'GET /photos/{id}/thumb': async ({ params, c }) => send(c, params.id, 'webp'),
  })
}
