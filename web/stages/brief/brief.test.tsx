// @vitest-environment jsdom

import { cleanup, fireEvent, render, screen, waitFor, within } from '@testing-library/react'
import { SWRConfig } from 'swr'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import type { Build } from '../../../contract/answers/rows.ts'
import { choose } from '../../testing/choose.ts'
import { BriefQuestions, Findings, Law, MustWork, Uncut } from './brief-sheets.tsx'

const build = {
  id: 'b',
  version: 3,
  name: 'Cormorant',
  currency: 'EUR',
  mustWork: ['heater'],
} as unknown as Build
const keep = (
  kind: string,
  words: string,
  isKept: boolean,
  adds: string[],
  low: number | null,
) => ({
  kind,
  words,
  isKept,
  adds,
  price: low === null ? null : { low, high: low * 4 },
  hours: { low: 0.1 + 0.2, high: 3 },
})
const view = {
  keeps: [
    keep('heater', 'Heater', true, ['Heater'], 1500),
    keep(
      'air-conditioning',
      'Air conditioning',
      false,
      ['Air conditioning', 'Compressor mount'],
      31000,
    ),
    keep('speedometer', 'Speedometer drive', false, [], null),
  ],
  findings: [
    { id: 'hours', holds: true, words: '4.0 h of named work, within the hours.' },
    {
      id: 'uncut',
      holds: false,
      words: 'Nothing cut, yet these cannot be undone: cut the tunnel.',
    },
  ],
  uncut: {
    asItStands: 200000,
    repaired: null,
    swapped: 150000,
    words: 'In money alone it is worth more without the swap.',
  },
  toAsk: 2,
}
const sent: { method: string; path: string; body: any }[] = []

beforeEach(() => {
  sent.length = 0
  localStorage.clear()
  vi.stubGlobal('fetch', async (url: string, init?: RequestInit) => {
    const path = String(url).replace('/api', '')
    if (init?.method && init.method !== 'GET')
      sent.push({ method: init.method, path, body: JSON.parse(String(init.body ?? '{}')) })
    const body =
      path.endsWith('/brief') && !path.includes('sheets')
        ? view
        : path.includes('/sheets/')
          ? { answers: init?.body ? JSON.parse(String(init.body)).answers : {}, passedOver: [] }
          : { build, items: [] }
    return new Response(JSON.stringify(body), {
      status: 200,
      headers: { 'content-type': 'application/json' },
    })
  })
})
afterEach(() => {
  cleanup()
  vi.unstubAllGlobals()
})
const show = (what: React.ReactNode) =>
  render(
    <SWRConfig
      value={{
        provider: () => new Map(),
        fetcher: (path: string) => fetch(`/api${path}`).then((answer) => answer.json()),
      }}
    >
      {what}
    </SWRConfig>,
  )

/** Waits until what was said has left the queue of this browser. */
const arrived = (kind: string) =>
  waitFor(() => expect(localStorage.getItem(`queue:/builds/b/sheets/${kind}`)).toBeNull())

test('what does not hold stands first, and is said to a screen reader', async () => {
  show(<Findings build="b" />)
  const region = within(screen.getByRole('region', { name: 'Limits against the build' }))
  await region.findByText(/Nothing cut, yet/)
  const lines = region.getAllByText(/\./).map((one) => one.textContent ?? '')
  expect(lines[0]).toMatch(/^Does not hold: Nothing cut/)
  expect(lines[1]).toMatch(/^Holds: 4\.0 h/)
})

test('each thing that must still work says what it adds and costs; a tick counts at once and is saved', async () => {
  show(<MustWork build={build} />)
  const region = within(screen.getByRole('region', { name: 'Must still work afterwards' }))
  await region.findByText('Air conditioning, Compressor mount · 0.3 to 3 h')
  expect(region.getByText('on the list anyway')).toBeTruthy()
  expect(region.getByText(/^Kept:/).textContent).toMatch(/15.*60.*[, ]0.3 to 3 h/)
  fireEvent.click(region.getByLabelText(/Air conditioning/))
  await waitFor(() =>
    expect(
      sent.find(({ method, path }) => method === 'PATCH' && path === '/builds/b')?.body.mustWork,
    ).toEqual(['air-conditioning', 'heater']),
  )
})

test('a limit typed is sent to its sheet when the field is left; a choice at once', async () => {
  show(<BriefQuestions build="b" />)
  await choose('Reason for it', 'Too thirsty')
  const money = screen.getByLabelText('Money, at most, in the build’s currency')
  fireEvent.change(money, { target: { value: '3,500' } })
  expect(sent.some(({ body }) => 'most-money' in (body.answers ?? {}))).toBe(false)
  fireEvent.blur(money)
  await waitFor(() =>
    expect(
      sent.some(
        ({ path, body }) =>
          path === '/builds/b/sheets/brief' && body.answers['most-money']?.value === '3,500',
      ),
    ).toBe(true),
  )
  expect(sent.some(({ body }) => body.answers?.reason?.value === 'Too thirsty')).toBe(true)
  await arrived('brief')
})

test('law and papers: each line has a state, a date, a paper and who said so', async () => {
  show(<Law build="b" />)
  expect(screen.getAllByRole('group')).toHaveLength(11)
  const line = within(screen.getByRole('group', { name: 'The insurer is told' }))
  await choose('The insurer is told: State', 'Yes, in writing')
  fireEvent.change(line.getByLabelText('The insurer is told: When'), {
    target: { value: '2026-11-20' },
  })
  await waitFor(() =>
    expect(sent.flatMap(({ body }) => Object.keys(body.answers ?? {}))).toEqual(
      expect.arrayContaining(['insurer:state', 'insurer:date']),
    ),
  )
  await arrived('law')
  expect(screen.getByText(/local authority decides/)).toBeTruthy()
})

test('worth more uncut: three sums, and a ? where one is not known', async () => {
  show(<Uncut build={build} />)
  fireEvent.click(screen.getByText('Is it worth more uncut?'))
  await screen.findByText('In money alone it is worth more without the swap.')
  expect(screen.getByText('?')).toBeTruthy()
})
