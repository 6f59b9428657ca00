// @vitest-environment jsdom

import { cleanup, fireEvent, render, screen, waitFor, within } from '@testing-library/react'
import { MemoryRouter, Route, Routes } from 'react-router'
import { SWRConfig } from 'swr'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { METHODS } from '../../../core/quantity/methods.ts'
import { DIMENSIONS } from '../../../core/recipient/dimensions.ts'
import { figureIn } from '../../../core/train/stand-in-train.ts'
import { choose } from '../../testing/choose.ts'
import { Component as CardPage } from './card-page.tsx'
import { Component as RecipientPage } from './recipient-page.tsx'

const field = (value: number, plusMinus: number | null = 2) => ({
  name: 'x',
  label: 'x',
  unit: 'mm',
  type: 'number',
  value,
  plusMinus,
  grade: 'measured',
  conflict: false,
  claims: [],
})
const view = {
  recipient: { id: 'van', name: 'Grey van' },
  train: figureIn(null, null),
  known: { 'pinion/main.alongMm': field(2150), 'bay/main.widthMm': field(640, null) },
  rooms: [
    {
      id: 'tunnel-bell',
      words: 'Tunnel over the gearbox, at the bell',
      spareMm: -25,
      wantedMm: 20,
    },
    { id: 'bay-length', words: 'Bay, along', spareMm: null, wantedMm: 60 },
  ],
  dropMm: 45,
  keep: 'Dash vents, tailgate hinges',
  answers: {},
}
const sent: { path: string; body: any }[] = []
let answers: (path: string) => unknown

beforeEach(() => {
  sent.length = 0
  localStorage.clear()
  answers = () => view
  vi.stubGlobal('fetch', async (url: string, init?: RequestInit) => {
    const path = String(url).replace('/api', '')
    if (init?.method === 'PATCH') {
      sent.push({ path, body: JSON.parse(String(init.body)) })
      return new Response(JSON.stringify({ answers: {}, passedOver: [] }), {
        status: 200,
        headers: { 'content-type': 'application/json' },
      })
    }
    return new Response(JSON.stringify(path.endsWith('/recipient') ? answers(path) : {}), {
      status: 200,
      headers: { 'content-type': 'application/json' },
    })
  })
})
afterEach(() => {
  cleanup()
  vi.unstubAllGlobals()
})

const show = (page: 'recipient' | 'card') =>
  render(
    <SWRConfig
      value={{
        provider: () => new Map(),
        fetcher: (path: string) => fetch(`/api${path}`).then((answer) => answer.json()),
      }}
    >
      <MemoryRouter initialEntries={['/builds/b/page']}>
        <Routes>
          <Route
            path="/builds/:build/page"
            Component={page === 'card' ? CardPage : RecipientPage}
          />
        </Routes>
      </MemoryRouter>
    </SWRConfig>,
  )

test('each field sits on the drawing with what is known; going to it says how it is measured', async () => {
  show('recipient')
  const along = await screen.findByLabelText('Joint centre behind the engine mounts')
  expect((along as HTMLInputElement).value).toBe('2150 mm')
  expect(screen.getByText(`${DIMENSIONS.length - 2} dimensions not measured`)).toBeTruthy()
  fireEvent.focus(along)
  const says = within(screen.getByRole('region', { name: 'The dimension' }))
  expect(
    says.getByText(/Plumb from between the engine mounts to the middle of the axle joint/),
  ).toBeTruthy()
  expect(says.getByText('± 2, measured')).toBeTruthy()
})

test('room: what is short stands out, what is not measured is not said, and how far the train must drop', async () => {
  show('recipient')
  const room = within(await screen.findByRole('region', { name: 'Room for the train' }))
  expect(room.getByText(/-25 mm/)).toBeTruthy()
  expect(room.queryByText('Bay, along')).toBeNull()
  expect(room.getByText('45 mm')).toBeTruthy()
  expect(
    within(screen.getByRole('region', { name: 'To be kept' }))
      .getAllByRole('listitem')
      .map((one) => one.textContent),
  ).toEqual(['Dash vents', 'tailgate hinges'])
})

test('a measurement is sent once with its method, under its field and time', async () => {
  show('card')
  await screen.findByLabelText('Between the mounts, across: taken with')
  await choose('Between the mounts, across: taken with', new RegExp(METHODS.rule.words))
  const spread = screen.getByLabelText('Between the mounts, across')
  fireEvent.change(spread, { target: { value: '18 7/8 in' } })
  fireEvent.keyDown(spread, { key: 'Enter' })
  await waitFor(() => expect(sent.length).toBeGreaterThan(0))
  const [[key, answer]] = Object.entries(sent[0]!.body.answers) as [
    [string, { value: string; method: string; at: string }],
  ]
  expect(key).toBe(`chassis-pads/main.spreadMm@${answer.at}`)
  expect(answer).toMatchObject({ value: '479.425 mm', method: 'rule' })
})

test('what cannot be read is told at its field, and nothing is sent', async () => {
  show('card')
  const spread = await screen.findByLabelText('Between the mounts, across')
  fireEvent.change(spread, { target: { value: 'wide' } })
  fireEvent.keyDown(spread, { key: 'Enter' })
  expect(spread.getAttribute('aria-invalid')).toBe('true')
  expect(screen.getByRole('alert').textContent).toMatch(/wide/)
  fireEvent.keyDown(spread, { key: 'Escape' })
  expect(sent).toEqual([])
})

test('what is only unusual is asked once, and taken when it is said again', async () => {
  show('recipient')
  const along = await screen.findByLabelText('Joint centre behind the engine mounts')
  fireEvent.change(along, { target: { value: '-1200' } })
  fireEvent.keyDown(along, { key: 'Enter' })
  expect(along.getAttribute('aria-invalid')).toBe('true')
  expect(sent).toEqual([])
  fireEvent.keyDown(along, { key: 'Enter' })
  await waitFor(() => expect(sent.length).toBeGreaterThan(0))
})

test('the card goes in the order one crawls, each place with its caution and its boxes', async () => {
  show('card')
  await screen.findByText('Bay, from above')
  expect(screen.getAllByRole('heading', { level: 2 }).map((one) => one.textContent)).toEqual([
    'Photos',
    'Bay, from above',
    'Under the front',
    'Under the gearbox',
    'At the axle',
    'In the cab',
  ])
  expect(screen.getByText(/never under a vehicle held by a jack alone/)).toBeTruthy()
})

test('without a recipient the page says what to do', async () => {
  answers = () => ({ ...view, recipient: null })
  show('recipient')
  expect(await screen.findByText(/Nothing can be measured before it is said/)).toBeTruthy()
})
