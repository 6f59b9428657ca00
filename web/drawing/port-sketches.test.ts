import { expect, test } from 'vitest'
import { fieldsOf, isPortKind, PORT_KINDS, type PortKindName } from '../../core/ports/index.ts'
import { PORT_SKETCHES } from './port-sketches.ts'

const sketches = Object.entries(PORT_SKETCHES) as [
  PortKindName,
  NonNullable<(typeof PORT_SKETCHES)[PortKindName]>,
][]

/** Measured on the vehicle as a whole, which has drawings of its own; the pull of a cable. A module is reckoned, not a length. */
const ELSEWHERE = new Set<string>([
  'bay',
  'tunnel',
  'outline',
  'pinion',
  'crossmember',
  'chassis-pads',
  'lever-opening',
  'load-signal',
  'load-source',
])

test('every length and angle that is measured on a part has its place on a drawing', () => {
  const missing: string[] = []
  for (const kind of Object.keys(PORT_KINDS).filter(isPortKind)) {
    if (ELSEWHERE.has(kind)) continue
    for (const [field, words] of Object.entries(fieldsOf(kind)))
      if (
        words.type === 'number' &&
        words.unit === 'mm' &&
        words.methods.length > 0 &&
        !field.startsWith('module') &&
        !PORT_SKETCHES[kind]?.lengths[field]
      )
        missing.push(`${kind}.${field}`)
  }
  expect(missing).toEqual([])
})

test.each(sketches)(
  '%s: every length is a field of the port, stands in the drawing, and no field lies over another',
  (kind, { lengths }) => {
    const placed = Object.entries(lengths).map(([field, at]) => {
      expect(Object.keys(fieldsOf(kind))).toContain(field)
      const [x, y] = [at[4] ?? (at[0] + at[2]) / 2, at[5] ?? (at[1] + at[3]) / 2]
      expect(x, field).toBeGreaterThanOrEqual(11)
      expect(x, field).toBeLessThanOrEqual(89)
      expect(y, field).toBeGreaterThanOrEqual(4)
      expect(y, field).toBeLessThanOrEqual(56)
      return { field, x, y }
    })
    for (const one of placed)
      for (const other of placed)
        if (one !== other)
          expect(
            Math.abs(one.x - other.x) >= 22 || Math.abs(one.y - other.y) >= 8.5,
            `${one.field} and ${other.field}`,
          ).toBe(true)
  },
)
