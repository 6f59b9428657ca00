import fc from 'fast-check'
import { expect, test } from 'vitest'
import { CLOCK, dowelCorrection, OFFSET_DOWELS_MM, sweepOf } from './concentricity.ts'

/** What an indicator on the crank reads in a round bore whose middle stands off by (x, y). */
const readings = (x: number, y: number, zero = 0): number[] =>
  CLOCK.map(({ degrees }) => {
    const angle = (degrees * Math.PI) / 180
    return zero - (x * Math.cos(angle) + y * Math.sin(angle))
  })
const small = fc.double({ min: -0.6, max: 0.6, noNaN: true })

test('12 o’clock is up, 3 o’clock is right, seen from the gearbox', () => {
  expect(CLOCK.map(({ degrees }) => degrees)).toEqual([90, 45, 0, 315, 270, 225, 180, 135])
})

// Common practice: offset = total indicator reading / 2.
test('a bore off to one side reads twice its offset, wherever the dial was set', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(0, 1, 2, 3, 4, 5, 6, 7),
      fc.double({ min: 0.01, max: 0.6, noNaN: true }),
      fc.double({ min: -5, max: 5, noNaN: true }),
      (at, off, zero) => {
        const angle = (CLOCK[at]!.degrees * Math.PI) / 180
        const sweep = sweepOf(readings(off * Math.cos(angle), off * Math.sin(angle), zero))
        expect(sweep.tirMm).toBeCloseTo(2 * off, 9)
        expect(sweep.offsetMm).toBeCloseTo(sweep.tirMm / 2, 9)
      },
    ),
  )
})

test('the offset comes back in size and direction, and nothing is left over', () => {
  fc.assert(
    fc.property(small, small, fc.double({ min: -5, max: 5, noNaN: true }), (x, y, zero) => {
      const sweep = sweepOf(readings(x, y, zero))
      expect(sweep.offset.x).toBeCloseTo(x, 9)
      expect(sweep.offset.y).toBeCloseTo(y, 9)
      expect(sweep.restMm).toBeLessThan(1e-9)
    }),
  )
})

test('a bore out of round is no offset: it stays in the rest', () => {
  const oval = CLOCK.map(({ degrees }) => 0.1 * Math.cos((2 * degrees * Math.PI) / 180))
  expect(sweepOf(oval).offsetMm).toBeLessThan(1e-9)
  expect(sweepOf(oval).restMm).toBeCloseTo(0.2, 9)
})

test('the correction moves the case back the way it stands off, by the dowel that leaves least', () => {
  fc.assert(
    fc.property(small, small, (x, y) => {
      if (Math.hypot(x, y) < 1e-3) return
      const { move, degrees, dowelMm, leftMm } = dowelCorrection(sweepOf(readings(x, y)))
      expect(move.x).toBeCloseTo(-x, 9)
      expect(move.y).toBeCloseTo(-y, 9)
      expect(Math.cos((degrees * Math.PI) / 180) * Math.hypot(x, y)).toBeCloseTo(-x, 9)
      for (const other of OFFSET_DOWELS_MM)
        expect(leftMm).toBeLessThanOrEqual(Math.abs(Math.hypot(x, y) - other) + 1e-12)
      expect(OFFSET_DOWELS_MM).toContain(dowelMm)
    }),
  )
})

test.each([[[]], [[0, 0, 0]], [[0, 0, 0, 0, 0, 0, 0, Number.NaN]]])('%j is no sweep', (all) => {
  expect(() => sweepOf(all)).toThrow('8 readings')
})
