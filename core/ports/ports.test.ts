import fc from 'fast-check'
import { expect, test } from 'vitest'
import { QuantityError } from '../quantity/units.ts'
import { canBe, type FieldWords, isKnown } from './field.ts'
import { compilePart, isPortKind, PORT_KINDS, portOf } from './index.ts'
import { parseTyped, printTyped } from './parse.ts'
import { PART_KINDS, typedPorts } from './part-kinds.ts'
import type { Port } from './port.ts'

const kinds = Object.values(PORT_KINDS)
const fieldsOf = (kind: (typeof kinds)[number]): [string, FieldWords<unknown>][] =>
  Object.entries(kind.fields as unknown as Record<string, FieldWords<unknown>>)

test.each(kinds.map((kind) => [kind.kind, kind] as const))(
  '%s: every field is named, and unknown until claimed',
  (name, kind) => {
    const port: Port = { id: `p/${name}/main`, kind: name, slot: 'main', claims: {} }
    const compiled = compilePart({ id: 'p', kind: 'sample', name: 'P', ports: [port] })
      .ports[0] as any
    expect(Object.isFrozen(compiled)).toBe(true)
    for (const [field, words] of fieldsOf(kind)) {
      expect(words.label.length).toBeGreaterThan(1)
      expect(isKnown(compiled[field])).toBe(false)
      expect([compiled[field].pm, compiled[field].grade, compiled[field].claim]).toEqual([
        Infinity,
        -1,
        null,
      ])
      expect(Object.is(compiled[field].v, words.type === 'number' ? Number.NaN : null)).toBe(true)
      if (words.unit === 'mm' && words.type === 'number') expect(field.endsWith('Mm')).toBe(true)
    }
  },
)

test.each(kinds.map((kind) => [kind.kind, kind] as const))(
  '%s: the schema refuses fields it does not have and values of another type',
  (_, kind) => {
    expect(kind.schema.safeParse({}).success).toBe(true)
    expect(kind.schema.safeParse({ nothing: 1 }).success).toBe(false)
    for (const [field, words] of fieldsOf(kind))
      expect(kind.schema.safeParse({ [field]: words.type === 'number' ? 'wide' : 7 }).success).toBe(
        false,
      )
  },
)

const possible = (words: FieldWords<unknown>): fc.Arbitrary<unknown> => {
  const { range } = words
  if (words.type !== 'number') return typedValue(words).filter((value) => canBe(words, value))
  const { least, most, isAbove, isWhole } = range!
  return isWhole
    ? fc.integer({ min: least, max: most })
    : fc
        .integer({ min: least * 1000 + (isAbove ? 1 : 0), max: most * 1000 })
        .map((thousandths) => thousandths / 1000)
}
const typedValue = (words: FieldWords<unknown>): fc.Arbitrary<unknown> => {
  const place = fc.integer({ min: -250_000, max: 250_000 }).map((um) => um / 1000)
  switch (words.type) {
    case 'number':
      return place
    case 'flag':
      return fc.boolean()
    case 'thread':
      return fc.constantFrom('M10x1.25', '3/8-16', '1/8 NPT', 'through')
    case 'zones':
      return fc.array(
        fc
          .tuple(
            place,
            fc.integer({ min: 1, max: 400_000 }),
            place,
            fc.record(
              { moving: fc.constant(true), name: fc.constantFrom('tie rod', 'Crossmember') },
              { requiredKeys: [] },
            ),
            fc.option(fc.tuple(place, fc.integer({ min: 1, max: 400_000 }))),
          )
          .map(([fromMm, um, depthMm, rest, across]) => ({
            fromMm,
            toMm: Number((fromMm + um / 1000).toFixed(3)),
            depthMm,
            ...(across
              ? {
                  leftMm: across[0],
                  rightMm: Number((across[0] + across[1] / 1000).toFixed(3)),
                }
              : {}),
            ...rest,
          })),
        { maxLength: 5 },
      )
    case 'word':
      return words.choices
        ? fc.constantFrom(...words.choices)
        : fc.constantFrom('205/65R15', '195/75R15')
    case 'numbers':
      return fc.array(
        fc.integer({ min: 1, max: 360_000 }).map((v) => v / 1000),
        { minLength: 1, maxLength: 9 },
      )
    case 'points':
      return fc.array(fc.record({ x: place, y: place }), { minLength: 3, maxLength: 8 })
    default: {
      const hole = fc.record({
        x: place,
        y: place,
        d: fc.integer({ min: 1, max: 40_000 }).map((um) => um / 1000),
      })
      const rest =
        words.type === 'holes'
          ? fc.record(
              {
                thread: fc.constantFrom('M10x1.5', '3/8-16'),
                optional: fc.constant(true),
                process: fc.constantFrom('milled', 'plasma'),
              },
              { requiredKeys: [] },
            )
          : fc.record(
              { pin: fc.constant(true), process: fc.constantFrom('reamed', 'laser') },
              { requiredKeys: [] },
            )
      return fc.array(
        fc.tuple(hole, rest).map(([one, more]) => ({ ...one, ...more })),
        { minLength: words.type === 'holes' ? 1 : 0, maxLength: 8 },
      )
    }
  }
}

