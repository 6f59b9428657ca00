// @vitest-environment jsdom
import { act, cleanup, renderHook, waitFor } from '@testing-library/react'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import type { SheetAnswers } from '../../core/sheets/sheet.ts'
import { useAnswerQueue } from './answer-queue.ts'
import { call } from './client.ts'

const PATH = '/builds/b/donors/d/sheet'
const KEY = `queue:${PATH}`
const answer = (value: string, at: string) => ({ value, at, by: 'Ida' })
const queued = (): Record<string, unknown> => JSON.parse(localStorage.getItem(KEY) ?? '{}')

const useQueue = (path: string, onKept?: (answers: SheetAnswers) => unknown) =>
  useAnswerQueue(
    path,
    (answers) =>
      call('PATCH /builds/{id}/donors/{donor}/sheet', {
        params: { id: 'b', donor: 'd' },
        body: { answers: { ...answers } },
      }),
    onKept,
  )
const JOINED = JSON.stringify({ answers: {}, passedOver: [] })

beforeEach(() => localStorage.clear())
afterEach(() => {
  cleanup()
  vi.unstubAllGlobals()
})

const reachable = () => {
  const sent: Record<string, unknown>[] = []
  vi.stubGlobal('fetch', async (_path: string, init: RequestInit) => {
    sent.push(JSON.parse(String(init.body)).answers)
    return new Response(JOINED, { status: 200 })
  })
  return sent
}

test('an answer is sent as it is given, and leaves the queue when it has arrived', async () => {
  const sent = reachable()
  const { result } = renderHook(() => useQueue(PATH))
  act(() => result.current.give('gear-1', answer('yes', '2026-01-01T10:00:00Z')))
  expect(result.current.waiting['gear-1']).toBeDefined()
  await waitFor(() => expect(result.current.waiting).toEqual({}))
  expect(sent).toEqual([{ 'gear-1': answer('yes', '2026-01-01T10:00:00Z') }])
  expect(localStorage.getItem(KEY)).toBeNull()
})

test('with the connection cut answers wait, over a reload too, and go when it is back', async () => {
  vi.stubGlobal('fetch', vi.fn().mockRejectedValue(new TypeError('offline')))
  const first = renderHook(() => useQueue(PATH))
  act(() => first.result.current.give('gear-1', answer('no', '2026-01-01T10:00:00Z')))
  act(() => first.result.current.give('hit-rear', answer('yes', '2026-01-01T10:01:00Z')))
  await waitFor(() => expect(Object.keys(queued())).toEqual(['gear-1', 'hit-rear']))
  expect(first.result.current.fault).toBe('')
  first.unmount()
  const second = renderHook(() => useQueue(PATH))
  expect(Object.keys(second.result.current.waiting)).toHaveLength(2)
  const sent = reachable()
  act(() => void window.dispatchEvent(new Event('online')))
  await waitFor(() => expect(second.result.current.waiting).toEqual({}))
  expect(sent.at(-1)).toMatchObject({ 'gear-1': { value: 'no' }, 'hit-rear': { value: 'yes' } })
})

test('what the server holds is told before the answer leaves the queue, so that it never blinks away', async () => {
  const held = {
    'gear-1': answer('yes', '2026-01-01T10:00:00Z'),
    reverse: answer('no', '2026-01-01T09:00:00Z'),
  }
  vi.stubGlobal(
    'fetch',
    async () => new Response(JSON.stringify({ answers: held, passedOver: [] }), { status: 200 }),
  )
  const told: unknown[] = []
  const { result } = renderHook(() =>
    useQueue(PATH, (answers) => told.push([answers, Object.keys(queued())])),
  )
  act(() => result.current.give('gear-1', answer('yes', '2026-01-01T10:00:00Z')))
  await waitFor(() => expect(result.current.waiting).toEqual({}))
  expect(told).toEqual([[held, ['gear-1']]])
})

test('an answer changed while the first is on its way is not taken for sent', async () => {
  let arrive = (): void => {}
  vi.stubGlobal(
    'fetch',
    () => new Promise((done) => (arrive = () => done(new Response(JOINED, { status: 200 })))),
  )
  const { result } = renderHook(() => useQueue(PATH))
  act(() => result.current.give('gear-1', answer('yes', '2026-01-01T10:00:00Z')))
  const firstArrives = arrive
  act(() => result.current.give('gear-1', answer('no', '2026-01-01T10:00:05Z')))
  await act(async () => firstArrives())
  expect(queued()).toEqual({ 'gear-1': answer('no', '2026-01-01T10:00:05Z') })
})

test('a refusal is told, and the answer stays', async () => {
  vi.stubGlobal(
    'fetch',
    async () =>
      new Response(JSON.stringify({ detail: 'That donor is in the trash.' }), { status: 404 }),
  )
  const { result } = renderHook(() => useQueue(PATH))
  act(() => result.current.give('gear-1', answer('yes', '2026-01-01T10:00:00Z')))
  await waitFor(() => expect(result.current.fault).toBe('That donor is in the trash.'))
  expect(Object.keys(queued())).toEqual(['gear-1'])
})

test('each donor of each build has a queue of its own; a broken one is empty, not a crash', () => {
  localStorage.setItem('queue:/builds/b/donors/other/sheet', '{')
  vi.stubGlobal('fetch', vi.fn().mockRejectedValue(new TypeError('offline')))
  const one = renderHook(() => useQueue(PATH))
  act(() => one.result.current.give('gear-1', answer('yes', '2026-01-01T10:00:00Z')))
  expect(renderHook(() => useQueue('/builds/b/donors/other/sheet')).result.current.waiting).toEqual(
    {},
  )
})

test('an answer that did not stand is told with what stands, until the next is given', async () => {
  vi.stubGlobal(
    'fetch',
    async () =>
      new Response(
        JSON.stringify({
          answers: { reverse: { value: 'no', at: '2026-01-01T11:00:00Z', by: 'Bram' } },
          passedOver: ['reverse'],
        }),
      ),
  )
  const { result } = renderHook(() => useQueue(PATH))
  act(() => result.current.give('reverse', answer('yes', '2026-01-01T10:00:00Z')))
  await waitFor(() =>
    expect(result.current.passedOver).toEqual([
      {
        question: 'reverse',
        yours: 'yes',
        stands: { value: 'no', at: '2026-01-01T11:00:00Z', by: 'Bram' },
      },
    ]),
  )
  vi.stubGlobal('fetch', vi.fn().mockRejectedValue(new TypeError('offline')))
  act(() => result.current.give('reverse', answer('yes', '2026-01-01T12:00:00Z')))
  expect(result.current.passedOver).toEqual([])
})
