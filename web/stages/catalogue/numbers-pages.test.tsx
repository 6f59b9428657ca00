// @vitest-environment jsdom

import { cleanup, fireEvent, render, screen, waitFor, within } from '@testing-library/react'
import type { ReactElement } from 'react'
import { createMemoryRouter, RouterProvider } from 'react-router'
import { SWRConfig } from 'swr'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import type { PartDetail } from '../../../contract/answers/catalogue.ts'
import { fetcher } from '../../api/client.ts'
import { openPage } from '../../testing/open-page.tsx'
import { Component as Beside } from './beside-page.tsx'
import { Component as Catalogue } from './catalogue-page.tsx'
import { Component as Conflicts } from './conflicts-page.tsx'
import { ListedFor } from './listed-for.tsx'
import { Numbers } from './part-numbers.tsx'
import { Tree } from './tree.tsx'

let sent: { path: string; body: Record<string, unknown> }[] = []
beforeEach(() => {
  localStorage.clear()
  sent = []
})
afterEach(cleanup)

function open(element: ReactElement, answers: Record<string, unknown>, at = '/'): void {
  vi.stubGlobal('fetch', async (url: string, init: RequestInit = {}) => {
    const path = url.replace('/api', '')
    if (init.method && init.method !== 'GET')
      sent.push({ path, body: JSON.parse(String(init.body)) })
    const key = Object.keys(answers)
      .filter((one) => path.startsWith(one))
      .sort((p, q) => q.length - p.length)[0]
    return new Response(JSON.stringify(key ? answers[key] : { items: [] }), { status: 200 })
  })
  const router = createMemoryRouter([{ path: '*', element }], { initialEntries: [at] })
  render(
    <SWRConfig
      value={{ fetcher, provider: () => new Map(), dedupingInterval: 0, shouldRetryOnError: false }}
    >
      <RouterProvider router={router} />
    </SWRConfig>,
  )
}

const said = { grade: 'catalogue', source: 'Price list', saidBy: 'Ida', day: '2026-11-01' } as const
const stands = { photoId: null, struckBy: null, struckWhy: null, struckDay: null, version: 1 }
const bore = (value: number) => ({
  name: 'boreMm',
  label: 'Bore',
  unit: 'mm',
  type: 'number',
  choices: null,
  minutes: 1,
  methods: [],
  value,
  plusMinus: 0.01,
  grade: 'measured' as const,
  conflict: false,
  claims: [],
})
const part = (id: string, value: number): PartDetail => ({
  id,
  version: 1,
  name: `Part ${id}`,
  kind: 'pilot',
  ownerId: null,
  isDefault: true,
  fromYear: null,
  toYear: null,
  massG: 120,
  note: null,
  template: null,
  family: null,
  generation: null,
  built: null,
  serial: null,
  numbers: [
    {
      ...said,
      ...stands,
      id: `n-${id}`,
      partId: id,
      issuerId: 'i',
      issuer: 'KSN',
      number: `311.${value}`,
      normalised: `311${value}`,
      key: `i 311${value}`,
      mark: 'cast',
      again: false,
      scope: { targets: { engine: { family: 'Wick', generations: ['2nd'] } }, do: ['ream it'] },
      alsoOn: [{ id: 'other', name: 'Other part', mark: 'cast' }],
    },
  ],
  supersessions: [
    {
      ...said,
      ...stands,
      id: 's',
      back: 'no',
      since: '2011-04',
      until: null,
      scope: null,
      old: [{ issuer: 'KSN', number: '311.1', key: 'i 3111', quantity: 1 }],
      new: [
        { issuer: 'KSN', number: '311.2', key: 'i 3112', quantity: 1 },
        { issuer: 'KSN', number: '311.3', key: 'i 3113', quantity: 2 },
      ],
    },
  ],
  interchanges: [],
  applications: [
    {
      ...said,
      ...stands,
      id: 'a',
      issuerId: 'i',
      issuer: 'KSN',
      number: '311.2',
      normalised: '3112',
      fits: 'no',
      scope: { targets: { engine: { family: 'Wick' } } },
      struckDay: '2026-11-02',
      struckBy: 'Bram',
      struckWhy: 'another list',
    },
  ],
  usedIn: [],
  ports: [
    {
      id: `${id}/pilot-bore/crank`,
      kind: 'pilot-bore',
      slot: 'crank',
      looks: null,
      title: 'Pilot bore',
      fields: [bore(value)],
    },
  ],
})

