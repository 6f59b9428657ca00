import { expect, test } from 'vitest'
import { checkJoint } from './index.ts'
import { pilot } from './pilot.ts'
import { context, trainPorts } from './samples.property.ts'

test.each([
  ['a bearing on its nose', {}, 'fits'],
  ['a loose nose', { 'input-shaft': { noseMm: 14.9 } }, 'bridge'],
  ['a nose too tight for its bearing', { 'input-shaft': { noseMm: 15.05 } }, 'bridge'],
  ['a bush at 0.05', { 'pilot-piece': { type: 'bush', boreMm: 15.05 } }, 'fits'],
  ['a bush as tight as a bearing', { 'pilot-piece': { type: 'bush', boreMm: 15.01 } }, 'work'],
  ['a piece that falls through', { 'pilot-piece': { outerMm: 24.9 } }, 'bridge'],
  ['a bearing too big for its bore', { 'pilot-piece': { outerMm: 25.1 } }, 'bridge'],
  [
    'a bush too big for its bore',
    { 'pilot-piece': { type: 'bush', boreMm: 15.05, outerMm: 25.1 } },
    'work',
  ],
  ['a crank never bored', { 'pilot-bore': { finished: false } }, 'work'],
  ['nobody looked', { 'pilot-bore': { finished: undefined } }, 'unmeasured'],
  ['known to have none', { 'pilot-piece': { type: 'none' } }, 'bridge'],
])('%s', (_, changes, expected) => {
  expect(checkJoint(pilot, trainPorts(changes as never), [], context())!.code).toBe(expected)
})

test('an automatic has no pilot joint', () => {
  expect(checkJoint(pilot, trainPorts({ ratios: { type: 'automatic' } }), [], context())).toBeNull()
})
