// @vitest-environment jsdom

import { renderHook, waitFor } from '@testing-library/react'
import { SWRConfig } from 'swr'
import { afterEach, expect, test, vi } from 'vitest'
import { pairingKey } from './pairing-rows.ts'
import { useFigures } from './use-figures.ts'

interface Asked {
  readonly school: string
  readonly pairs: readonly {
    engineId: string
    transmissionId: string
    transferId: string | null
  }[]
}
let asked: Asked[] = []
afterEach(() => {
  vi.unstubAllGlobals()
  asked = []
})

/** A server that has so many ready each time. */
const serve = (ready: number): void => {
  vi.stubGlobal('fetch', async (_: string, init: RequestInit) => {
    const body = JSON.parse(String(init.body)) as Asked
    asked.push(body)
    return new Response(JSON.stringify({ items: body.pairs.slice(0, ready) }), { status: 200 })
  })
}

const pairs = Array.from({ length: 260 }, (_, i) => {
  const ids = {
    engineId: `e${(i * 7) % 26}`,
    transmissionId: `t${i % 10}`,
    transferId: i % 2 ? `c${i}` : null,
  }
  return { ...ids, key: pairingKey({ ...ids, engineId: `${ids.engineId}-${i}` }), i }
}).map(({ i, ...one }) => ({ ...one, engineId: `${one.engineId}-${i}` }))

const open = (school: 'keep' | 'set-back' = 'keep') =>
  renderHook(({ now }) => useFigures('lantern', now, pairs), {
    initialProps: { now: school },
    wrapper: ({ children }) => (
      <SWRConfig value={{ provider: () => new Map(), dedupingInterval: 0 }}>{children}</SWRConfig>
    ),
  })

test('what is seen is asked for first and alone, the rest in slices, each until it is there', async () => {
  serve(30)
  const { result } = open()
  await waitFor(() => expect(result.current.done).toBe(pairs.length))
  expect(asked[0]!.pairs.map(pairingKey)).toEqual(pairs.slice(0, 12).map(({ key }) => key))
  expect(Math.max(...asked.map(({ pairs: some }) => some.length))).toBeLessThanOrEqual(100)
  expect(new Set(result.current.known.keys())).toEqual(new Set(pairs.map(({ key }) => key)))
})

test('placed otherwise it is worked out anew, and nothing of the other placement is shown', async () => {
  serve(400)
  const { result, rerender } = open()
  await waitFor(() => expect(result.current.done).toBe(pairs.length))
  const before = asked.length
  rerender({ now: 'set-back' })
  expect(result.current.known.size).toBe(0)
  await waitFor(() => expect(result.current.done).toBe(pairs.length))
  expect(new Set(asked.slice(before).map(({ school }) => school))).toEqual(new Set(['set-back']))
})

test('a server that has nothing ready is not asked for ever', async () => {
  serve(0)
  const { result } = open()
  await waitFor(() => expect(asked.length).toBeGreaterThan(0))
  await new Promise((done) => setTimeout(done, 200))
  expect(asked.length).toBeLessThan(6)
  expect(result.current.done).toBe(0)
})
