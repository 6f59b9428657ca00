// @vitest-environment jsdom

import { cleanup, fireEvent, render, screen } from '@testing-library/react'
import { SWRConfig } from 'swr'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import type { PairingFigures, Pairings } from '../../../contract/answers/pairings.ts'
import { BestThree } from './best-three.tsx'
import type { PairingRow } from './pairing-rows.ts'

let sent: unknown[] = []
beforeEach(() => {
  vi.stubGlobal('fetch', async (_: string, init: RequestInit = {}) => {
    if (init.method === 'PATCH') sent.push(JSON.parse(String(init.body)))
    return new Response(JSON.stringify({ units: {}, tolerances: {}, weights: {} }))
  })
})
afterEach(() => {
  cleanup()
  sent = []
  vi.unstubAllGlobals()
})

const figures = (likely: number, more: Partial<PairingFigures> = {}): PairingFigures => ({
  engineId: '',
  transmissionId: 'box',
  transferId: null,
  codes: 'f',
  closed: '-',
  grades: '3',
  claimed: [],
  conflicting: [],
  open: 0,
  stoppers: 0,
  minutes: 0,
  hours: { low: 0, high: 0 },
  money: { low: likely - 100, likely, high: likely + 100 },
  jointHours: 0,
  cuts: 0,
  makes: 0,
  piecesMinor: 0,
  closedBy: [],
  marginNm: 1,
  massChangeKg: null,
  frontChangeKg: null,
  cruiseRpm: null,
  hillTopKmh: null,
  toHundredS: null,
  ...more,
})
const row = (
  engine: string,
  found: PairingFigures | null,
  more: Partial<PairingRow> = {},
): PairingRow => ({
  engineId: engine,
  transmissionId: 'box',
  transferId: null,
  key: engine,
  engine,
  transmission: 'Box',
  transfer: null,
  family: null,
  type: null,
  engineAt: 'elsewhere',
  transmissionAt: 'elsewhere',
  engineFigure: null,
  gearboxFigure: null,
  chosen: false,
  joints: [
    { joint: 'depth', code: 'fits', closed: null, evidence: null, lean: null, conflicts: false },
  ],
  weakest: null,
  promise: 0,
  figures: found,
  ...more,
})
const pairings: Pairings = {
  school: 'keep',
  currency: 'EUR',
  euroMinor: 100,
  repairMinor: null,
  limits: { money: 500_000, hours: null, boltIn: false, uncut: false },
  of: 6,
  joints: ['depth'],
  parts: [],
  rows: [],
}
const show = (rows: readonly PairingRow[], onLook = vi.fn()) => {
  render(
    <SWRConfig value={{ provider: () => new Map(), dedupingInterval: 0 }}>
      <BestThree pairings={pairings} rows={rows} isDone onLook={onLook} />
    </SWRConfig>,
  )
  return onLook
}
const clash = {
  joint: 'depth',
  code: 'clash',
  closed: null,
  evidence: null,
  lean: null,
  conflicts: false,
} as const

test('the three that come to least are proposed, with what adds up; what clashes, is too dear or came with the vehicle is not', () => {
  const rows = [
    row('Dear', figures(300_000)),
    row('Open', figures(100_000, { open: 2 })),
    row('Clean', figures(120_000)),
    row('Clashing', figures(1_000), { joints: [clash] }),
    row('Beyond', figures(900_000)),
    row('Own', figures(500), { engineAt: 'vehicle' }),
    row('Later', null),
  ]
  const onLook = show(rows)
  const items = screen.getAllByRole('listitem').map((one) => one.textContent ?? '')
  // Two open joints cost more than the money they save.
  expect(items.map((one) => one.split(' with ')[0])).toEqual(['Clean', 'Open', 'Dear'])
  expect(items[1]).toContain('2 not measured')
  expect(screen.getByRole('heading').textContent).toContain(
    'of 3 that can be; 2 clash or break a limit',
  )
  fireEvent.click(screen.getByRole('button', { name: 'Clean with Box' }))
  expect(onLook).toHaveBeenCalledWith(rows[2])
})

test('where none clears the brief it says so', () => {
  show([row('Beyond', figures(900_000))])
  expect(screen.getByText(/None clears the brief/)).toBeTruthy()
})

test('what is weighed is a price that is kept; nonsense is told and nothing is sent', () => {
  show([row('Clean', figures(120_000))])
  fireEvent.click(screen.getByRole('button', { name: 'What they are weighed by' }))
  const field = screen.getByLabelText(/a joint that is not measured/)
  const type = (value: string): void => {
    fireEvent.change(field, { target: { value } })
    fireEvent.blur(field)
  }
  type('a lot')
  expect([screen.getByRole('alert').textContent, sent]).toEqual([
    expect.stringContaining('"a lot" is not an amount'),
    [],
  ])
  // Reads two ways, or is less than nothing.
  for (const text of ['1.500', '-5']) type(text)
  expect([screen.queryByRole('alert') !== null, sent]).toEqual([true, []])
  type('75')
  expect(sent).toEqual([{ weights: { open: 75 } }])
})
