// @vitest-environment jsdom

import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react'
import { MemoryRouter } from 'react-router'
import { SWRConfig } from 'swr'
import { afterEach, expect, test, vi } from 'vitest'
import { fetcher } from '../../api/client.ts'
import { SetAsideNotice } from '../../shell/set-aside-notice.tsx'
import { SetAside } from './set-aside.tsx'

const sent: { method: string; path: string; body: unknown }[] = []
afterEach(() => {
  cleanup()
  sent.length = 0
  vi.unstubAllGlobals()
})

const row = (name: string, rest: object = {}) => ({
  table: 'supplier',
  id: name,
  version: 3,
  name,
  faults: [{ field: 'currency', message: 'Use a code.' }],
  because: null,
  values: { currency: 'ZZZ' },
  hasEarlier: true,
  ...rest,
})

function open(items: readonly object[]): void {
  vi.stubGlobal(
    'fetch',
    vi.fn(async (path: string, init: RequestInit = {}) => {
      if (init.method !== 'GET')
        sent.push({
          method: init.method!,
          path,
          body: init.body ? JSON.parse(String(init.body)) : null,
        })
      return new Response(
        JSON.stringify(init.method === 'GET' ? { items } : { done: true, trash: 't' }),
      )
    }),
  )
  render(
    <SWRConfig value={{ fetcher, provider: () => new Map() }}>
      <MemoryRouter>
        <SetAsideNotice />
        <SetAside />
      </MemoryRouter>
    </SWRConfig>,
  )
}

test('what cannot be read is named, with what waits for it; mending sends what was typed on the version seen', async () => {
  open([row('Harbour Parts'), row('Offer', { table: 'offer', because: 'supplier:Harbour Parts' })])
  await screen.findByText(/1 more wait for it/)
  expect(screen.getByRole('status').textContent).toMatch(
    /^One thing could not be read.*Harbour Parts/,
  )
  expect(screen.getByRole('button', { name: 'Mend' })).toHaveProperty('disabled', true)
  fireEvent.change(screen.getByLabelText('currency'), { target: { value: 'EUR' } })
  fireEvent.click(screen.getByRole('button', { name: 'Mend' }))
  await waitFor(() =>
    expect(sent).toEqual([
      {
        method: 'PATCH',
        path: '/api/set-aside/supplier/Harbour%20Parts',
        body: { version: 3, fields: { currency: 'EUR' } },
      },
    ]),
  )
})

test('it can be put back as it was, or taken away; where the history knows no better, only the latter', async () => {
  open([row('Quay'), row('Pier', { hasEarlier: false })])
  await screen.findByText('Quay')
  expect(screen.getAllByRole('button', { name: 'As it was before' })).toHaveLength(1)
  fireEvent.click(screen.getByRole('button', { name: 'As it was before' }))
  fireEvent.click(screen.getByRole('button', { name: 'Move Pier to the trash' }))
  await waitFor(() =>
    expect(sent.map(({ method, path }) => [method, path])).toEqual([
      ['POST', '/api/set-aside/supplier/Quay/put-back'],
      ['DELETE', '/api/set-aside/supplier/Pier'],
    ]),
  )
})

test('where everything can be read nothing is said', async () => {
  open([])
  await waitFor(() => expect(fetch).toHaveBeenCalled())
  expect([screen.queryByRole('status'), screen.queryByText('Set aside')]).toEqual([null, null])
})
