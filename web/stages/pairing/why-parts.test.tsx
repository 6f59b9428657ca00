// @vitest-environment jsdom

import { cleanup, fireEvent, render, screen, waitFor, within } from '@testing-library/react'
import { MemoryRouter } from 'react-router'
import { SWRConfig } from 'swr'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import type { PairingDetail } from '../../../contract/answers/pairings.ts'
import type { LimitRecord } from '../../../core/joints/verdict.ts'
import { designPlate } from '../../../core/patterns/plate.ts'
import { TorqueLine } from '../../components/charts/torque-line.tsx'
import { StackDrawing } from '../../drawing/stack.tsx'
import { Cautions } from './cautions.tsx'
import { Hardware } from './hardware.tsx'
import { PlateView } from './plate-view.tsx'
import { Shafts } from './shafts.tsx'

const ring = (radius: number, startDeg: number) =>
  Array.from({ length: 6 }, (_, i) => ({
    x: radius * Math.cos(((startDeg + 60 * i) * Math.PI) / 180),
    y: radius * Math.sin(((startDeg + 60 * i) * Math.PI) / 180),
    d: 10.5,
  }))
const face = (name: string, radius: number, startDeg: number) => ({
  name,
  holes: ring(radius, startDeg),
  dowels: [],
  outline: [],
})
const plate = (gearbox: ReturnType<typeof face>, depthMm: number) => {
  const engine = face('Engine', 180, 0)
  return {
    engine,
    gearbox,
    match: {
      met: [],
      missingA: [],
      missingB: [],
      odd: [],
      offsetMm: 0,
      turnDeg: 0,
      placement: { turn: 0, x: 0, y: 0 },
      worstMm: 0,
    },
    design: designPlate(engine, gearbox, depthMm, false),
  }
}
let answers: Record<string, unknown> = {}
const sent: any[] = []
beforeEach(() => {
  answers = {}
  sent.length = 0
  localStorage.clear()
  vi.stubGlobal('fetch', async (url: string, init?: RequestInit) => {
    if (init?.method === 'PATCH') {
      sent.push(JSON.parse(String(init.body)))
      answers = { ...answers, ...sent.at(-1).answers }
    }
    const body = String(url).includes('/shafts') ? shafts : { answers, passedOver: [] }
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
      <MemoryRouter>{what}</MemoryRouter>
    </SWRConfig>,
  )
const shafts = {
  currency: 'EUR',
  names: { i: 'Slip yoke', o: 'Rear half' },
  shafts: [
    {
      name: 'Propshaft',
      unknown: null,
      wanted: { inner: '24 splines', outer: 'flange 94', lengthMm: 1199, withinMm: 25 },
      search: {
        tried: 12,
        refused: { 'inner end': 6, 'outer end': 2, bar: 0, length: 3 },
        options: [
          {
            kind: 'off the shelf',
            halves: ['i', 'o'],
            lengthMm: 1199,
            overlapMm: 61,
            priceMinor: 21380,
            words: 'Two halves, 61 mm into each other',
          },
          {
            kind: 'custom',
            halves: [],
            lengthMm: 1199,
            overlapMm: null,
            priceMinor: null,
            words: 'Made to order',
          },
        ],
      },
    },
    {
      name: 'Left drive shaft',
      unknown: 'Measure the joint centres first.',
      wanted: null,
      search: null,
    },
  ],
}

test('a stack is drawn term by term to its sum, with the window in figures', () => {
  const term = (sign: 1 | -1, label: string, value: number) => ({
    sign,
    label,
    part: 'p',
    port: 'p/x/main',
    field: 'f',
    value,
    plusMinus: 0.1,
    grade: 'measured' as const,
  })
  const limit = {
    id: 'tip',
    label: 'Tip clear',
    unit: 'mm',
    terms: [term(1, 'Plate', 16), term(-1, 'Bottom', 12)],
    value: 4,
    plusMinus: 0.2,
    rootSumSquare: 0.14,
    low: 3,
    high: null,
    margin: 1,
    worstMargin: 0.8,
    damage: true,
    code: 'fits',
    words: 'Agrees',
    pieces: [],
  } as unknown as LimitRecord
  const { container } = render(<StackDrawing limit={limit} />)
  const drawn = within(screen.getByRole('img', { name: 'Tip clear, to scale: 4 mm' }))
  expect(drawn.getByText('+ 16 Plate')).toBeTruthy()
  expect(drawn.getByText('− 12 Bottom')).toBeTruthy()
  expect(drawn.getByText('from 3')).toBeTruthy()
  const [first, second] = [...container.querySelectorAll('rect')].map((one) =>
    Number(one.getAttribute('width')),
  )
  expect(first! / second!).toBeCloseTo(16 / 12)
  cleanup()
  expect(render(<StackDrawing limit={{ ...limit, value: null }} />).container.innerHTML).toBe('')
})

test('torque part by part: what passes its rating stands out, what is not known is said', () => {
  render(
    <MemoryRouter>
      <TorqueLine
        steps={[
          { part: 'Engine', demandNm: 300, isCapped: false, ratingNm: 250 },
          { part: 'Axle', demandNm: 2600, isCapped: true, ratingNm: null },
          { part: 'Output', demandNm: null, isCapped: false, ratingNm: null },
        ]}
      />
    </MemoryRouter>,
  )
  const said = (part: RegExp): string => screen.getByRole('row', { name: part }).textContent ?? ''
  expect(said(/^Axle/)).toContain('all the tyres hold')
  expect(said(/^Output/)).toContain('ratio not known')
  expect(said(/^Engine/)).toContain('less than arrives')
  expect(screen.getAllByText('less than arrives')).toHaveLength(1)
})

test('bolts say how deep and how tight, fits whether clear or tight; none of either shows nothing', () => {
  const set = {
    words: 'Bell to block',
    count: 7,
    thread: 'M10x1.5',
    pitchMm: 1.5,
    boltClass: '8.8' as const,
    gripMm: 12,
    lengthMm: 30,
    engagedMm: 15,
    tightness: 'In a cross pattern',
    drillMm: 8.5,
    edgeMm: 20,
    wallMm: 8,
  }
  render(
    <Hardware
      hardware={{
        bolts: [set],
        fits: [{ words: 'Pilot in its bore', leastMm: -0.03, greatestMm: -0.01, nominal: 'H7/p6' }],
      }}
    />,
  )
  expect(screen.getByText('7 × M10x1.5 × 30, 8.8')).toBeTruthy()
  expect(screen.getByText(/At least 15 mm screwed in, grip 12 mm.*drill 8.5/)).toBeTruthy()
  expect(screen.getByText('0.010 to 0.030 tight')).toBeTruthy()
  cleanup()
  expect(render(<Hardware hardware={{ bolts: [], fits: [] }} />).container.innerHTML).toBe('')
})

test('the plate says what it is and why, with its ways out; without both patterns it says what is missing', () => {
  const detail = (of: unknown) =>
    ({ engine: 'e', transmission: 'g', plate: of }) as unknown as PairingDetail
  show(<PlateView pairing={detail(plate(face('Gearbox', 140, 10), 16))} />)
  expect(screen.getByText('plain')).toBeTruthy()
  expect(screen.getByRole('link', { name: 'DXF for the cutter' }).getAttribute('href')).toContain(
    'plate.dxf?engine=e&transmission=g',
  )
  cleanup()
  show(<PlateView pairing={detail(plate(face('Gearbox', 180, 3), 16))} />)
  expect(screen.getByText('stepped')).toBeTruthy()
  expect(screen.getByText(/welded work distorts/)).toBeTruthy()
  cleanup()
  const missed = plate(face('Gearbox', 140, 10), 16)
  const odd = [{ face: 'b', index: 1, offMm: 4.2 } as const]
  show(<PlateView pairing={detail({ ...missed, match: { ...missed.match, odd } })} />)
  expect(screen.getByText('4.2 off')).toBeTruthy()
  cleanup()
  show(<PlateView pairing={detail(null)} />)
  expect(screen.getByText(/once the holes of both faces are known/)).toBeTruthy()
})

test('shafts: off the shelf with its price, to order without one, and why the rest were refused', async () => {
  show(<Shafts build="b" pairing={{ engine: 'e', transmission: 'g' } as PairingDetail} />)
  await screen.findByText('Slip yoke + Rear half')
  expect(screen.getByText('no price yet')).toBeTruthy()
  expect(
    screen.getByText(
      /12 pairs of halves tried; 6 refused by inner end; 2 refused by outer end; 3 refused by length\./,
    ),
  ).toBeTruthy()
  expect(screen.getByText('Measure the joint centres first.')).toBeTruthy()
})

test('a caution is shown until somebody ticks it as seen, and can be shown again', async () => {
  show(<Cautions build="b" joint="propshaft" cautions={['Chock the wheels.', 'Balance it.']} />)
  fireEvent.click((await screen.findAllByLabelText('Seen'))[0]!)
  await screen.findByText(/1 caution seen/)
  expect(screen.getAllByLabelText('Seen')).toHaveLength(1)
  await waitFor(() => expect(Object.keys(sent[0].answers)).toEqual(['propshaft:Chock the wheels.']))
  fireEvent.click(screen.getByRole('button', { name: 'Show again' }))
  await waitFor(() => expect(screen.getAllByLabelText('Seen')).toHaveLength(2))
  await waitFor(() => expect(localStorage.getItem('queue:/builds/b/sheets/cautions')).toBeNull())
})
