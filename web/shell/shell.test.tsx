// @vitest-environment jsdom

import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react'
import { useState } from 'react'
import { MemoryRouter, useLocation } from 'react-router'
import { SWRConfig } from 'swr'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { fetcher } from '../api/client.ts'
import { setPerson } from '../api/person.ts'
import { choose } from '../testing/choose.ts'
import { BenchPerson } from './bench-person.tsx'
// Loaded by then on a page; here it would be waited for.
import '../../core/joints/index.ts'
import { Find } from './find.tsx'
import { useFocusKept } from './focus.ts'
import { setTheme, showTheme, themeNow } from './theme.ts'

beforeEach(() => localStorage.clear())
afterEach(cleanup)

const answers = (paths: Record<string, unknown>) =>
  vi.stubGlobal(
    'fetch',
    async (path: string) =>
      new Response(
        JSON.stringify(
          paths[Object.keys(paths).find((one) => path.startsWith(`/api${one}`)) ?? ''] ?? {
            items: [],
          },
        ),
        { status: 200 },
      ),
  )
const dark = (isDark: boolean) => vi.stubGlobal('matchMedia', () => ({ matches: isDark }))

const Where = () => <output>{useLocation().pathname + useLocation().search}</output>
const page = (children: React.ReactNode) => (
  <SWRConfig value={{ fetcher, provider: () => new Map(), dedupingInterval: 0 }}>
    <MemoryRouter>
      {children}
      <Where />
    </MemoryRouter>
  </SWRConfig>
)

test('the theme follows the machine until one is chosen, then the choice', () => {
  dark(true)
  expect(themeNow()).toBe('late')
  dark(false)
  expect(themeNow()).toBe('day')
  setTheme('late')
  expect([themeNow(), document.documentElement.dataset.theme]).toEqual(['late', 'late'])
  localStorage.setItem('theme', 'plaid')
  showTheme()
  expect(document.documentElement.dataset.theme).toBe('day')
})

test('nobody named yet: the way to name somebody; else who is at the bench, kept', async () => {
  answers({ '/people': { items: [] } })
  const { unmount } = render(page(<BenchPerson />))
  expect(await screen.findByRole('link', { name: 'Who works here?' })).toBeTruthy()
  unmount()
  answers({ '/people': { items: [{ id: 'p1', version: 1, name: 'Ida', decimal: 'comma' }] } })
  render(page(<BenchPerson />))
  await screen.findByLabelText('At the bench')
  await choose('At the bench', 'Ida')
  expect(JSON.parse(localStorage.getItem('person')!)).toMatchObject({ id: 'p1', name: 'Ida' })
  await choose('At the bench', 'Not said')
  expect(JSON.parse(localStorage.getItem('person')!).id).toBeNull()
  setPerson(null)
})

test('find lists what the server found, joints of the build and actions, and goes there', async () => {
  dark(false)
  answers({
    '/find': {
      items: [{ kind: 'number', id: 'part 7', words: 'MLD 417.20', detail: 'Clutch disc' }],
    },
  })
  render(page(<Find build="lantern" />))
  fireEvent.click(screen.getByRole('button', { name: 'Find /' }))
  fireEvent.change(await screen.findByRole('combobox'), { target: { value: 'depth' } })
  expect(await screen.findByRole('option', { name: /Depth/ })).toBeTruthy()
  fireEvent.click(await screen.findByRole('option', { name: /MLD 417.20/ }))
  await waitFor(() =>
    expect(screen.getByRole('status').textContent).toBe('/catalogue/parts/part%207'),
  )
  expect(screen.queryByRole('combobox')).toBeNull()
})

test('outside a build there are no joints to find; nothing found says so', async () => {
  dark(false)
  answers({ '/find': { items: [] } })
  render(page(<Find build={undefined} />))
  fireEvent.click(screen.getByRole('button', { name: 'Find /' }))
  fireEvent.change(await screen.findByRole('combobox'), { target: { value: 'sump to steering' } })
  expect(await screen.findByText(/Nothing here is called/)).toBeTruthy()
  expect(screen.queryByRole('option', { name: /Joint/ })).toBeNull()
})

test('an action and a joint are found with a typing error; what holds the words as typed comes alone', async () => {
  dark(false)
  answers({ '/find': { items: [] } })
  render(page(<Find build="lantern" />))
  fireEvent.click(screen.getByRole('button', { name: 'Find /' }))
  const type = async (value: string): Promise<void> =>
    void fireEvent.change(await screen.findByRole('combobox'), { target: { value } })
  await type('improt lsit')
  expect(await screen.findByRole('option', { name: /Import a list/ })).toBeTruthy()
  expect(screen.queryByRole('option', { name: /Import offers/ })).toBeNull()
  await type('backups')
  expect(await screen.findByRole('option', { name: /People and safekeeping/ })).toBeTruthy()
  await type('crossmebmer')
  expect(await screen.findByRole('option', { name: /Gearbox mount to crossmember/ })).toBeTruthy()
})

test('with nothing typed every action stands ready, stages of the build first', async () => {
  dark(false)
  answers({})
  render(page(<Find build="lantern" />))
  fireEvent.click(screen.getByRole('button', { name: 'Find /' }))
  const options = await screen.findAllByRole('option')
  expect(options[0]!.textContent).toContain('Brief')
  for (const words of [
    'Shop mode',
    'Start a build',
    'Undo',
    'Print this page',
    'People and safekeeping',
  ])
    expect(
      options.some((option) => option.textContent?.includes(words)),
      words,
    ).toBe(true)
})

function Settling() {
  useFocusKept()
  const [left, setLeft] = useState(['Belt', 'Dowels', 'Straps'])
  return (
    <section>
      {left.map((name) => (
        <p key={name}>
          <button type="button" onClick={() => setLeft(left.filter((one) => one !== name))}>
            Drop {name}
          </button>
        </p>
      ))}
      <button type="button">After</button>
    </section>
  )
}

test('when what had the focus leaves the page, the focus goes to what stands nearest', async () => {
  render(<Settling />)
  for (const [name, next] of [
    ['Drop Dowels', 'Drop Belt'],
    ['Drop Belt', 'Drop Straps'],
    ['Drop Straps', 'After'],
  ] as const) {
    const button = screen.getByRole('button', { name })
    button.focus()
    fireEvent.click(button)
    await waitFor(() => expect(document.activeElement?.textContent).toBe(next))
  }
})