test('whatever is printed for typing reads back to the same value, in every field there is', () => {
  for (const kind of kinds)
    for (const [, words] of fieldsOf(kind))
      fc.assert(
        fc.property(possible(words), (value) => {
          expect(parseTyped(words, printTyped(words, value))).toEqual(value)
        }),
        { numRuns: 25, seed: 3 },
      )
})

test.each<[keyof typeof PORT_KINDS, string, string, string]>([
  ['face', 'holes', '10 20', 'Line 1'],
  ['face', 'holes', '10 20 8\n1 2 -3', 'Line 2'],
  ['face', 'holes', '10 20 8 loose', 'not understood'],
  ['face', 'mayTurn', 'perhaps', 'yes or no'],
  ['ratios', 'type', 'both', 'choose one of'],
  ['ratios', 'gears', '3.9 two', 'not a number'],
  ['plate', 'thicknessMm', '', 'type a value'],
  ['plate', 'thicknessMm', '1,234', 'could be'],
])('%s %s: "%s" is refused, saying "%s"', (kind, field, typed, says) => {
  const words = (PORT_KINDS[kind].fields as unknown as Record<string, FieldWords<unknown>>)[field]!
  expect(() => parseTyped(words, typed)).toThrow(QuantityError)
  expect(() => parseTyped(words, typed)).toThrow(says)
})

test('lengths are read in the unit of the shop, or the one written', () => {
  const { thicknessMm } = PORT_KINDS.plate.fields
  expect([
    parseTyped(thicknessMm, '1/2'),
    parseTyped(thicknessMm, '1/2 in'),
    parseTyped(thicknessMm, '12.7'),
    parseTyped(thicknessMm, '12.7 mm', { units: { mm: 'in' } }),
  ]).toEqual([12.7, 12.7, 12.7, 12.7])
  expect(parseTyped(PORT_KINDS.face.fields.dowels, 'none')).toEqual([])
})

test('every kind of part is typed with ports that exist, once each', () => {
  for (const kind of Object.keys(PART_KINDS)) {
    const ports = typedPorts(kind)
    for (const port of ports) expect([kind, isPortKind(port.kind)]).toEqual([kind, true])
    expect(new Set(ports.map((port) => `${port.kind}/${port.slot}`)).size).toBe(ports.length)
  }
})

test('a part of a known kind has its expected ports, owned, even where nobody typed them', () => {
  const engine = compilePart({ id: 'e', kind: 'engine', name: 'Engine', ports: [] })
  expect(portOf(engine, 'pilot-bore')).toMatchObject({
    id: 'e/pilot-bore/crank',
    part: 'e',
    present: false,
  })
  expect(portOf(engine, 'face')).toMatchObject({ id: 'e/face/rear', looks: 'rearward' })
  expect(portOf(compilePart({ id: 'x', kind: 'sample', name: 'X', ports: [] }), 'ring').part).toBe(
    '?',
  )
})

test('an unknown port kind is refused with the kinds there are', () => {
  expect(() =>
    compilePart({
      id: 'x',
      kind: 'sample',
      name: 'X',
      ports: [{ id: 'x/nose/main', kind: 'nose', slot: 'main', claims: {} }],
    }),
  ).toThrow(/Known: engine-output, face/)
})
