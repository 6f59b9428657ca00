import { expect, test } from 'vitest'
import { parseThread, threadDiameter, threadKey } from './thread.ts'

test.each([
  ['M10x1.25', 'M10x1.25'],
  ['m10 X 1,25', 'M10x1.25'],
  ['M10 × 1.50', 'M10x1.5'],
  ['M8', 'M8'],
  ['3/8-16', '3/8-16'],
  ['3/8" - 16 UNC', '3/8-16'],
  ['7/16-20unf', '7/16-20'],
  ['1 1/8-12', '1 1/8-12'],
  ['1/8 NPT', '1/8 NPT'],
  ['1/8npt', '1/8 NPT'],
  ['1/2-14 UN', '1/2-14'],
  ['Through', 'through'],
])('%s is written %s', (typed, written) => {
  expect(parseThread(typed)).toBe(written)
  expect(parseThread(written)).toBe(written)
})

test.each(['', 'ten', 'M', '3/8', '10x1.25', 'NPT 1/8', 'M10x'])(
  '"%s" is refused with how threads are written',
  (typed) => {
    expect(() => parseThread(typed)).toThrow(/M10x1\.25, 3\/8-16, 1\/8 NPT/)
  },
)

test('nominal Ø of either kind, and one key for one thread', () => {
  expect(threadDiameter('M10x1.25')).toBe(10)
  expect(threadDiameter('3/8-16')).toBeCloseTo(9.525, 9)
  expect(threadDiameter('7/16-20')).toBeCloseTo(11.1125, 9)
  expect(threadDiameter('through')).toBeNaN()
  expect(threadKey('m10×1.25')).toBe(threadKey('M10 x 1.25'))
})
