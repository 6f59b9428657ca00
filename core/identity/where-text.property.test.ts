import fc from 'fast-check'
import { expect, test } from 'vitest'
import type { Where } from './claims.ts'
import { readWhere, WhereFault, whereWords, writeWhere } from './where-text.ts'

const word = fc.constantFrom('Wick', 'late', 'north', 'Marlund Packet', '2nd', 'wide', 'a b')
const words = fc.uniqueArray(word, { minLength: 1, maxLength: 3 })
const target = fc.record({ family: word, generations: words }, { requiredKeys: ['family'] })
const key = fc.constantFrom('gearbox', 'engine.throttle', 'crankTeeth', 'paint')
const condition = fc.oneof(
  fc.record({ key, is: words }),
  fc.record({ key, not: words }),
  fc.record({ key, from: fc.integer({ min: -40, max: 40 }) }),
  fc.record({ key: word, is: fc.constant(['true']) }),
)
const where: fc.Arbitrary<Where> = fc.record(
  {
    targets: fc
      .record({ vehicle: target, engine: target, transmission: target }, { requiredKeys: [] })
      .filter((one) => Object.keys(one).length > 0),
    from: fc.constantFrom('1992', '1992-03', '1992-03-04'),
    yearTo: fc.integer({ min: 1950, max: 2030 }),
    serial: fc.record({ series: fc.constant('W#'), from: fc.nat(99_999) }),
    conditions: fc.array(condition, { minLength: 1, maxLength: 4 }),
    do: words,
  },
  { requiredKeys: [] },
)
const sorted = (one: Where | null): unknown =>
  one && {
    ...one,
    conditions: one.conditions?.map((condition) => JSON.stringify(condition)).sort(),
  }

test('a where written into the columns of a list reads back as it was', () => {
  fc.assert(
    fc.property(where, (one) => {
      const back = readWhere(writeWhere(one))
      expect(sorted(back)).toEqual(Object.keys(one).length > 0 ? sorted(one) : null)
      expect(whereWords(back)).not.toContain('undefined')
    }),
    { numRuns: 400 },
  )
})

test('conditions are read as they are typed; what cannot be read names its column', () => {
  expect(readWhere({ conditions: 'crankTeeth>=36; market!=north|south' })).toEqual({
    conditions: [
      { key: 'crankTeeth', from: 36 },
      { key: 'market', not: ['north', 'south'] },
    ],
  })
  expect(readWhere({ vehicle: '  ', do: ' ' })).toBeNull()
  for (const [text, column] of [
    [{ conditions: 'teeth' }, 'conditions'],
    [{ conditions: 'teeth>=many' }, 'conditions'],
    [{ from: '03/1992' }, 'from'],
    [{ yearFrom: 'MCM' }, 'yearFrom'],
    [{ engineGenerations: '2nd' }, 'engineGenerations'],
  ] as const) {
    expect(() => readWhere(text)).toThrow(WhereFault)
    try {
      readWhere(text)
    } catch (error) {
      expect((error as WhereFault).column).toBe(column)
    }
  }
})

test('a where is told in one line', () => {
  expect(
    whereWords({
      targets: { engine: { family: 'Wick', generations: ['2nd', '3rd'] } },
      from: '1992-03',
      serial: { series: 'W#', to: 500 },
      conditions: [
        { key: 'gearbox', is: ['manual'] },
        { key: 'with cooler', is: ['true'] },
      ],
    }),
  ).toBe('Wick 2nd or 3rd, built from 1992-03, serial W# to 500, gearbox manual, with cooler')
})
