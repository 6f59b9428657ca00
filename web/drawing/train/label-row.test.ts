import fc from 'fast-check'
import { expect, test } from 'vitest'
import { labelRow } from './label-row.ts'

const labels = fc.array(
  fc.record({ x: fc.integer({ min: 0, max: 1000 }), width: fc.integer({ min: 20, max: 90 }) }),
  { minLength: 1, maxLength: 9 },
)

test('no label lies over another, all keep their order and stay inside where they fit', () => {
  fc.assert(
    fc.property(labels, (wanted) => {
      const lefts = labelRow(wanted, 0, 1000)
      const order = wanted
        .map(({ x, width }, i) => ({ x, width, left: lefts[i]! }))
        .toSorted((a, b) => a.left - b.left)
      for (const [i, label] of order.entries()) {
        const next = order[i + 1]
        if (next) {
          expect(next.left - (label.left + label.width)).toBeGreaterThanOrEqual(8 - 1e-6)
          expect(next.x).toBeGreaterThanOrEqual(label.x)
        }
      }
      const whole = wanted.reduce((sum, { width }) => sum + width + 8, -8)
      if (whole <= 1000) {
        expect(order[0]!.left).toBeGreaterThanOrEqual(-1e-6)
        expect(order.at(-1)!.left + order.at(-1)!.width).toBeLessThanOrEqual(1000 + 1e-6)
      }
    }),
  )
})

test('labels with room stand over their place; two that want one place stand about it', () => {
  expect(
    labelRow(
      [
        { x: 200, width: 60 },
        { x: 500, width: 40 },
      ],
      0,
      1000,
    ),
  ).toEqual([170, 480])
  expect(
    labelRow(
      [
        { x: 300, width: 52 },
        { x: 300, width: 52 },
      ],
      0,
      1000,
    ),
  ).toEqual([244, 304])
})
