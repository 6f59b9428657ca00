// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen, within } from '@testing-library/react'
import { MemoryRouter, Route, Routes } from 'react-router'
import { SWRConfig } from 'swr'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { Component as TracePage } from './trace-page.tsx'

const part = {
  id: 'e',
  name: 'Grey six',
  kind: 'engine',
  ownerId: null,
  ports: [
    { id: 'e/face/rear', kind: 'face', slot: 'rear', looks: 'rearward', title: 'Face', fields: [] },
  ],
}
const KEY = 'trace:e/face/rear'
const hole = (x: number, y: number) => ({ centre: { x, y }, edge: { x: x + 12, y } })
const bar = { from: { x: 400, y: 700 }, to: { x: 600, y: 700 }, typed: '100 mm' }
const claims: any[] = []

beforeEach(() => {
  claims.length = 0
  localStorage.clear()
  sessionStorage.clear()
  vi.stubGlobal('fetch', async (url: string, init?: RequestInit) => {
    if (init?.method === 'POST' && String(url).endsWith('/claims'))
      claims.push(JSON.parse(String(init.body)))
    return new Response(JSON.stringify(String(url).includes('/parts/') ? part : {}), {
      status: 200,
      headers: { 'content-type': 'application/json' },
    })
  })
})
afterEach(() => {
  cleanup()
  vi.unstubAllGlobals()
})

async function show(marks: object = {}): Promise<void> {
  localStorage.setItem(
    KEY,
    JSON.stringify({
      axis: null,
      holes: [],
      dowels: [],
      known: [],
      view: 'looking at the face',
      ...marks,
    }),
  )
  sessionStorage.setItem(
    KEY,
    JSON.stringify({ url: 'data:image/png;base64,AA', width: 1000, height: 800 }),
  )
  render(
    <SWRConfig
      value={{
        provider: () => new Map(),
        fetcher: (path: string) => fetch(`/api${path}`).then((answer) => answer.json()),
      }}
    >
      <MemoryRouter initialEntries={['/catalogue/parts/e/trace']}>
        <Routes>
          <Route path="/catalogue/parts/:part/trace" Component={TracePage} />
        </Routes>
      </MemoryRouter>
    </SWRConfig>,
  )
  await screen.findByRole('heading', { name: 'Trace Grey six' })
}

test.each([
  [{}, /Mark the scale bar first/],
  [{ known: [{ ...bar, typed: '' }] }, /Type how far apart/],
  [{ known: [bar] }, /Mark the axis/],
  [{ known: [bar], axis: { x: 500, y: 400 } }, /Mark at least one hole/],
  [
    { known: [{ ...bar, typed: 'long' }], axis: { x: 500, y: 400 }, holes: [hole(600, 400)] },
    /long/,
  ],
] as const)('what is missing is asked for, one thing at a time: %o', async (marks, words) => {
  await show(marks)
  expect(screen.getByText(words)).toBeTruthy()
})

test('marks survive a reload; kept, the pattern is a measurement by its method, with no bound where nothing checks it', async () => {
  await show({
    known: [bar],
    axis: { x: 500, y: 400 },
    holes: [hole(600, 400), hole(500, 200)],
    dowels: [hole(300, 400)],
  })
  const traced = within(screen.getByRole('region', { name: 'What was traced' }))
  expect(traced.getByText(/Its ± is not known/)).toBeTruthy()
  fireEvent.click(traced.getByRole('button', { name: 'Keep as a measurement' }))
  await traced.findByText('1:1 template on A4')
  expect(
    claims.map(({ field, grade, method, plusMinus }) => [field, grade, method, plusMinus]),
  ).toEqual([
    ['holes', 'measured', 'rubbing', null],
    ['dowels', 'measured', 'rubbing', null],
  ])
  expect(claims[0].value.map((one: any) => [one.x, one.y, one.d])).toEqual([
    [50, 0, 12],
    [0, 100, 12],
  ])
})

test('by keyboard: arrows move the cross, Enter marks both ends, and Start over takes all away', async () => {
  await show()
  const canvas = screen.getByRole('application')
  fireEvent.keyDown(canvas, { key: 'Enter' })
  fireEvent.keyDown(canvas, { key: 'ArrowRight', shiftKey: true })
  fireEvent.keyDown(canvas, { key: 'Enter' })
  expect(JSON.parse(localStorage.getItem(KEY)!).known).toEqual([
    { from: { x: 500, y: 400 }, to: { x: 510, y: 400 }, typed: '' },
  ])
  fireEvent.click(screen.getByRole('button', { name: 'Start over' }))
  expect(screen.queryByLabelText('Known distance 1')).toBeNull()
})
