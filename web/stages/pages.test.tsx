// @vitest-environment jsdom

import { cleanup, fireEvent, render, screen, waitFor, within } from '@testing-library/react'
import type { ComponentType } from 'react'
import { createMemoryRouter, RouterProvider } from 'react-router'
import { SWRConfig } from 'swr'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { STOPPERS } from '../../core/pairing/stoppers.ts'
import { TEMPLATES } from '../../core/templates/index.ts'
import { fetcher } from '../api/client.ts'
import { HistoryButton } from '../components/history.tsx'
import { choose } from '../testing/choose.ts'
import { Component as Donor } from './catalogue/donor-page.tsx'
import { Component as Donors } from './donors/donors-page.tsx'
import { Component as Sheet } from './donors/sheet-page.tsx'
import { Component as Safekeeping } from './safekeeping/safekeeping-page.tsx'
import { Component as Shop } from './shop/shop-page.tsx'
import { Component as First } from './start/first-page.tsx'
import { Component as Start } from './start/start-page.tsx'

interface Sent {
  readonly method: string
  readonly path: string
  readonly body: any
}
let sent: Sent[] = []

/** A server of fixed answers by path; what is written to it is noted. */
function serve(answers: Record<string, unknown>): void {
  vi.stubGlobal('fetch', async (url: string, init: RequestInit = {}) => {
    const path = url.replace('/api', '')
    if (init.method && init.method !== 'GET')
      sent.push({
        method: init.method,
        path,
        body: init.body ? JSON.parse(String(init.body)) : undefined,
      })
    const key = Object.keys(answers)
      .filter((one) => path.startsWith(one))
      .sort((p, q) => q.length - p.length)[0]
    const joined = sent.at(-1)?.body?.answers && init.method === 'PATCH' ? { passedOver: [] } : {}
    const answer = key ? { ...(answers[key] as object), ...joined } : { items: [] }
    return new Response(JSON.stringify(answer), { status: 200 })
  })
}

const open = (Component: ComponentType, path: string, at: string) => {
  const router = createMemoryRouter(
    [
      { path, element: <Component /> },
      { path: '*', element: <p>elsewhere</p> },
    ],
    { initialEntries: [at] },
  )
  render(
    <SWRConfig
      value={{ fetcher, provider: () => new Map(), dedupingInterval: 0, shouldRetryOnError: false }}
    >
      <RouterProvider router={router} />
    </SWRConfig>,
  )
  return router
}
const clickOn = (name: string | RegExp): void =>
  void fireEvent.click(screen.getByRole('button', { name }))

beforeEach(() => {
  localStorage.clear()
  sent = []
})
afterEach(cleanup)

const TYPES = {
  templates: TEMPLATES,
  families: [{ id: 'housing-no-3', words: 'Standard engine housing no. 3' }],
  stoppers: STOPPERS,
}

const wordsOf = (template: string): RegExp =>
  new RegExp(TEMPLATES.find(({ id }) => id === template)!.words)

test('a start says what is missing, asks what a comma means, and sends what was chosen', async () => {
  serve({
    '/templates': TYPES,
    '/settings': { units: {}, tolerances: {} },
    '/builds/start': { id: 'b1', version: 1 },
  })
  const router = open(Start, '/start', '/start')
  await screen.findByLabelText('Name')
  clickOn(/Start, and/)
  expect((await screen.findByRole('alert')).textContent).toContain('Give it a name')
  fireEvent.change(screen.getByLabelText('Name'), { target: { value: 'Cormorant' } })
  fireEvent.change(screen.getByLabelText('Mass'), { target: { value: '1,450' } })
  clickOn(/Start, and/)
  expect((await screen.findByRole('alert')).textContent).toContain('could be')
  clickOn('1450')
  await choose('Engine', wordsOf('iron-eight'))
  fireEvent.change(screen.getByLabelText("Engine's pattern family"), {
    target: { value: 'housing-no-3' },
  })
  await choose('Gearbox', wordsOf('heavy-five-speed'))
  fireEvent.click(screen.getByLabelText("The gearbox is the vehicle's own, and stays"))
  fireEvent.click(screen.getByLabelText('Heater'))
  fireEvent.click(
    within(screen.getByRole('radiogroup', { name: /papers and the engine number/ })).getByLabelText(
      'No',
    ),
  )
  clickOn(/Start, and/)
  await waitFor(() => expect(router.state.location.pathname).toBe('/builds/b1/first'))
  expect(sent[0]!.body).toMatchObject({
    name: 'Cormorant',
    massKg: 1450,
    engine: { template: 'iron-eight', family: 'housing-no-3' },
    transmission: { template: 'heavy-five-speed', isRecipients: true },
    recipient: null,
    mustWork: ['heater'],
    stoppers: { papers: 'no' },
  })
  expect(localStorage.getItem('draft:start')).toBeNull()
})

