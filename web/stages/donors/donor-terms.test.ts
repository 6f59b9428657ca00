// @vitest-environment jsdom

import { expect, test } from 'vitest'
import type { Answer } from '../../../contract/asked.ts'
import { donorTerms } from './donor-terms.tsx'

type Donor = Answer<'GET /builds/{id}/donors'>['donors'][number]

test('amounts go to a file in whole units of their money, and what is not known as nothing', () => {
  const donor = (netMinor: number | null): Donor =>
    ({
      id: 'd',
      name: 'D',
      currency: 'EUR',
      net: netMinor === null ? null : { netMinor, terms: [] },
    }) as unknown as Donor
  const netOf = (netMinor: number | null, currency: string): string =>
    donorTerms([donor(netMinor)], currency)
      .find(({ id }) => id === 'net')!
      .text(donor(netMinor))
  // ISO 4217: the yen has no minor unit, the dinar of Kuwait three digits.
  expect([
    netOf(42000, 'EUR'),
    netOf(42000, 'JPY'),
    netOf(42000, 'KWD'),
    netOf(null, 'EUR'),
  ]).toEqual(['420.00', '42000', '42.000', ''])
})
