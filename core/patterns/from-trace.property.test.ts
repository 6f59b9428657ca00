import fc from 'fast-check'
import { expect, test } from 'vitest'
import { type Pixel, patternFromTrace, type Trace, TraceError } from './from-trace.ts'

const FACE = [
  { x: 180, y: 20, d: 12 },
  { x: 60, y: 150, d: 12 },
  { x: -140, y: 110, d: 12 },
  { x: -150, y: -90, d: 12 },
  { x: 90, y: -120, d: 12 },
]

/** A picture of the face: px = M·(x, −y) + shift, so that the true pattern is known. */
function picture(m: readonly [number, number, number, number], rest: Partial<Trace> = {}): Trace {
  const px = (x: number, y: number): Pixel => ({
    x: 800 + m[0] * x + m[1] * -y,
    y: 600 + m[2] * x + m[3] * -y,
  })
  const across = (i: number, j: number) => ({
    from: px(FACE[i]!.x, FACE[i]!.y),
    to: px(FACE[j]!.x, FACE[j]!.y),
    mm: Math.hypot(FACE[i]!.x - FACE[j]!.x, FACE[i]!.y - FACE[j]!.y),
  })
  return {
    axis: px(0, 0),
    holes: FACE.map(({ x, y, d }) => ({ centre: px(x, y), edge: px(x + d / 2, y) })),
    dowels: [],
    known: [across(0, 2), across(1, 3), across(0, 4), across(2, 4)],
    view: 'looking at the face',
    looks: 'rearward',
    ...rest,
  }
}

test('a true picture gives the pattern, at its scale, with no skew', () => {
  const found = patternFromTrace(picture([3, 0, 0, 3]))
  found.holes.forEach((hole, i) => {
    expect(hole.x).toBeCloseTo(FACE[i]!.x, 3)
    expect(hole.y).toBeCloseTo(FACE[i]!.y, 3)
    expect(hole.d).toBeCloseTo(12, 3)
  })
  expect(found.mmPerPixel[0]).toBeCloseTo(1 / 3)
  expect(found.skew).toBeCloseTo(0)
  expect(found.plusMinus).toBe(0.4)
})

test('a mirrored rubbing is turned over; a face that looks forward is turned over too; both together are not', () => {
  const xOf = (rest: Partial<Trace>) => patternFromTrace(picture([3, 0, 0, 3], rest)).holes[0]!.x
  expect(xOf({ view: 'mirrored' })).toBeCloseTo(-180)
  expect(xOf({ looks: 'forward' })).toBeCloseTo(-180)
  expect(xOf({ view: 'mirrored', looks: 'forward' })).toBeCloseTo(180)
})

test('one known distance gives a scale that nothing checks', () => {
  const whole = picture([3, 0, 0, 3])
  expect(patternFromTrace({ ...whole, known: whole.known.slice(0, 1) })).toMatchObject({
    skew: null,
    plusMinus: null,
  })
})

test('a camera held aslant is told by its skew, and straightened', () => {
  const found = patternFromTrace(picture([3, 0, 0, 2.7]))
  expect(found.skew).toBeCloseTo(3 / 2.7 - 1, 4)
  found.holes.forEach((hole, i) => {
    expect(hole.x).toBeCloseTo(FACE[i]!.x, 3)
    expect(hole.y).toBeCloseTo(FACE[i]!.y, 3)
  })
})

test('distances within the pattern come out whatever way the picture is stretched and turned', () => {
  const some = fc.double({ min: -0.6, max: 0.6, noNaN: true })
  fc.assert(
    fc.property(
      fc.double({ min: 1.5, max: 5, noNaN: true }),
      some,
      some,
      fc.double({ min: 1.5, max: 5, noNaN: true }),
      (a, b, c, d) => {
        const { holes, misfits } = patternFromTrace(picture([a, b, c, d]))
        for (let i = 0; i < FACE.length; i++)
          for (let j = 0; j < i; j++)
            expect(Math.hypot(holes[i]!.x - holes[j]!.x, holes[i]!.y - holes[j]!.y)).toBeCloseTo(
              Math.hypot(FACE[i]!.x - FACE[j]!.x, FACE[i]!.y - FACE[j]!.y),
              2,
            )
        for (const misfit of misfits) expect(Math.abs(misfit)).toBeLessThan(1e-3)
      },
    ),
  )
})

test('a wrong distance shows as its misfit and widens the bound', () => {
  const whole = picture([3, 0, 0, 3])
  const known = [...whole.known, { ...whole.known[0]!, mm: whole.known[0]!.mm + 4 }]
  const found = patternFromTrace({ ...whole, known })
  expect(found.plusMinus).toBeGreaterThan(1)
})

test.each([
  ['no scale bar', { known: [] }, /scale bar/],
  ['no hole', { holes: [] }, /at least one hole/],
  [
    'a distance of nothing',
    { known: [{ from: { x: 0, y: 0 }, to: { x: 100, y: 0 }, mm: 0 }] },
    /more than 0/,
  ],
  [
    'both ends on one spot',
    { known: [{ from: { x: 5, y: 5 }, to: { x: 5, y: 5 }, mm: 10 }] },
    /one spot/,
  ],
] as const)('%s is told plainly', (_, rest, words) => {
  const run = () => patternFromTrace(picture([3, 0, 0, 3], rest as Partial<Trace>))
  expect(run).toThrow(TraceError)
  expect(run).toThrow(words)
})
