import type { TrainFigure } from '../../../core/train/train-figure.ts'
import { bodyLines } from './body-side.ts'
import type { Drawn } from './drawn.ts'
import { engineEnd } from './engine-end.ts'
import { engineLengths } from './engine-lengths.ts'
import { enginePlan } from './engine-plan.ts'
import { engineSide } from './engine-side.ts'
import { FAN_AHEAD } from './front-drive.ts'
import { gearboxPlan, transaxlePlan } from './gearbox-plan.ts'
import { gearboxSide, remoteLever } from './gearbox-side.ts'
import { as, box, disc, hull, line, type Mark, placed } from './mark.ts'
import {
  AXLE_NOSE,
  axlePlan,
  axleSide,
  crossmember,
  electricFanSide,
  gearboxMount,
  radiatorPlan,
  radiatorSide,
} from './running-gear.ts'
import { driveShaft, propshaft } from './shafts.ts'
import { transferPlan, transferSide } from './transfer-side.ts'

const PLATE_HALF = 212
const HEAD_SHAFT = 34

/** Where the parts of a lengthwise train stand, mm behind the radiator; `way` is −1 where the engine hangs behind its gearbox. */
export interface Along {
  readonly way: 1 | -1
  readonly face: number
  readonly bell: number
  readonly boxEnd: number
  readonly output: number
  readonly outputY: number
}

/** Places of a train whose crank lies along the vehicle. */
export function alongOf(train: TrainFigure): Along {
  const { vehicle, gearbox, transfer, plates } = train
  const plateMm = plates.reduce((sum, { mm }) => sum + mm, 0)
  const boxLong = gearbox.bell.mm + gearbox.length.mm
  const way = vehicle.layout === 'rear' ? -1 : 1
  const final = gearbox.final
  // Behind the seats, or behind the axle, the final drive stands on the rear axle and the engine where that leaves it.
  const face =
    vehicle.layout === 'mid' || vehicle.layout === 'rear'
      ? vehicle.rearAxle.mm - way * (plateMm + (final?.along.mm ?? gearbox.bell.mm + 120))
      : train.face.mm
  const bell = face + way * plateMm
  const boxEnd = bell + way * boxLong
  const out = transfer
    ? boxEnd + way * transfer.output.along.mm
    : bell + way * gearbox.output.along.mm
  return {
    way,
    face,
    bell,
    boxEnd,
    output: out,
    outputY: transfer ? transfer.output.belowMm : gearbox.output.belowMm,
  }
}

const plateMarks = (train: TrainFigure, face: number, way: number): readonly Mark[] => {
  let at = face
  return train.plates.flatMap(({ mm, known, added }, i) => {
    const [from, to] = [at, at + way * mm]
    at = to
    // Too thin to be seen, it is given a hair of width.
    const wide = Math.max(mm, 5)
    return as(`plate ${i + 1}`, known, [
      box(
        added ? 'put-in' : 'turned',
        Math.min(from, from + way * wide),
        -PLATE_HALF,
        Math.max(from, from + way * wide),
        PLATE_HALF,
        0,
        'silhouette',
      ),
    ])
  })
}

/** The rear axle's joint: measured, or where the axle drawn has it. */
function pinionOf(train: TrainFigure, hub: number): { x: number; y: number; known: boolean } {
  const { vehicle, mountsMm } = train
  if (vehicle.pinion && mountsMm !== null && vehicle.crankAboveMm !== null)
    return {
      x: train.face.mm + mountsMm + vehicle.pinion.along.mm,
      y: vehicle.crankAboveMm + vehicle.pinion.belowMm,
      known: vehicle.pinion.along.known,
    }
  return { x: vehicle.rearAxle.mm - AXLE_NOSE, y: hub, known: false }
}

