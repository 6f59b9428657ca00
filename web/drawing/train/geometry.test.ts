import fc from 'fast-check'
import { expect, test } from 'vitest'
import { type EngineFigure, engineFigure } from '../../../core/train/engine-figure.ts'
import { gearboxFigure } from '../../../core/train/gearbox-figure.ts'
import { trainFigure } from '../../../core/train/train-figure.ts'
import { DEMO_PARTS, demoTrain } from '../../../demo/compiled.ts'
import { engineEnd } from './engine-end.ts'
import { engineLengths, pistonAt, veeSize } from './engine-lengths.ts'
import { engineSide } from './engine-side.ts'
import { gearboxSide } from './gearbox-side.ts'
import { boundsOf, box, hull, type Mark, pathOf, placed } from './mark.ts'
import { matingPlane } from './mating-plane.ts'
import { matingDepths } from './mating-section.ts'
import { sceneOf, VIEWS } from './scene.ts'
import { trainFile } from './train-file.ts'

const of = (marks: readonly Mark[], part: string): readonly Mark[] =>
  marks.filter((mark) => mark.part === part)
const figure = engineFigure(DEMO_PARTS.get('wick-2')!)
const size = (mm: number) => ({ mm, known: true })

/** Engines as makers build them. */
const engines: fc.Arbitrary<EngineFigure> = fc
  .record({
    arrangement: fc.constantFrom('in line', 'in a vee', 'flat'),
    bore: fc.integer({ min: 60, max: 130 }),
    stroke: fc.integer({ min: 60, max: 140 }),
    count: fc.constantFrom(4, 6, 8),
    bank: fc.constantFrom(60, 72, 90),
    slant: fc.integer({ min: -30, max: 30 }),
    cams: fc.constantFrom('block', 'head'),
    longer: fc.integer({ min: 130, max: 320 }),
  })
  .map(({ arrangement, bore, stroke, count, bank, slant, cams, longer }) => {
    const rows = arrangement === 'in line' ? count : count / 2
    return {
      ...figure,
      arrangement,
      count,
      isKind: true,
      bore: size(bore),
      stroke: size(stroke),
      spacing: size(Math.round(bore * 1.13)),
      deck: size(Math.round(stroke / 2 + stroke * 1.65 + bore * 0.36 + 1)),
      head: size(bore),
      bankDeg: arrangement === 'flat' ? 180 : bank,
      slantDeg: arrangement === 'in line' ? slant : 0,
      cams,
      length: size(Math.round(rows * bore * 1.13) + longer),
      sump: [{ fromMm: -200, toMm: -20, depthMm: 190 }],
    } as EngineFigure
  })

test('a measured length is drawn as long as it is, from the block face to the nose of the pulley', () => {
  fc.assert(
    fc.property(engines, (engine) => {
      const e = engineLengths(engine)
      // Where the row leaves less than a cover wants, the cover is at its least and the row decides.
      const least = -e.blockFront + 24 + 46
      expect(-e.nose).toBeCloseTo(Math.max(engine.length.mm, least), 6)
      expect(boundsOf(of(engineSide({ ...engine, fan: 'none' }), 'engine')).x0).toBeLessThanOrEqual(
        e.nose,
      )
    }),
  )
})

test('cylinders stand one spacing apart, the last a wall from the block face', () => {
  fc.assert(
    fc.property(engines, (engine) => {
      const { xs, spacing, bore } = engineLengths(engine)
      for (const [i, x] of xs.slice(1).entries()) expect(x - xs[i]!).toBeCloseTo(spacing, 9)
      expect(xs.at(-1)! + bore / 2).toBeLessThan(0)
    }),
  )
})

test('one section, two views: what the front shows above the crank, the side shows as high', () => {
  fc.assert(
    fc.property(engines, (engine) => {
      const tops = (marks: readonly Mark[]): number =>
        Math.min(
          ...marks
            .filter(({ look, detail }) => look === 'casting' && detail === 'silhouette')
            .map((mark) => boundsOf([mark]).y0),
        )
      expect(tops(of(engineSide(engine), 'engine'))).toBeCloseTo(
        tops(of(engineEnd(engine), 'engine')),
        6,
      )
    }),
  )
})