test('what was answered at the start stays over a reload; Clear empties it', async () => {
  serve({ '/templates': TYPES })
  open(Start, '/start', '/start')
  fireEvent.change(await screen.findByLabelText('Name'), { target: { value: 'Half' } })
  cleanup()
  open(Start, '/start', '/start')
  expect(((await screen.findByLabelText('Name')) as HTMLInputElement).value).toBe('Half')
  clickOn('Clear')
  expect((screen.getByLabelText('Name') as HTMLInputElement).value).toBe('')
})

test("every question tells what a no means and how to find out when one doesn't know", async () => {
  serve({ '/templates': TYPES })
  open(Start, '/start', '/start')
  await screen.findByLabelText('Name')
  for (const { question, no, find, joint } of STOPPERS) {
    const group = screen.getByRole('group', { name: question })
    fireEvent.click(within(group).getByLabelText('No'))
    expect(within(group).getByText(no)).toBeTruthy()
    fireEvent.click(within(group).getByLabelText("Don't know"))
    expect(within(group).getByText(find)).toBeTruthy()
    expect(
      within(group).getByText(joint === null ? /Asked, not judged/ : /its joint is computed/),
    ).toBeTruthy()
  }
})

const FIRST = {
  pairing: 'Iron V eight with Heavy five-speed',
  engineId: 'e',
  transmissionId: 't',
  currency: 'EUR',
  joints: [
    {
      joint: 'depth',
      title: 'Depth',
      code: 'unmeasured',
      lean: 'likely',
      agreed: 4,
      stated: 8,
      evidence: null,
      missing: 4,
      minutes: 40,
    },
    {
      joint: 'torque',
      title: 'Torque',
      code: 'fits',
      lean: 'likely',
      agreed: 2,
      stated: 2,
      evidence: 'assumed',
      missing: 0,
      minutes: 0,
    },
  ],
  stoppers: STOPPERS.map((stopper) => ({ ...stopper, says: null })),
  counts: { yes: 60, leansYes: 30, open: 80, folded: 40, assumed: 150 },
  totals: {
    currency: 'EUR',
    likely: { low: 230000, high: 950000 },
    middleMinor: 500000,
    outer: { low: 90000, high: 2400000 },
    dots: [],
    hours: { low: 60, high: 140 },
    hoursMiddle: 90,
    labour: { low: 1500, high: 5000 },
    openLines: { low: 0, high: 1 },
    unpriced: 1,
    againstRepair: null,
    drives: [],
    settled: 0,
    lines: 90,
    open: 50,
    questions: 1,
    contingency: 0,
    contingencyMinor: 0,
    committedMinor: 0,
    likeForLikeMinor: null,
    planMinor: null,
    leftoversMinor: 0,
    planStatus: null,
    planIsCurrent: false,
    proven: null,
    pairing: 'Iron V eight with Heavy five-speed',
  },
  questions: [
    {
      key: 'engine.throttle',
      asks: 'A cable at its throttle, or a plug?',
      found: 'look',
      values: ['cable', 'wire'],
      assumed: 'cable',
      spreadMinor: 14000,
      lines: [{ id: 'throttle-cable/engine top/main', words: 'Throttle cable' }],
    },
  ],
  blockers: [{ id: 'papers-missing/papers/main', words: 'Papers missing', why: 'Not in hand' }],
  measure: [
    {
      port: 'e/crank-flange/main',
      field: 'proudMm',
      label: 'Flange proud',
      partName: 'Iron V eight',
      minutes: 5,
      joints: ['depth'],
    },
  ],
}

