import { expect, test } from 'vitest'
import { port } from '../joints/samples.property.ts'
import { compilePart } from '../ports/index.ts'
import { sameInside } from './same-inside.ts'

const SHAFT = {
  noseMm: 15,
  splines: 23,
  majorMm: 25.4,
  form: 'involute',
  tipMm: -12.5,
  noseEndMm: 7.5,
  splineStartMm: 21.5,
  splineEndMm: 76.5,
}
const box = (
  id: string,
  shaft: Record<string, unknown>,
  { pm = 0.05, grade = 'measured' as 'measured' | 'heard' } = {},
) =>
  compilePart({
    id,
    kind: 'transmission',
    name: id,
    ports: [
      port('input-shaft', shaft, { pm, grade }),
      port('ratios', { type: 'manual', gears: [3.5, 2, 1] }, { grade }),
    ],
  })
const shifted = (by: number) => ({
  ...SHAFT,
  tipMm: SHAFT.tipMm + by,
  noseEndMm: SHAFT.noseEndMm + by,
  splineStartMm: SHAFT.splineStartMm + by,
  splineEndMm: SHAFT.splineEndMm + by,
})

test('a longer bell moves every length and is still the same inside', () => {
  const { verdict, fields } = sameInside(box('a', SHAFT), box('b', shifted(18)))
  expect(verdict).toBe('same')
  expect(fields.find((field) => field.label === 'Tip to the start of the splines')).toMatchObject({
    one: 34,
    other: 34,
    verdict: 'equal',
  })
})

test.each([
  ['a spline more', { splines: 24 }],
  ['a nose past both bounds', { noseMm: 15.2 }],
  ['a longer spline', { splineEndMm: 80 }],
] as const)('%s is another inside', (_, change) => {
  expect(sameInside(box('a', SHAFT), box('b', { ...SHAFT, ...change })).verdict).toBe('different')
})

test('within the sum of both bounds it is equal; with no bound said it proves nothing', () => {
  expect(sameInside(box('a', SHAFT), box('b', { ...SHAFT, noseMm: 15.09 })).verdict).toBe('same')
  expect(
    sameInside(
      box('a', SHAFT, { pm: Number.POSITIVE_INFINITY }),
      box('b', { ...SHAFT, noseMm: 15.09 }),
    ).verdict,
  ).toBe('unproved')
})

test('hearsay and what one side never measured leave it unproved, and say what remains', () => {
  expect(sameInside(box('a', SHAFT), box('b', SHAFT, { grade: 'heard' })).verdict).toBe('unproved')
  const { majorMm: _, ...short } = SHAFT
  const { verdict, fields } = sameInside(box('a', SHAFT), box('b', short))
  expect(verdict).toBe('unproved')
  expect(
    fields.filter((field) => field.verdict === 'unproved').map((field) => field.field),
  ).toEqual(['majorMm'])
})

test('asked either way round it says the same', () => {
  const [a, b] = [box('a', SHAFT), box('b', { ...SHAFT, noseMm: 15.2 })]
  expect(sameInside(b, a).verdict).toBe(sameInside(a, b).verdict)
  expect(sameInside(a, a).verdict).toBe('same')
})