test('a vee is as wide over its covers as its recipe says: 2·[(deck + head + cover)·sin a + W/2·cos a]', () => {
  fc.assert(
    fc.property(engines, (engine) => {
      if (engine.arrangement !== 'in a vee') return
      const e = engineLengths(engine)
      const { wide } = veeSize(e, engine.bankDeg)
      const { x0, x1 } = boundsOf(
        engineEnd(engine).filter(
          ({ look, detail }) => look === 'pressed' && detail === 'silhouette',
        ),
      )
      // Covers are a little narrower than their heads: 16 a side.
      expect(wide - (x1 - x0)).toBeCloseTo(32 * Math.cos((engine.bankDeg * Math.PI) / 360), 6)
    }),
  )
})

test('a piston moves a stroke from end to end, and its rod keeps its length', () => {
  const e = { stroke: 86, rod: 142 }
  expect(pistonAt(e, 0).pin - pistonAt(e, 180).pin).toBeCloseTo(86, 9)
  for (const degrees of [0, 17, 90, 133, 250]) {
    const { pin, crankUp, crankAside } = pistonAt(e, degrees)
    expect(Math.hypot(pin - crankUp, crankAside)).toBeCloseTo(142, 9)
  }
})

test('the pan is as deep as each of its zones, from where it begins to where it ends', () => {
  const pan = of(engineSide(figure), 'pan')
  const zone = figure.sump.reduce((a, b) => (b.depthMm > a.depthMm ? b : a))
  const corners = pan.flatMap((mark) => ('r' in mark ? [] : mark.corners))
  const deep = corners.filter(([, y]) => y === zone.depthMm).map(([x]) => x)
  expect(Math.max(...deep)).toBeLessThanOrEqual(zone.toMm)
  expect(Math.min(...deep)).toBeGreaterThanOrEqual(zone.fromMm)
  expect(boundsOf(pan.slice(0, 1)).y1).toBe(zone.depthMm)
})

test('mounts, lever, output and pad lie where they were measured', () => {
  const train = trainFigure(demoTrain('wick-2', 'marlund-4'))
  const { gearbox } = train
  const side = gearboxSide(gearbox)
  const lever = boundsOf(of(side, 'lever').filter(({ look }) => look === 'cover'))
  expect((lever.x0 + lever.x1) / 2).toBeCloseTo(gearbox.leverMm!, 9)
  const mount = boundsOf(
    of(engineSide(train.engine), 'engine mount').filter(({ look }) => look === 'rubber'),
  )
  expect((mount.x0 + mount.x1) / 2).toBeCloseTo(train.engine.pads!.alongMm, 9)
  expect(mount.y1).toBeCloseTo(train.engine.pads!.belowMm, 9)
  const scene = sceneOf(train, 'side')
  const shaft = of(scene.train, 'propshaft').find(({ look }) => look === 'axis')!
  const [first] = 'r' in shaft ? [] : shaft.corners
  expect(first![0]).toBeCloseTo(
    train.face.mm +
      0 +
      train.plates.reduce((sum, { mm }) => sum + mm, 0) +
      gearbox.output.along.mm -
      20,
    0,
  )
})

test('the gearbox on its crossmember says where the block face is; a thicker plate moves the engine forward by itself', () => {
  const plain = demoTrain('wick-2', 'marlund-4')
  const plate = DEMO_PARTS.get('plate-w2-12')!
  const [without, with12] = [trainFigure(plain), trainFigure({ ...plain, inserted: [plate] })]
  expect(without.face.mm - with12.face.mm).toBeCloseTo(12, 9)
  const place = (train: typeof without) => sceneOf(train, 'side').places['gearbox mount'][0]
  expect(place(without)).toBeCloseTo(place(with12), 9)
  // 390 behind the radiator, 752 behind the mounts; the pad 500 behind the bell face.
  expect(with12.face).toEqual({ mm: 390 + 752 - 500 - 12, known: true })
  expect(with12.plates).toEqual([{ mm: 12, known: true, added: true }])
})

