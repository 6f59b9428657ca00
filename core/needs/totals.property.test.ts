import { expect, test } from 'vitest'
import type { FactKey } from '../facts/index.ts'
import { YES } from './condition.ts'
import { FIXTURES } from './fixtures/builds.property.ts'
import { lineCost } from './line-cost.ts'
import type { KnownFacts } from './line-list.ts'
import { LINE_ROWS } from './lines/index.ts'
import { need } from './need.ts'
import { type OpenFact, openFacts } from './open-facts.ts'
import { planNeeds } from './plan-needs.ts'
import { supplyOf } from './supply.ts'
import { type CostedLine, totalsOf } from './totals.ts'

const RATE = 4800
function totalled(facts: KnownFacts) {
  const { needs, folded } = planNeeds({ facts })
  const lines = [...needs, ...folded].map((need): CostedLine => {
    const supply = supplyOf(need, (key: FactKey) => facts[key]?.value, [])
    const [low, likely, high] = need.eur
    const assumed = [low * 100, likely * 100, high * 100] as const
    return { need, cost: lineCost(need, supply, { assumed }), isAnswered: false, isSettled: false }
  })
  const keys = [...new Set(lines.flatMap(({ need }) => need.because))].sort()
  return totalsOf(lines, openFacts(LINE_ROWS, facts, keys), RATE, 0)
}
/** A build with some of its facts forgotten, every third. */
const forgotten = (facts: KnownFacts, every: number): KnownFacts =>
  Object.fromEntries(Object.entries(facts).filter((_, i) => i % every !== 0)) as KnownFacts

test('the headline lies within the bounds, and knowing more never widens them', () => {
  for (const { facts } of FIXTURES.filter((_, i) => i % 3 === 0)) {
    const [less, more] = [totalled(forgotten(facts, 3)), totalled(facts)]
    // Prices and hours move by their levels too: bounds are of what is known of the lines.
    expect(less.drawn.p10).toBeLessThanOrEqual(less.drawn.p50)
    expect(less.drawn.p50).toBeLessThanOrEqual(less.drawn.p90)
    expect(less.outer.low).toBeLessThanOrEqual(more.outer.low)
    expect(less.outer.high).toBeGreaterThanOrEqual(more.outer.high)
  }
})

test('what is not known is ranked by what it moves; a build of which all is known has nothing to ask', () => {
  const { facts } = FIXTURES[0]!
  const { worth, drives } = totalled(forgotten(facts, 3))
  expect(worth.length).toBeGreaterThan(5)
  for (const [i, { spreadMinor }] of worth.entries())
    if (i > 0) expect(spreadMinor).toBeLessThanOrEqual(worth[i - 1]!.spreadMinor)
  expect(drives.length).toBe(7)
  expect(totalled(facts).worth.filter(({ spreadMinor }) => spreadMinor > 0)).toEqual([])
})

test('lines that hang on one fact alternate: the bounds are of its values, never of all of them together', () => {
  const line = (kind: string, eur: readonly [number, number, number]): CostedLine => {
    const one = need({
      kind,
      place: 'front',
      words: kind,
      why: [],
      outcome: 'open',
      because: ['engine.throttle'],
    })
    return {
      need: one,
      cost: lineCost(one, 'get', { assumed: eur }),
      isAnswered: false,
      isSettled: false,
    }
  }
  const [cable, wire] = [line('cable', [10, 15, 20]), line('wire', [100, 150, 200])]
  const facts: readonly OpenFact[] = [
    {
      key: 'engine.throttle',
      assumed: null,
      values: [
        { value: 'cable', chance: 0.5, truths: new Map([['cable', YES]]) },
        { value: 'wire', chance: 0.5, truths: new Map([['wire', YES]]) },
      ],
    },
  ]
  const { outer, worth } = totalsOf([cable, wire], facts, 0, 1000)
  expect(outer).toEqual({ low: 1010, high: 1200 })
  expect(worth).toMatchObject([{ key: 'engine.throttle', spreadMinor: 150 - 15 }])
})
