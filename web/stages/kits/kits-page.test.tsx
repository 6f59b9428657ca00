// @vitest-environment jsdom

import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react'
import { afterEach, beforeEach, expect, test } from 'vitest'
import type { KitsCompared } from '../../../contract/answers/kits.ts'
import { openPage } from '../../testing/open-page.tsx'
import { Component as Kits } from './kits-page.tsx'

beforeEach(() => localStorage.clear())
afterEach(cleanup)

type Kit = KitsCompared['kits'][number]
const joint = (id: string, code: 'fits' | 'bridge', words: string): Kit['joints'][number] => ({
  joint: id,
  title: id === 'depth' ? 'Depth' : 'Block face to bellhousing',
  code,
  lean: 'likely',
  evidence: 'maker',
  words,
  limit: null,
})
const kit = (id: string, rest: Partial<Kit> = {}): Kit => ({
  id,
  name: `Kit ${id}`,
  supplier: 'Tessil Works',
  standing: null,
  priceMinor: 36_900,
  omits: null,
  note: null,
  quality: [{ label: 'Plate, mm', value: '12', from: 'known' }],
  cautions: [],
  joints: [joint('depth', 'fits', 'Agrees'), joint('block-face', 'fits', 'Agrees')],
  beside: [],
  depthMm: 0,
  offset: { valueMm: 0, plusMinusMm: 0.1, mostMm: 0.125 },
  wall: { between: 'front hole 1 and rear hole 1', wallMm: 12.9, wantedMm: 8.5 },
  pieces: [
    { id: `${id}-1`, name: 'Pilot bush', kind: 'Pilot', quantity: 1, wears: true, hadAgain: null },
  ],
  reports: [],
  lines: [
    { need: 'plate', words: 'Adapter plate', from: 'this kit', source: 'in this kit', minor: null },
    {
      need: 'seal',
      words: 'Rear main seal',
      from: 'elsewhere',
      source: 'Seal, Harbour',
      minor: 2_520,
    },
  ],
  clashes: 0,
  bridges: 0,
  unmeasured: 0,
  partsMinor: 300_000,
  openMinor: 20_000,
  hours: 220,
  labourMinor: 1_000_000,
  totalMinor: 1_320_000,
  status: 'proven',
  ...rest,
})
const AT_HAND = {
  items: ['a', 'b', 'c', 'd', 'e'].map((id, i) => ({
    id,
    name: `Kit ${id}`,
    joints: 10,
    good: 10 - i,
    open: i,
    clashes: 0,
    pieces: 2,
    beside: i === 1 ? 1 : 0,
  })),
  choice: null,
}
const COMPARED: KitsCompared = {
  currency: 'EUR',
  kits: [
    kit('a'),
    kit('b', {
      depthMm: -4,
      joints: [joint('depth', 'bridge', 'Nose too short'), joint('block-face', 'fits', 'Agrees')],
      cautions: ['Plate, mm: said to be 12, known as 8.'],
      reports: [
        {
          id: 'r',
          about: 'kit',
          outcome: 'failed',
          what: 'Would not free',
          howMany: 4,
          grade: 'heard',
          source: 'Harbour talk',
          day: null,
        },
      ],
      totalMinor: 1_300_000,
    }),
  ],
  recommended: { kitId: 'a', because: ['Kit b: 4 say that it failed, 1 that it held'] },
}
const open = (answers: Record<string, unknown> = {}, at = '/builds/lantern/kits?kits=a,b') =>
  openPage(Kits, '/builds/:build/kits', at, {
    '/builds/lantern/kits': AT_HAND,
    '/builds/lantern/kits/compared': COMPARED,
    ...answers,
  })

test('only joints that differ stand in the table, with what each kit leaves and what is said of it', async () => {
  open()
  const table = await screen.findByRole('table', { name: 'Kits compared' })
  const row = (name: RegExp) => within(table).getByRole('row', { name })
  expect(row(/^Flywheel off by/).textContent).toContain('-4.00 mm')
  expect(row(/^Depth/).textContent).toContain('Nose too short')
  expect(within(table).queryByRole('row', { name: /^Block face/ })).toBeNull()
  expect(screen.getByText('1 joint reads alike with all of them.')).toBeTruthy()
  expect(row(/^Lines/).textContent).toContain('Brings Adapter plate.')
  // What is got alike with both is counted, not listed.
  expect(row(/^Lines/).textContent).not.toContain('Rear main seal')
  expect(row(/^Lines/).textContent).toContain('1 more, alike with all of them.')
  expect(row(/^Had again/).textContent).toContain('nobody says how')
  expect(row(/^Said of it/).textContent).toContain('4 say so of the kit, Harbour talk')
  expect(row(/^How good/).textContent).toContain('said to be 12, known as 8.')
  expect(row(/^To finish/).textContent).toContain('220 hours')
})

test('another kit than is recommended asks why; the recommended one does not', async () => {
  open()
  fireEvent.click(await screen.findByRole('button', { name: 'Take Kit b' }))
  const dialog = await screen.findByRole('dialog')
  expect(dialog.textContent).toContain('By the figures Kit a comes first')
  expect(within(dialog).getByLabelText(/Why this one all the same/)).toBeTruthy()
  fireEvent.click(within(dialog).getByRole('button', { name: 'Close' }))
  fireEvent.click(screen.getByRole('button', { name: 'Take Kit a' }))
  const other = await screen.findByRole('dialog')
  expect(other.textContent).not.toContain('comes first')
  expect(within(other).getByLabelText(/Why, for whoever asks later/)).toBeTruthy()
})

test('the first three are compared until somebody picks; a fifth cannot be picked beside four; one alone compares nothing', async () => {
  open({}, '/builds/lantern/kits')
  const boxes = await screen.findAllByRole('checkbox')
  expect(boxes.filter((box) => (box as HTMLInputElement).checked)).toHaveLength(3)
  fireEvent.click(boxes[3]!)
  await waitFor(() =>
    expect((screen.getAllByRole('checkbox')[4] as HTMLInputElement).disabled).toBe(true),
  )
  for (const at of [0, 1, 2]) fireEvent.click(screen.getAllByRole('checkbox')[at]!)
  expect(await screen.findByText('Pick two at least.')).toBeTruthy()
})

test('what was taken against the advice is said with its reason; no kit at all says what to do', async () => {
  open({
    '/builds/lantern/kits': {
      ...AT_HAND,
      choice: {
        id: 'c',
        version: 1,
        buildId: 'lantern',
        kitId: 'b',
        recommendedId: 'a',
        because: 'We ream the dowels',
        reasons: [],
        saidBy: 'Ida',
        day: '2026-11-30',
      },
    },
  })
  const said = await screen.findByText(/was taken on 2026-11-30 by Ida/)
  expect(said.textContent).toContain('where Kit a was recommended: We ream the dowels')
  cleanup()
  open({ '/builds/lantern/kits': { items: [], choice: null } })
  expect(await screen.findByText(/No kit in the catalogue holds a piece/)).toBeTruthy()
})

test('where none can be recommended each says why', async () => {
  open({
    '/builds/lantern/kits/compared': {
      ...COMPARED,
      recommended: { kitId: null, because: ['Kit a: 1 joint cannot go together'] },
    },
  })
  const region = await screen.findByRole('region', { name: 'Recommended' })
  expect(region.textContent).toContain('None of these can be recommended')
  expect(region.textContent).toContain('1 joint cannot go together')
})