test('set back, the engine sits on its mounts and the gearbox goes where that leaves it', () => {
  const plain = demoTrain('wick-2', 'marlund-4')
  const [kept, back] = [trainFigure(plain), trainFigure(plain, 'set-back')]
  // Its pads 265 ahead of the block face, on mounts 390 behind the radiator.
  expect(back.face).toEqual({ mm: 390 + 265, known: true })
  const moved = sceneOf(back, 'side').places.output[0] - sceneOf(kept, 'side').places.output[0]
  expect(moved).toBeCloseTo(back.face.mm - kept.face.mm, 9)
})

test('a vehicle nobody measured is drawn from stand-ins, and every one of them dotted', () => {
  const train = trainFigure(demoTrain('wick-2', 'marlund-4', 'lugger'))
  expect(train.face.known).toBe(false)
  const { vehicle } = sceneOf(train, 'side')
  expect(
    vehicle
      .filter(({ part }) => part === 'wheel' || part === 'firewall')
      .some(({ known }) => known),
  ).toBe(false)
})

test('crosswise, the joints of both drive shafts stand on the axle, as far from the crank as the transaxle says', () => {
  const train = trainFigure(demoTrain('tarn-3', 'obrelle-5x', 'whimbrel'))
  const { places, train: marks } = sceneOf(train, 'plan')
  expect(places['side outputs'][0]).toBe(train.vehicle.frontAxle.mm)
  expect(places['side outputs'][0] - places.gearbox[0]).toBe(186)
  const shafts = of(marks, 'drive shaft').map((mark) => boundsOf([mark]))
  for (const { x0, x1 } of shafts) expect((x0 + x1) / 2).toBeCloseTo(train.vehicle.frontAxle.mm, 6)
})

test('every view of every layout of the demo is finite, and each place of the strip lies in it', () => {
  for (const train of [
    demoTrain('wick-2', 'marlund-4'),
    demoTrain('maul-2', 'dovrek-4a-maul', 'hawser', 'dovrek-case-left'),
    demoTrain('tarn-3', 'obrelle-5x', 'whimbrel'),
    demoTrain('anvil', 'dovrek-4a'),
    demoTrain('fen-1', 'marlund-4'),
    demoTrain('nib-1', 'marlund-4'),
  ].map((train) => trainFigure(train)))
    for (const view of VIEWS) {
      const { bounds, places } = sceneOf(train, view)
      expect(Object.values(bounds).every(Number.isFinite)).toBe(true)
      for (const [x, y] of Object.values(places)) {
        expect(x).toBeGreaterThanOrEqual(bounds.x0)
        expect(x).toBeLessThanOrEqual(bounds.x1)
        expect(y).toBeGreaterThanOrEqual(bounds.y0)
        expect(y).toBeLessThanOrEqual(bounds.y1)
      }
    }
})

test('the section at the mating plane is drawn at its depths: a spacer moves the wheel, a plate the shaft', () => {
  const { mating } = trainFigure(demoTrain('wick-2', 'marlund-4'))
  const at = matingDepths(mating)
  expect(at.clutch).toBeCloseTo(mating.flange! + mating.clutchFace!, 9)
  const moved = matingDepths({ ...mating, platesMm: mating.platesMm + 12, spacersMm: 4 })
  expect([moved.tip - at.tip, moved.clutch - at.clutch, moved.rest - at.rest]).toEqual([12, 4, 12])
  const shaft = boundsOf(of(matingPlane(mating), 'shaft').slice(0, 1))
  expect(shaft.x0).toBeCloseTo(at.tip, 9)
  const ring = boundsOf(of(matingPlane(mating), 'ring'))
  expect([ring.x0, ring.x1]).toEqual([at.ring, at.ring + mating.ringWidth!])
})

