import fc from 'fast-check'
import { expect, test } from 'vitest'
import { FACT_KEYS, type Fact, type FactKey } from './facts.ts'
import { planNeeds } from './fixpoint.ts'
import { intersect, mergeNeeds, need } from './need.ts'
import type { RuleInput } from './rule.ts'
import { RULES } from './rules/index.ts'

const keys = Object.keys(FACT_KEYS) as FactKey[]
const factValue = (key: FactKey): fc.Arbitrary<Fact['value']> =>
  key.startsWith('keep.') || key.endsWith('recipients') || key.startsWith('law.')
    ? fc.boolean()
    : key === 'gearbox.type'
      ? fc.constantFrom('manual', 'automatic')
      : FACT_KEYS[key].endsWith('a count') || key.endsWith('Mm')
        ? fc.integer({ min: 0, max: 12 })
        : key === 'insert.kinds'
          ? fc.constantFrom('plate', 'plate spacer', 'pilot')
          : fc.constantFrom('p1', 'p2', 'p1 p2')
const facts: fc.Arbitrary<Fact[]> = fc
  .subarray(keys)
  .chain((chosen) =>
    fc.tuple(...chosen.map((key) => factValue(key).map((value): Fact => ({ key, value })))),
  )

const joints: RuleInput['joints'] = [
  {
    joint: 'block-face',
    bare: {
      limits: [{ code: 'bridge', words: 'Too few bolts', pieces: ['plate'] }],
      tasks: [],
    } as never,
  },
  {
    joint: 'depth',
    bare: {
      limits: [{ code: 'bridge', words: 'Too far', pieces: ['spacer'] }],
      tasks: [{ id: 'starter-shim', words: 'Shim', hours: 0.8, skills: [], reversible: true }],
    } as never,
  },
]

test('the order of rules never changes needs', () => {
  fc.assert(
    fc.property(
      facts,
      fc.shuffledSubarray([...RULES], { minLength: RULES.length }),
      (given, shuffled) => {
        expect(planNeeds(given, joints, [], shuffled)).toEqual(planNeeds(given, joints))
      },
    ),
    { seed: 5, numRuns: 200 },
  )
})

test('rules only add: more facts never remove a need', () => {
  fc.assert(
    fc.property(facts, fc.nat(), (given, cut) => {
      const fewer = given
        .slice(0, given.length === 0 ? 0 : cut % given.length)
        .filter(
          (fact) =>
            fact.key !== 'insert.parts' &&
            fact.key !== 'insert.kinds' &&
            fact.key !== 'gearbox.type',
        )
      const ids = new Set(planNeeds(given, joints).map((one) => one.id))
      for (const one of planNeeds(fewer, joints)) expect(ids.has(one.id)).toBe(true)
    }),
    { seed: 6, numRuns: 150 },
  )
})

test('every rule adds only what it declares, and every need says why', () => {
  fc.assert(
    fc.property(facts, (given) => {
      for (const rule of RULES)
        for (const one of planNeeds(given, joints, [], [rule]))
          expect(rule.adds).toContain(one.kind)
      for (const one of planNeeds(given, joints)) expect(one.why.length).toBeGreaterThan(0)
    }),
    { seed: 8, numRuns: 100 },
  )
})

const kinds = (given: Fact[]): string[] => planNeeds(given, []).map((one) => one.kind)

test('a manual is made complete; an automatic brings its cooler and lines', () => {
  const base: Fact[] = [
    { key: 'engine.part', value: 'e' },
    { key: 'transmission.part', value: 't' },
  ]
  expect(kinds([...base, { key: 'gearbox.type', value: 'manual' }])).toEqual(
    expect.arrayContaining([
      'flywheel',
      'cover',
      'disc',
      'release-bearing',
      'pilot',
      'starter',
      'cover-bolt',
      'engine-oil',
      'gearbox-oil',
      'coolant',
    ]),
  )
  expect(kinds([...base, { key: 'gearbox.type', value: 'automatic' }])).toEqual(
    expect.arrayContaining(['flexplate', 'converter', 'starter', 'gearbox-cooler', 'cooler-line']),
  )
})

test('what only a mock-up can measure waits for it', () => {
  const waiting = planNeeds([{ key: 'engine.part', value: 'e' }], [])
    .filter((one) => one.waits === 'mock-up')
    .map((one) => one.kind)
  expect(waiting).toEqual(['belt', 'exhaust', 'lower-hose', 'propshaft', 'throttle-actuation'])
})

test('a recipe of the shop adds, and chains to the end', () => {
  const recipes = [
    {
      id: 'one',
      when: [{ fact: 'keep.heater' as const, equals: true }],
      whenListed: [],
      add: [{ kind: 'heater-reducer', place: 'bay', words: 'Heater reducers', quantity: 2 }],
    },
    {
      id: 'two',
      when: [],
      whenListed: ['heater-reducer'],
      add: [{ kind: 'clip', place: 'bay', words: 'Clips', quantity: 4 }],
    },
  ]
  expect(
    planNeeds([{ key: 'keep.heater', value: true }], [], recipes, []).map((one) => [
      one.kind,
      one.quantity,
    ]),
  ).toEqual([
    ['clip', 4],
    ['heater-reducer', 2],
  ])
})

test('needs of one id merge: the larger quantity, the stricter level, all reasons; constraints intersect, empty is a conflict', () => {
  const at = { kind: 'plate', place: 'face', words: 'Plate' }
  const merged = mergeNeeds(
    need({ ...at, quantity: 2, level: 'confirm', why: [{ rule: 'a', words: 'x' }] }),
    need({ ...at, why: [{ rule: 'b', words: 'y' }] }),
  )
  expect(merged).toMatchObject({
    id: 'plate/face/main',
    quantity: 2,
    level: 'required',
    why: [{ rule: 'a' }, { rule: 'b' }],
  })
  const mm = { port: 'plate', field: 'thicknessMm' }
  expect(
    intersect([
      { ...mm, low: 10, high: 14 },
      { ...mm, low: 12 },
    ]).constraints,
  ).toEqual([{ ...mm, low: 12, high: 14 }])
  expect(
    intersect([
      { ...mm, high: 10 },
      { ...mm, low: 12 },
    ]).conflict,
  ).toBe('plate.thicknessMm must be at least 12 and at most 10')
})
