import { expect, test } from 'vitest'
import { threeTyped } from './three.ts'

test('one figure, or the least and the most with the root of both between; nothing is nothing', () => {
  expect(threeTyped('40')).toEqual([40, 40, 40])
  expect(threeTyped(' 20 - 80 ')).toEqual([20, 40, 80])
  expect(threeTyped('0,5 to 2')).toEqual([0.5, 1, 2])
  expect(threeTyped('')).toEqual([0, 0, 0])
})

test.each(['many', '-5', '80-20', '1-2-3', '1.500', '30-', '3 3/8 in', 'Infinity'])(
  '"%s" is refused with what to type',
  (typed) => expect(() => threeTyped(typed)).toThrow(/is not a figure|wrong way|two ways/),
)
