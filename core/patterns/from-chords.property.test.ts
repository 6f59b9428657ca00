import fc from 'fast-check'
import { expect, test } from 'vitest'
import { type Chord, ChordsError, patternFromChords } from './from-chords.ts'

interface Point {
  readonly x: number
  readonly y: number
}
/** An uneven ring of holes about the axis, numbered counter-clockwise as seen. */
const ring = fc
  .array(
    fc.tuple(
      fc.double({ min: 140, max: 190, noNaN: true }),
      fc.double({ min: -0.25, max: 0.25, noNaN: true }),
    ),
    { minLength: 4, maxLength: 9 },
  )
  .map((spec): Point[] =>
    spec.map(([radius, off], i) => {
      const angle = ((i + off) * 2 * Math.PI) / spec.length
      return { x: radius * Math.cos(angle), y: radius * Math.sin(angle) }
    }),
  )
const apart = (a: Point, b: Point): number => Math.hypot(a.x - b.x, a.y - b.y)
/** Every distance there is, to the axis too. */
const every = (holes: readonly Point[], noise: (i: number) => number = () => 0): Chord[] => {
  const points = [{ x: 0, y: 0 }, ...holes]
  return points.flatMap((a, i) =>
    points.flatMap((b, j) =>
      i < j ? [{ from: i, to: j, mm: apart(a, b) + noise(i * 31 + j) }] : [],
    ),
  )
}
const degrees = ({ x, y }: Point): number => (Math.atan2(y, x) * 180) / Math.PI
const input = (holes: readonly Point[], chords: readonly Chord[], rest: object = {}) => ({
  count: holes.length,
  sense: 'counter-clockwise' as const,
  looks: 'rearward' as const,
  firstDeg: degrees(holes[0]!),
  chords,
  ...rest,
})

test('from exact distances the pattern comes back to a thousandth, whatever its shape', () => {
  fc.assert(
    fc.property(ring, (holes) => {
      const found = patternFromChords(input(holes, every(holes)))
      for (const [i, hole] of found.holes.entries())
        expect(apart(hole, holes[i]!)).toBeLessThan(1e-3)
      expect([found.isAxisKnown, found.rmsMm < 1e-4]).toEqual([true, true])
    }),
    { numRuns: 60 },
  )
})

test('numbered the other way it is the mirror image; a face that looks forward is mirrored once on the way in', () => {
  fc.assert(
    fc.property(ring, (holes) => {
      const mirrored = holes.map(({ x, y }) => ({ x: -x, y }))
      // Looking at the front of a bell one sees the train frame mirrored: the numbers then run the other way.
      const seen = patternFromChords(
        input(mirrored, every(mirrored), { sense: 'clockwise', looks: 'forward' }),
      )
      for (const [i, hole] of seen.holes.entries())
        expect(apart(hole, holes[i]!)).toBeLessThan(1e-3)
    }),
    { numRuns: 40 },
  )
})

test('distances a little wrong move no hole by more than a few times as much, and the misfit tells', () => {
  fc.assert(
    fc.property(ring, fc.integer({ min: 1, max: 1000 }), (holes, seed) => {
      const noise = (i: number): number => 0.2 * Math.sin(i * 12.9898 + seed)
      const found = patternFromChords(input(holes, every(holes, noise)))
      for (const [i, hole] of found.holes.entries())
        expect(apart(hole, holes[i]!)).toBeLessThan(1.2)
      expect(found.rmsMm).toBeLessThan(0.2)
      expect(found.misfits).toHaveLength(every(holes).length)
    }),
    { numRuns: 40 },
  )
})

const square: Point[] = [
  { x: 100, y: 100 },
  { x: -100, y: 100 },
  { x: -100, y: -100 },
  { x: 100, y: -100 },
]

test('one distance written down wrong stands out from the rest', () => {
  const chords = every(square).map((chord) =>
    chord.from === 1 && chord.to === 3 ? { ...chord, mm: chord.mm + 5 } : chord,
  )
  const { misfits } = patternFromChords(input(square, chords))
  const worst = misfits.map(Math.abs).indexOf(Math.max(...misfits.map(Math.abs)))
  expect(chords[worst]).toMatchObject({ from: 1, to: 3 })
})

test('without three distances to the axis the pattern is known and its offset is not', () => {
  const offset = square.map(({ x, y }) => ({ x: x + 7, y: y - 3 }))
  const chords = every(offset).filter(({ from, to }) => from !== 0 || to <= 2)
  const { isAxisKnown, holes } = patternFromChords(input(offset, chords))
  expect(isAxisKnown).toBe(false)
  expect(apart(holes[0]!, holes[2]!)).toBeCloseTo(apart(offset[0]!, offset[2]!), 3)
  expect(Math.abs(holes.reduce((sum, hole) => sum + hole.x, 0))).toBeLessThan(1e-6)
})

test('the axis off the middle of the holes is found, not assumed', () => {
  const offset = square.map(({ x, y }) => ({ x: x + 7, y: y - 3 }))
  const { holes, isAxisKnown } = patternFromChords(input(offset, every(offset)))
  expect(isAxisKnown).toBe(true)
  expect(holes.reduce((sum, hole) => sum + hole.x, 0) / 4).toBeCloseTo(7, 3)
})

// Bolt circle diameter from adjacent chord: c / sin(180°/N).
test('six even holes: the bolt circle is the adjacent chord over sin 30°', () => {
  const six = Array.from({ length: 6 }, (_, i) => ({
    x: 180 * Math.cos((i * Math.PI) / 3),
    y: 180 * Math.sin((i * Math.PI) / 3),
  }))
  const chords = every(six).filter(({ from }) => from !== 0)
  const adjacent = chords.find(({ from, to }) => from === 1 && to === 2)!.mm
  const { holes } = patternFromChords(input(six, chords))
  expect(2 * Math.hypot(holes[3]!.x, holes[3]!.y)).toBeCloseTo(adjacent / Math.sin(Math.PI / 6), 3)
})

test.each<[string, object, RegExp]>([
  ['too few', { chords: every(square).slice(4, 8) }, /leave it loose: 5 are needed for 4 holes/],
  [
    'enough, all along one side',
    {
      count: 5,
      chords: [...every(square).filter(({ from }) => from !== 0), { from: 5, to: 1, mm: 100 }],
    },
    /loose|needed/,
  ],
  [
    'a hole that is not there',
    { chords: [...every(square), { from: 1, to: 9, mm: 10 }] },
    /hole 1 to hole 9/,
  ],
  [
    'a distance of nothing',
    { chords: [...every(square), { from: 1, to: 2, mm: 0 }] },
    /more than 0/,
  ],
  ['two holes', { count: 2, chords: [] }, /at least three/],
])('%s: refused with what to measure', (_, rest, words) => {
  expect(() => patternFromChords(input(square, every(square), rest))).toThrow(ChordsError)
  expect(() => patternFromChords(input(square, every(square), rest))).toThrow(words)
})