test('the first answer: ranges, leaning where nothing is measured, what has no range said so', async () => {
  serve({ '/builds/b/first-answer': FIRST })
  open(First, '/builds/:build/first', '/builds/b/first')
  const sums = await screen.findByRole('region', { name: 'Price and hours' })
  expect(sums.textContent).toMatch(/€\s?2\s?300.*€\s?9\s?500/)
  expect(sums.textContent).toContain('60 to 140 h')
  expect(sums.textContent).toContain('1 have no price in EUR')
  expect(screen.getByRole('region', { name: 'This stops the build' }).textContent).toContain(
    'Papers missing',
  )
  const depth = screen.getByRole('row', { name: /Depth/ })
  expect(depth.textContent).toContain('likely')
  expect(depth.textContent).toContain('4 of 8')
  expect(screen.getByRole('row', { name: /Torque/ }).textContent).not.toContain('likely')
  expect(screen.getByText('Flange proud').closest('a')!.getAttribute('href')).toContain(
    'joint=depth',
  )
  expect(screen.getByText(/not an engineering approval/)).toBeTruthy()
})

test('what moves the total most is answered from the first answer; a stopper too', async () => {
  serve({ '/builds/b/first-answer': FIRST, '/builds/b/facts': { key: 'k', value: 'wire' } })
  open(First, '/builds/:build/first', '/builds/b/first')
  fireEvent.click(
    within(await screen.findByRole('group', { name: /A cable at its throttle/ })).getByLabelText(
      'Wire',
    ),
  )
  await waitFor(() =>
    expect(sent).toContainEqual({
      method: 'POST',
      path: '/builds/b/facts',
      body: expect.objectContaining({ key: 'engine.throttle', value: 'wire' }),
    }),
  )
  fireEvent.click(
    within(screen.getByRole('group', { name: /rotate|turn the way the gearbox/ })).getByLabelText(
      'Yes',
    ),
  )
  await waitFor(() =>
    expect(sent.at(-1)).toMatchObject({
      path: '/builds/b/stoppers',
      body: { question: 'rotation', says: 'yes' },
    }),
  )
})

const terms = (price: number) =>
  (
    [
      'price',
      'fetch',
      'strip',
      'repair',
      'missing',
      'selling',
      'disposal',
      'storage',
      'sale',
      'scrap',
    ] as const
  ).map((id) => ({
    id,
    words: id,
    how: id === 'strip' ? '6 h at the labour rate' : '',
    minor: id === 'price' ? price : id === 'strip' ? 28800 : 0,
  }))
const donor = (id: string, name: string, price: number, uses: string[], rest: object = {}) => ({
  id,
  version: 1,
  name,
  place: 'Quay',
  currency: 'EUR',
  note: null,
  net: { terms: terms(price), netMinor: price + 28800, uses, sells: [], scraps: [] },
  answered: 0,
  risks: [],
  absent: [],
  ...rest,
})

test('donors stand side by side: those that yield something first, the least net cost before the dearer; no rate is said', async () => {
  serve({
    '/builds/b/donors': {
      currency: 'EUR',
      labourRateMinor: 4800,
      donors: [
        donor('d1', 'Dear', 90000, ['Engine']),
        donor('d2', 'Useless', 100, []),
        donor('d3', 'Cheap', 30000, ['Engine']),
        { ...donor('d4', 'Abroad', 1, []), net: null, currency: 'XPF' },
      ],
    },
  })
  open(Donors, '/builds/:build/donors', '/builds/b/donors')
  await screen.findByRole('row', { name: /^Net cost/ })
  expect(
    screen
      .getAllByRole('columnheader')
      .slice(1)
      .map((head) => /^(Cheap|Dear|Abroad|Useless)Quay/.exec(head.textContent ?? '')?.[1]),
  ).toEqual(['Cheap', 'Dear', 'Abroad', 'Useless'])
  expect(screen.getByText(/no exchange rate from XPF/)).toBeTruthy()
  expect(screen.getByRole('row', { name: /^strip/ }).textContent).toContain(
    '6 h at the labour rate',
  )
})

test('what a sheet puts at risk stands with its donor, and the way to what was typed of it', async () => {
  serve({
    '/builds/b/donors': {
      currency: 'EUR',
      labourRateMinor: 0,
      donors: [
        {
          ...donor('d1', 'Dear', 90000, []),
          version: 7,
          priceMinor: 90000,
          saleFee: 0.1,
          risks: [{ question: 'hit-rear', words: 'Hit behind', risk: 'Axle pushed' }],
          absent: ['Starter'],
          answered: 3,
        },
      ],
    },
  })
  open(Donors, '/builds/:build/donors', '/builds/b/donors')
  expect(await screen.findByText('Hit behind: Axle pushed')).toBeTruthy()
  expect(screen.getByText('Starter')).toBeTruthy()
  expect(screen.getByRole('link', { name: /3 answered/ })).toBeTruthy()
  expect(screen.getByRole('link', { name: /Change Dear/ }).getAttribute('href')).toBe(
    '/catalogue/donors/d1',
  )
})