test('parts stand side by side, and only where they differ it is marked', async () => {
  open(<Beside />, { '/parts/a': part('a', 20), '/parts/b': part('b', 22) }, '/?parts=a,b')
  const row = (name: RegExp) => screen.getByRole('row', { name })
  await screen.findByRole('columnheader', { name: 'Part a' })
  expect(row(/Bore, mm/).textContent).toContain('differs')
  expect(row(/Mass, kg/).textContent).not.toContain('differs')
  expect(within(row(/Bore, mm/)).getAllByRole('cell')).toHaveLength(2)
})

test('one part alone is not set beside anything', async () => {
  open(<Beside />, {}, '/?parts=a')
  await screen.findByText(/Mark two to four parts/)
})

test('numbers are told with their marks, who bears them too, what replaced them and what was struck out; one is struck out with why', async () => {
  open(<Numbers part={part('a', 2)} />, {})
  const numbers = screen.getByRole('list', { name: 'Part numbers' })
  expect(numbers.textContent).toContain('cast: others of its kind may bear it')
  expect(numbers.textContent).toContain('also on Other part')
  expect(numbers.textContent).toContain('Wick 2nd')
  expect(numbers.textContent).toContain('to do: ream it')
  expect(screen.getByRole('list', { name: 'Supersessions' }).textContent).toContain(
    'KSN 311.1 replaced by KSN 311.2 and 2 × KSN 311.3; the old no longer serves for the new, since 2011-04',
  )
  const applications = screen.getByRole('list', { name: 'Applications' })
  expect(applications.textContent).toContain('struck out 2026-11-02 by Bram: another list')
  expect(within(applications).queryByRole('button')).toBeNull()
  fireEvent.click(screen.getByRole('button', { name: 'Strike out KSN 311.1' }))
  fireEvent.change(screen.getByLabelText('Why'), { target: { value: 'wrong family' } })
  fireEvent.click(screen.getAllByRole('button', { name: 'Strike out' }).at(-1)!)
  await waitFor(() =>
    expect(sent[0]).toEqual({
      path: '/number-claims/s/strike',
      body: { table: 'supersession', version: 1, why: 'wrong family', by: null },
    }),
  )
})

test('what a number fits is typed with where it holds; what cannot be read is told at its field, and nothing is sent', async () => {
  open(<Numbers part={part('a', 2)} />, {
    '/applications': { id: 'x', version: 1, changed: ['It tells of Part a.'] },
  })
  fireEvent.click(screen.getByText('Add what it fits', { selector: 'summary' }))
  const form = screen
    .getByText('Add what it fits', { selector: 'summary' })
    .closest('details')!
    .querySelector('form')!
  const type = (label: string, value: string): void =>
    void fireEvent.change(within(form).getByLabelText(label), { target: { value } })
  type('Engine family', 'Kessarn Wick')
  type('Built from', 'spring 1992')
  fireEvent.submit(form)
  await within(form).findAllByText(/Write a year, a month or a day/)
  expect(sent).toEqual([])
  type('Built from', '1992-03')
  type('Only where', 'gearbox=manual; crankTeeth>=36')
  fireEvent.submit(form)
  await waitFor(() => expect(sent).toHaveLength(1))
  expect(sent[0]!.body).toMatchObject({
    issuer: 'KSN',
    number: '311.2',
    fits: 'yes',
    scope: {
      targets: { engine: { family: 'Kessarn Wick' } },
      from: '1992-03',
      conditions: [
        { key: 'gearbox', is: ['manual'] },
        { key: 'crankTeeth', from: 36 },
      ],
    },
  })
  await screen.findByText('311.2 is listed now. It tells of Part a.')
})

