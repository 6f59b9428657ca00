import { expect, test } from 'vitest'
import { z } from 'zod'
import { compilePart, isPortKind, PORT_KINDS, portOf } from '../core/ports/index.ts'
import { checkJointRequest, checkPairingRequest } from './check.ts'
import { planNeedsRequest, planSourcingRequest } from './plan.ts'
import * as rows from './rows.ts'
import {
  buildInput,
  buildPatch,
  claimInput,
  donorInput,
  lockInput,
  partInput,
  supplierPatch,
} from './rows.ts'
import * as stored from './stored.ts'
import * as wire from './wire.ts'
import { toCorePart, wirePartSchema, wirePortSchema } from './wire.ts'

const faultsOf = (schema: { safeParse: (value: unknown) => any }, value: unknown): string[] => {
  const read = schema.safeParse(value)
  return read.success ? [] : read.error.issues.map((issue: any) => issue.path.join('.'))
}

test.each([
  ['joint', checkJointRequest],
  ['pairing', checkPairingRequest],
  ['needs', planNeedsRequest],
  ['sourcing', planSourcingRequest],
] as const)('the example of the %s endpoint is one of its own requests', (_, schema) => {
  expect(faultsOf(schema, (schema.meta() as { example: unknown }).example)).toEqual([])
})

test.each(Object.keys(PORT_KINDS))(
  'a %s goes over the wire empty, and refuses a field it does not have',
  (kind) => {
    expect(faultsOf(wirePortSchema, { kind })).toEqual([])
    expect(faultsOf(wirePortSchema, { kind, fields: { nothing: { value: 1 } } })).toEqual([
      'fields.nothing',
    ])
  },
)

test.each<[string, unknown, string]>([
  ['an unknown kind', { kind: 'nose' }, 'kind'],
  ['a look to the side', { kind: 'face', looks: 'left' }, 'looks'],
  [
    'a ± below 0',
    { kind: 'plate', fields: { thicknessMm: { value: 3, plusMinus: -1 } } },
    'fields.thicknessMm.plusMinus',
  ],
  [
    'a method nobody knows',
    { kind: 'plate', fields: { thicknessMm: { value: 3, method: 'eye' } } },
    'fields.thicknessMm',
  ],
  [
    'a value of another type',
    { kind: 'plate', fields: { thicknessMm: { value: '3' } } },
    'fields.thicknessMm.value',
  ],
  [
    'one bad claim of several',
    { kind: 'plate', fields: { thicknessMm: [{ value: 3 }, { value: null }] } },
    'fields.thicknessMm.1.value',
  ],
  [
    'a word that is no choice',
    { kind: 'ratios', fields: { type: { value: 'both' } } },
    'fields.type.value',
  ],
  [
    'a hole without a Ø',
    { kind: 'face', fields: { holes: { value: [{ x: 1, y: 2 }] } } },
    'fields.holes.value',
  ],
])('%s is refused where it stands', (_, port, path) => {
  expect(faultsOf(wirePortSchema, port)).toContain(path)
})

test('stated values become claims: grade heard unless said, ± and method kept, several side by side', () => {
  const part = wirePartSchema.parse({
    id: 'p',
    ports: [
      {
        kind: 'plate',
        fields: {
          thicknessMm: [{ value: 3 }, { value: 3.1, grade: 'measured', method: 'micrometer' }],
        },
      },
    ],
  })
  const claims = toCorePart(part).ports[0]!.claims.thicknessMm!
  expect(claims).toMatchObject([
    { value: 3, grade: 'heard' },
    { value: 3.1, grade: 'measured', method: 'micrometer' },
  ])
  const { thicknessMm } = portOf(compilePart(toCorePart(part)), 'plate')
  expect([thicknessMm.v, thicknessMm.pm]).toEqual([3.1, 0.005])
})

test('ports of a part have ids of their own, even two of one kind and slot', () => {
  const part = toCorePart(
    wirePartSchema.parse({
      id: 'p',
      ports: [
        { kind: 'face', looks: 'forward' },
        { kind: 'face', looks: 'rearward' },
        { kind: 'ratings' },
        { kind: 'ratings' },
      ],
    }),
  )
  const ids = part.ports.map((port) => port.id)
  expect(new Set(ids).size).toBe(4)
  for (const id of ids) expect(isPortKind(id.split('/')[1]!)).toBe(true)
})

test.each<[string, unknown, string]>([
  [
    'an id given twice',
    {
      needs: [
        { id: 'a', quantity: 1 },
        { id: 'a', quantity: 1 },
      ],
    },
    'needs.1.id',
  ],
  [
    'half a cent',
    { candidates: [{ id: 'c', need: 'a', source: 'keep', priceMinor: 0.5 }] },
    'candidates.0.priceMinor',
  ],
  [
    'a supplier nobody sent',
    { bundles: [{ id: 'b', kind: 'kit', supplier: 'x', priceMinor: 1, items: [] }] },
    'bundles.0.supplier',
  ],
  [
    'a lock on two things',
    { locks: [{ id: 'l', way: 'in', candidate: 'c', supplier: 's' }] },
    'locks.0',
  ],
  ['too long a time', { timeLimitMs: 60_000 }, 'timeLimitMs'],
  ['no quantity', { needs: [{ id: 'a', quantity: 0 }] }, 'needs.0.quantity'],
])('sourcing refuses %s', (_, part, path) => {
  expect(
    faultsOf(planSourcingRequest, {
      currency: 'EUR',
      needs: [],
      candidates: [],
      bundles: [],
      suppliers: [],
      ...(part as object),
    }),
  ).toContain(path)
})

