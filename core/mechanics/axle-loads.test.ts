import fc from 'fast-check'
import { expect, test } from 'vitest'
import { axleLoads } from './axle-loads.ts'

const axles = { frontMm: 400, rearMm: 2900 }
const mass = fc.record({
  kg: fc.double({ min: 0, max: 400, noNaN: true }),
  alongMm: fc.double({ min: -200, max: 3200, noNaN: true }),
})

test('a mass over an axle stands on it alone, half way on both, ahead of the front it lifts the rear', () => {
  expect(axleLoads([{ kg: 100, alongMm: 400 }], axles)).toEqual({ frontKg: 100, rearKg: 0 })
  expect(axleLoads([{ kg: 100, alongMm: 1650 }], axles)).toEqual({ frontKg: 50, rearKg: 50 })
  expect(axleLoads([{ kg: 100, alongMm: 150 }], axles)).toEqual({ frontKg: 110, rearKg: -10 })
})

test('the axles carry what there is, whatever its order, and moving it back moves load back', () => {
  fc.assert(
    fc.property(fc.array(mass, { maxLength: 6 }), (masses) => {
      const { frontKg, rearKg } = axleLoads(masses, axles)
      const sum = masses.reduce((all, { kg }) => all + kg, 0)
      expect(frontKg + rearKg).toBeCloseTo(sum, 6)
      expect(axleLoads(masses.toReversed(), axles).frontKg).toBeCloseTo(frontKg, 6)
      const back = masses.map((one) => ({ ...one, alongMm: one.alongMm + 57 }))
      expect(axleLoads(back, axles).rearKg - rearKg).toBeCloseTo((sum * 57) / 2500, 6)
    }),
    { seed: 3 },
  )
})

test('axles the wrong way round are refused', () => {
  expect(() => axleLoads([], { frontMm: 2900, rearMm: 400 })).toThrow(/behind the front/)
})
