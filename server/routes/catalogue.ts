import { z } from 'zod'
import {
  claimInput,
  donorInput,
  donorPatch,
  kitInput,
  kitPatch,
  numberInput,
  partInput,
  partPatch,
  supersessionInput,
} from '../../contract/rows.ts'
import { type App, newRouter, type Services } from '../router.ts'
import { createBundle, getBundle, listBundles, updateBundle } from '../services/bundles.ts'
import {
  addClaim,
  addNumber,
  addSupersession,
  compareInside,
  createPart,
  listParts,
  partDetail,
} from '../services/parts.ts'
import { route } from './route.ts'

const pageQuery = z.object({
  kind: z.string().optional(),
  q: z.string().max(100).optional(),
  owner: z.string().optional(),
  after: z.string().optional(),
  limit: z.coerce.number().int().min(1).max(1000).optional(),
})

export function catalogueRoutes({ store }: Services): App {
  const app = newRouter()
  const tag = 'Catalogue'
  route(
    app,
    { method: 'get', path: '/parts', summary: 'Parts, a page at a time', tag, query: pageQuery },
    async ({ query }) => listParts(store, query),
  )
  route(
    app,
    {
      method: 'post',
      path: '/parts',
      summary: 'Add a part with what was measured',
      tag,
      body: partInput,
    },
    async ({ body }) => createPart(store, body),
  )
  route(
    app,
    {
      method: 'get',
      path: '/parts/{id}',
      summary: 'A part with its ports, claims and numbers',
      tag,
      query: z.object({ build: z.string().optional() }),
    },
    async ({ params, query }) => partDetail(store, params.id!, query.build),
  )
  route(
    app,
    {
      method: 'get',
      path: '/parts/{id}/same-inside/{other}',
      summary:
        'Whether two transmissions are the same inside, proved by measurements, and what remains unproved',
      tag,
    },
    async ({ params }) => compareInside(store, params.id!, params.other!),
  )
  route(
    app,
    { method: 'patch', path: '/parts/{id}', summary: 'Change a part', tag, body: partPatch },
    async ({ params, body: { version, ...patch } }) =>
      store.transaction((tx) => tx.update('part', params.id!, version, patch)),
  )
  route(
    app,
    { method: 'delete', path: '/parts/{id}', summary: 'Move a part to the trash', tag },
    async ({ params }) => ({
      trash: await store.transaction((tx) => tx.remove('part', params.id!)),
    }),
  )
  route(
    app,
    {
      method: 'post',
      path: '/parts/{id}/numbers',
      summary: 'Add a part number',
      tag,
      body: numberInput,
    },
    async ({ params, body }) =>
      store.transaction((tx) => addNumber(tx, params.id!, body.issuer, body.number)),
  )
  route(
    app,
    {
      method: 'post',
      path: '/parts/{id}/supersessions',
      summary: 'Type a supersession',
      tag,
      body: supersessionInput,
    },
    async ({ params, body }) => store.transaction((tx) => addSupersession(tx, params.id!, body)),
  )
  route(
    app,
    { method: 'post', path: '/claims', summary: 'Record a measurement', tag, body: claimInput },
    async ({ body }) => addClaim(store, body),
  )
  for (const { kind, input, patch } of [
    { kind: 'kit' as const, input: kitInput, patch: kitPatch },
    { kind: 'donor' as const, input: donorInput, patch: donorPatch },
  ]) {
    route(
      app,
      { method: 'get', path: `/${kind}s`, summary: `All ${kind}s with their items`, tag },
      async () => ({ items: await listBundles(store, kind) }),
    )
    route(
      app,
      { method: 'post', path: `/${kind}s`, summary: `Add a ${kind}`, tag, body: input },
      async ({ body }) => createBundle(store, kind, body),
    )
    route(
      app,
      { method: 'get', path: `/${kind}s/{id}`, summary: `One ${kind}`, tag },
      async ({ params }) => getBundle(store, kind, params.id!),
    )
    route(
      app,
      {
        method: 'patch',
        path: `/${kind}s/{id}`,
        summary: `Change a ${kind}; items given replace those there`,
        tag,
        body: patch,
      },
      async ({ params, body }) => updateBundle(store, kind, params.id!, body as never),
    )
    route(
      app,
      { method: 'delete', path: `/${kind}s/{id}`, summary: `Move a ${kind} to the trash`, tag },
      async ({ params }) => ({
        trash: await store.transaction((tx) => tx.remove(kind, params.id!)),
      }),
    )
  }
  return app
}
