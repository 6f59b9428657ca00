import { expect, test } from 'vitest'
import { DIMENSIONS, dimensionId, VIEWS } from '../../../core/recipient/dimensions.ts'
import { figureIn } from '../../../core/train/stand-in-train.ts'
import { trainFigure } from '../../../core/train/train-figure.ts'
import { demoTrain } from '../../../demo/compiled.ts'
import { dimensionSheet } from './dimension-lines.ts'

const TRAINS = [
  trainFigure(demoTrain('wick-2', 'marlund-4')),
  trainFigure(demoTrain('maul-2', 'dovrek-4a-maul', 'hawser', 'dovrek-case-left')),
  trainFigure(demoTrain('tarn-3', 'obrelle-5x', 'whimbrel')),
  figureIn(null, null),
]

test('every dimension stands on its drawing, inside it, and no field over another', () => {
  for (const train of TRAINS)
    for (const view of VIEWS)
      for (const width of [720, 900, 1100]) {
        const { lines, height } = dimensionSheet(train, view, width)
        expect(lines.map(({ dimension }) => dimensionId(dimension)).toSorted()).toEqual(
          DIMENSIONS.filter((one) => one.view === view)
            .map(dimensionId)
            .toSorted(),
        )
        for (const one of lines) {
          expect(one.at[0]).toBeGreaterThanOrEqual(38)
          expect(one.at[0]).toBeLessThanOrEqual(width - 38)
          expect(one.at[1]).toBeGreaterThan(0)
          expect(one.at[1]).toBeLessThan(height)
          for (const other of lines)
            if (one !== other)
              expect(
                Math.abs(one.at[0] - other.at[0]) >= 76 || Math.abs(one.at[1] - other.at[1]) >= 24,
                `${view} ${width}: ${dimensionId(one.dimension)} and ${dimensionId(other.dimension)}`,
              ).toBe(true)
        }
      }
})

test('a length that is known is drawn as long as it is', () => {
  const train = TRAINS[0]!
  const { lines, frame } = dimensionSheet(train, 'side', 900)
  const long = (id: string): number => {
    const line = lines.find(({ dimension }) => dimensionId(dimension) === id)!
    return Math.hypot(line.to[0] - line.from[0], line.to[1] - line.from[1]) / frame.pxPerMm
  }
  expect(long('outline/main.rearAxleMm')).toBeCloseTo(2640, 6)
  expect(long('outline/main.mountsMm')).toBeCloseTo(390, 6)
  expect(long('crossmember/main.alongMm')).toBeCloseTo(752, 6)
  expect(long('chassis-pads/main.crankAboveMm')).toBeCloseTo(40, 6)
})
