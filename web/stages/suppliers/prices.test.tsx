// @vitest-environment jsdom

import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react'
import { afterEach, beforeEach, expect, test } from 'vitest'
import type { FeedReading } from '../../../contract/answers/feeds.ts'
import { ageWords } from '../../components/standing.tsx'
import { openPage } from '../../testing/open-page.tsx'
import { readingWords } from './readings.tsx'
import { Component as Suppliers } from './suppliers-page.tsx'
import { Component as Wanted } from './wanted-page.tsx'

beforeEach(() => localStorage.clear())
afterEach(cleanup)

const reading = (rest: Partial<FeedReading> = {}): FeedReading => ({
  at: '2026-11-30T08:00:00.000Z',
  isRead: true,
  again: 0,
  waitedMs: 0,
  rows: 354,
  added: 0,
  updated: 0,
  moved: 0,
  gone: 0,
  badCount: 0,
  bad: [],
  why: null,
  ...rest,
})
const SUPPLIER = {
  id: 'oarsman',
  version: 1,
  name: 'Oarsman Trade Counter',
  place: 'Outer quay',
  currency: 'EUR',
  minimumMinor: 2500,
  shippingMinor: 690,
  freeOverMinor: null,
  offerList: null,
  feed: { address: 'http://127.0.0.1:4174/oarsman', everyHours: null },
  feedReadOn: null,
  returnDays: 14,
}

test('how a reading went is one sentence: what it found, what it left out, how often it asked again', () => {
  expect(readingWords(reading())).toBe('354 offers read')
  expect(
    readingWords(
      reading({ rows: 1, added: 1, moved: 1, gone: 2, badCount: 1, again: 1, waitedMs: 500 }),
    ),
  ).toBe('1 offer read, 1 new, 1 price moved, 2 ended, 1 item left out as wrong, asked again once')
  expect(readingWords(reading({ isRead: false, why: 'Page 1 could not be reached.' }))).toBe(
    'Page 1 could not be reached.',
  )
})

test('how old a price is, in words', () => {
  expect(ageWords('2026-10-20', null, '2026-11-30')).toBe('41 days old')
  expect(ageWords('2026-10-20', '2026-11-29', '2026-11-30')).toBe('1 day old')
  expect(ageWords('2026-11-30', null, '2026-11-30')).toBe('of today')
  expect(ageWords(null, null, '2026-11-30')).toBe('of unknown age')
})

test('prices are fetched from the list of suppliers; a supplier that has no address has no such button', async () => {
  const sent = openPage(Suppliers, '/suppliers', '/suppliers', {
    '/suppliers': { items: [SUPPLIER, { ...SUPPLIER, id: 'b', name: 'Breakers', feed: null }] },
    '/suppliers/oarsman/readings': reading({ moved: 3 }),
    '/settings': { timeZone: 'UTC' },
  })
  fireEvent.click(
    await screen.findByRole('button', { name: 'Fetch the prices of Oarsman Trade Counter' }),
  )
  await waitFor(() =>
    expect(sent).toContainEqual({
      method: 'POST',
      path: '/suppliers/oarsman/readings',
      body: null,
    }),
  )
  expect(screen.queryByRole('button', { name: 'Fetch the prices of Breakers' })).toBeNull()
  expect(screen.getByRole('row', { name: /Oarsman/ }).textContent).toContain('never yet')
})

test('a supplier is saved with where its prices are, how often, and until when it takes back', async () => {
  const sent = openPage(Suppliers, '/suppliers', '/suppliers', {
    '/suppliers': { items: [SUPPLIER] },
    '/suppliers/oarsman/readings': {
      items: [
        reading({
          badCount: 1,
          bad: [{ line: 90, column: 'price', message: '"about 5" is not a price.' }],
        }),
      ],
    },
    '/reports': {
      items: [
        {
          id: 'r',
          version: 1,
          kitId: null,
          partId: null,
          supplierId: 'oarsman',
          outcome: 'held',
          what: 'Parcels as promised',
          howMany: 5,
          grade: 'fitted',
          source: null,
          saidBy: null,
          day: null,
        },
      ],
    },
    '/settings': { timeZone: 'UTC' },
  })
  fireEvent.click(await screen.findByRole('button', { name: 'Change Oarsman Trade Counter' }))
  const dialog = await screen.findByRole('dialog')
  expect((await within(dialog).findByRole('list', { name: 'Readings' })).textContent).toContain(
    'Item 90, price: "about 5" is not a price.',
  )
  expect(await within(dialog).findByText('5 say that it held, 0 that it failed.')).toBeTruthy()
  fireEvent.change(within(dialog).getByLabelText(/Fetched every, hours/), {
    target: { value: '12' },
  })
  fireEvent.click(within(dialog).getByRole('button', { name: 'Save' }))
  await waitFor(() => expect(sent).toHaveLength(1))
  expect(sent[0]!.body).toMatchObject({
    feed: { address: 'http://127.0.0.1:4174/oarsman', everyHours: 12 },
    returnDays: 14,
  })
})

test('wanted parts say whether they are to be had, are too dear, or nobody sells them', async () => {
  const row = {
    id: 'w1',
    version: 1,
    partId: 'plate',
    buildId: null,
    mostMinor: 24_000,
    currency: 'EUR',
    note: 'A second one',
    day: '2026-10-02',
    partName: 'Plate',
    buildName: null,
    best: { supplier: 'Tessil Works', minor: 23_000, heardOn: '2026-11-29' },
    announced: false,
    isHad: true,
  }
  const sent = openPage(Wanted, '/wanted', '/wanted', {
    '/watches': {
      items: [
        row,
        { ...row, id: 'w2', partName: 'Dear plate', isHad: false },
        { ...row, id: 'w3', partName: 'New plate', best: null, announced: true, isHad: false },
        { ...row, id: 'w4', partName: 'Lost plate', best: null, isHad: false },
      ],
    },
    '/settings': { timeZone: 'UTC' },
  })
  const text = async (name: RegExp) => (await screen.findByRole('row', { name })).textContent
  expect(await text(/^Plate/)).toContain('To be had: Tessil Works')
  expect(await text(/^Dear plate/)).toContain('Too dear: Tessil Works')
  expect(await text(/^New plate/)).toContain('announced, not sold yet')
  expect(await text(/^Lost plate/)).toContain('nobody sells it')
  fireEvent.click(screen.getByRole('button', { name: 'Want Lost plate no more' }))
  await waitFor(() => expect(sent[0]).toMatchObject({ method: 'DELETE', path: '/watches/w4' }))
})
