// @vitest-environment jsdom

import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react'
import { createMemoryRouter, RouterProvider } from 'react-router'
import { SWRConfig } from 'swr'
import { afterEach, expect, test, vi } from 'vitest'
import { fetcher } from '../../api/client.ts'
import { Component } from './check-number-page.tsx'

afterEach(cleanup)

const ANSWER = {
  verdict: 'superseded by',
  plan: 'yes',
  evidence: 'catalogue',
  path: [
    {
      kind: 'superseded',
      from: [{ issuer: 'MLD', number: '417.18' }],
      to: [{ issuer: 'MLD', number: '417.20' }],
      row: 'r',
      grade: 'catalogue',
    },
  ],
  use: [],
  missing: [],
  surplus: [],
  open: ['market'],
  todo: ['read the plate'],
  cautions: [],
  others: [],
  current: [{ issuer: 'MLD', number: '417.20' }],
  didYouMean: [{ issuer: 'MLD', number: '4I7.18' }],
}

test('a number in hand is checked as it is typed: verdict, plan, each step, what is open; it stands in the address', async () => {
  const asked: unknown[] = []
  vi.stubGlobal('fetch', async (url: string, init: RequestInit = {}) => {
    if (init.method === 'POST') asked.push(JSON.parse(String(init.body)))
    const answer = url.includes('/issuers') ? { items: [{ id: 'i', name: 'MLD' }] } : ANSWER
    return new Response(JSON.stringify(answer), { status: 200 })
  })
  const router = createMemoryRouter([{ path: '/', element: <Component /> }], {
    initialEntries: ['/?want=417-18'],
  })
  render(
    <SWRConfig value={{ fetcher, provider: () => new Map(), shouldRetryOnError: false }}>
      <RouterProvider router={router} />
    </SWRConfig>,
  )
  await screen.findByText(/Type the number that is wanted/)
  fireEvent.change(screen.getAllByLabelText('Number')[1]!, { target: { value: '417.20' } })
  const verdict = await screen.findByRole('region', { name: 'Verdict' })
  expect(verdict.textContent).toContain('It was superseded')
  expect(verdict.textContent).toContain('may be planned')
  expect(screen.getByRole('listitem').textContent).toContain('417.18 superseded by MLD 417.20')
  expect(verdict.textContent).toContain('Not known yet: market')
  expect(verdict.textContent).toContain('To do: read the plate')
  expect(verdict.textContent).toContain('4I7.18')
  await waitFor(() => expect(router.state.location.search).toBe('?want=417-18&have=417.20'))
  expect(asked.at(-1)).toMatchObject({
    want: [{ issuer: 'MLD', number: '417-18' }],
    have: [{ issuer: 'MLD', number: '417.20' }],
  })
})