test('an automatic has a converter in section, its pads where its pump holds it', () => {
  const { mating } = trainFigure(demoTrain('anvil', 'dovrek-4a'))
  expect(mating.kind).toBe('converter')
  const pads = of(matingPlane(mating), 'converter').find(({ look }) => look === 'cut-other')!
  expect(boundsOf([pads]).x0).toBeCloseTo(mating.platesMm + mating.pads!, 9)
})

test('marks turned and moved keep their lengths; mirrored they face the other way', () => {
  fc.assert(
    fc.property(fc.integer({ min: -180, max: 180 }), fc.integer(), fc.integer(), (turn, x, y) => {
      const [mark] = placed([box('casting', 0, 0, 30, 40)], { turn, x, y })
      const [a, , c] = 'r' in mark! ? [] : mark!.corners
      expect(Math.hypot(c![0] - a![0], c![1] - a![1])).toBeCloseTo(50, 4)
    }),
  )
  expect(boundsOf(placed([box('casting', 10, 0, 30, 40)], { flip: -1 }))).toMatchObject({
    x0: -30,
    x1: -10,
  })
})

test('a hull holds every circle it is drawn around', () => {
  const circles = [
    [0, 0, 100],
    [186, 64, 80],
  ] as const
  const { x0, x1, y0, y1 } = boundsOf([hull('casting', circles)])
  expect(x0).toBeCloseTo(-100, 3)
  expect(x1).toBeCloseTo(266, 3)
  expect(y0).toBeCloseTo(-100, 3)
  expect(y1).toBeCloseTo(144, 3)
})

test('a file holds the drawing in millimetres, what nobody measured named', () => {
  const { train, vehicle } = sceneOf(trainFigure(demoTrain('quill-late', 'marlund-4')), 'side')
  const file = trainFile([...vehicle, ...train], 'Lantern <1>, side')
  const { x0, x1 } = boundsOf([...vehicle, ...train])
  expect(file).toContain(`width="${Math.round((x1 - x0 + 80) * 100) / 100}mm"`)
  expect(file).toContain('<title>Lantern &lt;1&gt;, side</title>')
  expect(file).toContain('<title>pan, not measured</title>')
  expect(file).not.toMatch(/NaN|undefined|var\(/)
})

test('a corner is rounded no further than half its sides', () => {
  expect(pathOf(box('casting', 0, 0, 10, 100, 40))).toBe(
    'M0 40Q0 0 5 0L5 0Q10 0 10 40L10 60Q10 100 5 100L5 100Q0 100 0 60Z',
  )
})

test('figures nobody said follow from the length of the engine', () => {
  const { bore, stroke, spacing } = engineFigure({
    ...DEMO_PARTS.get('wick-2')!,
    ports: DEMO_PARTS.get('wick-2')!.ports.filter(({ kind }) => kind !== 'cylinders'),
  })
  expect([bore.known, stroke.known, spacing.known]).toEqual([false, false, false])
  expect(bore.mm * 4 * 1.13 + 190).toBeCloseTo(540, 6)
  expect(gearboxFigure(DEMO_PARTS.get('obrelle-5x')!).final).toMatchObject({
    beside: { mm: 186, known: true },
  })
})

test('a tractor has no shaft to its axle: its castings run from the engine to behind the axle, from the side and from above', () => {
  const plain = trainFigure(demoTrain('wick-2', 'marlund-4'))
  const train = { ...plain, vehicle: { ...plain.vehicle, layout: 'tractor' as const } }
  for (const view of ['side', 'plan'] as const) {
    const { train: marks } = sceneOf(train, view)
    expect(of(marks, 'propshaft')).toEqual([])
    const { x0, x1 } = boundsOf(of(marks, 'gearbox'))
    expect(x0).toBeLessThan(train.face.mm + 60)
    expect(x1).toBeGreaterThan(train.vehicle.rearAxle.mm)
  }
})
