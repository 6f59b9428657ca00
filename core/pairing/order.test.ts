import fc from 'fast-check'
import { expect, test } from 'vitest'
import { CODES } from '../joints/code.ts'
import { byPromise, effective, type Promising, promise } from './order.ts'

const code = fc.constantFrom(...CODES)
const row: fc.Arbitrary<Promising> = fc.record({
  chosen: fc.boolean(),
  engine: fc.constantFrom('A', 'B', 'C'),
  transmission: fc.constantFrom('X', 'Y'),
  isWorkedOut: fc.boolean(),
  joints: fc.array(fc.record({ code, closed: fc.option(code) }), { maxLength: 6 }),
})

test('the order is one: no two rows before one another, and what is before is before all that follows', () => {
  fc.assert(
    fc.property(row, row, row, (a, b, c) => {
      expect(Math.sign(byPromise(a, b)) + Math.sign(byPromise(b, a))).toBe(0)
      if (byPromise(a, b) <= 0 && byPromise(b, c) <= 0)
        expect(byPromise(a, c)).toBeLessThanOrEqual(0)
    }),
  )
})

test('the chosen one comes first, a closed bridge before an open one, a clash last', () => {
  const of = (
    bare: Promising['joints'][number]['code'],
    closed: Promising['joints'][number]['closed'] = null,
    chosen = false,
  ): Promising => ({
    chosen,
    engine: 'A',
    transmission: 'X',
    isWorkedOut: true,
    joints: [{ code: bare, closed }],
  })
  const rows = [
    of('clash'),
    of('bridge'),
    of('unmeasured'),
    of('bridge', 'work'),
    of('fits'),
    of('clash', null, true),
  ]
  expect([...rows].sort(byPromise)).toEqual([rows[5], rows[4], rows[3], rows[2], rows[1], rows[0]])
})

test('what is not worked out yet comes after what is, however much it promises', () => {
  const of = (isWorkedOut: boolean): Promising => ({
    chosen: false,
    engine: 'A',
    transmission: 'X',
    isWorkedOut,
    joints: [{ code: 'bridge', closed: null }],
  })
  expect(byPromise(of(true), of(false))).toBeLessThan(0)
  // A gap weighs more once it is known that nothing closes it.
  expect(promise(of(true))).toBeGreaterThan(promise(of(false)))
})

test('what counts of a joint is the closed verdict where there is one', () => {
  expect([effective({ bare: 1 }), effective({ bare: 1, closed: 2 })]).toEqual([1, 2])
})
