import fc from 'fast-check'
import { expect, test } from 'vitest'
import { PROCESSES } from '../../core/ports/field.ts'
import { FileFault } from './file-fault.ts'
import { patternFromDxf, patternToDxf } from './pattern-dxf.ts'

const mm = fc.integer({ min: -250_000, max: 250_000 }).map((value) => value / 1000)
const size = fc.integer({ min: 4000, max: 30_000 }).map((value) => value / 1000)
const process = fc.option(fc.constantFrom(...PROCESSES), { nil: undefined })
const defined = <T extends object>(one: T): T =>
  Object.fromEntries(
    Object.entries(one).filter(([, value]) => value !== undefined && value !== false),
  ) as T
const hole = fc
  .record({
    x: mm,
    y: mm,
    d: size,
    thread: fc.option(fc.constantFrom('M10x1.25', '3/8-16', '1/8 NPT'), { nil: undefined }),
    optional: fc.boolean(),
    process,
  })
  .map(defined)
const dowel = fc.record({ x: mm, y: mm, d: size, pin: fc.boolean(), process }).map(defined)
const face = fc.record({
  holes: fc.array(hole, { minLength: 1, maxLength: 12 }),
  dowels: fc.array(dowel, { maxLength: 3 }),
  outline: fc.oneof(
    fc.constant([]),
    fc.array(fc.record({ x: mm, y: mm }), { minLength: 3, maxLength: 20 }),
  ),
})
const byPlace = (
  a: { x: number; y: number; d: number },
  b: { x: number; y: number; d: number },
): number => a.x - b.x || a.y - b.y || a.d - b.d

test('what goes out comes back to the same pattern: every hole with its thread, dowel with its pin, and the outline', () => {
  fc.assert(
    fc.property(face, face, (front, rear) => {
      const faces = [
        { name: 'front', ...front },
        { name: 'rear', ...rear },
      ]
      const back = patternFromDxf(patternToDxf(faces)).faces
      expect(back.map((one) => one.name).sort()).toEqual(['front', 'rear'])
      for (const sent of faces) {
        const read = back.find((one) => one.name === sent.name)!
        expect([...read.holes].sort(byPlace)).toEqual([...sent.holes].sort(byPlace))
        expect([...read.dowels].sort(byPlace)).toEqual([...sent.dowels].sort(byPlace))
        expect(read.outline).toEqual(sent.outline)
      }
    }),
    { numRuns: 60 },
  )
})

test('a cutter finds named layers, the axis and a scale to check by', () => {
  const text = patternToDxf([
    {
      name: 'block',
      holes: [{ x: 1, y: 2, d: 10.5, thread: 'M10x1.5' }],
      dowels: [{ x: 3, y: 4, d: 12 }],
      outline: [],
    },
  ])
  for (const layer of ['block$HOLES$thread M10x1.5', 'block$DOWELS', 'AXIS', 'SCALE 100 mm'])
    expect(text).toContain(layer)
  expect(text).toContain('CIRCLE')
})

const foreign = (units: number, layer = '0'): string =>
  [
    '0',
    'SECTION',
    '2',
    'HEADER',
    '9',
    '$INSUNITS',
    '70',
    String(units),
    '0',
    'ENDSEC',
    '0',
    'SECTION',
    '2',
    'ENTITIES',
    '0',
    'CIRCLE',
    '8',
    layer,
    '10',
    '1',
    '20',
    '2',
    '30',
    '0',
    '40',
    '0.1',
    '0',
    'ENDSEC',
    '0',
    'EOF',
  ].join('\n')

test.each([
  [1, 25.4],
  [4, 1],
  [5, 10],
  [6, 1000],
])("another's file in drawing unit %i is read at %d mm", (units, scale) => {
  expect(patternFromDxf(foreign(units)).faces).toEqual([
    {
      name: 'Face',
      holes: [{ x: scale, y: 2 * scale, d: Number((scale / 5).toFixed(6)) }],
      dowels: [],
      outline: [],
    },
  ])
})

test('circles on a layer named for dowels are dowels', () => {
  expect(patternFromDxf(foreign(4, 'Dowel pins')).faces[0]).toMatchObject({
    holes: [],
    dowels: [{ x: 1, y: 2, d: 0.2 }],
  })
})

test.each([
  ['no DXF at all', 'hello'],
  ['nothing', ''],
  ['a drawing without circles', foreign(4).replace('CIRCLE', 'POINT')],
])('%s is refused with what to do', (_, text) => {
  expect(() => patternFromDxf(text)).toThrow(FileFault)
})

test('a face comes back under its name, whatever marks that has, and a hole with its thread', () => {
  const name = fc
    .string({ minLength: 1, maxLength: 60, unit: 'grapheme' })
    .filter((text) => /^\P{Cc}+$/u.test(text) && text.trim() === text)
  fc.assert(
    fc.property(
      name,
      fc.constantFrom('M10x1.25', '3/8-16', '1 1/8-12', '1/8 NPT', 'through'),
      (slot, thread) => {
        const face = {
          name: slot,
          holes: [{ x: 1, y: 2, d: 10, thread }],
          dowels: [{ x: 3, y: 4, d: 12, pin: true }],
          outline: [],
        }
        expect(patternFromDxf(patternToDxf([face])).faces).toEqual([face])
      },
    ),
    { numRuns: 300 },
  )
})
