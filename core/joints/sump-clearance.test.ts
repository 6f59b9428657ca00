import { expect, test } from 'vitest'
import type { Zone } from '../ports/field.ts'
import { checkJoint } from './index.ts'
import type { JointContext } from './joint.ts'
import { compilePorts, context, port, trainPorts } from './samples.property.ts'
import { sumpClearance } from './sump-clearance.ts'

type Changes = Parameters<typeof trainPorts>[0]
const check = (changes: Changes = {}, rest: Partial<JointContext> = {}, pm = 0.02) =>
  checkJoint(sumpClearance, trainPorts(changes, pm), [], context(rest))!
const limit = (id: string, ...rest: Parameters<typeof check>) =>
  check(...rest).limits.find((one) => one.id === id)
const under = (...zones: Zone[]) => ({ 'under-engine': { zones } })

test('a front sump over a tie rod that sweeps behind it', () => {
  expect(check().code).toBe('fits')
  // Crank 40 over the mounts, rod 140 below them, pan 110 deep there: the mounts stand 260 ahead of the block face.
  expect(limit('sump-clear')).toMatchObject({ at: 'tie rod', low: 25 })
  expect(limit('sump-clear')!.value).toBeCloseTo(40 + 140 - 110)
})

test('the zone that stands over it decides: further back it meets the deep part', () => {
  const rod = under({ fromMm: 80, toMm: 120, depthMm: 140, moving: true, name: 'tie rod' })
  expect(limit('sump-clear', rod)!.value).toBeCloseTo(40 + 140 - 210)
  expect(limit('sump-clear', rod)).toMatchObject({ code: 'bridge', pieces: ['sump'] })
})

test('still things want 20 mm, moving ones 25', () => {
  const at = (depthMm: number, moving: boolean) =>
    limit('sump-clear', under({ fromMm: -180, toMm: -120, depthMm, moving }))!.code
  expect([at(92, false), at(92, true), at(96, true), at(89, false)]).toEqual([
    'fits',
    'bridge',
    'fits',
    'bridge',
  ])
})

test('what passes ahead of the pan, behind it or beside it is in nobody’s way once it stands far enough', () => {
  const rod = (fromMm: number, rest: Partial<Zone> = {}) =>
    limit('sump-clear', under({ fromMm, toMm: fromMm + 40, depthMm: 10, moving: true, ...rest }))!
  // The pan ends 20 ahead of the block face, 240 behind the mounts.
  expect(rod(300)).toMatchObject({ value: 60, code: 'fits' })
  expect(rod(266)).toMatchObject({ value: 26, code: 'fits' })
  expect(rod(241)).toMatchObject({ value: 1, code: 'bridge' })
  // Ahead of its deep part, under the shallow one: one millimetre off the step is one millimetre.
  expect(rod(19, { depthMm: 140 })).toMatchObject({ value: 1, code: 'bridge' })
  expect(limit('sump-passes', under())!.code).toBe('fits')
})

test('a box has edges across too, absent for the whole width', () => {
  const narrow = {
    sump: { zones: [{ fromMm: -200, toMm: -20, depthMm: 210, leftMm: -90, rightMm: 90 }] },
  }
  const rod = (rest: Partial<Zone>) =>
    limit('sump-clear', {
      ...narrow,
      ...under({ fromMm: 100, toMm: 160, depthMm: 100, moving: true, ...rest }),
    })!
  expect(rod({})).toMatchObject({ value: 40 + 100 - 210, code: 'bridge' })
  expect(rod({ leftMm: 120 })).toMatchObject({ value: 30, code: 'fits' })
  expect(rod({ rightMm: -110 })).toMatchObject({ value: 20, code: 'bridge' })
  expect(rod({ leftMm: -300, rightMm: 300 }).value).toBe(-70)
})

test('the ± of a box grows all its edges, that of its place along only those along', () => {
  const rod = under({ fromMm: 280, toMm: 320, depthMm: 10, moving: true })
  const { value, plusMinus } = limit('sump-clear', rod, {}, 2)!
  expect(value).toBe(40)
  // Two boxes of ± 2, and a place of which every length has ± 2.
  expect(plusMinus).toBeGreaterThanOrEqual(6)
  expect(limit('sump-clear', rod, {}, 5)!.code).toBe('unmeasured')
})

test('a clearance known only to ± more than it has is unmeasured, never mates', () => {
  expect(
    limit('sump-clear', under({ fromMm: -180, toMm: -120, depthMm: 100, moving: true }), {}, 5)!
      .code,
  ).toBe('unmeasured')
})

test('what moves a clearance most is named first, with its share', () => {
  const rod = under({ fromMm: -180, toMm: -120, depthMm: 100, moving: true })
  const open = checkJoint(
    sumpClearance,
    [
      ...trainPorts(rod, 0.02).filter(({ kind }) => kind !== 'sump'),
      ...compilePorts(
        port('sump', { zones: [{ fromMm: -480, toMm: -20, depthMm: 110 }] }, { pm: 8 }),
      ),
    ],
    [],
    context(),
  )!
  const room = open.limits.find(({ id }) => id === 'sump-clear')!
  expect(room.loosest).toMatchObject({ label: expect.stringMatching(/Depth by zone/) })
  expect(room.loosest!.share).toBeCloseTo(8 / 8.04, 2)
  expect(room.words).toMatch(
    /^Known only to ± 8 mm: measure closer, first .*depth by zone.* \(100 % of it\)/,
  )
  expect(open.missing[0]!.port).toMatch(/sump/)
})

test('nobody has looked under the engine: one limit, unmeasured, and what is missing is named', () => {
  const verdict = check({ 'under-engine': { zones: undefined } })
  expect(verdict.code).toBe('unmeasured')
  expect(verdict.missing.map((field) => field.port)).toContain('p/under-engine/main')
})

test('the pan must come down past the pickup where something stands under it', () => {
  expect(limit('sump-drops', { sump: { dropMm: 90 } })!.code).toBe('work')
  expect(limit('sump-drops', { sump: { dropMm: undefined } })!.code).toBe('unmeasured')
})

test('oil: too little held; uncovered on a steep trail; braking counts unless the pan is baffled', () => {
  expect(limit('sump-capacity', { sump: { capacityL: 3.4 } })!.code).toBe('bridge')
  const far = { sump: { pickupMm: 120, baffled: false } }
  expect(limit('oil-grade', far, { use: 'road' })!.value).toBeCloseTo(70 - 120 * 0.3)
  expect(limit('oil-grade', far, { use: 'trail' })).toMatchObject({
    code: 'work',
    task: { id: 'baffle-sump' },
  })
  expect(limit('oil-slosh', far, { use: 'road' })!.code).toBe('work')
  expect(limit('oil-slosh', { sump: { pickupMm: 120 } }, { use: 'track' })!.code).toBe('fits')
})

test('steering is cautioned at the step, whatever the numbers say', () => {
  expect(check().cautions.join()).toMatch(/Steering .* full travel and lock/)
})