test('a fact that no rule knows is refused', () => {
  expect(faultsOf(planNeedsRequest, { facts: [{ key: 'engine.colour', value: 'red' }] })).toEqual([
    'facts.0.key',
  ])
})

test('a new build has defaults; a patch has none: what is absent stays as it is', () => {
  expect(buildInput.parse({ name: ' Skiff ', currency: 'EUR' })).toMatchObject({
    name: 'Skiff',
    taxRate: 0,
    contingency: 0.2,
    mustWork: [],
    school: 'keep',
  })
  expect(buildPatch.parse({ version: 3, name: 'Skiff' })).toEqual({ version: 3, name: 'Skiff' })
  expect(supplierPatch.parse({ version: 1, freeOverMinor: null })).toEqual({
    version: 1,
    freeOverMinor: null,
  })
  expect(faultsOf(buildPatch, { name: 'x' })).toEqual(['version'])
  expect(faultsOf(buildPatch, { version: 1, colour: 'red' })).toEqual([''])
})

test('blank is 0 on what a donor yields', () => {
  expect(donorInput.parse({ name: 'D', currency: 'EUR', items: [{ partId: 'p' }] }).items).toEqual([
    {
      partId: 'p',
      quantity: 1,
      stripHours: 0,
      saleMinor: 0,
      chance: 0,
      sellingHours: 0,
      held: false,
    },
  ])
})

test('a claim is measured on one like it unless said otherwise; a lock names one thing; a kind of part is known', () => {
  expect(claimInput.parse({ portId: 'p/ring/main', field: 'widthMm', typed: '10' })).toMatchObject({
    grade: 'measured',
    thisVeryPart: false,
  })
  expect(faultsOf(lockInput, { way: 'in' })).toEqual([''])
  expect(faultsOf(partInput, { kind: 'rocket', name: 'R' })).toEqual(['kind'])
})

/** Every string of a schema without an end to it, by where it stands. */
function endless(schema: unknown, at: string): string[] {
  if (typeof schema !== 'object' || schema === null) return []
  const node = schema as Record<string, unknown>
  if (
    node.type === 'string' &&
    node.maxLength === undefined &&
    node.enum === undefined &&
    node.const === undefined &&
    node.format === undefined
  )
    return [at]
  return Object.entries(node).flatMap(([key, value]) => endless(value, `${at}/${key}`))
}

test.each(Object.entries({ ...stored.STORED_ROWS, ...writes() }))(
  'every string of %s has a greatest length',
  (name, schema) => {
    expect(endless(z.toJSONSchema(schema, { unrepresentable: 'any', io: 'input' }), name)).toEqual(
      [],
    )
  },
)

/** Schemas of what is written; a file's text is bounded by its bytes instead. */
function writes(): Record<string, z.ZodType> {
  const named = Object.entries({ ...rows, ...wire } as Record<string, unknown>).filter(
    ([name, value]) => value instanceof z.ZodType && name !== 'offersInput',
  )
  return Object.fromEntries(named) as Record<string, z.ZodType>
}

test.each(['a\u0000b', 'two\nlines', 'tab\tbed', '\u007f'])(
  'a name, a slot or a thread with the control character of %j is refused',
  (typed) => {
    expect(rows.supplierInput.safeParse({ name: typed, currency: 'EUR' }).success).toBe(false)
    expect(wire.wirePortSchema.safeParse({ kind: 'face', slot: typed, fields: {} }).success).toBe(
      false,
    )
    expect(
      wire.wirePortSchema.safeParse({
        kind: 'face',
        fields: { holes: { value: [{ x: 0, y: 0, d: 10, thread: `M10${typed}` }] } },
      }).success,
    ).toBe(false)
  },
)

test.each([
  [{ x: 2001, y: 0, d: 10 }, false],
  [{ x: 0, y: -2001, d: 10 }, false],
  [{ x: 0, y: 0, d: 501 }, false],
  [{ x: 0, y: 0, d: 0 }, false],
  [{ x: 0, y: 0, d: 10, thread: 'banana' }, false],
  [{ x: -2000, y: 2000, d: 500, thread: 'M10x1.25' }, true],
])('a hole %j lies on a face: %s', (hole, isOne) => {
  expect(
    wire.wirePortSchema.safeParse({ kind: 'face', fields: { holes: { value: [hole] } } }).success,
  ).toBe(isOne)
})

test('a rate of a currency to itself is refused, typed or changed', () => {
  const rate = { fromCurrency: 'EUR', toCurrency: 'EUR', rate: 1, day: '2026-01-01' }
  expect(rows.rateInput.safeParse(rate).success).toBe(false)
  expect((rows.ratePatch as z.ZodType).safeParse({ version: 1, ...rate }).success).toBe(false)
  expect(rows.rateInput.safeParse({ ...rate, toCurrency: 'GBP' }).success).toBe(true)
})
