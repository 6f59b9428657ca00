import { expect, test } from 'vitest'
import type { Strip } from '../../core/pairing/strip.ts'
import { stripOf } from '../../core/pairing/strip.ts'
import { compilePart } from '../../core/ports/index.ts'
import { type Shape, stripShapes } from './strip-shapes.ts'

const known = (mm: number) => ({ mm, known: true })
const strip = (rest: Partial<Strip> = {}): Strip => ({
  layout: 'lengthwise',
  joints: {
    'block-face': 'meeting',
    depth: 'meeting',
    torque: 'gearbox',
    'gearbox-mount': 'gearbox mount',
    'engine-mounts': 'engine mounts',
    'sump-clearance': 'sump',
  },
  blockFace: known(640),
  engine: { length: known(505), height: known(585), width: known(470) },
  plates: [
    { mm: 1.5, known: true, added: false },
    { mm: 12, known: true, added: true },
  ],
  bell: known(165),
  gearbox: { length: known(515), height: known(310), width: known(300) },
  frontAxle: known(300),
  firewall: known(812),
  rearAxle: known(2640),
  track: known(1300),
  enginePads: { alongMm: -250, spreadMm: 480 },
  gearboxPad: { alongMm: 500 },
  sump: [{ fromMm: -190, toMm: -20, depthMm: 190 }],
  under: [{ fromMm: -380, toMm: -340, depthMm: 190, moving: true, name: 'tie rod' }],
  ...rest,
})
const extent = (shape: Shape | undefined, axis: 0 | 1): [number, number] => {
  const all = shape!.points!.map((point) => point[axis])
  return [Math.min(...all), Math.max(...all)]
}
const find = (drawing: ReturnType<typeof stripShapes>, id: string) =>
  drawing.shapes.find((shape) => shape.id === id)

test('lengthwise from the side: engine ahead of its face, plates between, gearbox behind the bell, all to scale', () => {
  const drawing = stripShapes(strip(), 'side')
  expect(extent(find(drawing, 'engine'), 0)).toEqual([135, 640])
  expect(extent(find(drawing, 'engine'), 1)[1] - extent(find(drawing, 'engine'), 1)[0]).toBe(585)
  expect(extent(find(drawing, 'bell'), 0)).toEqual([653.5, 818.5])
  expect(extent(find(drawing, 'gearbox'), 0)).toEqual([818.5, 1333.5])
  expect(find(drawing, 'plate 2')!.tone).toBe('added')
  expect(drawing.joints['block-face']).toEqual([640, 0])
  expect(extent(find(drawing, 'pan 1'), 0)).toEqual([450, 620])
  expect(find(drawing, 'tie rod')!.tone).toBe('moving')
})

test('from above the same train is as long, and as wide as it is measured; its mounts stand apart', () => {
  const drawing = stripShapes(strip(), 'plan')
  expect(extent(find(drawing, 'engine'), 0)).toEqual([135, 640])
  expect(extent(find(drawing, 'engine'), 1)).toEqual([-235, 235])
  expect(extent(find(drawing, 'engine mount right'), 1)).toEqual([218, 262])
  expect(extent(find(drawing, 'front left wheel'), 1)[0]).toBe(-740)
})

test('crosswise: the crank lies across, so the length of the train is its width in the plan, and the face joints are on it', () => {
  const drawing = stripShapes(strip({ layout: 'crosswise' }), 'plan')
  const [left, right] = extent(find(drawing, 'engine'), 1)
  expect(right - left).toBe(505)
  expect(extent(find(drawing, 'engine'), 0)[1] - extent(find(drawing, 'engine'), 0)[0]).toBe(470)
  expect(extent(find(drawing, 'bell'), 1)[0]).toBeCloseTo(right + 13.5)
  expect(drawing.joints.depth![1]).toBe(right)
  // The whole train stands centred between the wheels.
  expect(left + extent(find(drawing, 'gearbox'), 1)[1]).toBeCloseTo(0)
  expect(extent(find(stripShapes(strip({ layout: 'crosswise' }), 'side'), 'engine'), 0)).toEqual(
    extent(find(drawing, 'engine'), 0),
  )
})

test('mid: the engine stands ahead of the rear axle with its gearbox around it, and drives by shafts, not by a propshaft', () => {
  const drawing = stripShapes(strip({ layout: 'mid' }), 'side')
  const [from, to] = extent(find(drawing, 'gearbox'), 0)
  expect(from).toBeLessThan(2640)
  expect(to).toBeGreaterThan(2640)
  expect(extent(find(drawing, 'engine'), 0)[1]).toBeLessThan(2640)
  expect(find(drawing, 'propshaft')).toBeUndefined()
})

test('what nobody measured is drawn, and said to be a stand-in', () => {
  const empty = stripOf({
    engine: compilePart({ id: 'e', kind: 'engine', name: 'E', ports: [] }),
    transmission: compilePart({ id: 't', kind: 'transmission', name: 'T', ports: [] }),
    recipient: null,
    coupling: [],
    inserted: [],
  })
  expect(empty).toMatchObject({
    layout: 'lengthwise',
    enginePads: null,
    sump: [],
    under: [],
    blockFace: { known: false },
  })
  for (const view of ['side', 'plan'] as const)
    for (const layout of ['lengthwise', 'crosswise', 'mid'] as const)
      for (const shape of stripShapes({ ...empty, layout }, view).shapes.filter(
        (one) => one.tone === 'part',
      ))
        expect([layout, view, shape.id, shape.known]).toEqual([layout, view, shape.id, false])
})

test('every shape has finite corners', () => {
  for (const view of ['side', 'plan'] as const)
    for (const layout of ['lengthwise', 'crosswise', 'mid'] as const)
      for (const shape of stripShapes(
        strip({ layout, enginePads: null, gearboxPad: null, sump: [], under: [] }),
        view,
      ).shapes)
        expect([
          shape.id,
          (shape.points?.flat() ?? [shape.circle!.x, shape.circle!.y, shape.circle!.r]).every(
            Number.isFinite,
          ),
        ]).toEqual([shape.id, true])
})
