import { expect, test } from 'vitest'
import { readTried } from './tried.ts'

const read = (typed: Readonly<Record<string, string>>) => readTried((id) => typed[id] ?? '', {})

test('nothing typed leaves the vehicle as it is, on a hill of 6 % at 80', () => {
  const { whatIf, where, cruiseKmh, faults } = read({})
  expect(Object.values(whatIf).every((value) => value === null)).toBe(true)
  expect([where.hillPercent, where.trailerKg, cruiseKmh]).toEqual([6, 0, 80])
  expect(faults).toEqual({})
})

test('figures are read with their units; ratios in any spelling of the point', () => {
  const { whatIf } = read({ torque: '150 lbf·ft', radius: '12 in', gears: '3,9 2.26 1.41 1' })
  expect(whatIf.torqueNm).toBeCloseTo(203.37, 2)
  expect(whatIf.radiusMm).toBeCloseTo(304.8, 6)
  expect(whatIf.gears).toEqual([3.9, 2.26, 1.41, 1])
})

test('what cannot be is told at its field and left out', () => {
  const { whatIf, where, faults } = read({ final: '400', hill: 'steep', gears: '1 2 3' })
  expect([whatIf.final, whatIf.gears, where.hillPercent]).toEqual([null, null, 6])
  expect(faults.final).toContain('between 0.5 and 60')
  expect(faults.hill).toContain('is not a number')
  expect(faults.gears).toContain('lower than the one before')
})
