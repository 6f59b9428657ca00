import { expect, test } from 'vitest'
import { compilePart } from '../ports/index.ts'
import { engineMounts } from './engine-mounts.ts'
import { gearboxMount } from './gearbox-mount.ts'
import { checkJoint } from './index.ts'
import type { Joint, JointContext } from './joint.ts'
import { context, port, trainPorts } from './samples.property.ts'

type Changes = Parameters<typeof trainPorts>[0]
const plate = (mm: number) =>
  compilePart({
    id: `plate${mm}`,
    kind: 'x',
    name: 'Plate',
    ports: [port('plate', { thicknessMm: mm }, { pm: 0.02 })],
  })
const check = (joint: Joint, changes: Changes = {}, rest: Partial<JointContext> = {}) =>
  checkJoint(joint, trainPorts(changes), [], context(rest))!
const limit = (joint: Joint, id: string, changes: Changes = {}, rest: Partial<JointContext> = {}) =>
  check(joint, changes, rest).limits.find((one) => one.id === id)

test('a train made for the vehicle sits on its mounts in either school', () => {
  for (const placement of ['keep', 'set-back'] as const)
    for (const joint of [gearboxMount, engineMounts])
      expect([placement, joint.id, check(joint, {}, { placement }).code]).toEqual([
        placement,
        joint.id,
        'fits',
      ])
})

// Design notes: a plate of thickness p is itself a setback of p for everything behind it.
test('a plate moves the train by its thickness: kept driveline, the engine pays; set back, the gearbox mount pays', () => {
  expect(limit(engineMounts, 'pads-along', {}, { stack: [plate(16)] })!.value).toBeCloseTo(-16)
  expect(limit(engineMounts, 'pads-along', {}, { stack: [plate(16)] })!.code).toBe('bridge')
  expect(limit(gearboxMount, 'mount-place', {}, { stack: [plate(16)] })).toBeUndefined()
  expect(
    limit(gearboxMount, 'mount-place', {}, { placement: 'set-back', stack: [plate(16)] })!.value,
  ).toBeCloseTo(16)
  expect(
    limit(engineMounts, 'pads-along', {}, { placement: 'set-back', stack: [plate(16)] }),
  ).toBeUndefined()
})

test('a crossmember that is slotted takes it up; one that may be moved is work; one that may not needs a bracket', () => {
  const setBack = (slotMm: number, mayMove?: boolean) =>
    limit(
      gearboxMount,
      'mount-place',
      { crossmember: { slotMm, mayMove } },
      { placement: 'set-back', stack: [plate(16)] },
    )!
  expect(setBack(20).code).toBe('fits')
  expect(setBack(6, true)).toMatchObject({
    code: 'work',
    task: { id: 'move-crossmember', reversible: false },
  })
  expect(setBack(6, false)).toMatchObject({ code: 'bridge', pieces: ['gearbox-mount'] })
  expect(setBack(6, undefined).code).toBe('unmeasured')
})

test.each([
  [gearboxMount, 'mount-spacing', { 'mount-pad': { spacingMm: 95 } }, 'work'],
  [gearboxMount, 'mount-spacing', { 'mount-pad': { spacingMm: 130 } }, 'bridge'],
  [gearboxMount, 'mount-thread', { 'mount-pad': { thread: '3/8-16' } }, 'work'],
  [gearboxMount, 'mount-height', { 'mount-pad': { belowMm: 110 } }, 'work'],
  [gearboxMount, 'mount-height', { 'mount-pad': { belowMm: 60 } }, 'bridge'],
  [engineMounts, 'pads-across', { 'engine-pads': { spreadMm: 486 } }, 'work'],
  [engineMounts, 'pads-across', { 'engine-pads': { spreadMm: 610 } }, 'bridge'],
  [engineMounts, 'pads-height', { 'engine-pads': { belowMm: 52 } }, 'work'],
  [engineMounts, 'pads-lean', { 'chassis-pads': { angleDeg: 0 } }, 'bridge'],
  [engineMounts, 'pads-thread', { 'chassis-pads': { thread: '7/16-14' } }, 'work'],
  [engineMounts, 'captive', { 'chassis-pads': { captive: false } }, 'work'],
  [engineMounts, 'captive', { 'chassis-pads': { captive: undefined } }, 'unmeasured'],
] as const)('%o %s with %o is %s', (joint, id, changes, code) => {
  expect(limit(joint, id, changes as Changes)!.code).toBe(code)
})

test('without a vehicle there are no mounts to judge', () => {
  const ports = trainPorts().filter(
    (one) => one.kind !== 'crossmember' && one.kind !== 'chassis-pads',
  )
  expect([
    checkJoint(gearboxMount, ports, [], context()),
    checkJoint(engineMounts, ports, [], context()),
  ]).toEqual([null, null])
})
