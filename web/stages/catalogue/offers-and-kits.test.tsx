// @vitest-environment jsdom

import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react'
import { afterEach, beforeEach, expect, test } from 'vitest'
import { choose } from '../../testing/choose.ts'
import { openPage } from '../../testing/open-page.tsx'
import { blankItem, kitItems } from './bundle-items.ts'
import { Component as KitPage } from './kit-page.tsx'
import { Offers } from './part-offers.tsx'

beforeEach(() => localStorage.clear())
afterEach(cleanup)

const OFFER = {
  id: 'o',
  version: 3,
  partId: 'p',
  supplierId: 's',
  issuerId: null,
  number: null,
  normalised: null,
  description: null,
  priceMinor: 11_460,
  currency: 'EUR',
  taxIncluded: true,
  pack: 1,
  stock: 2,
  leadDays: 4,
  condition: 'new',
  standing: 'trial',
  seenOn: '2020-01-01',
}
const ANSWERS = {
  '/offers': { items: [OFFER] },
  '/offers/o/prices': {
    items: [
      { day: '2019-02-01', priceMinor: 10_000, currency: 'EUR' },
      { day: '2020-01-01', priceMinor: 11_460, currency: 'EUR' },
    ],
  },
  '/suppliers': { items: [{ id: 's', name: 'Harbour Parts', currency: 'EUR', feedReadOn: null }] },
  '/settings': { timeZone: 'UTC' },
}
const PartOffers = () => <Offers part={{ id: 'p', name: 'Slip yoke' }} />

test('an offer says how far it has come and how old it is; it opens with what was asked, and is changed on its version', async () => {
  const sent = openPage(PartOffers, '/', '/', ANSWERS)
  const list = await screen.findByRole('list', { name: 'Offers' })
  expect(list.textContent).toContain('on trial')
  await waitFor(() => expect(list.textContent).toMatch(/\d+ days old, ask again/))
  fireEvent.click(screen.getByRole('button', { name: 'Change the offer of Harbour Parts' }))
  const dialog = await screen.findByRole('dialog')
  expect(await within(dialog).findByRole('row', { name: /2019-02-01/ })).toBeTruthy()
  fireEvent.change(within(dialog).getByLabelText(/Price a pack/), { target: { value: '119.50' } })
  await choose('Standing', 'sold')
  fireEvent.click(within(dialog).getByRole('button', { name: 'Save' }))
  await waitFor(() => expect(sent).toHaveLength(1))
  expect(sent[0]).toMatchObject({
    method: 'PATCH',
    path: '/offers/o',
    body: { version: 3, priceMinor: 11_950, standing: 'shipping', stock: 2, leadDays: 4 },
  })
})

test('a part is wanted at most for so much', async () => {
  const sent = openPage(PartOffers, '/', '/', ANSWERS)
  fireEvent.click(await screen.findByText('We want it'))
  fireEvent.change(screen.getByLabelText(/At most/), { target: { value: '90' } })
  fireEvent.click(screen.getByRole('button', { name: 'Look out for it' }))
  await waitFor(() => expect(sent).toHaveLength(1))
  expect(sent[0]).toMatchObject({
    path: '/watches',
    body: { partId: 'p', currency: 'EUR', mostMinor: 9000 },
  })
})

test('a piece by kind and number goes out as that; how it is had again goes with it; a figure that is none names its piece', () => {
  const by = { kind: 'pilot', issuer: 'QSD', number: 'P 15' }
  const typed = { ...blankItem({ id: 'QSD P 15', name: 'QSD P 15' }), by, hadAgain: ' Turned ' }
  expect(kitItems([typed, blankItem({ id: 'disc', name: 'Disc' })])).toEqual([
    { ...by, quantity: 1, hadAgain: 'Turned' },
    { partId: 'disc', quantity: 1, hadAgain: null },
  ])
  expect(() => kitItems([{ ...typed, quantity: 'two' }])).toThrow('QSD P 15, number off: "two"')
})

test('a kit is changed with how good it is said to be; where nothing is said nothing is sent', async () => {
  const kit = {
    id: 'k',
    version: 2,
    name: 'Tessil kit',
    supplierId: null,
    priceMinor: 36_900,
    currency: 'EUR',
    taxIncluded: true,
    weightG: null,
    omits: null,
    note: null,
    standing: null,
    quality: { holeProcess: 'reamed', designYear: 2024 },
    items: [
      {
        id: 'i',
        version: 1,
        kitId: 'k',
        partId: 'p',
        quantity: 1,
        hadAgain: null,
        partName: 'Plate',
        partKind: 'plate',
      },
    ],
  }
  const sent = openPage(KitPage, '/catalogue/kits/:kit', '/catalogue/kits/k', {
    '/kits/k': kit,
    '/suppliers': { items: [] },
  })
  const year = await screen.findByLabelText(/Designed in/)
  expect((year as HTMLInputElement).value).toBe('2024')
  fireEvent.change(year, { target: { value: '' } })
  fireEvent.change(screen.getByLabelText('How Plate is had again'), {
    target: { value: 'Drawing kept' },
  })
  fireEvent.click(screen.getByRole('button', { name: 'Save the kit' }))
  await waitFor(() => expect(sent).toHaveLength(1))
  expect(sent[0]!.body).toMatchObject({
    version: 2,
    quality: { holeProcess: 'reamed', designYear: null },
    items: [{ partId: 'p', quantity: 1, hadAgain: 'Drawing kept' }],
  })
})
