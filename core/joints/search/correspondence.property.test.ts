import fc from 'fast-check'
import { expect, test } from 'vitest'
import type { Dowel, Hole } from '../../ports/field.ts'
import { matchPatterns } from './correspondence.ts'
import { matchFlange } from './flange-holes.ts'
import { leastSquares, minimax, type Pair, type Placement, place, residual } from './placement.ts'

const unit = fc.double({ min: 0, max: 1, noNaN: true })

/** An uneven ring of holes, so that it meets itself one way only. */
const ring = fc.array(fc.tuple(unit, unit), { minLength: 5, maxLength: 10 }).map((list) =>
  list.map(([r, a], i) => {
    const angle = ((i + 0.6 * a) / list.length) * 2 * Math.PI
    return { x: (140 + 60 * r) * Math.cos(angle), y: (140 + 60 * r) * Math.sin(angle) }
  }),
)
const placement = fc.record({
  turn: fc.double({ min: -3, max: 3, noNaN: true }),
  x: fc.double({ min: -30, max: 30, noNaN: true }),
  y: fc.double({ min: -30, max: 30, noNaN: true }),
})

/** Where a point must have been for the placement to bring it here. */
const undo = (p: Placement, at: { x: number; y: number }): { x: number; y: number } => {
  const c = Math.cos(p.turn)
  const s = Math.sin(p.turn)
  return { x: c * (at.x - p.x) + s * (at.y - p.y), y: -s * (at.x - p.x) + c * (at.y - p.y) }
}

test('least squares recovers any rigid placement exactly', () => {
  fc.assert(
    fc.property(ring, placement, (holes, hidden) => {
      const pairs = holes.map((a): Pair => ({ a, b: undo(hidden, a), play: 0 }))
      const found = leastSquares(pairs)
      for (const pair of pairs) expect(residual(found, pair)).toBeLessThan(1e-9)
      expect(place(found, pairs[0]!.b).x).toBeCloseTo(pairs[0]!.a.x, 8)
    }),
    { seed: 31, numRuns: 200 },
  )
})

test('a pattern moved and turned is found again: every bolt meets, the axis offset is the move', () => {
  fc.assert(
    fc.property(ring, placement, (points, hidden) => {
      const a = points.map((point): Hole => ({ ...point, d: 10, thread: 'M10x1.5' }))
      const b = points.map((point): Hole => ({ ...undo(hidden, point), d: 10.6 }))
      const match = matchPatterns(a, b, [], [], 0.125)
      expect(match.met).toHaveLength(a.length)
      expect(match.offsetMm).toBeCloseTo(Math.hypot(hidden.x, hidden.y), 4)
      expect([match.missingA, match.missingB, match.share]).toEqual([[], [], 1])
    }),
    { seed: 37, numRuns: 60 },
  )
})

test('with dowels the placement is theirs, whatever the bolts would like', () => {
  fc.assert(
    fc.property(ring, fc.double({ min: -1, max: 1, noNaN: true }), (points, shift) => {
      const a = points.map((point): Hole => ({ ...point, d: 10, thread: 'M10x1.5' }))
      const b = points.map((point): Hole => ({ x: point.x + shift, y: point.y, d: 10.6 }))
      const pins: Dowel[] = [
        { x: 150, y: 20, d: 12, pin: true },
        { x: -150, y: 12, d: 12, pin: true },
      ]
      const bores: Dowel[] = pins.map(({ x, y }) => ({ x, y, d: 12.02 }))
      const match = matchPatterns(a, b, pins, bores, 0.125)
      expect([match.byDowels, match.dowelsMeet]).toEqual([true, true])
      expect(match.offsetMm).toBeLessThan(1e-6)
      // Bolt play is 0.3, dowel play 0.01: bolts meet just where the shift stays under both together.
      if (Math.abs(shift) < 0.3) expect(match.met.length).toBe(a.length)
      if (Math.abs(shift) > 0.32) expect(match.met.length).toBeLessThan(a.length)
    }),
    { seed: 41, numRuns: 80 },
  )
})

test('the minimax is never beaten by a thousand placements tried at random around it', () => {
  fc.assert(
    fc.property(
      ring,
      fc.array(fc.tuple(unit, unit), { minLength: 10, maxLength: 10 }),
      fc.infiniteStream(unit),
      (points, noise, stream) => {
        const pairs = points.map(
          (a, i): Pair => ({
            a,
            b: { x: a.x + noise[i % 10]![0] - 0.5, y: a.y + noise[i % 10]![1] - 0.5 },
            play: 0.1 * (i % 3),
          }),
        )
        const { placement: best, level } = minimax(pairs, { dowels: [] }, leastSquares(pairs))
        const next = (): number => stream.next().value - 0.5
        for (let i = 0; i < 1000; i++) {
          const scale = 10 ** -(i % 5)
          const other = {
            turn: best.turn + 0.01 * scale * next(),
            x: best.x + scale * next(),
            y: best.y + scale * next(),
          }
          expect(
            Math.max(...pairs.map((pair) => residual(other, pair) - pair.play)),
          ).toBeGreaterThanOrEqual(level - 1e-6)
        }
      },
    ),
    { seed: 43, numRuns: 15 },
  )
})

test('wheel holes turned by any angle meet the crank; one moved past its play does not', () => {
  fc.assert(
    fc.property(
      fc.uniqueArray(fc.integer({ min: 0, max: 35 }), { minLength: 4, maxLength: 8 }),
      fc.double({ min: 0, max: 360, noNaN: true }),
      (tens, turn) => {
        const crank = tens.map((ten) => ten * 10)
        const wheel = crank.map((angle) => angle - turn)
        expect(matchFlange(crank, wheel, 70, 0.1)).toMatchObject({ met: crank.length })
        const moved = [wheel[0]! + 2, ...wheel.slice(1)]
        expect(matchFlange(crank, moved, 70, 0.1).met).toBeLessThan(crank.length)
      },
    ),
    { seed: 47, numRuns: 200 },
  )
})
