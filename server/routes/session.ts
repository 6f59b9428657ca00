import { getConnInfo } from '@hono/node-server/conninfo'
import type { Context } from 'hono'
import { deleteCookie, getCookie, setCookie } from 'hono/cookie'
import { z } from 'zod'
import { isOverTls } from '../access/tls.ts'
import { ProblemError } from '../errors.ts'
import { type App, newRouter, type Services } from '../router.ts'
import { route } from './route.ts'

export const COOKIE = 'junket_session'
const passcode = z.string().max(200)

/** Where a request comes from; blank where nobody knows. */
export const addressOf = (c: Context): string => {
  try {
    return getConnInfo(c).remote.address ?? ''
  } catch {
    return ''
  }
}

/** Signing in where Junket is reachable from other machines, and its passcode. */
export function sessionRoutes({ guard }: Services): App {
  const app = newRouter()
  const tag = 'Session'
  const state = (token: string | undefined) => ({
    asks: guard?.asks ?? false,
    signedIn: !guard?.asks || guard.isSignedIn(token),
    hasPasscode: guard?.hasPasscode ?? false,
  })
  const open = (c: Context, token: string) => {
    setCookie(c, COOKIE, token, {
      httpOnly: true,
      sameSite: 'Strict',
      path: '/',
      maxAge: 30 * 24 * 3600,
      secure: isOverTls(c),
    })
    return state(token)
  }
  route(
    app,
    { method: 'get', path: '/session', summary: 'Whether a passcode is asked, and given', tag },
    async ({ c }) => state(getCookie(c, COOKIE)),
  )
  route(
    app,
    {
      method: 'post',
      path: '/session',
      summary: 'Sign in with the passcode of the shop',
      tag,
      body: z.strictObject({ passcode }),
    },
    async ({ body, c }) => {
      if (!guard) throw new ProblemError(404, 'No passcode is asked here.')
      return open(c, await guard.signIn(body.passcode, addressOf(c)))
    },
  )
  route(app, { method: 'delete', path: '/session', summary: 'Sign out', tag }, async ({ c }) => {
    guard?.signOut(getCookie(c, COOKIE))
    deleteCookie(c, COOKIE, { path: '/' })
    return state(undefined)
  })
  route(
    app,
    {
      method: 'put',
      path: '/passcode',
      summary:
        'Set the passcode, with the old one where one is asked; everybody else signs in anew',
      tag,
      body: z.strictObject({ passcode, old: passcode.optional() }),
    },
    async ({ body, c }) => {
      if (!guard) throw new ProblemError(404, 'No passcode is kept here.')
      return open(c, await guard.changePasscode(body.passcode, body.old, getCookie(c, COOKIE)))
    },
  )
  return app
}
