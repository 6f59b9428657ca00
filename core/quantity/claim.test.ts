import { expect, test } from 'vitest'
import { length } from '../ports/field.ts'
import { PORT_KINDS } from '../ports/index.ts'
import { type Claim, chooseClaim } from './claim.ts'
import { methodPlusMinus } from './methods.ts'

const words = length('Depth')
const choose = (claims: Partial<Claim>[], specimen?: string) =>
  chooseClaim(
    claims.map((claim, i) => ({ id: `c${i}`, value: 10, grade: 'heard', ...claim }) as Claim),
    specimen,
    (claim) => methodPlusMinus(claim.method) ?? words.defaultPm(claim.grade, claim.value as number),
    (a, b) => Math.abs(Number(a) - Number(b)),
  )!

test.each<[string, Partial<Claim>[], string | undefined, string]>([
  [
    'this very part before the maker, however close the maker',
    [
      { grade: 'maker', plusMinus: 0.01 },
      { grade: 'measured', plusMinus: 0.5, specimen: 's' },
    ],
    's',
    'c1',
  ],
  [
    'another specimen counts as one like it',
    [
      { grade: 'maker', plusMinus: 0.01 },
      { grade: 'measured', plusMinus: 0.5, specimen: 'other' },
    ],
    's',
    'c0',
  ],
  [
    'maker before a closer catalogue',
    [
      { grade: 'catalogue', plusMinus: 0.01 },
      { grade: 'maker', plusMinus: 0.3 },
    ],
    undefined,
    'c1',
  ],
  [
    'within a tier the smallest ±',
    [
      { grade: 'maker', plusMinus: 0.2 },
      { grade: 'measured', plusMinus: 0.05 },
    ],
    undefined,
    'c1',
  ],
  [
    '± of the method where none is stated',
    [{ grade: 'maker' }, { grade: 'measured', method: 'caliper' }],
    undefined,
    'c1',
  ],
  [
    'a measured length without a method is known to no ±: last',
    [{ grade: 'measured' }, { grade: 'maker', plusMinus: 5 }],
    undefined,
    'c1',
  ],
  [
    'then the strongest grade',
    [
      { grade: 'maker', plusMinus: 0.1 },
      { grade: 'fitted', plusMinus: 0.1 },
    ],
    undefined,
    'c1',
  ],
  [
    'then the newest',
    [
      { grade: 'maker', on: '2025-01-01' },
      { grade: 'maker', on: '2026-01-01' },
    ],
    undefined,
    'c1',
  ],
])('%s', (_, claims, specimen, expected) => {
  expect(choose(claims, specimen).claim.id).toBe(expected)
})

test('a disagreement beyond both ± is a conflict; hearsay without ± never is', () => {
  expect(
    choose([
      { value: 10, grade: 'maker', plusMinus: 0.1 },
      { value: 10.3, grade: 'measured', plusMinus: 0.1 },
    ]).conflict,
  ).toBe(true)
  expect(
    choose([
      { value: 10, grade: 'maker', plusMinus: 0.1 },
      { value: 10.2, grade: 'measured', plusMinus: 0.1 },
    ]).conflict,
  ).toBe(false)
  expect(
    choose([
      { value: 10, grade: 'maker', plusMinus: 0.1 },
      { value: 90, grade: 'heard' },
    ]).conflict,
  ).toBe(false)
})

test('default ±: counts and ratios 0, machined lengths 0.1 from maker or catalogue, dowels 0.05 from maker or machined catalogue', () => {
  const { ratios, face } = PORT_KINDS
  expect(ratios.fields.stall.defaultPm('heard', 2)).toBe(0)
  expect([
    words.defaultPm('maker', 1),
    words.defaultPm('catalogue', 1),
    words.defaultPm('heard', 1),
    words.defaultPm('measured', 1),
  ]).toEqual([0.1, 0.1, Infinity, Infinity])
  const dowel = (process?: 'reamed') => [{ x: 0, y: 0, d: 12, ...(process ? { process } : {}) }]
  expect([
    face.fields.dowels.defaultPm('maker', dowel()),
    face.fields.dowels.defaultPm('catalogue', dowel('reamed')),
    face.fields.dowels.defaultPm('catalogue', dowel()),
  ]).toEqual([0.05, 0.05, Infinity])
})