test('a supersession and an interchange say what they touch once they are added', async () => {
  open(<Numbers part={part('a', 2)} />, {
    '/supersessions': { id: 's', version: 1, changed: ['2 offers are sold under its numbers.'] },
    '/interchanges': { id: 'i', version: 1, changed: [] },
  })
  const add = (action: string, label: string, value: string): void => {
    const form = screen.getByRole('button', { name: action, hidden: true }).closest('form')!
    fireEvent.change(within(form).getByLabelText(label), { target: { value } })
    if (label !== 'New number')
      fireEvent.change(within(form).getByLabelText('Issuer of the other'), {
        target: { value: 'KSN' },
      })
    fireEvent.submit(form)
  }
  add('Add supersession', 'New number', '311.4 | 311.5')
  await screen.findByText(/^311\.2 is replaced by 311\.4 \| 311\.5 now\. 2 offers are sold/)
  expect(sent[0]!.body).toMatchObject({
    old: [{ issuer: 'KSN', number: '311.2' }],
    new: [
      { issuer: 'KSN', number: '311.4' },
      { issuer: 'KSN', number: '311.5' },
    ],
  })
  add('Add interchange', 'The other number', '88')
  await screen.findByText('311.2 and 88 serve for one another now.')
  // What was said of the one before is not told of this.
  expect(screen.queryByText(/is replaced by/)).toBeNull()
})

test('conflicts are told with their claims, what hangs on them, and one is struck out', async () => {
  const claim = (id: string, words: string) => ({
    table: 'partNumber',
    id,
    version: 3,
    words,
    grade: 'heard',
    source: null,
    saidBy: 'Tove',
  })
  open(<Conflicts />, {
    '/number-conflicts': {
      items: [
        {
          kind: 'two parts',
          words: 'MLD 417.20 is the number of 2 parts',
          claims: [claim('one', '417.20 is the disc'), claim('two', '417.20 is the cover')],
          parts: [{ id: 'disc', name: 'Disc' }],
          hangs: [{ build: 'lantern', name: 'Lantern', as: ['disc'] }],
        },
      ],
    },
  })
  await screen.findByRole('heading', { name: 'MLD 417.20 is the number of 2 parts' })
  expect(screen.getByText('Hangs on it: Lantern (disc)')).toBeTruthy()
  fireEvent.click(screen.getByRole('button', { name: 'Strike out: 417.20 is the cover' }))
  fireEvent.change(screen.getByLabelText('Why'), { target: { value: 'read wrong' } })
  fireEvent.submit(screen.getByLabelText('Why').closest('form')!)
  await waitFor(() =>
    expect(sent[0]).toMatchObject({
      path: '/number-claims/two/strike',
      body: { table: 'partNumber', version: 3 },
    }),
  )
})

test('the tree asks for what hangs on something once it is opened', async () => {
  open(<Tree />, {
    '/parts?kind=engine': { items: [part('wick', 1)], next: null, mended: [] },
    '/parts?owner=wick': { items: [part('flywheel', 2)], next: null, mended: [] },
  })
  expect(screen.queryByText('Part wick')).toBeNull()
  const unfold = (words: string): void => {
    const details = screen.getByText(words).closest('details')!
    details.open = true
    fireEvent(details, new Event('toggle'))
  }
  unfold('Engines, with what hangs on them')
  await screen.findByText('Part wick')
  unfold('Part wick')
  await screen.findByRole('link', { name: 'Part flywheel' })
})

