import { expect, test } from 'vitest'
import { compilePart } from '../ports/index.ts'
import { converter } from './converter.ts'
import { depth } from './depth.ts'
import { checkJoint } from './index.ts'
import { context, port, trainPorts } from './samples.property.ts'

type Changes = Parameters<typeof trainPorts>[0]
const automatic = { ratios: { type: 'automatic', stall: 2.1 } }
const plate = (mm: number) =>
  compilePart({
    id: `plate${mm}`,
    kind: 'x',
    name: 'Plate',
    ports: [port('plate', { thicknessMm: mm }, { pm: 0.02 })],
  })
const spacer = (mm: number) =>
  compilePart({
    id: `spacer${mm}`,
    kind: 'x',
    name: 'Spacer',
    ports: [port('spacer', { thicknessMm: mm }, { pm: 0.02 })],
  })
const check = (changes: Changes = {}, stack: ReturnType<typeof plate>[] = [], joint = converter) =>
  checkJoint(joint, trainPorts({ ...automatic, ...changes }), [], context({ stack }))!
const limit = (id: string, changes: Changes = {}, stack: ReturnType<typeof plate>[] = []) =>
  check(changes, stack, id === 'pull-up' ? depth : converter).limits.find((one) => one.id === id)!

test('a converter seated in its own gearbox mates with its own flexplate', () => {
  expect(check().limits.filter((one) => one.code !== 'fits')).toEqual([])
  expect(check().cautions.join()).toContain('home by hand')
})

// Design notes, converter pull-up: f₀ 4.2, B₀ 0, X 14.2, h 7.5 → 2.5; plate 16, f 11.8 → 10.9; spacer 4.2 → 6.7; spacer 8.4 → 2.5.
test('pull-up 2.5, 10.9, 6.7, 2.5', () => {
  const f = { 'crank-flange': { proudMm: 11.8 } }
  expect(limit('pull-up').value).toBeCloseTo(2.5)
  expect(limit('pull-up', f, [plate(16)]).value).toBeCloseTo(10.9)
  expect(limit('pull-up', f, [plate(16), spacer(4.2)])).toMatchObject({ code: 'bridge' })
  expect(limit('pull-up', f, [plate(16), spacer(4.2)]).value).toBeCloseTo(6.7)
  expect(limit('pull-up', f, [plate(16), spacer(8.4)])).toMatchObject({ code: 'fits' })
})

// Common practice: a crank spacer 2.54 mm too long takes a normal 2.5 mm pull-up to none; the engine will hardly turn.
test('a spacer 2.54 mm too long leaves no pull-up', () => {
  expect(limit('pull-up', {}, [spacer(2.54)])).toMatchObject({ code: 'bridge', pieces: ['plate'] })
  expect(limit('pull-up', {}, [spacer(2.54)]).words).toContain('hardly turn by hand')
})

test('lugs lose what the pull-up takes', () => {
  expect(limit('lugs').value).toBeCloseTo(14 - 2.5)
  expect(limit('lugs', { pump: { lugsMm: 8 } }).code).toBe('bridge')
})

test('a nose longer than the crank bore is deep is caught before mating', () => {
  expect(limit('nose-in').value).toBeCloseTo(16 - 7.5)
  expect(limit('nose-clear').value).toBeCloseTo(20 - 16 + 7.5)
  expect(limit('nose-clear', { 'converter-bore': { depthMm: 6.6 } })).toMatchObject({
    code: 'bridge',
    damage: true,
  })
})

test.each([
  ['pads on another circle', 'pad-circle', { 'flex-pads': { circleMm: 246 } }, 'bridge'],
  [
    'four pads on three holes',
    'pads-meet',
    { converter: { padAngles: [0, 90, 180, 270] } },
    'bridge',
  ],
  ['bolts that dent the converter', 'pad-reach', { 'flex-pads': { boltMm: 18 } }, 'work'],
  ['bolts of another thread', 'pad-thread', { 'flex-pads': { boltThread: 'M10x1.25' } }, 'work'],
  ['pads that differ', 'pads-equal', { pump: { padSpreadMm: 1.4 } }, 'work'],
  ['a nose loose in the crank', 'nose-fit', { 'converter-bore': { boreMm: 46 } }, 'bridge'],
  ['another turbine shaft', 'turbine-splines', { pump: { turbineSplines: 31 } }, 'bridge'],
  ['another stator', 'stator-splines', { pump: { statorSplines: 26 } }, 'bridge'],
  ['a hub that does not enter', 'hub-in-pump', { converter: { hubMm: 45 } }, 'bridge'],
  ['a stall far over the torque peak', 'stall', { converter: { stallRpm: 3600 } }, 'bridge'],
  ['X not measured', 'lugs', { pump: { padMm: undefined } }, 'unmeasured'],
] as const)('%s: %s is %s', (_, id, changes, code) => {
  expect(limit(id, changes as Changes).code).toBe(code)
})

test('margins of the pull-up grow toward the window and fall past either end', () => {
  const margins = [9, 12, 13.3, 15, 16.6, 18, 22].map(
    (padMm) => limit('pull-up', { pump: { padMm } }).margin!,
  )
  const top = margins.indexOf(Math.max(...margins))
  for (let i = 1; i < margins.length; i++)
    expect(i <= top ? margins[i]! > margins[i - 1]! : margins[i]! < margins[i - 1]!).toBe(true)
})

test('a manual has no converter', () => {
  expect(checkJoint(converter, trainPorts(), [], context())).toBeNull()
})

// Design notes, converter pull-up: over its window by 2 mm at most equal shims take it up, while the nose stays held.
test('a pull-up a little too large is shimmed; the nose held is less by that, the room before its bottom more, lugs as after it', () => {
  const over = { pump: { padMm: 14.2 + 3.5 } }
  expect(limit('pull-up', over)).toMatchObject({ code: 'work', task: { id: 'shim-pads' } })
  expect(limit('nose-in', over).value).toBeCloseTo(16 - 7.5 - 1)
  expect(limit('nose-clear', over).value).toBeCloseTo(20 - 16 + 7.5 + 1)
  expect(limit('lugs', over).value).toBeCloseTo(14 - 5)
  expect(limit('pull-up', { ...over, converter: { noseTipMm: -12 } }).code).toBe('bridge')
  expect(limit('pull-up', { pump: { padMm: 14.2 + 4.6 } }).code).toBe('bridge')
})

// From an independent reading: a nose 9 mm in the crank was judged so with a spacer of 8 before it; true, it holds 1.
test('a spacer takes from the nose held what it is thick, and gives it to the room before the bottom', () => {
  const deep = { converter: { noseTipMm: -16.5 } }
  expect(limit('nose-in', deep).value).toBeCloseTo(9)
  expect(limit('nose-in', deep, [plate(8), spacer(8)])).toMatchObject({ code: 'bridge' })
  expect(limit('nose-in', deep, [plate(8), spacer(8)]).value).toBeCloseTo(1)
  expect(limit('nose-clear', deep, [plate(8), spacer(8)]).value).toBeCloseTo(20 - 9 + 8)
})
