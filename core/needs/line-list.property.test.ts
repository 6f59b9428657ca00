import fc from 'fast-check'
import { expect, test } from 'vitest'
import { FACT_ROWS, type FactKey } from '../facts/index.ts'
import {
  all,
  any,
  type Condition,
  conditionSchema,
  evaluate,
  faultsIn,
  has,
  is,
  NO,
  not,
  readsOf,
  standsOn,
  YES,
} from './condition.ts'
import type { LineRow } from './line.ts'
import { factsRead, type KnownFacts, type Line, linesOf } from './line-list.ts'

const KEYS: readonly FactKey[] = [
  'build.engine',
  'gearbox.type',
  'vehicle.layout',
  'engine.fuel',
  'engine.vacuum',
  'keep.cruise',
]
const KINDS = ['a', 'b', 'c', 'd', 'e', 'f', 'g'] as const

/** Conditions as rows may have them: `not` over facts only. */
const leaf = fc
  .constantFrom(...KEYS)
  .chain((key) =>
    fc
      .subarray([...FACT_ROWS[key].values], { minLength: 1 })
      .map((of): Condition => is(key, ...of)),
  )
const overFacts = fc.letrec<{ of: Condition }>((tie) => ({
  of: fc.oneof(
    { maxDepth: 2 },
    leaf,
    fc.array(tie('of'), { minLength: 1, maxLength: 3 }).map((of) => all(...of)),
    fc.array(tie('of'), { minLength: 1, maxLength: 3 }).map((of) => any(...of)),
    tie('of').map(not),
  ),
})).of
const condition = fc.letrec<{ of: Condition }>((tie) => ({
  of: fc.oneof(
    { maxDepth: 2 },
    leaf,
    overFacts,
    fc.constantFrom(...KINDS).map((kind) => has(kind)),
    fc.array(tie('of'), { minLength: 1, maxLength: 3 }).map((of) => all(...of)),
    fc.array(tie('of'), { minLength: 1, maxLength: 3 }).map((of) => any(...of)),
  ),
})).of
const rowsOf = fc
  .tuple(...KINDS.map(() => fc.array(condition, { minLength: 1, maxLength: 2 })))
  .map((all): LineRow[] =>
    all.map((when, i) => ({
      kind: KINDS[i]!,
      words: KINDS[i]!,
      place: 'body',
      stage: 'final fit',
      sort: 'part',
      when: when.map((one, k) => ({
        if: one,
        says: `${KINDS[i]}${k}`,
        ...(k === 1 ? { level: 'wanted' as const } : {}),
      })),
      eur: [1, 2, 3],
      hours: [0, 0, 0],
    })),
  )
const factsOf = fc
  .tuple(
    ...KEYS.map((key) =>
      fc.option(
        fc.record({ value: fc.constantFrom(...FACT_ROWS[key].values), isAssumed: fc.boolean() }),
      ),
    ),
  )
  .map(
    (values): KnownFacts =>
      Object.fromEntries(KEYS.flatMap((key, i) => (values[i] ? [[key, values[i]]] : []))),
  )
const shown = (lines: readonly Line[]) =>
  lines.map(({ id, outcome, level, why, because }) => ({ id, outcome, level, why, because }))
const idsOf = (lines: readonly Line[], ...outcomes: Line['outcome'][]): string[] =>
  lines.filter(({ outcome }) => outcomes.includes(outcome)).map(({ id }) => id)
const RUNS = { numRuns: 300 }

test('the order of rows and of facts never matters', () => {
  fc.assert(
    fc.property(rowsOf, factsOf, fc.infiniteStream(fc.nat()), (rows, facts, stream) => {
      const shuffled = rows
        .map((row) => [stream.next().value ?? 0, row] as const)
        .sort(([p], [q]) => p - q)
        .map(([, row]) => row)
      const turned = Object.fromEntries(Object.entries(facts).reverse()) as KnownFacts
      expect(shown(linesOf(shuffled, turned))).toEqual(shown(linesOf(rows, facts)))
    }),
    RUNS,
  )
})

test('knowing one fact more keeps every line that stood and brings none that could not', () => {
  fc.assert(
    fc.property(rowsOf, factsOf, fc.constantFrom(...KEYS), fc.nat(), (rows, facts, key, pick) => {
      const { [key]: _, ...without } = facts
      const values = FACT_ROWS[key].values
      const before = linesOf(rows, without)
      const after = linesOf(rows, { ...without, [key]: { value: values[pick % values.length]! } })
      const possible = new Set(before.map(({ id }) => id))
      for (const { id } of after) expect(possible).toContain(id)
      const sure = idsOf(after, 'yes')
      for (const id of idsOf(before, 'yes')) expect(sure).toContain(id)
    }),
    RUNS,
  )
})

