import { expect, test } from 'vitest'
import type { Dowel, Hole } from '../ports/field.ts'
import { blockFace } from './block-face.ts'
import { checkJoint } from './index.ts'
import { compilePorts, context, port } from './samples.property.ts'
import { matchPatterns } from './search/correspondence.ts'
import { overhang } from './search/overhang.ts'

const RING: [number, number][] = [
  [182, 28],
  [176, 71],
  [178, 117],
  [184, 156],
  [171, 214],
  [173, 322],
]
const at = ([r, deg]: [number, number]) => ({
  x: r * Math.cos((deg * Math.PI) / 180),
  y: r * Math.sin((deg * Math.PI) / 180),
})
const turned = <T extends { x: number; y: number }>(
  list: readonly T[],
  deg: number,
  dx = 0,
  dy = 0,
): T[] => {
  const c = Math.cos((deg * Math.PI) / 180),
    s = Math.sin((deg * Math.PI) / 180)
  return list.map((p) => ({ ...p, x: c * p.x - s * p.y + dx, y: s * p.x + c * p.y + dy }))
}
const block: Hole[] = RING.map((p) => ({ ...at(p), d: 10, thread: 'M10x1.5' }))
const bell: Hole[] = RING.map((p) => ({ ...at(p), d: 10.6 }))
const pins: Dowel[] = [
  { ...at([180, 8]), d: 12, pin: true, process: 'reamed' },
  { ...at([180, 190]), d: 12, pin: true, process: 'reamed' },
]
const bores: Dowel[] = pins.map(({ pin: _, ...dowel }) => ({ ...dowel, d: 12.03 }))

type Face = { holes?: Hole[]; dowels?: Dowel[]; mayTurn?: boolean; family?: string }
const check = (a: Face, b: Face, pm = 0.05) =>
  checkJoint(
    blockFace,
    compilePorts(
      port('face', a as Record<string, unknown>, { slot: 'rear', looks: 'rearward', pm }),
    ),
    compilePorts(
      port('face', b as Record<string, unknown>, { slot: 'front', looks: 'forward', pm }),
    ),
    context(),
  )!
const limitOf = (verdict: ReturnType<typeof check>, id: string) =>
  verdict.limits.find((one) => one.id === id)!

test('the same pattern with machined dowels fits', () => {
  expect(check({ holes: block, dowels: pins }, { holes: bell, dowels: bores }).code).toBe('fits')
})

test('one family on both faces agrees without coordinates', () => {
  expect(
    check(
      { family: 'engine housing 3', dowels: pins },
      { family: 'engine housing 3', dowels: bores },
    ).code,
  ).toBe('fits')
  expect(check({ family: 'engine housing 3' }, { family: 'engine housing 4' }).code).toBe(
    'unmeasured',
  )
})

test('a congruent pattern turned by any amount meets to 1e-9; shifted by 10 mm it is an axis offset of 10 mm, not a fit', () => {
  const match = matchPatterns(block, turned(bell, 23), [], [], 0.125)
  expect(match.met).toHaveLength(6)
  expect(Math.max(...match.met.map((m) => m.residual))).toBeLessThan(1e-9)
  expect(match.turnDeg).toBeCloseTo(-23, 9)
  const shifted = check(
    { holes: block, dowels: pins },
    { holes: turned(bell, 0, 10), dowels: turned(bores, 0, 10) },
  )
  expect(limitOf(shifted, 'axis-offset')).toMatchObject({ code: 'bridge', pieces: ['plate'] })
  expect(shifted.shown.find((one) => one.label === 'Crank to shaft axis')?.value).toBeCloseTo(10, 9)
})

test('dowels place first: bolts that would meet elsewhere do not move the case', () => {
  const verdict = check(
    { holes: block, dowels: pins },
    { holes: turned(bell, 0, 0.3), dowels: turned(bores, 0, 0.3) },
  )
  expect(limitOf(verdict, 'axis-offset').code).toBe('work')
  expect(
    check({ holes: block, dowels: pins }, { holes: turned(bell, 0, 1), dowels: bores }).code,
  ).toBe('bridge')
})

