import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { readDrawing } from './dxf-entities.ts'
import { FileFault } from './file-fault.ts'
import { patternFromDxf } from './pattern-dxf.ts'

const pairs = (...groups: readonly (readonly [number, string | number])[]): string =>
  groups.map(([code, value]) => `${code}\n${value}`).join('\n')
const entities = (...groups: readonly (readonly [number, string | number])[]): string =>
  pairs([0, 'SECTION'], [2, 'ENTITIES'], ...groups, [0, 'ENDSEC'], [0, 'EOF'])
const circle = (
  x: number | string,
  y: number | string,
  r: number | string,
): [number, string | number][] => [
  [0, 'CIRCLE'],
  [8, '0'],
  [10, x],
  [20, y],
  [40, r],
]

describe('drawings that once held everybody up', () => {
  test('a POLYLINE without its SEQEND is told by the line it begins on', () => {
    const vertex: [number, string | number][] = [
      [0, 'POLYLINE'],
      [8, '0'],
      [0, 'VERTEX'],
      [10, 1],
      [20, 2],
    ]
    expect(() => readDrawing(entities(...vertex))).toThrow(/POLYLINE begun on line 6 has no SEQEND/)
    expect(() => readDrawing(pairs([0, 'SECTION'], [2, 'ENTITIES'], ...vertex))).toThrow(
      /ends inside the POLYLINE/,
    )
  })

  test('whatever stands in a table of layers, the circles are read', () => {
    const text = `${pairs([0, 'SECTION'], [2, 'TABLES'], [0, 'TABLE'], [2, 'LAYER'], [0, 'CIRCLE'], [10, 1], [0, 'DIMSTYLE'], [2, 'x'], [0, 'ENDSEC'])}\n${entities(...circle(3, 4, 5))}`
    expect(readDrawing(text).entities).toMatchObject([
      { type: 'circle', center: { x: 3, y: 4 }, radius: 5 },
    ])
  })

  test('any text ends in a drawing or in words', () => {
    const code = fc.oneof(
      fc.constantFrom(0, 2, 8, 9, 10, 20, 40, 70, 230),
      fc.integer({ min: -5, max: 1100 }),
    )
    const value = fc.oneof(
      fc.constantFrom(
        'SECTION',
        'ENTITIES',
        'HEADER',
        'CIRCLE',
        'LWPOLYLINE',
        'POLYLINE',
        'VERTEX',
        'SEQEND',
        'ENDSEC',
        'EOF',
        'TABLE',
      ),
      fc.string(),
      fc.double().map(String),
    )
    fc.assert(
      fc.property(
        fc.array(fc.tuple(code, value), { maxLength: 40 }),
        fc.constantFrom('\n', '\r\n'),
        (groups, end) => {
          try {
            const { entities: found } = readDrawing(
              groups.map(([one, other]) => `${one}${end}${other}`).join(end),
            )
            for (const one of found)
              if (one.type === 'circle')
                expect([Number.isFinite(one.center.x), Number.isFinite(one.radius)]).toEqual([
                  true,
                  true,
                ])
          } catch (error) {
            expect(error).toBeInstanceOf(FileFault)
            expect((error as Error).message.length).toBeGreaterThan(20)
          }
        },
      ),
      { numRuns: 500 },
    )
  })
})

test('a circle without a layer is on layer 0; one drawn from below is turned over', () => {
  const { entities: found } = readDrawing(
    entities(
      [0, 'CIRCLE'],
      [10, 3],
      [20, 4],
      [40, 5],
      [0, 'CIRCLE'],
      [8, 'a'],
      [10, 3],
      [20, 4],
      [40, 5],
      [230, -1],
    ),
  )
  expect(found).toMatchObject([
    { layer: '0', center: { x: 3, y: 4 } },
    { layer: 'a', center: { x: -3, y: 4 } },
  ])
})

test.each([
  ['x is no number', circle('wide', 2, 3), /^Line 10: x should be a figure, not "wide"/],
  ['y is not finite', circle(1, '1e999', 3), /^Line 12: y should be a figure/],
  ['no radius at all', circle(1, 2, 3).slice(0, 4), /^Line 6: a CIRCLE without a radius/],
  ['a radius of 0', circle(1, 2, 0), /^Line 6: a circle of radius 0 mm/],
  ['a radius below 0', circle(1, 2, -4), /^Line 6: a circle of radius -4 mm/],
  ['a radius beyond two metres', circle(1, 2, 2001), /^Line 6: a circle of radius 2001 mm/],
  ['a place ten metres away', circle(10_000, 2, 5), /^Line 6: 10000, 2 mm is further than 2000 mm/],
])('%s is named by its line', (_, groups, words) => {
  expect(() => patternFromDxf(entities(...groups))).toThrow(words)
})

test('a circle too large for a hole is left out and said so', () => {
  const { faces, notes } = patternFromDxf(entities(...circle(0, 0, 300), ...circle(50, 0, 5)))
  expect([faces[0]!.holes, notes]).toEqual([
    [{ x: 50, y: 0, d: 10 }],
    ['Line 6: a circle of Ø 600 mm is no hole and was left out.'],
  ])
})

test('more entities than a face ever has are refused, not read', () => {
  const many = `${pairs([0, 'SECTION'], [2, 'ENTITIES'])}\n${'0\nPOINT\n'.repeat(200_001)}0\nEOF`
  expect(() => readDrawing(many)).toThrow(/more than 200000 entities/)
})
