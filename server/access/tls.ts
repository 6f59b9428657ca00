import type { Context } from 'hono'

/** Junket itself speaks plain http; a proxy before it that ends TLS says so in this header. */
export const isOverTls = (c: Context): boolean =>
  c.req.header('x-forwarded-proto')?.split(',')[0]?.trim() === 'https'