/** A train along its vehicle, from the left. */
export function alongSide(train: TrainFigure): Drawn {
  const { vehicle, engine, gearbox, transfer, mountsMm } = train
  const at = alongOf(train)
  const b = bodyLines(vehicle)
  const e = engineLengths(engine)
  const isTractor = vehicle.layout === 'tractor'
  const flip = at.way
  const pinion = pinionOf(train, b.rearHub)
  const isBehind = gearbox.final !== null
  const coreTop = -vehicle.core.mm * 0.62
  const fanX = at.face + at.way * (e.nose - FAN_AHEAD)
  const marks: Mark[] = [
    ...radiatorSide(vehicle.core.known, coreTop, coreTop + vehicle.core.mm),
    ...(engine.fan === 'electric' ? electricFanSide(coreTop + vehicle.core.mm / 2) : []),
    ...(isBehind || isTractor
      ? []
      : [
          ...axleSide('rear axle', vehicle.rearAxle.known, pinion.x + AXLE_NOSE, pinion.y),
          ...propshaft(
            'propshaft',
            pinion.known &&
              (transfer
                ? transfer.output.along.known && gearbox.length.known
                : gearbox.output.along.known),
            { x: at.output, y: at.outputY },
            { x: pinion.x, y: pinion.y },
          ),
        ]),
    ...(transfer ? frontShaft(train, at.boxEnd, b.front, b.frontHub) : []),
    ...(transfer ? placed(transferSide(transfer), { x: at.boxEnd }) : []),
    ...(isTractor
      ? tractorCase(train, at.bell, b.rear, b.rearHub)
      : placed(gearboxSide(gearbox), { x: at.bell, flip })),
    ...plateMarks(train, at.face, at.way),
    ...placed(engineSide(engine), { x: at.face, flip }),
    ...(gearbox.pad && !isTractor
      ? gearboxMount(true, at.bell + at.way * gearbox.pad.alongMm, gearbox.pad.belowMm)
      : []),
    ...(gearbox.kind === 'manual' && !gearbox.isLeverOnCase
      ? remoteLever(vehicle.firewall.mm + 480, b.ground - 520)
      : []),
    ...supports(train),
    ...(isTractor ? tractorFront(train, at.face + e.blockFront, b.front, b.frontHub) : []),
  ]
  const middle = at.bell + at.way * (gearbox.bell.mm + gearbox.length.mm / 2)
  return {
    marks,
    places: {
      face: [at.face, -PLATE_HALF],
      flange: [at.bell, -100],
      pilot: [at.bell, 0],
      release: [at.bell + at.way * gearbox.bell.mm * 0.5, -60],
      starter: [at.bell + at.way * 20, 150],
      gearbox: [middle, 0],
      'gearbox mount': gearbox.pad
        ? [at.bell + at.way * gearbox.pad.alongMm, gearbox.pad.belowMm]
        : [middle, 140],
      lever: [
        at.bell + at.way * (gearbox.leverMm ?? gearbox.bell.mm + gearbox.length.mm * 0.5),
        -120,
      ],
      output: [at.output, at.outputY],
      'transfer case': [at.boxEnd + 60, 80],
      'side outputs': [b.rear, b.rearHub],
      'engine mounts':
        mountsMm === null
          ? [
              at.face + at.way * (engine.pads?.alongMm ?? e.blockFront / 2),
              engine.pads?.belowMm ?? 60,
            ]
          : [train.face.mm + mountsMm, vehicle.crankAboveMm ?? 60],
      sump: [at.face + at.way * e.blockFront * 0.45, 190],
      front: [fanX, -40],
    },
  }
}

/** The shaft to the front axle and that axle. */
function frontShaft(train: TrainFigure, boxEnd: number, x: number, y: number): readonly Mark[] {
  const { transfer, vehicle } = train
  const joint = { x: boxEnd + transfer!.frontAlong.mm, y: transfer!.drop.mm }
  return [
    ...axleSide('front axle', vehicle.frontAxle.known, x, y, true),
    ...propshaft(
      'front shaft',
      transfer!.drop.known && transfer!.frontAlong.known && vehicle.frontAxle.known,
      { x: x + AXLE_NOSE, y },
      joint,
      30,
    ),
  ]
}

/** What the vehicle carries the train with, where it was measured, and what passes under the engine. */
function supports(train: TrainFigure): readonly Mark[] {
  const { vehicle, mountsMm } = train
  if (mountsMm === null || vehicle.crankAboveMm === null) return []
  const from = train.face.mm + mountsMm
  const plane = vehicle.crankAboveMm
  return [
    ...(vehicle.crossmember
      ? crossmember(
          'gearbox crossmember',
          from + vehicle.crossmember.alongMm,
          plane + vehicle.crossmember.belowMm,
        )
      : []),
    ...vehicle.under.flatMap((zone, i) =>
      zone.moving
        ? as(zone.name ?? `under ${i + 1}`, true, [
            box(
              'hollow',
              from + zone.fromMm,
              plane + zone.depthMm,
              from + zone.toMm,
              plane + zone.depthMm + 60,
              12,
            ),
            line('inside', [
              [from + zone.fromMm, plane + zone.depthMm],
              [from + zone.toMm, plane + zone.depthMm + 60],
            ]),
          ])
        : crossmember(
            zone.name ?? `under ${i + 1}`,
            from + (zone.fromMm + zone.toMm) / 2,
            plane + zone.depthMm,
            zone.toMm - zone.fromMm,
            70,
          ),
    ),
  ]
}

