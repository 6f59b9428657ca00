import { expect, test } from 'vitest'
import { loadedRadius, markingFault, revsPerKm, tyreSize } from './tyre.ts'

// ETRTO / TRA marking: 205/55R16 → 631.9 mm, 503.7 rev/km unloaded.
test('205/55R16 is 631.9 mm and turns 503.7 times a kilometre', () => {
  expect(tyreSize('205/55R16').diameterMm).toBeCloseTo(631.9, 1)
  expect(revsPerKm(tyreSize('205/55R16').diameterMm)).toBeCloseTo(503.7, 1)
})

// Arithmetic of the markings; ratios that are not stated are common practice, no published source.
test.each([
  ['205/55R16', 16 * 25.4 + 2 * 205 * 0.55, 0],
  ['205/55 ZR 16', 16 * 25.4 + 2 * 205 * 0.55, 0],
  ['205/55R16 91V', 16 * 25.4 + 2 * 205 * 0.55, 0],
  ['LT235/85R16 120/116S', 16 * 25.4 + 2 * 235 * 0.85, 0],
  ['195/75R16C', 16 * 25.4 + 2 * 195 * 0.75, 0],
  ['295/80R22.5', 22.5 * 25.4 + 2 * 295 * 0.8, 0],
  ['195R14C', 14 * 25.4 + 2 * 195 * 0.82, 2 * 195 * 0.02],
  ['165 SR 13', 13 * 25.4 + 2 * 165 * 0.82, 2 * 165 * 0.02],
  ['31x10.50R15', 31 * 25.4, 0],
  ['31X10,50 R15 LT', 31 * 25.4, 0],
  ['33x12.50-15', 33 * 25.4, 0],
  ['7.50-16', 16 * 25.4 + 2 * 7.5 * 25.4 * 0.95, 2 * 7.5 * 25.4 * 0.05],
  ['6.00-16 6PR', 16 * 25.4 + 2 * 6 * 25.4 * 0.95, 2 * 6 * 25.4 * 0.05],
  ['6.00x16', 16 * 25.4 + 2 * 6 * 25.4 * 0.95, 2 * 6 * 25.4 * 0.05],
  ['7.50R16C', 16 * 25.4 + 2 * 7.5 * 25.4 * 0.9, 2 * 7.5 * 25.4 * 0.06],
  ['12.4-28', 28 * 25.4 + 2 * 12.4 * 25.4 * 0.95, 2 * 12.4 * 25.4 * 0.05],
])('%s is %d mm ± %d', (marking, diameterMm, plusMinusMm) => {
  const size = tyreSize(marking)
  expect(size.diameterMm).toBeCloseTo(diameterMm, 6)
  expect(size.plusMinusMm).toBeCloseTo(plusMinusMm, 6)
})

test.each(['fat ones', 'big', '205', '205/55', 'R16', '10x31R15', ''])(
  '"%s" says what to type, and gives no radius',
  (marking) => {
    expect(markingFault(marking)).toMatch(/side wall/)
    expect(loadedRadius(marking, 0.97).mm).toBeNaN()
  },
)

test('the loaded radius carries what the marking leaves open', () => {
  expect(loadedRadius('205/55R16', 0.97).mm).toBeCloseTo(306.5, 1)
  const { mm, ends } = loadedRadius('7.50-16', 0.97)
  expect(ends[1] - mm).toBeCloseTo(7.5 * 25.4 * 0.05 * 0.97, 6)
  expect(mm - ends[0]).toBeCloseTo(7.5 * 25.4 * 0.05 * 0.97, 6)
})
