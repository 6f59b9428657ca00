import { expect, test } from 'vitest'
import { boltPlay, leastSquares, minimax, type Pair, residual } from './placement.ts'

const six = [0, 60, 120, 180, 240, 300].map((deg) => ({
  x: 180 * Math.cos((deg * Math.PI) / 180),
  y: 180 * Math.sin((deg * Math.PI) / 180),
}))
const pairsWith = (dx: number, dy: number): Pair[] =>
  six.map((a, i) => ({ a, b: i === 0 ? { x: a.x + dx, y: a.y + dy } : a, play: 0 }))
const still = { turn: 0, x: 0, y: 0 }
const worst = (pairs: readonly Pair[], p = still): number =>
  Math.max(...pairs.map((pair) => residual(p, pair)))

// Six holes on R 180, one moved 0.5 mm: figures of the design notes on pattern match.
test('one of six holes moved 0.5 mm radially: least squares 0.417, minimax 0.250 free, 0.375 within 0.125, 0.500 with the axis fixed', () => {
  const pairs = pairsWith(0.5, 0)
  expect(worst(pairs, leastSquares(pairs))).toBeCloseTo(0.417, 3)
  expect(minimax(pairs, { dowels: [] }, leastSquares(pairs)).level).toBeCloseTo(0.25, 4)
  expect(
    minimax(pairs, { dowels: [], axis: { x: 0, y: 0, within: 0.125 } }, still).level,
  ).toBeCloseTo(0.375, 4)
  expect(minimax(pairs, { dowels: [], axis: { x: 0, y: 0, within: 0 } }, still).level).toBeCloseTo(
    0.5,
    4,
  )
})

test('moved tangentially: 0.333 by least squares, 0.232 free, 0.250 with the axis fixed', () => {
  const pairs = pairsWith(0, 0.5)
  expect(worst(pairs, leastSquares(pairs))).toBeCloseTo(0.333, 3)
  expect(minimax(pairs, { dowels: [] }, leastSquares(pairs)).level).toBeCloseTo(0.232, 3)
  expect(minimax(pairs, { dowels: [], axis: { x: 0, y: 0, within: 0 } }, still).level).toBeCloseTo(
    0.25,
    4,
  )
})

// Dowels on the line of the moved hole: the case can follow it by their play and no further, 0.5 − 0.05.
test('dowels within their play limit the placement', () => {
  const pairs = pairsWith(0.5, 0)
  const dowels: Pair[] = [
    { a: { x: -150, y: 0 }, b: { x: -150, y: 0 }, play: 0.05 },
    { a: { x: 150, y: 0 }, b: { x: 150, y: 0 }, play: 0.05 },
  ]
  const { placement, level } = minimax(pairs, { dowels }, still)
  expect(level).toBeCloseTo(0.45, 3)
  for (const dowel of dowels) expect(residual(placement, dowel)).toBeLessThanOrEqual(0.05 + 1e-6)
})

test('bolt play: (D − d)/2 into a thread, half the sum of both clearances through, none between two threads', () => {
  const at = { x: 0, y: 0 }
  expect(boltPlay({ ...at, d: 10, thread: 'M10x1.5' }, { ...at, d: 11 })).toBe(0.5)
  expect(boltPlay({ ...at, d: 11 }, { ...at, d: 11.5 })).toBeCloseTo(1.25)
  expect(boltPlay({ ...at, d: 10, thread: 'M10x1.5' }, { ...at, d: 10, thread: 'M10x1.5' })).toBe(
    -Infinity,
  )
})