test('a donor opened: amounts and what it yields are saved together on the newest version', async () => {
  const item = { id: 'i1', version: 1, partId: 'wick', partName: 'Wick', partKind: 'engine' }
  serve({
    '/donors/d1': {
      ...donor('d1', 'Dear', 90000, []),
      version: 7,
      priceMinor: 90000,
      saleFee: 0.1,
      items: [
        { ...item, quantity: 1, stripHours: 6, saleMinor: 42000, chance: 0.5, sellingHours: 2 },
      ],
    },
  })
  open(Donor, '/catalogue/donors/:donor', '/catalogue/donors/d1')
  fireEvent.input(await screen.findByLabelText('Price'), { target: { value: '850' } })
  fireEvent.change(screen.getByLabelText('Sale price, Wick'), { target: { value: '400' } })
  fireEvent.change(screen.getByLabelText('Strip hours, Wick'), { target: { value: 'a day' } })
  clickOn('Save the donor')
  expect((await screen.findByRole('alert')).textContent).toContain('Wick, strip hours: "a day"')
  expect(sent).toEqual([])
  fireEvent.change(screen.getByLabelText('Strip hours, Wick'), { target: { value: '5' } })
  clickOn('Save the donor')
  await waitFor(() =>
    expect(sent[0]).toMatchObject({
      method: 'PATCH',
      path: '/donors/d1',
      body: {
        version: 7,
        priceMinor: 85000,
        saleFee: 0.1,
        items: [{ partId: 'wick', quantity: 1, stripHours: 5, saleMinor: 40000, chance: 0.5 }],
      },
    }),
  )
})

test('the sheet: cautions at their steps, a risk under a bad answer, a quantity read as typed, pieces of this pairing', async () => {
  serve({
    '/builds/b/donors/d/sheet': {
      donor: { id: 'd', name: 'Pinnace', place: null },
      build: 'Lantern',
      pieces: [{ question: 'has:starter', words: 'Starter' }],
      answers: {},
    },
    '/settings': { units: {}, tolerances: {} },
  })
  open(Sheet, '/builds/:build/donors/:donor/sheet', '/builds/b/donors/d/sheet')
  await screen.findByRole('heading', { name: 'Pinnace' })
  for (const words of [
    /Fuel smell/,
    /never on a jack alone/,
    /Airbags, fired or not/,
    /Refrigerant is recovered/,
  ])
    expect(screen.getAllByText(words)).toHaveLength(1)
  fireEvent.click(within(screen.getByRole('group', { name: 'Hit behind' })).getByLabelText('Hit'))
  expect(screen.getAllByText(/Axle pushed/)).toHaveLength(2)
  fireEvent.click(within(screen.getByRole('group', { name: 'Starter' })).getByLabelText('No'))
  fireEvent.change(screen.getByLabelText('Oil pressure, warm, at idle'), {
    target: { value: '20 psi' },
  })
  expect(screen.getByText(/^reads 13[78].* kPa$/)).toBeTruthy()
  fireEvent.blur(screen.getByLabelText('Oil pressure, warm, at idle'))
  await waitFor(() =>
    expect(Object.assign({}, ...sent.map((one) => one.body.answers))).toMatchObject({
      'hit-rear': { value: 'yes' },
      'has:starter': { value: 'no' },
      'oil-pressure': { value: '20 psi' },
    }),
  )
})