const TRACTOR_HALF = 225

/** A tractor's frame is its castings: clutch case, gears and rear axle to their joints. */
function tractorCase(train: TrainFigure, bell: number, rear: number, hub: number): readonly Mark[] {
  const { gearbox, vehicle } = train
  const clutch = bell + Math.max(260, gearbox.bell.mm)
  const end = rear + 130
  const known = gearbox.length.known && vehicle.rearAxle.known
  return as('gearbox', known, [
    box('casting', bell, -TRACTOR_HALF + 20, clutch, TRACTOR_HALF - 20, 14, 'silhouette'),
    box('inside', bell + 90, -70, bell + 220, 80, 20, 'inside'),
    box('casting', clutch, -TRACTOR_HALF, end - 180, TRACTOR_HALF, 20, 'silhouette'),
    ...Array.from({ length: 5 }, (_, i) =>
      line('inside', [
        [clutch + 50 + i * ((end - clutch - 300) / 5), -TRACTOR_HALF + 20],
        [clutch + 50 + i * ((end - clutch - 300) / 5), TRACTOR_HALF - 20],
      ]),
    ),
    box('casting', end - 200, -TRACTOR_HALF - 10, end, TRACTOR_HALF - 10, 40, 'silhouette'),
    disc('cover', rear, hub, 175, 'silhouette'),
    disc('casting', rear, hub, 120),
    disc('turned', rear, hub, 50),
    box('cover', clutch + 140, -TRACTOR_HALF - 45, clutch + 340, -TRACTOR_HALF, 8),
    line('hollow', [
      [clutch + 210, -TRACTOR_HALF - 45],
      [clutch + 205, -TRACTOR_HALF - 180, 120],
      [clutch + 170, -TRACTOR_HALF - 320],
    ]),
    disc('rubber', clutch + 168, -TRACTOR_HALF - 336, 20, 'silhouette'),
    box('turned', end, 80, end + 140, 130, 4),
  ])
}

/** The same castings from above, narrower than they are tall. */
const tractorCasePlan = (train: TrainFigure, bell: number, rear: number): readonly Mark[] => {
  const half = TRACTOR_HALF * 0.85
  const clutch = bell + Math.max(260, train.gearbox.bell.mm)
  const end = rear + 130
  return as('gearbox', train.gearbox.length.known && train.vehicle.rearAxle.known, [
    box('casting', bell, -half + 20, clutch, half - 20, 14, 'silhouette'),
    box('casting', clutch, -half, end - 180, half, 20, 'silhouette'),
    box('casting', end - 200, -half - 40, end, half + 40, 30, 'silhouette'),
    disc('rubber', clutch + 168, 0, 20),
    box('turned', end, -26, end + 140, 26, 4),
  ])
}

/** The front of a frameless tractor: a casting bolted to the block, pivoting on its axle. */
function tractorFront(train: TrainFigure, block: number, x: number, hub: number): readonly Mark[] {
  return as('front axle', train.vehicle.frontAxle.known, [
    box('cover', Math.min(x - 180, block - 400), 30, block + 30, 190, 20, 'silhouette'),
    box('cover', x - 80, 180, x + 80, 260, 16),
    disc('turned', x, 222, 30),
    box('casting', x - 42, 230, x + 42, Math.max(240, hub + 30), 10),
    disc('turned', x, hub, 46),
  ])
}

