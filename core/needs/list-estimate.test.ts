import { expect, test } from 'vitest'
import { no, yes } from './condition.ts'
import type { LineRow } from './line.ts'
import { estimateList, type ListEstimateInput } from './list-estimate.ts'

const row = (kind: string, more: Partial<LineRow> = {}): LineRow => ({
  kind,
  words: kind,
  place: 'engine top',
  stage: 'mating',
  sort: 'part',
  when: [{ if: yes('engine.pilot-bored'), says: 'why' }],
  eur: [100, 200, 300],
  hours: [1, 2, 3],
  ...more,
})
const estimate = (rows: readonly LineRow[], more: Partial<ListEstimateInput> = {}) =>
  estimateList({
    rows,
    facts: { 'engine.pilot-bored': { value: 'yes' } },
    joints: [],
    priceOf: () => undefined,
    inserted: [],
    decided: new Map(),
    own: [],
    minorOf: (eur) => eur * 100,
    rateMinor: 0,
    kept: new Map(),
    ...more,
  })
const likely = (...args: Parameters<typeof estimate>): number => estimate(...args).likelyMinor
/** Levels that prices share: a third of 0.85, 1 and 1.35. */
const LEVEL = (0.85 + 1 + 1.35) / 3

test('a row that stands costs its own price; the very part costs what it is sold for', () => {
  expect(likely([row('pump')])).toBe(Math.round(20_000 * LEVEL))
  expect(likely([row('pump')], { priceOf: () => [6000, 6000, 6000] })).toBe(
    Math.round(6000 * LEVEL),
  )
  expect(likely([row('pump', { sort: 'blocker' })])).toBe(0)
  expect(likely([row('pump', { when: [{ if: no('engine.pilot-bored'), says: 'why not' }] })])).toBe(
    0,
  )
})

test('what is open counts half, what is assumed four in five; what was dropped not at all, what was typed as typed', () => {
  const rows = [row('pump')]
  expect(likely(rows, { facts: {} })).toBe(Math.round(10_000 * LEVEL))
  expect(likely(rows, { facts: { 'engine.pilot-bored': { value: 'yes', isAssumed: true } } })).toBe(
    Math.round(16_000 * LEVEL),
  )
  const said = (acts: readonly ('drop' | 'price')[], typedMinor?: number) =>
    new Map([['pump/engine top/main', { acts, typedMinor }]])
  expect(likely(rows, { decided: said(['drop']) })).toBe(0)
  expect(likely(rows, { decided: said(['price'], 4200) })).toBe(Math.round(4200 * LEVEL))
})

test('work of joints takes its hours, a gap that nothing closes a piece, one put in its price', () => {
  const verdict = {
    code: 'bridge' as const,
    tasks: [
      { id: 't', words: 'file it', hours: 6, skills: ['mechanic'] as const, reversible: true },
    ],
    limits: [{ code: 'bridge' as const, words: 'a gap', pieces: ['plate'] }],
  }
  const joints = [{ joint: 'block-face', bare: verdict }]
  const open = estimate([], { joints })
  expect(open.likelyHours).toBeGreaterThan(6)
  expect(open.likelyMinor).toBeGreaterThan(20_000)
  // A row that asks for the piece has its price already.
  expect(likely([row('plate')], { joints })).toBe(Math.round(20_000 * LEVEL))
  expect(likely([], { inserted: ['plate'], priceOf: () => [500, 500, 500] })).toBe(
    Math.round(500 * LEVEL),
  )
})
