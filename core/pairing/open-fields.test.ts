import { expect, test } from 'vitest'
import { DEMO_PARTS, demoTrain } from '../../demo/compiled.ts'
import { tolerances } from '../joints/tolerances.ts'
import { chancesOf } from './field-chances.ts'
import { nextMeasurements, verdictCost } from './open-fields.ts'
import { recordTrain } from './pairing.ts'

const CTX = { tolerances: tolerances(), use: 'delivery' as const }
const PRICES = { labourMinor: 5200, pieceMinor: 25_000, outMinor: 10_000_000 }
const parts = [...DEMO_PARTS.values()]
const judged = (engine: string, box: string) => {
  const train = demoTrain(engine, box)
  return { id: `${engine} ${box}`, train, verdicts: recordTrain(train, CTX), piecesMinor: 0 }
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
  for (const { value, perMinute, minutes, field, pairings } of found) {
    expect(value).toBeGreaterThan(0)
    expect(perMinute).toBeCloseTo(value / minutes, 9)
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

test('a verdict comes to its hours, a piece, or the pairing itself', () => {
  const verdicts = recordTrain(demoTrain('anvil', 'marlund-4'), CTX)
  const of = (code: string) => verdicts.find((one) => one.code === code) ?? null
  expect(verdictCost(of('fits'), PRICES)).toBe(0)
  expect(verdictCost(of('clash'), PRICES)).toBe(Infinity)
  expect(verdictCost(of('bridge'), PRICES)).toBeGreaterThanOrEqual(PRICES.pieceMinor)
  expect(verdictCost(null, PRICES)).toBe(0)
})
