import fc from 'fast-check'
import { expect, test } from 'vitest'
import type { LimitRecord, TermRecord, Verdict } from '../joints/verdict.ts'
import { criticalSizes } from './critical-sizes.ts'
import { returnRights } from './return-rights.ts'

const term = (part: string, sign: 1 | -1, value: number): TermRecord => ({
  sign,
  label: part,
  part,
  port: `${part}/plate/main`,
  field: 'thicknessMm',
  value,
  plusMinus: 0,
  grade: 'maker',
})
function limitOf(
  terms: readonly TermRecord[],
  low: number | null,
  high: number | null,
): LimitRecord {
  const value = terms.reduce((sum, one) => sum + one.sign * one.value!, 0)
  const margin = Math.min(
    low === null ? Infinity : value - low,
    high === null ? Infinity : high - value,
  )
  return {
    id: 'gap',
    label: 'Gap',
    unit: 'mm',
    at: undefined,
    terms,
    value,
    plusMinus: 0,
    rootSumSquare: 0,
    low,
    high,
    margin: Number.isFinite(margin) ? margin : null,
    worstMargin: null,
    loosest: null,
    damage: true,
    code: margin < 0 ? 'bridge' : 'fits',
    words: margin < 0 ? 'Too small' : 'Agrees',
    pieces: [],
  }
}
const verdictOf = (limits: readonly LimitRecord[], parts: readonly string[]): Verdict => ({
  joint: 'depth',
  code: 'fits',
  limits,
  stated: limits.length,
  known: limits.length,
  agreed: limits.length,
  outside: 0,
  lean: 'likely',
  missing: [],
  minutes: 0,
  evidence: 'maker',
  fields: parts.map((part) => ({
    part,
    partName: part,
    port: `${part}/plate/main`,
    field: 'thicknessMm',
    label: 'Thickness',
    methods: [],
    minutes: 1,
  })),
  tasks: [],
  pieces: [],
  shown: [],
  cautions: [],
})

test('moved to an end of its window a size leaves every limit that agreed without a margin, and none below', () => {
  const length = fc.integer({ min: -400, max: 400 }).map((tenth) => tenth / 10)
  fc.assert(
    fc.property(
      length,
      fc.array(
        fc.record({
          other: length,
          sign: fc.constantFrom(1, -1),
          wide: fc.nat(80),
          up: fc.nat(80),
        }),
        {
          minLength: 1,
          maxLength: 4,
        },
      ),
      (own, others) => {
        const at = (value: number): LimitRecord[] =>
          others.map(({ other, sign, wide, up }) => {
            const middle = sign * own + other
            return limitOf(
              [term('bought', sign as 1 | -1, value), term('rest', 1, other)],
              middle - wide / 10,
              middle + up / 10,
            )
          })
        const [size] = criticalSizes([verdictOf(at(own), ['bought'])], 'bought')
        for (const end of [size!.low!, size!.high!]) {
          const margins = at(end).map(({ margin }) => margin!)
          expect(Math.min(...margins)).toBeCloseTo(0, 6)
        }
        expect(size!.low!).toBeLessThanOrEqual(own + 1e-9)
        expect(size!.high!).toBeGreaterThanOrEqual(own - 1e-9)
      },
    ),
  )
})

test('what fails narrows nothing and is told with what it lacks; other parts are not listed; no window where the sum is not plain', () => {
  const failing = limitOf([term('bought', 1, 8)], 10, 14)
  const [size, ...rest] = criticalSizes([verdictOf([failing], ['bought', 'rest'])], 'bought')
  expect(rest).toEqual([])
  expect(size).toMatchObject({ low: null, high: null, damage: true })
  expect(size!.fails).toEqual([{ words: 'Gap: Too small', by: 2 }])
  const halved: LimitRecord = { ...limitOf([term('bought', 1, 12)], 0, 20), value: 6 }
  expect(criticalSizes([verdictOf([halved], ['bought'])], 'bought')[0]).toMatchObject({
    low: null,
    high: null,
  })
})

test('what is taken back within days ends on a day, and is over after it', () => {
  expect(returnRights('2026-11-20', 14, '2026-11-30')).toEqual({ until: '2026-12-04', daysLeft: 4 })
  expect(returnRights('2026-11-20', 3, '2026-11-30')).toEqual({ until: '2026-11-23', daysLeft: -7 })
  expect(returnRights('2026-11-20', null, '2026-11-30')).toBeNull()
})
