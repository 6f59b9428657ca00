import fc from 'fast-check'
import { expect, test } from 'vitest'
import { contradictionIn } from './contradictions.ts'
import { type AnyFieldWords, faultIn } from './field.ts'
import { compilePart, PORT_KINDS, type PortKindName } from './index.ts'
import { parseTyped } from './parse.ts'
import { RANGES } from './ranges.ts'

const figures = Object.entries(PORT_KINDS).flatMap(([kind, { fields }]) =>
  Object.entries(fields as Record<string, AnyFieldWords>)
    .filter(([, { range }]) => range)
    .map(([field, words]) => [`${kind}.${field}`, kind as PortKindName, field, words] as const),
)

test('every figure has a range, and nothing else is in the table', () => {
  const listed = Object.entries(RANGES).flatMap(([kind, fields]) =>
    Object.keys(fields).map((field) => `${kind}.${field}`),
  )
  expect(listed.sort()).toEqual(figures.map(([name]) => name).sort())
})

// From an independent reading of what was kept: each was taken as it stood.
test.each<[PortKindName, string, number]>([
  ['pilot-bore', 'boreMm', -15],
  ['pilot-bore', 'boreMm', 0],
  ['input-shaft', 'splines', 0],
  ['disc-hub', 'splines', 22.5],
  ['engine-output', 'peakTorqueNm', -150],
  ['engine-pads', 'spreadMm', -480],
  ['spacer', 'thicknessMm', 0],
  ['ratings', 'torqueNm', 0],
  ['starter', 'teeth', 9.4],
])('no part has %s.%s of %d: it is refused as a value and as typed', (kind, field, value) => {
  const words = (PORT_KINDS[kind].fields as Record<string, AnyFieldWords>)[field]!
  expect(faultIn(words, value)).toContain(words.label)
  expect(() => parseTyped(words, String(value))).toThrow(words.label)
})

test.each<[PortKindName, string]>([
  ['clutch-seat', 'dowelMm'],
  ['cover-mount', 'dowelMm'],
  ['release-gear', 'innerMm'],
  ['output', 'circleMm'],
  ['trigger', 'teeth'],
  ['propshaft', 'splines'],
])('%s.%s may be 0: that says there is none', (kind, field) => {
  expect(faultIn((PORT_KINDS[kind].fields as Record<string, AnyFieldWords>)[field]!, 0)).toBeNull()
})

test.each(figures.filter(([, , , { type }]) => type === 'number'))(
  '%s outside its range is never used, whatever stands beside it',
  (_, kind, field, words) => {
    const { least, most } = words.range!
    fc.assert(
      fc.property(
        fc.oneof(
          fc.double({ min: most, max: most * 10 + 1, noNaN: true, minExcluded: true }),
          fc
            .double({ min: least - 1000, max: least, noNaN: true, maxExcluded: true })
            .filter((value) => value < least),
        ),
        (value) => {
          expect(faultIn(words, value)).not.toBeNull()
          const claim = { id: 'c1', value, grade: 'measured' as const, plusMinus: 0 }
          const stored = (claims: readonly object[]) =>
            compilePart({
              id: 'p',
              kind: 'part',
              name: 'P',
              ports: [
                { id: `p/${kind}/main`, kind, slot: 'main', claims: { [field]: claims as never } },
              ],
            }).ports[0] as unknown as Record<string, { claim: string | null }>
          expect(stored([claim])[field]!.claim).toBeNull()
          const other = { ...claim, id: 'c0', value: most, grade: 'heard' as const }
          expect(stored([claim, other])[field]!.claim).toBe('c0')
        },
      ),
      { numRuns: 20 },
    )
  },
)

test.each<[PortKindName, Record<string, number>, string]>([
  ['disc-hub', { startMm: 18, endMm: -6 }, 'Hub front'],
  ['disc-face', { innerMm: 230, outerMm: 225 }, 'Inner Ø'],
  ['pilot-bore', { mouthMm: -20, bottomMm: 4 }, 'Bottom of the bore'],
  ['release-gear', { innerMm: 44, slaveMm: 44 }, 'Slave bore'],
  ['input-shaft', { splineStartMm: 120, splineEndMm: 60 }, 'Spline start'],
])('%s %j cannot be: the figures are named', (kind, values, says) => {
  expect(contradictionIn(kind, (field) => values[field])?.words).toContain(says)
  const turned = Object.fromEntries(
    Object.keys(values).map((field, i, all) => [field, values[all[1 - i]!]!]),
  )
  if (values[Object.keys(values)[0]!] !== values[Object.keys(values)[1]!])
    expect(contradictionIn(kind, (field) => turned[field])).toBeNull()
})
