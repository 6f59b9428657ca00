import { expect, test } from 'vitest'
import { DEMO_PARTS, demoTrain } from '../../demo/compiled.ts'
import { compilePart } from '../ports/index.ts'
import { fromTemplate, TEMPLATES } from '../templates/index.ts'
import { engineFigure, rowsOf } from './engine-figure.ts'
import { gearboxFigure } from './gearbox-figure.ts'
import { figureIn } from './stand-in-train.ts'
import { trainFigure } from './train-figure.ts'
import { transferFigure } from './transfer-figure.ts'
import { vehicleFigure } from './vehicle-figure.ts'

const sizesOf = (of: unknown): { mm: number; known: boolean }[] =>
  of === null || typeof of !== 'object'
    ? []
    : 'mm' in of && 'known' in of
      ? [of as { mm: number; known: boolean }]
      : Object.values(of).flatMap(sizesOf)

test('a vehicle nobody named is a stand-in throughout, and every stand-in is a length', () => {
  const figure = figureIn(null, null)
  const sizes = sizesOf(figure)
  expect(sizes.length).toBeGreaterThan(20)
  expect(sizes.some(({ known }) => known)).toBe(false)
  for (const { mm } of sizes) expect(mm).toBeGreaterThan(0)
  expect([figure.mountsMm, figure.transfer, figure.isAcross]).toEqual([null, null, false])
})

test('what a type assumes is used for the picture, and stays a stand-in', () => {
  for (const template of TEMPLATES) {
    const part = compilePart(fromTemplate(template, template.id))
    const figure =
      template.kind === 'engine'
        ? engineFigure(part)
        : template.kind === 'transmission'
          ? gearboxFigure(part)
          : template.kind === 'vehicle'
            ? { ...vehicleFigure(part), tyre: null, frontTyre: null }
            : transferFigure(part)
    expect(
      sizesOf(figure).some(({ known }) => known),
      template.id,
    ).toBe(false)
  }
  const six = engineFigure(
    compilePart(fromTemplate(TEMPLATES.find(({ id }) => id === 'iron-six-lengthwise')!, 'six')),
  )
  expect([six.count, six.arrangement, six.bore.mm, six.isKind]).toEqual([6, 'in line', 92, false])
})

test('cylinders stand in rows: all of an inline engine, half of a vee or a flat one, the odd one with the longer', () => {
  expect([
    rowsOf('in line', 3),
    rowsOf('in a vee', 8),
    rowsOf('flat', 4),
    rowsOf('in a vee', 5),
  ]).toEqual([3, 4, 2, 3])
})

test('layouts: crosswise and amidships lie across, lengthwise and a tractor along, behind as the engine was born', () => {
  expect(trainFigure(demoTrain('tarn-3', 'obrelle-5x', 'whimbrel')).isAcross).toBe(true)
  expect(trainFigure(demoTrain('wick-2', 'marlund-4')).isAcross).toBe(false)
  const type = (id: string) =>
    compilePart(fromTemplate(TEMPLATES.find((one) => one.id === id)!, id))
  const inside = (vehicle: string, engine: string) =>
    trainFigure({
      engine: type(engine),
      transmission: type('manual-transaxle'),
      recipient: type(vehicle),
      coupling: [],
      inserted: [],
    })
  expect(inside('coupe-mid', 'alloy-four-crosswise').isAcross).toBe(true)
  expect(inside('coupe-mid', 'iron-eight').isAcross).toBe(false)
  expect(inside('tractor', 'diesel-four-heavy').vehicle.layout).toBe('tractor')
})

test('a case measured to its joint is as long as that, one that is not is a stand-in', () => {
  expect(transferFigure(DEMO_PARTS.get('dovrek-case-left')!)).toMatchObject({
    length: { mm: 320 - 34, known: true },
    drop: { mm: 208, known: true },
    frontSide: 'left',
  })
  expect(transferFigure(DEMO_PARTS.get('kessarn-case')!).length.known).toBe(false)
})

test('the section at the mating plane has every length the joint of depth leans on', () => {
  const { mating } = trainFigure(demoTrain('wick-2', 'marlund-4'))
  for (const name of [
    'flange',
    'clutchFace',
    'fingers',
    'bearingRest',
    'pilotMouth',
    'tip',
    'splineStart',
    'pinionRest',
  ] as const)
    expect(mating[name], name).not.toBeNull()
  expect(trainFigure(demoTrain('quill-late', 'marlund-4')).mating.pilotMouth).not.toBe(0)
})
