import { render } from '@testing-library/react'
import type { ComponentType } from 'react'
import { createMemoryRouter, RouterProvider } from 'react-router'
import { SWRConfig } from 'swr'
import { vi } from 'vitest'
import { fetcher } from '../api/client.ts'

/** What a page sent. */
export interface Sent {
  readonly method: string
  readonly path: string
  readonly body: unknown
}

/** The text of a file: the tests' browser has no shorter way. */
const textOf = (blob: Blob): Promise<string> =>
  new Promise((read) => {
    const reader = new FileReader()
    reader.onload = () => read(String(reader.result))
    reader.readAsText(blob)
  })

/** Opens a page at an address; each path is answered with what is longest of the beginnings given, else with an empty list. */
export function openPage(
  Page: ComponentType,
  route: string,
  at: string,
  answers: Readonly<Record<string, unknown>>,
): Sent[] {
  const sent: Sent[] = []
  vi.stubGlobal('fetch', async (url: string, init: RequestInit = {}) => {
    const path = url.replace('/api', '')
    if (init.method && init.method !== 'GET') {
      const text =
        init.body instanceof Blob ? await textOf(init.body) : init.body ? String(init.body) : 'null'
      sent.push({
        method: init.method,
        path,
        body: /^[{[]|^null$/.test(text) ? JSON.parse(text) : text,
      })
    }
    const key = Object.keys(answers)
      .filter((one) => path.startsWith(one))
      .sort((p, q) => q.length - p.length)[0]
    const answer = key === undefined ? { items: [] } : answers[key]
    const status = (answer as { status?: number }).status ?? 200
    return new Response(JSON.stringify(answer), {
      status: typeof status === 'number' ? status : 200,
      headers: { 'content-type': 'application/json' },
    })
  })
  const router = createMemoryRouter(
    [
      { path: route, element: <Page /> },
      { path: '*', element: <p>Elsewhere</p> },
    ],
    {
      initialEntries: [at],
    },
  )
  render(
    <SWRConfig
      value={{ fetcher, provider: () => new Map(), dedupingInterval: 0, shouldRetryOnError: false }}
    >
      <RouterProvider router={router} />
    </SWRConfig>,
  )
  return sent
}