test('a filter is kept for everybody under a name, taken again, and forgotten', async () => {
  const sent = openPage(Catalogue, '/catalogue', '/catalogue?kind=disc&fits=wick', {
    '/parts': { items: [], next: null, mended: [], isBehind: false },
    '/builds': { items: [] },
    '/kept': {
      items: [{ id: 'k', version: 1, what: 'filter', name: 'cheap', value: { priceTo: '9' } }],
    },
  })
  await screen.findByText('Narrowed by 1')
  fireEvent.click(screen.getByRole('button', { name: 'Keep' }))
  await screen.findByText('Give it a name.')
  fireEvent.change(screen.getByLabelText(/Keep this under a name/), { target: { value: 'Wicks' } })
  fireEvent.click(screen.getByRole('button', { name: 'Keep' }))
  await waitFor(() =>
    expect(sent.at(-1)).toMatchObject({
      path: expect.stringContaining('/kept'),
      body: { what: 'filter', name: 'Wicks', value: { fits: 'wick' } },
    }),
  )
  fireEvent.click(await screen.findByRole('button', { name: 'cheap' }))
  await waitFor(() => expect(screen.getByLabelText(/Price to/)).toHaveProperty('value', '9'))
  fireEvent.click(screen.getByRole('button', { name: 'Forget cheap' }))
  await waitFor(() => expect(sent.at(-1)!.path).toContain('/kept/k'))
})

test('the numbers of a part are drawn; one that is read names its photo and says what it brings along', async () => {
  // Its own number, spelled otherwise than the row that replaces it: one box.
  const base = part('wick', 2)
  open(<Numbers part={base} />, {
    '/photos': { items: [{ id: 'ph', note: 'On the web' }] },
    '/parts/wick/numbers': { ...base.numbers[0], changed: ['It replaced 311.1.'] },
  })
  expect(
    screen.getByRole('img', {
      name: 'KSN 311.1 replaced by KSN 311.2; KSN 311.1 replaced by KSN 311.3',
    }),
  ).toBeTruthy()
  const map = screen.getByRole('img', { name: /replaced by/ })
  expect(map.textContent).toBe('KSN 311.1KSN 311.2KSN 311.3')
  expect(map.querySelectorAll('.fill-bench')).toHaveLength(1)
  fireEvent.click(screen.getByText('Add a number'))
  const [photo] = await screen.findAllByLabelText(/^Photo it is read from/)
  fireEvent.keyDown(photo!, { key: 'Enter' })
  fireEvent.click(await screen.findByRole('option', { name: 'On the web' }))
  const form = screen.getByRole('button', { name: 'Add number' }).closest('form')!
  fireEvent.change(within(form).getByLabelText('Number'), { target: { value: '311.25' } })
  fireEvent.click(screen.getByRole('button', { name: 'Add number' }))
  await screen.findByText('311.25 is a number of Part wick now. It replaced 311.1.')
  expect(sent.at(-1)!.body).toMatchObject({ number: '311.25', photoId: 'ph' })
})

test('what is listed for an engine is told by kind, with how it stands for this very one; nothing is shown without', async () => {
  const row = (id: string, more: object) => ({
    id,
    issuer: 'KSN',
    number: `90.${id}`,
    fits: true,
    isOwn: false,
    grade: 'catalogue',
    stands: 'holds',
    open: [],
    todo: [],
    scope: { targets: { engine: { family: 'Kessarn Wick', generations: ['2nd'] } } },
    parts: [{ id: 'ecu', name: 'Computer C', kind: 'disc' }],
    ...more,
  })
  open(<ListedFor part="wick" />, {
    '/parts/wick/listed': {
      items: [
        row('1', { todo: ['set the idle'] }),
        row('2', { stands: 'other generation', isOwn: true }),
        row('3', { fits: false, parts: [] }),
      ],
      total: 340,
    },
  })
  fireEvent.click(await screen.findByText('What is listed for it (340)'))
  const rows = screen.getAllByRole('row').map((one) => one.textContent)
  expect(rows[1]).toMatch(/KSN 90\.1yes.*Kessarn Wick.*2nd.*set the idlecatalogue/)
  expect(rows[2]).toMatch(/another generation.*came with it; .*Kessarn Wick/)
  expect(rows[3]).toMatch(/^No part here.*said not to/)
  expect(screen.getByText(/The first 3 of 340/)).toBeTruthy()
  expect(screen.getByRole('link', { name: 'KSN 90.1' }).getAttribute('href')).toBe(
    '/catalogue/parts/ecu',
  )
  cleanup()
  open(<ListedFor part="bare" />, { '/parts/bare/listed': { items: [], total: 0 } })
  await new Promise((done) => setTimeout(done, 50))
  expect(screen.queryByText(/What is listed/)).toBeNull()
})
