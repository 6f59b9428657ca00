import { expect, test } from 'vitest'
import { crankFlange } from './crank-flange.ts'
import { checkJoint } from './index.ts'
import { context, trainPorts } from './samples.property.ts'
import { matchFlange } from './search/flange-holes.ts'

const check = (changes: Parameters<typeof trainPorts>[0] = {}) =>
  checkJoint(crankFlange, trainPorts(changes), [], context())!
const code = (changes: Parameters<typeof trainPorts>[0], id: string): string | undefined =>
  check(changes).limits.find((one) => one.id === id)?.code

test.each([
  [
    'holes at any turn',
    { flywheel: { angles: [17, 77, 137, 197, 257, 317] } },
    'flange-holes',
    'fits',
  ],
  [
    'one hole a degree off',
    { flywheel: { angles: [0, 60, 120, 180, 240, 301] } },
    'flange-holes',
    'bridge',
  ],
  [
    'spare wheel holes',
    { flywheel: { angles: [0, 30, 60, 90, 120, 180, 240, 300] } },
    'flange-holes',
    'fits',
  ],
  [
    "a maker's bolt lost",
    { flywheel: { angles: [0, 60, 120, 180, 240] } },
    'flange-holes',
    'clash',
  ],
  ['another circle', { flywheel: { circleMm: 64.3 } }, 'flange-circle', 'bridge'],
  ['a loose register', { flywheel: { registerMm: 36.1 } }, 'register', 'bridge'],
  ['a tight register', { flywheel: { registerMm: 35.9 } }, 'register', 'bridge'],
  ['another thread', { 'flange-bolts': { thread: 'M10x1.5' } }, 'flange-thread', 'bridge'],
  [
    'the same thread, spelled otherwise',
    { 'flange-bolts': { thread: 'm10 × 1.25' } },
    'flange-thread',
    'fits',
  ],
  ['bolts too short', { 'flange-bolts': { lengthMm: 20 } }, 'bolt-reach', 'work'],
  ['bolts that bottom', { 'flange-bolts': { lengthMm: 33 } }, 'bolt-reach', 'work'],
  ['another balance', { flywheel: { balance: 'counterweighted' } }, 'balance', 'work'],
  ['a head over the inner edge', { 'flange-bolts': { headMm: 28 } }, 'head-inner', 'clash'],
  ['a head over the outer edge', { flywheel: { outerMm: 80 } }, 'head-outer', 'clash'],
])('%s', (_, changes, id, expected) => {
  expect(code(changes as never, id)).toBe(expected)
})

test('an asymmetric circle meets one way only', () => {
  const crank = [0, 58, 120, 180, 240, 300]
  expect(
    matchFlange(
      crank,
      crank.map((angle) => angle + 90),
      70,
      0.1,
    ).met,
  ).toBe(6)
  expect(matchFlange(crank, [0, 60, 120, 180, 240, 300], 70, 0.1).met).toBeLessThan(6)
})

test('the caution about rotating parts stands at the joint', () => {
  expect(check().cautions.join()).toMatch(/kills/)
})