/** A train along its vehicle, from above. */
export function alongPlan(train: TrainFigure): Drawn {
  const { vehicle, engine, gearbox, transfer } = train
  const at = alongOf(train)
  const b = bodyLines(vehicle)
  const e = engineLengths(engine)
  const half = vehicle.track.mm / 2
  const final = gearbox.final
  const shaftsAt = final ? at.bell + at.way * final.along.mm : b.rear
  const marks: Mark[] = [
    ...radiatorPlan(vehicle.core.known, 300, engine.fan === 'electric'),
    ...(final
      ? [-1, 1].flatMap((way) => {
          const inner = way < 0 ? final.right.mm : final.left.mm
          return placed(driveShaft(vehicle.track.known, half - 150 - inner), {
            x: shaftsAt,
            y: way * inner,
            turn: way * 90,
          })
        })
      : [
          ...axlePlan(
            'rear axle',
            vehicle.rearAxle.known && vehicle.track.known,
            b.rear,
            half - 180,
          ),
          ...(vehicle.layout === 'tractor'
            ? []
            : propshaft(
                'propshaft',
                gearbox.output.along.known,
                { x: at.output, y: 0 },
                { x: b.rear - AXLE_NOSE + 20, y: 0 },
              )),
        ]),
    ...(transfer ? placed(transferPlan(transfer), { x: at.boxEnd }) : []),
    ...(vehicle.layout === 'tractor'
      ? tractorCasePlan(train, at.bell, b.rear)
      : placed(
          final
            ? transaxlePlan({
                ...gearbox,
                final: { ...final, beside: { mm: 0, known: final.beside.known } },
              })
            : gearboxPlan(gearbox),
          {
            x: at.bell,
            flip: at.way,
          },
        )),
    ...plateMarks(train, at.face, at.way),
    ...placed(enginePlan(engine), { x: at.face, flip: at.way }),
  ]
  return {
    marks,
    places: {
      face: [at.face, -PLATE_HALF],
      flange: [at.bell, -60],
      pilot: [at.bell, 0],
      release: [at.bell + at.way * gearbox.bell.mm * 0.5, 40],
      starter: [at.bell + at.way * 20, 170],
      gearbox: [at.bell + at.way * (gearbox.bell.mm + gearbox.length.mm / 2), 0],
      'gearbox mount': [at.bell + at.way * (gearbox.pad?.alongMm ?? gearbox.bell.mm + 300), 60],
      lever: [at.bell + at.way * (gearbox.leverMm ?? gearbox.bell.mm + gearbox.length.mm * 0.5), 0],
      output: [at.output, 0],
      'transfer case': [at.boxEnd + 60, 100],
      'side outputs': [shaftsAt, 150],
      'engine mounts': [at.face + at.way * (engine.pads?.alongMm ?? e.blockFront / 2), 240],
      sump: [at.face + at.way * e.blockFront * 0.45, 0],
      front: [at.face + at.way * e.nose, 0],
    },
  }
}

/** What is seen of bell, case and transfer case behind the engine from the front, x to the left of the vehicle. */
function boxFront({ gearbox, transfer }: TrainFigure): readonly Mark[] {
  const half = gearbox.width.mm * 0.45
  const side = transfer?.frontSide === 'left' ? 1 : -1
  return [
    ...(transfer
      ? as('transfer case', transfer.drop.known, [
          hull(
            'casting',
            [
              [0, 0, 120],
              [side * 170, transfer.drop.mm, 95],
            ],
            'silhouette',
          ),
        ])
      : []),
    ...as('bell', gearbox.bell.known, [disc('casting', 0, 0, PLATE_HALF - 7, 'silhouette')]),
    ...as('gearbox', gearbox.length.known, [
      box(
        'casting',
        -half,
        -gearbox.height.mm * 0.42,
        half,
        gearbox.height.mm * 0.46,
        24,
        'silhouette',
      ),
    ]),
  ]
}

/** A train along its vehicle, from the front: the engine in section, its gearbox behind it. */
export function alongFront(train: TrainFigure): Drawn {
  const { vehicle, engine } = train
  const b = bodyLines(vehicle)
  const marks = [
    ...(vehicle.layout === 'rear' ? [] : boxFront(train)),
    ...placed(engineEnd(engine, { isPulley: true }), { flip: -1 }),
  ]
  const axle = as('front axle', vehicle.frontAxle.known, [
    box(
      'hollow',
      -vehicle.track.mm / 2 + 180,
      b.frontHub - 24,
      vehicle.track.mm / 2 - 180,
      b.frontHub + 24,
      10,
    ),
  ])
  const all: readonly Mark[] = [...(vehicle.isFourDriven ? axle : []), ...marks]
  const e = engineLengths(engine)
  const top = -(e.deck + e.head)
  return {
    marks: all,
    places: {
      face: [0, -PLATE_HALF],
      flange: [0, -60],
      pilot: [0, 0],
      release: [0, 60],
      starter: [170, 60],
      gearbox: [0, 0],
      'gearbox mount': [0, 140],
      lever: [0, -120],
      output: [0, 0],
      'transfer case': [0, HEAD_SHAFT],
      'side outputs': [300, b.frontHub],
      'engine mounts': [(engine.pads?.spreadMm ?? 480) / 2, engine.pads?.belowMm ?? 40],
      sump: [0, 190],
      front: [0, top / 2],
    },
  }
}
