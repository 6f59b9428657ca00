import fc from 'fast-check'
import { expect, test } from 'vitest'
import { FACT_ROWS, type FactKey } from '../facts/index.ts'
import { conditionSchema, faultsIn } from './condition.ts'
import { FIXTURES } from './fixtures/builds.property.ts'
import { OTHER_ANSWERS } from './fixtures/other-answers.property.ts'
import { type KnownFact, type KnownFacts, linesOf, outcomesOf, truthsWith } from './line-list.ts'
import { LINE_ROWS } from './lines/index.ts'
import { intersect } from './need.ts'
import { planNeeds } from './plan-needs.ts'

const keys = Object.keys(FACT_ROWS) as FactKey[]

/** Facts near a fixture: some forgotten, some assumed, some said otherwise. */
const near: fc.Arbitrary<KnownFacts> = fc
  .tuple(
    fc.constantFrom(...FIXTURES),
    fc.array(
      fc.tuple(fc.constantFrom(...keys), fc.constantFrom('forget', 'assume', 'other'), fc.nat()),
      { maxLength: 40 },
    ),
  )
  .map(([{ facts }, changes]) => {
    const changed: Partial<Record<FactKey, KnownFact>> = { ...facts }
    for (const [key, how, pick] of changes) {
      const { values } = FACT_ROWS[key]
      if (how === 'forget') delete changed[key]
      else
        changed[key] = {
          value:
            how === 'assume' ? (facts[key]?.value ?? values[0]!) : values[pick % values.length]!,
          ...(how === 'assume' ? { isAssumed: true } : {}),
        }
    }
    return changed
  })
const told = (facts: KnownFacts, rows = LINE_ROWS) =>
  linesOf(rows, facts).map(({ id, outcome, level }) => [id, outcome, level])

test('the order of rows never changes the list, a thousand times', () => {
  fc.assert(
    fc.property(
      near,
      fc.shuffledSubarray([...LINE_ROWS], { minLength: LINE_ROWS.length }),
      (facts, shuffled) => {
        expect(told(facts, shuffled)).toEqual(told(facts))
      },
    ),
    { seed: 21, numRuns: 1000 },
  )
})

test('knowing more never takes a sure line away, nor brings one that was ruled out', () => {
  fc.assert(
    fc.property(near, fc.constantFrom(...keys), fc.nat(), (facts, key, pick) => {
      const less = { ...facts }
      delete less[key]
      const { values } = FACT_ROWS[key]
      const more = { ...less, [key]: { value: values[pick % values.length]! } }
      const of = (one: KnownFacts) =>
        new Map(linesOf(LINE_ROWS, one).map(({ id, outcome }) => [id, outcome]))
      const [before, after] = [of(less), of(more)]
      for (const [id, outcome] of before) if (outcome === 'yes') expect(after.get(id)).toBe('yes')
      for (const id of after.keys()) expect(before.has(id)).toBe(true)
    }),
    { seed: 22, numRuns: 300 },
  )
})

test('an assumption moves only the lean: what is sure and what is ruled out stay as they are', () => {
  fc.assert(
    fc.property(near, fc.constantFrom(...keys), (facts, key) => {
      const less = { ...facts }
      delete less[key]
      const assumed = { ...less, [key]: { value: FACT_ROWS[key].values[0]!, isAssumed: true } }
      const sure = (one: KnownFacts) =>
        linesOf(LINE_ROWS, one).map(({ id, outcome }) => [id, outcome === 'yes'])
      expect(sure(assumed)).toEqual(sure(less))
    }),
    { seed: 23, numRuns: 200 },
  )
})

test('every line says why, and one that is not sure names what would settle it', () => {
  fc.assert(
    fc.property(near, (facts) => {
      for (const { outcome, why, because } of linesOf(LINE_ROWS, facts)) {
        expect(why.length).toBeGreaterThan(0)
        expect(because.length > 0).toBe(outcome !== 'yes')
      }
    }),
    { seed: 24, numRuns: 150 },
  )
})

