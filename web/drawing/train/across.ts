import type { TrainFigure } from '../../../core/train/train-figure.ts'
import { bodyLines } from './body-side.ts'
import type { Drawn } from './drawn.ts'
import { engineEnd } from './engine-end.ts'
import { engineLengths } from './engine-lengths.ts'
import { enginePlan } from './engine-plan.ts'
import { engineSide } from './engine-side.ts'
import { transaxleEnd, transaxlePlan } from './gearbox-plan.ts'
import { gearboxSide, remoteLever } from './gearbox-side.ts'
import { as, box, type Mark, placed } from './mark.ts'
import { electricFanSide, radiatorPlan, radiatorSide } from './running-gear.ts'
import { driveShaft } from './shafts.ts'

const PLATE_HALF = 212

/** Where a train across the vehicle stands: its crank behind the radiator and its block face to the left of the middle. */
export function acrossOf(train: TrainFigure): {
  readonly crank: number
  readonly axle: number
  readonly face: number
  readonly plates: number
  readonly isRear: boolean
} {
  const { vehicle, gearbox, engine, plates } = train
  const e = engineLengths(engine)
  const isRear = vehicle.layout === 'mid' || vehicle.layout === 'rear'
  const axle = isRear ? vehicle.rearAxle.mm : vehicle.frontAxle.mm
  const plateMm = plates.reduce((sum, { mm }) => sum + mm, 0)
  const whole = -e.nose + plateMm + gearbox.bell.mm + gearbox.length.mm
  return {
    axle,
    crank: axle - (gearbox.final?.beside.mm ?? 188),
    face: -whole / 2 - e.nose,
    plates: plateMm,
    isRear,
  }
}

/** Across the vehicle, from above: the gearbox to its left, the final drive on the axle, a shaft to each wheel. */
export function acrossPlan(train: TrainFigure): Drawn {
  const { vehicle, engine, gearbox } = train
  const at = acrossOf(train)
  const bellFrom = at.face + at.plates
  const final = gearbox.final
  const along = bellFrom + (final?.along.mm ?? 96)
  const wheel = vehicle.track.mm / 2 - 180
  const left = along + (final?.left.mm ?? 122)
  const right = along - (final?.right.mm ?? 122)
  // Shafts of one length where the room to the right leaves a carrier shaft between.
  const long = wheel - left
  const rightEnd = -wheel + long
  const marks: Mark[] = [
    ...radiatorPlan(vehicle.core.known, 340, engine.fan === 'electric'),
    ...placed(driveShaft(vehicle.track.known && (final?.left.known ?? false), long), {
      x: at.axle,
      y: left,
      turn: 90,
    }),
    ...(rightEnd < right - 60
      ? as('carrier shaft', false, [
          box('turned', at.axle - 17, rightEnd, at.axle + 17, right),
          box('cover', at.axle - 46, rightEnd + 26, at.axle + 46, rightEnd + 66, 5),
        ])
      : []),
    ...placed(
      driveShaft(
        vehicle.track.known && (final?.right.known ?? false),
        rightEnd < right - 60 ? long : wheel + right,
      ),
      { x: at.axle, y: rightEnd < right - 60 ? rightEnd : right, turn: -90 },
    ),
    ...placed(
      [
        ...placed(final ? transaxlePlan(gearbox) : [], { x: at.plates }),
        ...plates(train),
        ...enginePlan(engine),
      ],
      { x: at.crank, y: at.face, turn: 90 },
    ),
  ]
  const e = engineLengths(engine)
  return {
    marks,
    places: {
      face: [at.crank - PLATE_HALF, at.face],
      flange: [at.crank - 60, bellFrom],
      pilot: [at.crank, bellFrom],
      release: [at.crank + 40, bellFrom + gearbox.bell.mm / 2],
      starter: [at.crank + 150, bellFrom],
      gearbox: [at.crank, bellFrom + gearbox.bell.mm + gearbox.length.mm / 2],
      'gearbox mount': [at.crank - 100, bellFrom + gearbox.bell.mm + gearbox.length.mm],
      lever: [at.crank + 60, bellFrom + gearbox.bell.mm + 90],
      output: [at.axle, left],
      'transfer case': [at.axle, along],
      'side outputs': [at.axle, left + 20],
      'engine mounts': [at.crank, at.face + e.coverFront],
      sump: [at.crank, at.face + e.blockFront / 2],
      front: [at.crank, at.face + e.nose],
    },
  }
}

