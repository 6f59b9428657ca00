import { expect, test } from 'vitest'
import { DEMO_PARTS, demoTrain } from '../../demo/compiled.ts'
import { tolerances } from '../joints/tolerances.ts'
import { chancesOf } from './field-chances.ts'
import { nextMeasurements, verdictCost, withMeasured } from './open-fields.ts'
import { recordTrain } from './pairing.ts'

const CTX = { tolerances: tolerances(), use: 'delivery' as const }
const PRICES = { labourMinor: 5200, pieceMinor: 25_000, outMinor: 10_000_000 }
const parts = [...DEMO_PARTS.values()]
const judged = (engine: string, box: string) => {
  const train = demoTrain(engine, box)
  const verdicts = recordTrain(train, CTX)
  const settled = verdicts.filter(({ code }) => code !== 'unmeasured')
  const likelyMinor = settled.reduce((sum, one) => sum + verdictCost(one, PRICES), 0)
  return { id: `${engine} ${box}`, train, verdicts, likelyMinor }
}
const outcomesOf = ({ part, port, field }: { part: string; port: string; field: string }) =>
  chancesOf(
    port.split('/')[1]!,
    field,
    parts.filter(({ kind }) => kind === DEMO_PARTS.get(part)?.kind),
  )

test('what a field may be comes from parts of its kind: figures by percentiles, words as often as they are met', () => {
  const engines = parts.filter(({ kind }) => kind === 'engine')
  const flange = chancesOf('crank-flange', 'proudMm', engines)!
  expect(flange.chances).toEqual([0.25, 0.5, 0.25])
  const [low, mid, high] = flange.values as number[]
  expect(low).toBeLessThanOrEqual(mid!)
  expect(mid).toBeLessThanOrEqual(high!)
  const finished = chancesOf('pilot-bore', 'finished', engines)!
  expect(finished.chances.reduce((sum, one) => sum + one, 0)).toBeCloseTo(1, 12)
  expect(new Set(finished.values)).toEqual(new Set([true, false]))
  expect(chancesOf('face', 'holes', engines)).toBeNull()
  expect(chancesOf('nothing', 'x', engines)).toBeNull()
})

test('the fields that may turn the choice are named, each where it is, with what knowing it saves', () => {
  const found = nextMeasurements(
    [judged('quill-late', 'sunagi-5'), judged('wick-2', 'kessarn-5')],
    CTX,
    PRICES,
    outcomesOf,
  )
  expect(found.length).toBeGreaterThan(0)
  for (const { value, moves, perMinute, field, pairings, together } of found) {
    expect(value + moves).toBeGreaterThan(0)
    const others = found.filter((one) => one.perMinute === perMinute && one.value === value)
    const minutes = others.reduce((sum, one) => sum + one.minutes, 0)
    if (together === 1 && others.length === 1) expect(perMinute).toBeCloseTo(value / minutes, 9)
    expect(others.length).toBeGreaterThanOrEqual(together)
    expect(field.part).not.toBe('?')
    expect(pairings.length).toBeGreaterThan(0)
  }
  const order = found.map(({ perMinute }) => perMinute)
  expect(order).toEqual(order.toSorted((a, b) => b - a))
})

test('where all is known, or only one pairing stands, nothing is to be measured for the choice', () => {
  expect(nextMeasurements([judged('hob', 'marlund-4')], CTX, PRICES, outcomesOf)).toEqual([])
  expect(nextMeasurements([], CTX, PRICES, outcomesOf)).toEqual([])
})

test('what is tried as measured is asked for no more, is judged as if it were recorded, and leaves the pairing alone', () => {
  const pairing = judged('quill-late', 'sunagi-5')
  const before = structuredClone(pairing.verdicts.map(({ code }) => code))
  for (const { field } of nextMeasurements([pairing], CTX, PRICES, outcomesOf)) {
    const value = outcomesOf(field)?.values[1]
    if (value === undefined) continue
    const tried = withMeasured(pairing, CTX, PRICES, [{ field, value }])
    const missing = tried.verdicts.flatMap((verdict) => verdict.missing)
    expect(missing.some((one) => one.port === field.port && one.field === field.field)).toBe(false)
    expect(tried.verdicts).toEqual(recordTrain(tried.train, CTX))
    // What it comes to changes by what its joints settle at, and by nothing else.
    const settled = tried.verdicts.filter(({ code }) => code !== 'unmeasured')
    expect(tried.likelyMinor).toBeCloseTo(
      Math.min(
        PRICES.outMinor,
        settled.reduce((sum, one) => sum + verdictCost(one, PRICES), 0),
      ),
      6,
    )
  }
  expect(pairing.verdicts.map(({ code }) => code)).toEqual(before)
})

test('a verdict comes to its hours, a piece, or the pairing itself', () => {
  const verdicts = recordTrain(demoTrain('anvil', 'marlund-4'), CTX)
  const of = (code: string) => verdicts.find((one) => one.code === code) ?? null
  expect(verdictCost(of('fits'), PRICES)).toBe(0)
  expect(verdictCost(of('clash'), PRICES)).toBe(Infinity)
  expect(verdictCost(of('bridge'), PRICES)).toBeGreaterThanOrEqual(PRICES.pieceMinor)
  expect(verdictCost(null, PRICES)).toBe(0)
})
