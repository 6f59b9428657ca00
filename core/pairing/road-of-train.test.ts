import { expect, test } from 'vitest'
import { demoTrain } from '../../demo/compiled.ts'
import { expectations, roadSheet } from '../mechanics/road/expectations.ts'
import { LEVEL } from '../mechanics/road/road-car.ts'
import { torqueAt } from '../mechanics/road/torque-curve.ts'
import { type AnyPort, type CompiledPart, fieldOf, withFields } from '../ports/index.ts'
import { type RoadFigure, roadOfTrain } from './road-of-train.ts'
import type { Train } from './train.ts'

const MASSES = { vehicle: 1390, change: 9 }
const roadOf = (train: Train, masses = MASSES): RoadFigure => {
  const told = roadOfTrain(train, masses)
  if (!('road' in told)) throw new Error(told.missing.join())
  return told.road
}
/** A part with some fields of one port said anew. */
const said = (
  part: CompiledPart,
  kind: string,
  fields: Readonly<Record<string, unknown>>,
): CompiledPart => ({
  ...part,
  ports: part.ports.map(
    (port): AnyPort =>
      port.kind === kind
        ? withFields(
            port,
            Object.fromEntries(
              Object.entries(fields).map(([name, v]) => [
                name,
                { ...fieldOf(port, name)!, v, grade: 3, claim: 'said' },
              ]),
            ),
          )
        : port,
  ),
})

test('the road figure is made of what is known: curve, ratios, axle, tyre, mass; the rest is named', () => {
  const { car, standIns } = roadOf(demoTrain('wick-2', 'marlund-4'))
  expect(torqueAt(car.curve, 3200)).toBeCloseTo(172, 9)
  expect([car.gears, car.final]).toEqual([[3.9, 2.26, 1.41, 1], 4.11])
  expect(car.massKg).toBe(1390 + 9 + 500)
  expect(standIns.join('; ')).toBe('aboard 500 kg; drag area 1.6 m²; rolling resistance 0.013')
})

test('what a vehicle says of itself is used, and no longer stands in', () => {
  const train = demoTrain('wick-2', 'marlund-4')
  const { car, standIns } = roadOf({
    ...train,
    recipient: said(train.recipient!, 'road-load', { dragM2: 1.75, rolling: 0.014, aboardKg: 700 }),
  })
  expect([car.dragM2, car.rolling, car.massKg]).toEqual([1.75, 0.014, 1390 + 9 + 700])
  expect(standIns).toEqual([])
})

test('without torque or an axle ratio nothing is told, and what is missing is named', () => {
  const train = demoTrain('wick-2', 'marlund-4', 'lugger')
  const blank = said(train.engine, 'engine-output', { peakTorqueNm: Number.NaN })
  expect(roadOfTrain({ ...train, engine: blank, recipient: null }, MASSES)).toEqual({
    missing: [
      'peak torque, its speed and the redline of the engine',
      'the ratio of the axle',
      'the driven tyre',
    ],
  })
})

test('a curve of points beats its peaks; gross figures are taken down to net', () => {
  const train = demoTrain('wick-2', 'marlund-4')
  const engine = said(train.engine, 'engine-output', {
    curveRpm: [1000, 3000, 5500],
    curveNm: [120, 170, 140],
  })
  expect(torqueAt(roadOf({ ...train, engine }).car.curve, 2000)).toBeCloseTo(145, 9)
  const gross = said(train.engine, 'engine-output', { basis: 'gross' })
  const told = roadOf({ ...train, engine: gross })
  expect(told.isGross).toBe(true)
  expect(torqueAt(told.car.curve, 3200)).toBeCloseTo(172 / 1.2, 9)
})

test('a transaxle brings its own final drive; it drives the front, a van the rear, a four-by-four all', () => {
  expect(roadOf(demoTrain('tarn-3', 'obrelle-5x', 'whimbrel')).car).toMatchObject({
    final: 4.06,
    driven: 'front',
  })
  expect(roadOf(demoTrain('wick-2', 'marlund-4')).car.driven).toBe('rear')
  expect(roadOf(demoTrain('maul-2', 'dovrek-4a-maul', 'hawser')).car).toMatchObject({
    driven: 'all',
    stall: 2.1,
  })
})

test('expectations are told in gears, speeds and seconds, before and after', () => {
  const asked = { cruiseKmh: 80, hill: { ...LEVEL, grade: 0.06 }, fuel: 'petrol' as const }
  const sheet = (engine: string, box: string) =>
    roadSheet(roadOf(demoTrain(engine, box)).car, asked)
  const [before, after] = [sheet('hob', 'marlund-4'), sheet('wick-2', 'marlund-4')]
  const words = expectations(before, after, asked)
  expect(words[0]).toBe('One gear more on a hill of 6 %: at 80 it holds it in 4, before in 3.')
  expect(words.join(' ')).toMatch(/0 to 100 in \d+ s, before \d+ s\./)
  const five = expectations(before, sheet('wick-2', 'kessarn-5'), asked)
  expect(five.join(' ')).toMatch(/\d+ rpm less at 80 in top/)
  expect(expectations(null, after, asked)[0]).toMatch(/^It holds a hill of 6 % at 80 in gear \d\./)
})