const plates = (train: TrainFigure): readonly Mark[] => {
  let at = 0
  return train.plates.flatMap(({ mm, known, added }, i) => {
    const from = at
    at += mm
    return as(`plate ${i + 1}`, known, [
      box(added ? 'put-in' : 'turned', from, -PLATE_HALF, from + Math.max(mm, 5), PLATE_HALF),
    ])
  })
}

/** Across the vehicle, from its left (the gearbox end before the engine) or from the front. */
export function acrossEnd(train: TrainFigure, view: 'side' | 'front'): Drawn {
  const { vehicle, engine, gearbox } = train
  const at = acrossOf(train)
  const e = engineLengths(engine)
  if (view === 'front') return acrossFront(train)
  const coreTop = -vehicle.core.mm * 0.5
  const b = bodyLines(vehicle)
  const marks: Mark[] = [
    ...radiatorSide(vehicle.core.known, coreTop, coreTop + vehicle.core.mm),
    ...(engine.fan === 'electric' && !at.isRear
      ? electricFanSide(coreTop + vehicle.core.mm / 2)
      : []),
    ...placed([...engineEnd(engine), ...(gearbox.final ? transaxleEnd(gearbox) : [])], {
      x: at.crank,
    }),
    ...(gearbox.kind === 'manual'
      ? remoteLever(vehicle.firewall.mm + (at.isRear ? -620 : 480), b.ground - 340)
      : []),
  ]
  return {
    marks,
    places: {
      face: [at.crank, -150],
      flange: [at.crank - 60, -60],
      pilot: [at.crank, 0],
      release: [at.crank + 60, 60],
      starter: [at.crank + 150, -60],
      gearbox: [at.crank + 90, 46],
      'gearbox mount': [at.crank - 120, 150],
      lever: [at.crank + 60, -112],
      output: [at.axle, gearbox.final?.below.mm ?? b.frontHub],
      'transfer case': [at.axle, 66],
      'side outputs': [at.axle, gearbox.final?.below.mm ?? b.frontHub],
      'engine mounts': [at.crank - 190, 20],
      sump: [at.crank, 190],
      front: [at.crank, -(e.deck + e.head) / 2],
    },
  }
}

/** Across the vehicle, from the front: the engine's long side, the gearbox to the right of who looks. */
function acrossFront(train: TrainFigure): Drawn {
  const { engine, gearbox } = train
  const at = acrossOf(train)
  const e = engineLengths(engine)
  const bellFrom = at.face + at.plates
  const marks: Mark[] = placed(
    [
      ...placed(gearboxSide({ ...gearbox, leverMm: null, isLeverOnCase: false }), { x: at.plates }),
      ...plates(train),
      ...engineSide({ ...engine, fan: engine.fan === 'belt' ? 'none' : engine.fan }),
    ],
    { x: at.face },
  ).slice()
  const middle = bellFrom + gearbox.bell.mm + gearbox.length.mm / 2
  return {
    marks,
    places: {
      face: [at.face, -PLATE_HALF],
      flange: [bellFrom, -60],
      pilot: [bellFrom, 0],
      release: [bellFrom + gearbox.bell.mm / 2, 40],
      starter: [bellFrom + 20, 150],
      gearbox: [middle, 0],
      'gearbox mount': [middle + 100, 100],
      lever: [middle - 80, -100],
      output: [bellFrom + 96, 66],
      'transfer case': [bellFrom + 96, 66],
      'side outputs': [bellFrom + 96, 66],
      'engine mounts': [at.face + e.coverFront, 20],
      sump: [at.face + e.blockFront / 2, 190],
      front: [at.face + e.nose, 0],
    },
  }
}
