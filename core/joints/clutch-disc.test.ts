import { expect, test } from 'vitest'
import { clutchDisc } from './clutch-disc.ts'
import { checkJoint } from './index.ts'
import { context, trainPorts } from './samples.property.ts'

type Changes = Parameters<typeof trainPorts>[0]
const check = (changes: Changes = {}) => checkJoint(clutchDisc, trainPorts(changes), [], context())
const limit = (id: string, changes: Changes = {}) =>
  check(changes)!.limits.find((one) => one.id === id)!

test('a disc made for the shaft mates, and says which side goes where', () => {
  expect(check()!.code).toBe('fits')
  expect(check()!.shown).toContainEqual({
    label: 'Marked side goes to the',
    value: 'gearbox',
    unit: '',
  })
})

test.each([
  ['another count', 'splines', { 'disc-hub': { splines: 26 } }, 'bridge'],
  ['another form', 'spline-form', { 'input-shaft': { form: 'straight' } }, 'bridge'],
  ['a hub too small', 'spline-major', { 'disc-hub': { majorMm: 25.2 } }, 'bridge'],
  ['a hub that rattles', 'spline-major', { 'disc-hub': { majorMm: 26.2 } }, 'bridge'],
  [
    'splines shorter than the hub and its travel',
    'hub-length',
    { 'input-shaft': { splineEndMm: 48 } },
    'bridge',
  ],
  ['a disc nobody marked', 'way-round', { 'disc-hub': { marked: 'neither' } }, 'work'],
  ['a spring carrier in the bolt heads', 'carrier', { 'disc-hub': { carrierMm: 21 } }, 'bridge'],
  ['a count nobody made', 'splines', { 'disc-hub': { splines: undefined } }, 'unmeasured'],
] as const)('%s: %s is %s', (_, id, changes, code) => {
  expect(limit(id, changes as Changes).code).toBe(code)
  expect(check(changes as Changes)!.code).toBe(code)
})

test('the carrier clears by clutch face − carrier − bolt head', () => {
  expect(limit('carrier').value).toBeCloseTo(28 - 8 - 7)
})

test('an automatic has no disc', () => {
  expect(check({ ratios: { type: 'automatic' } })).toBeNull()
})
