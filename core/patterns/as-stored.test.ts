import fc from 'fast-check'
import { expect, test } from 'vitest'
import { asStored } from './as-stored.ts'

const place = fc.integer({ min: -9000, max: 9000 }).map((n) => n / 10)

test('written twice from the face it is as it was; seen from the gearbox it stays', () => {
  const points = fc.array(fc.record({ x: place, y: place }))
  fc.assert(
    fc.property(points, (list) => {
      const once = asStored(list, 'looking at the face')
      expect(asStored(list, 'from the gearbox')).toEqual(list)
      expect(asStored(once, 'looking at the face')).toEqual(
        list.map(({ x, y }) => ({ x: x || 0, y })),
      )
    }),
  )
})

test('an angle and the place it stands for are mirrored alike', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 359 }), (deg) => {
      const at = (angle: number) => ({
        x: Math.cos((angle * Math.PI) / 180),
        y: Math.sin((angle * Math.PI) / 180),
      })
      const [turned] = asStored([deg], 'looking at the face') as [number]
      const [moved] = asStored([at(deg)], 'looking at the face') as [{ x: number; y: number }]
      expect(at(turned).x).toBeCloseTo(moved.x, 9)
      expect(at(turned).y).toBeCloseTo(moved.y, 9)
      expect(turned).toBeGreaterThanOrEqual(0)
      expect(turned).toBeLessThan(360)
    }),
  )
})
