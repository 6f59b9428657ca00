import fc from 'fast-check'
import { expect, test } from 'vitest'
import { type DonorMoney, netCost } from './net-cost.ts'

const donor: DonorMoney = {
  priceMinor: 90000,
  fetchMinor: 12000,
  repairMinor: 5000,
  missingMinor: 8000,
  missingKind: null,
  disposalMinor: 6000,
  storageMinor: 3000,
  scrapMinor: 15000,
  saleFee: 1 / 6,
  pieces: [
    {
      id: 'engine',
      words: 'Engine',
      stripHours: 10,
      saleMinor: 60000,
      chance: 0.5,
      sellingHours: 2,
      held: false,
    },
    {
      id: 'doors',
      words: 'Doors',
      stripHours: 1,
      saleMinor: 30000,
      chance: 0.8,
      sellingHours: 1,
      held: false,
    },
    {
      id: 'seats',
      words: 'Seats',
      stripHours: 1,
      saleMinor: 3000,
      chance: 0.2,
      sellingHours: 1,
      held: false,
    },
    {
      id: 'axle',
      words: 'Axle',
      stripHours: 3,
      saleMinor: 40000,
      chance: 0.9,
      sellingHours: 1,
      held: true,
    },
  ],
}

test('every term of the formula, worked by hand', () => {
  const { terms, netMinor, uses, sells, scraps } = netCost(donor, new Set(['engine']), 5000)
  expect(Object.fromEntries(terms.map((term) => [term.id, term.minor]))).toEqual({
    price: 90000,
    fetch: 12000,
    strip: 11 * 5000,
    repair: 5000,
    missing: 8000,
    selling: 5000,
    disposal: 6000,
    storage: 3000,
    sale: -20000, // 300.00 × 0.8 × (1 − 1/6)
    scrap: -15000,
  })
  expect(netMinor).toBe(149000)
  expect([uses, sells, scraps]).toEqual([['Engine'], ['Doors'], ['Seats']])
})

test('a held piece is never sold; one that brings less than its hours goes with the scrap', () => {
  expect(netCost(donor, new Set(), 0).sells).toEqual(['Engine', 'Doors', 'Seats'])
  expect(netCost(donor, new Set(), 100000).sells).toEqual([])
})

const minor = fc.integer({ min: 0, max: 500000 })
const piece = fc.record({
  id: fc.uuid(),
  words: fc.constant('x'),
  stripHours: fc.integer({ min: 0, max: 20 }),
  saleMinor: minor,
  chance: fc.double({ min: 0, max: 1, noNaN: true }),
  sellingHours: fc.integer({ min: 0, max: 5 }),
  held: fc.boolean(),
})
const anyDonor = fc.record({
  priceMinor: minor,
  fetchMinor: minor,
  repairMinor: minor,
  missingMinor: minor,
  missingKind: fc.constantFrom(null, 'starter', 'disc'),
  disposalMinor: minor,
  storageMinor: minor,
  scrapMinor: minor,
  saleFee: fc.double({ min: 0, max: 1, noNaN: true }),
  pieces: fc.array(piece, { maxLength: 6 }),
})

test('the terms sum to the net; a dearer price raises it by as much; selling is done only where it lowers it', () => {
  fc.assert(
    fc.property(anyDonor, minor, minor, (one, rate, more) => {
      const net = netCost(one, new Set(), rate)
      expect(net.terms.reduce((sum, term) => sum + term.minor, 0)).toBe(net.netMinor)
      expect(netCost({ ...one, priceMinor: one.priceMinor + more }, new Set(), rate).netMinor).toBe(
        net.netMinor + more,
      )
      expect(net.netMinor).toBeLessThanOrEqual(
        netCost({ ...one, pieces: [] }, new Set(), rate).netMinor,
      )
    }),
  )
})

test('what is missing is charged where no line of the build has it', () => {
  const lacks = { ...donor, missingKind: 'starter' }
  const net = (lines: string[]) => netCost(lacks, new Set(), 5000, new Set(lines)).netMinor
  expect(net([]) - net(['starter'])).toBe(lacks.missingMinor)
  expect(net(['disc'])).toBe(net([]))
})
