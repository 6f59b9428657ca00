import { expect, test } from 'vitest'
import { checkJoint, jointNamed } from './index.ts'
import { context, trainPorts } from './samples.property.ts'

type Changes = Parameters<typeof trainPorts>[0]
const moduleLimit = (changes: Changes) => {
  const verdict = checkJoint(jointNamed('starter-ring')!, trainPorts(changes), [], context({}))!
  return { code: verdict.code, limit: verdict.limits.find(({ id }) => id === 'starter-module')! }
}

test('a pinion of DP 10 (module 2.54) on a ring of module 2.5 does not mesh, however near it looks', () => {
  expect(moduleLimit({}).limit.code).toBe('fits')
  // 109 teeth of module 2.5: outer Ø = (109 + 2) × 2.5 (standard gear geometry).
  const { code, limit } = moduleLimit({ ring: { outerMm: 277.5 } })
  expect(limit.code).not.toBe('fits')
  expect(code).not.toBe('fits')
  expect(limit.value).toBeCloseTo(-0.04, 3)
})
