import { z } from 'zod'
import {
  issuerInput,
  issuerPatch,
  offerInput,
  rateInput,
  ratePatch,
  supplierInput,
  supplierPatch,
} from '../../contract/rows.ts'
import type { TableName } from '../database/tables.ts'
import { UnprocessableError } from '../errors.ts'
import { type App, newRouter, type Services } from '../router.ts'
import { updateIssuer } from '../services/issuers.ts'
import { issuerNamed, normaliseFor } from '../services/parts.ts'
import { route } from './route.ts'

const RESOURCES = [
  { path: 'suppliers', table: 'supplier', input: supplierInput, patch: supplierPatch },
  { path: 'issuers', table: 'issuer', input: issuerInput, patch: issuerPatch },
  { path: 'rates', table: 'rate', input: rateInput, patch: ratePatch },
] as const satisfies readonly {
  path: string
  table: TableName
  input: z.ZodType
  patch: z.ZodType
}[]

export function marketRoutes({ store }: Services): App {
  const app = newRouter()
  const tag = 'Market'
  for (const { path, table, input, patch } of RESOURCES) {
    route(app, { method: 'get', path: `/${path}`, summary: `All ${path}`, tag }, async () => ({
      items: await store.list(table),
    }))
    route(
      app,
      {
        method: 'post',
        path: `/${path}`,
        summary: `Add to ${path}`,
        tag,
        body: input as z.ZodType,
      },
      async ({ body }) =>
        store.transaction((tx) => tx.insert(table, body as Record<string, unknown>)),
    )
    route(
      app,
      {
        method: 'patch',
        path: `/${path}/{id}`,
        summary: `Change one of ${path}`,
        tag,
        body: patch as z.ZodType,
      },
      async ({ params, body }) => {
        const { version, ...rest } = body as { version: number }
        return table === 'issuer'
          ? updateIssuer(store, params.id!, version, rest)
          : store.transaction((tx) => tx.update(table, params.id!, version, rest))
      },
    )
    route(
      app,
      { method: 'delete', path: `/${path}/{id}`, summary: `Move one of ${path} to the trash`, tag },
      async ({ params }) => ({
        trash: await store.transaction((tx) => tx.remove(table, params.id!)),
      }),
    )
  }
  route(
    app,
    {
      method: 'get',
      path: '/offers',
      summary: 'Offers of a part or a supplier',
      tag,
      query: z.object({ part: z.string().optional(), supplier: z.string().optional() }),
    },
    async ({ query }) => {
      if (!query.part && !query.supplier)
        throw new UnprocessableError('Say of which part or supplier.')
      return {
        items: await store.list('offer', {
          ...(query.part ? { partId: query.part } : {}),
          ...(query.supplier ? { supplierId: query.supplier } : {}),
        }),
      }
    },
  )
  route(
    app,
    { method: 'post', path: '/offers', summary: 'Add an offer by hand', tag, body: offerInput },
    async ({ body: { issuer, ...offer } }) =>
      store.transaction(async (tx) => {
        const by = issuer && offer.number ? await issuerNamed(tx, issuer) : null
        return tx.insert('offer', {
          ...offer,
          issuerId: by?.id ?? null,
          normalised: by ? normaliseFor(by, offer.number!) : null,
        })
      }),
  )
  route(
    app,
    { method: 'delete', path: '/offers/{id}', summary: 'Move an offer to the trash', tag },
    async ({ params }) => ({
      trash: await store.transaction((tx) => tx.remove('offer', params.id!)),
    }),
  )
  route(
    app,
    { method: 'post', path: '/trash/{id}/restore', summary: 'Put back what was removed', tag },
    async ({ params }) => store.transaction((tx) => tx.restore(params.id!)),
  )
  return app
}
