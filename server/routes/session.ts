import { getConnInfo } from '@hono/node-server/conninfo'
import type { Context } from 'hono'
import { deleteCookie, getCookie, setCookie } from 'hono/cookie'
import { sessionOperations } from '../../contract/operations/session.ts'
import { isOverTls } from '../access/tls.ts'
import { ProblemError } from '../errors.ts'
import { type App, newRouter, type Services } from '../router.ts'
import { serve } from './serve.ts'

export const COOKIE = 'junket_session'

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
  return serve(newRouter(), 'Session', sessionOperations, {
    'GET /session': async ({ c }) => state(getCookie(c, COOKIE)),
    'POST /session': async ({ body, c }) => {
      if (!guard) throw new ProblemError(404, 'No passcode is asked here.')
      return open(c, await guard.signIn(body.passcode, addressOf(c)))
    },
    'DELETE /session': async ({ c }) => {
      guard?.signOut(getCookie(c, COOKIE))
      deleteCookie(c, COOKIE, { path: '/' })
      return state(undefined)
    },
    'PUT /passcode': async ({ body, c }) => {
      if (!guard) throw new ProblemError(404, 'No passcode is kept here.')
      const token = getCookie(c, COOKIE)
      return open(c, await guard.changePasscode(body.passcode, body.old, token))
    },
  })
}
