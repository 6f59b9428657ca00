import fc from 'fast-check'
import { expect, test } from 'vitest'
import { designPlate, insideBy, LEAST_PLATE_MM } from './plate.ts'

const ring = (count: number, radius: number, startDeg = 0, d = 10.5) =>
  Array.from({ length: count }, (_, i) => {
    const at = ((startDeg + (360 / count) * i) * Math.PI) / 180
    return { x: radius * Math.cos(at), y: radius * Math.sin(at), d }
  })
const face = (holes: ReturnType<typeof ring>, outline?: { x: number; y: number }[]) => ({
  holes,
  dowels: [],
  outline,
})
const square = (half: number) => [
  { x: -half, y: -half },
  { x: half, y: -half },
  { x: half, y: half },
  { x: -half, y: half },
]

test('patterns far apart make a plain plate as thick as the depth asks', () => {
  expect(designPlate(face(ring(6, 180)), face(ring(6, 140)), 16, false)).toMatchObject({
    kind: 'plain',
    turnDeg: 0,
    thicknessMm: 16,
    thin: [],
  })
})

test('holes that nearly meet: turned where it may turn, stepped where it may not', () => {
  const [a, b] = [face(ring(6, 180)), face(ring(6, 180, 4))]
  const turned = designPlate(a, b, 16, true)
  expect(turned).toMatchObject({ kind: 'turned', thin: [] })
  // The wall wanted is 0.8 d = 8.4, so centres must stand 18.9 apart: 6.02° on radius 180; from 4° on, 2.5° more does.
  expect(turned.turnDeg).toBeCloseTo(2.5)
  const fixed = designPlate(a, b, 16, false)
  expect(fixed.kind).toBe('stepped')
  expect(fixed.thin[0]!.wallMm).toBeCloseTo(2 * 180 * Math.sin((2 * Math.PI) / 180) - 10.5)
  expect(fixed.tasks.join()).toMatch(/weld/i)
})

test('no room for a plate is a stepped adapter, whatever the holes', () => {
  expect(
    designPlate(face(ring(6, 180)), face(ring(6, 140)), LEAST_PLATE_MM - 0.1, false),
  ).toMatchObject({ kind: 'stepped', thicknessMm: null })
  expect(designPlate(face(ring(6, 180)), face(ring(6, 140)), null, false)).toMatchObject({
    kind: 'plain',
    thicknessMm: null,
  })
})

test('one hole through both patterns is no wall', () => {
  expect(designPlate(face(ring(6, 180)), face(ring(6, 180)), 12, false).thin).toEqual([])
})

test('holes past the other outline are named', () => {
  const { outside } = designPlate(face(ring(4, 150, 45)), face(ring(4, 90), square(100)), 12, false)
  expect(outside).toEqual(['engine hole 1', 'engine hole 2', 'engine hole 3', 'engine hole 4'])
  expect(insideBy({ x: 0, y: 0 }, square(100))).toBeCloseTo(100)
  expect(insideBy({ x: 130, y: 0 }, square(100))).toBeCloseTo(-30)
})

test('turning both patterns together changes no wall', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 3, max: 8 }),
      fc.integer({ min: 3, max: 8 }),
      fc.double({ min: 0, max: 90, noNaN: true }),
      fc.double({ min: 0, max: 360, noNaN: true }),
      (m, n, off, by) => {
        const one = designPlate(face(ring(m, 160)), face(ring(n, 165, off)), 14, false)
        const other = designPlate(face(ring(m, 160, by)), face(ring(n, 165, off + by)), 14, false)
        expect(other.spareMm).toBeCloseTo(one.spareMm, 6)
        expect(other.kind).toBe(one.kind)
      },
    ),
  )
})