test('what is assumed moves only the lean: what stands surely, and what can stand at all, is as without it', () => {
  fc.assert(
    fc.property(rowsOf, factsOf, (rows, facts) => {
      const said = Object.fromEntries(
        Object.entries(facts).filter(([, { isAssumed }]) => !isAssumed),
      ) as KnownFacts
      const [planned, firm] = [linesOf(rows, facts), linesOf(rows, said)]
      expect(planned.map(({ id }) => id)).toEqual(firm.map(({ id }) => id))
      expect(idsOf(planned, 'yes')).toEqual(idsOf(firm, 'yes'))
      expect(idsOf(firm, 'leans yes', 'folded')).toEqual([])
    }),
    RUNS,
  )
})

test('each line that is not sure names facts that nobody said, read by the rows; told all of them it is sure or gone', () => {
  fc.assert(
    fc.property(rowsOf, factsOf, fc.nat(), (rows, facts, pick) => {
      const read = factsRead(rows)
      for (const { outcome, because } of linesOf(rows, facts)) {
        if (outcome === 'yes') expect(because).toEqual([])
        for (const key of because) {
          expect(read).toContain(key)
          expect(facts[key] === undefined || facts[key].isAssumed).toBe(true)
        }
        if (outcome !== 'yes') expect(because.length).toBeGreaterThan(0)
      }
      const told = Object.fromEntries(
        KEYS.map((key) => {
          const values = FACT_ROWS[key].values
          return [key, { value: facts[key]?.value ?? values[pick % values.length]! }]
        }),
      )
      expect(linesOf(rows, told).every(({ outcome }) => outcome === 'yes')).toBe(true)
    }),
    RUNS,
  )
})

test('"not" over a line, a value that cannot be and a tree too deep are refused; a good one reads the same from JSON', () => {
  const row = (one: Condition): LineRow[] => [
    {
      kind: 'k',
      words: 'K',
      place: 'body',
      stage: 'before',
      sort: 'part',
      when: [{ if: one, says: '' }],
      eur: [0, 0, 0],
      hours: [0, 0, 0],
    },
  ]
  expect(() => linesOf(row(not(all(has('a')))), {})).toThrow('may not stand over another line')
  expect(() => linesOf(row(is('gearbox.type', 'lever')), {})).toThrow('never lever')
  let deep: Condition = is('gearbox.type', 'manual')
  for (let i = 0; i < 9; i++) deep = all(deep)
  expect(faultsIn(deep)).toEqual(['It is nested more than 8 deep.'])
  expect(conditionSchema.safeParse({ is: 'no.such', of: ['yes'] }).success).toBe(false)
  fc.assert(
    fc.property(condition, (one) => {
      expect(conditionSchema.parse(JSON.parse(JSON.stringify(one)))).toEqual(one)
      expect(faultsIn(one)).toEqual([])
      for (const key of readsOf(one).facts) expect(KEYS).toContain(key)
    }),
    RUNS,
  )
})

test('a loop of two lines that only raise one another stands for nothing', () => {
  const two = (kind: string, other: string): LineRow => ({
    kind,
    words: kind,
    place: 'body',
    stage: 'before',
    sort: 'part',
    when: [{ if: has(other), says: other }],
    eur: [0, 0, 0],
    hours: [0, 0, 0],
  })
  expect(linesOf([two('a', 'b'), two('b', 'a')], {})).toEqual([])
})

test('what a condition stands on is enough for it to stand, whatever else is not known', () => {
  fc.assert(
    fc.property(condition, factsOf, fc.subarray([...KINDS]), (one, facts, kinds) => {
      const view = (known: (key: FactKey) => boolean, listed: ReadonlySet<string>) => ({
        fact: (key: FactKey) => (known(key) ? facts[key]?.value : undefined),
        line: (kind: string) => (listed.has(kind) ? YES : NO),
      })
      const whole = view(() => true, new Set(kinds))
      if (evaluate(one, whole) !== YES) return
      const { facts: on, lines } = standsOn(one, whole)
      expect(
        evaluate(
          one,
          view((key) => on.has(key), lines),
        ),
      ).toBe(YES)
    }),
    { numRuns: 1000 },
  )
})