test('people, backups and trash: a restore asks first and names what it does', async () => {
  serve({
    '/people': { items: [{ id: 'p', version: 2, name: 'Ida', decimal: 'ask' }] },
    '/backups': {
      items: [{ name: 'junket-x.sqlite', at: '2026-11-01T08:00:00Z', bytes: 2048, why: 'day' }],
    },
    '/trash': {
      items: [{ id: 't', entity: 'build', at: '2026-11-01T08:00:00Z', name: 'Lantern', rows: 12 }],
    },
    '/session': { asks: true, signedIn: true, hasPasscode: true },
  })
  open(Safekeeping, '/safekeeping', '/safekeeping')
  clickOn(await waitFor(() => /^Restore the backup/))
  expect(sent).toEqual([])
  expect(screen.getByText(/Everything goes back to what it was then/)).toBeTruthy()
  clickOn('Leave it')
  clickOn(/^Restore the backup/)
  clickOn('Restore this backup')
  await waitFor(() =>
    expect(sent[0]).toMatchObject({ method: 'POST', path: '/backups/junket-x.sqlite/restore' }),
  )
  clickOn('Put back Lantern')
  await waitFor(() => expect(sent.at(-1)).toMatchObject({ path: '/trash/t/restore' }))
  await choose('What a comma means to Ida', '1,500 is one and a half')
  await waitFor(() =>
    expect(sent.at(-1)).toMatchObject({
      method: 'PATCH',
      path: '/people/p',
      body: { version: 2, decimal: 'comma' },
    }),
  )
  expect(screen.getByRole('button', { name: 'Sign out' })).toBeTruthy()
})

test('the history tells who, what, from and to, money as money, and puts one entry back', async () => {
  serve({
    '/history': {
      items: [
        {
          id: 9,
          at: '2026-11-02T10:00:00Z',
          who: 'Bram',
          entity: 'build',
          act: 'update',
          before: { likeForLikeMinor: 295000, mustWork: ['heater'], recipientId: 'packet' },
          after: { likeForLikeMinor: 320000, mustWork: [], recipientId: 'hawser' },
          name: 'Lantern',
          currency: 'EUR',
          names: { packet: 'Packet van', hawser: 'Hawser truck' },
        },
        {
          id: 8,
          at: '2026-11-02T09:00:00Z',
          who: 'Ida',
          entity: 'claim',
          act: 'insert',
          before: null,
          after: { field: 'boreMm', typed: '25', grade: 'measured' },
          name: 'wick pilot bore',
          currency: null,
          names: {},
        },
      ],
      next: 8,
    },
  })
  open(() => <HistoryButton entity="build" id="b" title="Lantern" />, '/h', '/h')
  clickOn('History')
  const dialog = await screen.findByRole('dialog', { name: 'History: Lantern' })
  await within(dialog).findByText('Bram')
  expect(dialog.textContent).toMatch(/€.2.950\.00.*€.3.200\.00/)
  expect(dialog.textContent).toContain('heater')
  expect(dialog.textContent).toContain('25, measured')
  // Another row is told by its name.
  expect(dialog.textContent).toContain('Packet van to Hawser truck')
  fireEvent.click(within(dialog).getByRole('button', { name: /^Put back build/ }))
  await waitFor(() => expect(sent[0]).toMatchObject({ method: 'POST', path: '/history/9/restore' }))
  expect(within(dialog).getByRole('button', { name: 'Earlier' })).toBeTruthy()
})

test('shop mode shows one line at a time, the keys and the buttons alike; an empty build says what to do', async () => {
  const line = (id: string, words: string, cautions: string[] = []) => ({
    id,
    group: 'Clutch',
    state: 'open',
    outcome: 'yes',
    words,
    quantity: 2,
    why: [{ rule: 'x', words: 'Because' }],
    source: null,
    cautions,
  })
  serve({
    '/builds/b/parts': {
      lines: [line('a', 'Clutch disc', ['Asbestos.']), line('b', 'Cover bolts')],
      dropped: [],
      excluded: [],
    },
    '/builds/b': { build: { id: 'b', name: 'Lantern' }, engineId: null, transmissionId: null },
  })
  open(Shop, '/builds/:build/shop', '/builds/b/shop')
  expect((await screen.findByRole('heading', { level: 1 })).textContent).toBe('2 × Clutch disc')
  expect(screen.getByText('Asbestos.')).toBeTruthy()
  expect((screen.getByRole('button', { name: 'Back' }) as HTMLButtonElement).disabled).toBe(true)
  clickOn('Next')
  expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('2 × Cover bolts')
  expect(screen.queryByText('Asbestos.')).toBeNull()
  fireEvent.keyDown(document.body, { key: 'ArrowLeft', code: 'ArrowLeft' })
  await waitFor(() =>
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('2 × Clutch disc'),
  )
  cleanup()
  serve({
    '/builds/b/parts': { lines: [], dropped: [], excluded: [] },
    '/builds/b': { build: { id: 'b', name: 'Lantern' }, engineId: null, transmissionId: null },
  })
  open(Shop, '/builds/:build/shop', '/builds/b/shop')
  expect(await screen.findByText(/choose a pairing first/)).toBeTruthy()
})