test('what a value would make of a line is what it makes of it once it is said', () => {
  fc.assert(
    fc.property(near, fc.constantFrom(...keys), fc.nat(), (facts, key, pick) => {
      const value = FACT_ROWS[key].values[pick % FACT_ROWS[key].values.length]!
      const foretold = truthsWith(LINE_ROWS, facts, key, value)
      // Said and assumed alike: as the list is planned.
      const planned = Object.fromEntries(
        Object.entries({ ...facts, [key]: { value } }).map(([one, { value }]) => [one, { value }]),
      ) as KnownFacts
      const after = new Map(
        linesOf(LINE_ROWS, planned).map(({ row, outcome }) => [row.kind, outcome]),
      )
      for (const [kind, truth] of foretold)
        expect([kind, truth]).toEqual([
          kind,
          after.get(kind) === 'yes' ? 2 : after.get(kind) === 'open' ? 1 : 0,
        ])
    }),
    { seed: 25, numRuns: 150 },
  )
})

test('rows are sound, read back from JSON, and never priced upside down', () => {
  for (const { kind, when, eur, hours, sort } of LINE_ROWS) {
    for (const { if: condition } of when) {
      expect(faultsIn(condition), kind).toEqual([])
      expect(conditionSchema.parse(JSON.parse(JSON.stringify(condition)))).toEqual(condition)
    }
    for (const [low, likely, high] of [eur, hours]) {
      expect(low, kind).toBeLessThanOrEqual(likely)
      expect(likely, kind).toBeLessThanOrEqual(high)
    }
    if (sort === 'blocker') expect([eur[2], hours[2]], kind).toEqual([0, 0])
    else expect(eur[2] - eur[0] + hours[2], kind).toBeGreaterThan(0)
  }
})

test('a recipe adds, chains to the end, and reads its conditions in the same language', () => {
  const add = (kind: string, quantity: number) => ({
    kind,
    place: 'cab',
    words: kind,
    quantity,
    stage: 'final fit' as const,
    sort: 'part' as const,
    eur: [0, 1, 2] as [number, number, number],
    hours: [0, 0, 1] as [number, number, number],
  })
  const recipes = [
    {
      id: 'one',
      when: [{ fact: 'keep.heater', equals: true }],
      whenListed: [],
      add: [add('shop:reducers', 2)],
    },
    { id: 'two', when: [], whenListed: ['shop:reducers'], add: [add('shop:clip', 4)] },
    {
      id: 'three',
      when: { all: [{ is: 'keep.heater' as const, of: ['no'] }, { has: 'shop:clip' }] },
      whenListed: [],
      add: [add('shop:never', 1)],
    },
  ]
  expect(
    planNeeds({ facts: { 'keep.heater': { value: 'yes' } }, recipes, rows: [] }).needs.map(
      ({ kind, quantity }) => [kind, quantity],
    ),
  ).toEqual([
    ['shop:clip', 4],
    ['shop:reducers', 2],
  ])
})

test('constraints on one field intersect; an empty window is a conflict', () => {
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

test('a blocker stands until a way out of it is chosen, and no longer', () => {
  const rows = LINE_ROWS.filter(({ cured }) => cured)
  expect(rows.length).toBeGreaterThan(3)
  const kinds = new Set(LINE_ROWS.map(({ kind }) => kind))
  let met = 0
  for (const { facts } of [...FIXTURES, ...OTHER_ANSWERS]) {
    const listed = new Set(linesOf(LINE_ROWS, facts).map(({ row }) => row.kind))
    const planned = new Set(planNeeds({ facts }).needs.map(({ kind }) => kind))
    for (const { kind, cured } of rows) {
      for (const one of cured!) expect(kinds.has(one), one).toBe(true)
      if (!listed.has(kind)) continue
      met++
      expect(planned.has(kind), kind).toBe(!cured!.some((one) => planned.has(one)))
    }
  }
  expect(met).toBeGreaterThan(4)
})

test('how rows stand, worked out over numbers, is how they stand', () => {
  fc.assert(
    fc.property(near, (facts) => {
      const lines = new Map(linesOf(LINE_ROWS, facts).map(({ row, outcome }) => [row, outcome]))
      expect(new Map([...outcomesOf(LINE_ROWS, facts)].sort(byKind))).toEqual(
        new Map([...lines].sort(byKind)),
      )
    }),
    { seed: 26, numRuns: 300 },
  )
})
const byKind = (
  [p]: readonly [{ kind: string }, string],
  [q]: readonly [{ kind: string }, string],
) => (p.kind < q.kind ? -1 : 1)
