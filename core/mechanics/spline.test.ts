import fc from 'fast-check'
import { expect, test } from 'vitest'
import { isSpline, parseSpline } from './spline.ts'

test.each([
  ['26 spline 1-1/8', 26, 28.575],
  ['26 splines 1 1/8 in', 26, 28.575],
  ['10 spline x 1-1/8"', 10, 28.575],
  ['23 teeth 25.4 mm', 23, 25.4],
  ['21-spline 1.0625 in', 21, 26.9875],
])('%s is %d splines on Ø %d mm', (typed, splines, majorMm) => {
  expect(parseSpline(typed)).toEqual({ splines, majorMm })
})

test.each([
  '26',
  'spline 1-1/8',
  '2 spline 20 mm',
  '26 spline',
  '26 spline wide',
  '26 spline 0 mm',
])('"%s" is refused', (typed) => {
  expect(() => parseSpline(typed)).toThrow(/spline|number|Ø/)
})

test('any count on any Ø reads back', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 3, max: 60 }),
      fc.integer({ min: 5000, max: 60_000 }),
      (splines, um) => {
        const said = `${splines} spline ${um / 1000} mm`
        expect([isSpline(said), parseSpline(said)]).toEqual([true, { splines, majorMm: um / 1000 }])
      },
    ),
    { numRuns: 2000, seed: 5 },
  )
})
