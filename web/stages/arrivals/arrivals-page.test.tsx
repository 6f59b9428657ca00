// @vitest-environment jsdom

import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react'
import { afterEach, beforeEach, expect, test } from 'vitest'
import type { Arrivals } from '../../../contract/answers/arrivals.ts'
import { openPage } from '../../testing/open-page.tsx'
import { Component as Page } from './arrivals-page.tsx'

beforeEach(() => localStorage.clear())
afterEach(cleanup)

const size = (
  field: string,
  rest: Partial<Arrivals['arrivals'][number]['sizes'][number]> = {},
): Arrivals['arrivals'][number]['sizes'][number] => ({
  port: 'plate/plate/main',
  slot: 'main',
  field,
  label: 'Thickness',
  methods: ['micrometer', 'no such method'],
  minutes: 2,
  low: 11.3,
  high: 12.8,
  joints: ['Depth'],
  damage: true,
  fails: [],
  window: '11.3 to 12.8 mm',
  said: '12',
  is: null,
  isMiss: false,
  ...rest,
})
const arrival = (
  rest: Partial<Arrivals['arrivals'][number]> = {},
): Arrivals['arrivals'][number] => ({
  id: 'arrival-1',
  needId: 'plate/1',
  words: 'Adapter plate',
  partId: 'plate',
  partName: 'Tessil plate 12 mm',
  batch: 'B 14',
  day: '2026-11-20',
  saidBy: null,
  supplier: 'Tessil Works',
  rights: { until: '2026-12-04', daysLeft: 4 },
  sizes: [size('thicknessMm'), size('holes', { label: 'Bolt holes', slot: 'front', window: null })],
  caution: null,
  ...rest,
})
const open = (found: Partial<Arrivals>) =>
  openPage(Page, '/builds/:build/arrivals', '/builds/lantern/arrivals', {
    '/builds/lantern/arrivals': { arrivals: [], told: [], ...found },
  })

test('each size says what it may be, what was said, and at which face; until when it goes back stands beside', async () => {
  open({ arrivals: [arrival()] })
  const section = await screen.findByRole('region', { name: 'Adapter plate' })
  expect(section.textContent).toContain('batch B 14 · taken back until 2026-12-04, 4 days left')
  const row = within(section).getByRole('row', { name: /^Thickness/ })
  expect(row.textContent).toContain('11.3 to 12.8 mm')
  expect(row.textContent).toContain('not yet')
  expect(within(section).getByRole('row', { name: /^Bolt holes, front/ })).toBeTruthy()
  expect(within(section).queryByRole('alert')).toBeNull()
})

test('a size that is not as said stands out, with what to do before it cannot go back', async () => {
  open({
    arrivals: [
      arrival({
        sizes: [size('thicknessMm', { is: '11.2', isMiss: true, fails: ['Tip clear: too small'] })],
        caution:
          '1 size is not as said or not what the joint takes. It is taken back until 2026-12-04.',
        rights: { until: '2026-11-25', daysLeft: -5 },
      }),
    ],
  })
  expect((await screen.findByRole('alert')).textContent).toContain('taken back until 2026-12-04')
  const row = screen.getByRole('row', { name: /^Thickness/ })
  expect(row.textContent).toContain('11.2')
  expect(row.textContent).toContain('Tip clear: too small')
  expect(screen.getByText(/taken back until 2026-11-25: over/)).toBeTruthy()
})

test('what others found is told; nothing yet says how something comes here', async () => {
  open({
    told: [
      {
        partId: 'plate',
        partName: 'Tessil plate 12 mm',
        build: 'Sprat',
        batch: 'B 7',
        label: 'Thickness',
        is: '11.4',
        said: '12',
        day: '2026-11-29',
      },
    ],
  })
  expect((await screen.findByRole('note')).textContent).toBe(
    'Tessil plate 12 mm: Sprat measured thickness 11.4 where 12 was said, batch B 7. Measure yours when it comes.',
  )
  expect(screen.getByText(/Nothing came yet/)).toBeTruthy()
})

test('a size is measured in place, and a part that did not come is taken back', async () => {
  const sent = open({ arrivals: [arrival()] })
  fireEvent.click(await screen.findByRole('button', { name: 'Measure Thickness' }))
  const dialog = await screen.findByRole('dialog')
  expect(within(dialog).getByText(/Tessil plate 12 mm/)).toBeTruthy()
  fireEvent.click(within(dialog).getByRole('button', { name: 'Close' }))
  fireEvent.click(screen.getByRole('button', { name: 'Adapter plate did not come' }))
  await waitFor(() =>
    expect(sent).toContainEqual(
      expect.objectContaining({
        method: 'DELETE',
        path: '/builds/lantern/arrivals/arrival-1',
      }),
    ),
  )
})