test.each([
  ['dowels unknown', {}, 'unmeasured'],
  ['known to have none', { dowels: [] }, 'work'],
  ['loose', { dowels: bores.map((d) => ({ ...d, d: 12.4 })) }, 'work'],
  ['too tight', { dowels: bores.map((d) => ({ ...d, d: 11.9 })) }, 'bridge'],
  ['by plasma', { dowels: bores.map((d) => ({ ...d, process: 'plasma' as const })) }, 'work'],
])('dowels %s', (_, b, expected) => {
  expect(check({ holes: block, dowels: pins }, { holes: bell, ...b }).code).toBe(expected)
})

test('5 of 6 bolts in three quadrants with dowels is work naming the missing; half of them is a bridge', () => {
  const spoilt = (count: number): Hole[] =>
    bell.map((hole, i) => (i < count ? { ...hole, x: hole.x + 20 } : hole))
  const verdict = check({ holes: block, dowels: pins }, { holes: spoilt(1), dowels: bores })
  // A count carries value, window and margin like any limit.
  expect(limitOf(verdict, 'bolts')).toMatchObject({
    code: 'work',
    task: { reversible: false },
    value: 5,
    low: 6,
    margin: -1,
  })
  expect(verdict.shown.find((one) => one.label === 'Bolts that meet')?.value).toBe('5 of 6')
  expect(
    limitOf(check({ holes: block, dowels: pins }, { holes: spoilt(3), dowels: bores }), 'bolts')
      .code,
  ).toBe('bridge')
})

test('a hole marked optional is not missed', () => {
  const extra = [...bell, { x: 0, y: 150, d: 10.6, optional: true }]
  expect(check({ holes: block, dowels: pins }, { holes: extra, dowels: bores }).code).toBe('fits')
})

test('a turned case: work where the bell may turn, bridge where not, unmeasured where nobody said', () => {
  const b = { holes: turned(bell, 15), dowels: turned(bores, 15) }
  expect(limitOf(check({ holes: block, dowels: pins }, { ...b, mayTurn: true }), 'turn').code).toBe(
    'work',
  )
  expect(
    limitOf(check({ holes: block, dowels: pins }, { ...b, mayTurn: false }), 'turn').code,
  ).toBe('bridge')
  expect(limitOf(check({ holes: block, dowels: pins }, b), 'turn').code).toBe('unmeasured')
  const known = limitOf(check({ holes: block, dowels: pins }, { ...b, mayTurn: false }), 'turn')
  expect(known).toMatchObject({ low: -0.5, high: 0.5 })
  expect(Math.abs(known.value!)).toBeCloseTo(15, 1)
})

test('on the axis but known only loosely: indicate the bore at mating', () => {
  expect(
    limitOf(
      check({ holes: block, dowels: pins }, { holes: bell, dowels: bores }, 0.4),
      'axis-offset',
    ),
  ).toMatchObject({ code: 'work', task: { id: 'indicate-bore' } })
})

test('a mirrored pattern does not fit: reflection is forbidden', () => {
  const mirror = <T extends { x: number }>(list: readonly T[]): T[] =>
    list.map((p) => ({ ...p, x: -p.x }))
  expect(
    check(
      { holes: block, dowels: pins },
      { holes: mirror(bell), dowels: mirror(bores), mayTurn: true },
    ).code,
  ).toBe('bridge')
})

test('overhang is how far either outline reaches past the other', () => {
  const square = (r: number) => [
    { x: -r, y: -r },
    { x: r, y: -r },
    { x: r, y: r },
    { x: -r, y: r },
  ]
  expect(overhang(square(100), square(100))).toBeCloseTo(0)
  expect(overhang(square(100), square(110))).toBeCloseTo(Math.hypot(10, 10))
})
