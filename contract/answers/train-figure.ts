import { z } from 'zod'
import { STRIP_PLACES } from '../../core/joints/joint.ts'
import { ARRANGEMENTS } from '../../core/train/engine-figure.ts'
import type { TrainFigure } from '../../core/train/train-figure.ts'
import { BODIES, LAYOUTS } from '../../core/train/vehicle-figure.ts'
import { byName, known, list, zone } from './basics.ts'

const size = z.object({ mm: z.number(), known: z.boolean() })
const sides = ['left', 'right'] as const

export const engineFigure = z.object({
  arrangement: z.enum(ARRANGEMENTS),
  count: z.number(),
  isKind: z.boolean(),
  bore: size,
  stroke: size,
  spacing: size,
  deck: size,
  head: size,
  bankDeg: z.number(),
  slantDeg: z.number(),
  cams: z.enum(['block', 'head']),
  hot: z.enum([...sides, 'both']),
  fan: z.enum(['belt', 'electric', 'none']),
  air: z.enum(['natural', 'turbo', 'blower']),
  length: size,
  height: size,
  width: size,
  pads: z.object({ alongMm: z.number(), belowMm: z.number(), spreadMm: z.number() }).nullable(),
  sump: list(zone),
})

export const gearboxFigure = z.object({
  kind: z.enum(['manual', 'automatic']),
  bell: size,
  length: size,
  height: size,
  width: size,
  leverMm: known,
  isLeverOnCase: z.boolean(),
  pad: z.object({ alongMm: z.number(), belowMm: z.number() }).nullable(),
  output: z.object({ along: size, belowMm: z.number(), rightMm: z.number() }),
  final: z.object({ along: size, beside: size, below: size, left: size, right: size }).nullable(),
})

const transfer = z.object({
  length: size,
  drop: size,
  frontAlong: size,
  frontSide: z.enum(sides),
  output: z.object({ along: size, belowMm: z.number() }),
})

const vehicle = z.object({
  layout: z.enum(LAYOUTS),
  body: z.enum(BODIES),
  isBody: z.boolean(),
  isFourDriven: z.boolean(),
  blockFace: size,
  mountsMm: known,
  frontAxle: size,
  firewall: size,
  rearAxle: size,
  track: size,
  nose: size,
  tail: size,
  roof: size,
  crank: size,
  core: size,
  tyre: size,
  frontTyre: size,
  crankAboveMm: known,
  crossmember: z.object({ alongMm: z.number(), belowMm: z.number() }).nullable(),
  leverOpening: z.object({ fromMm: z.number(), toMm: z.number() }).nullable(),
  pinion: z.object({ along: size, belowMm: z.number(), noseUpDeg: z.number() }).nullable(),
  tunnel: z.object({ bellMm: known, leverMm: known, tailMm: known, caseMm: known }),
  under: list(zone),
  bonnetMm: known,
  columnMm: known,
})

const mating = z.object({
  kind: z.enum(['clutch', 'converter']),
  platesMm: z.number(),
  isPlates: z.boolean(),
  spacersMm: z.number(),
  flange: known,
  clutchFace: known,
  ringNear: known,
  ringWidth: known,
  ringOuter: known,
  wheelOuter: known,
  discOuter: known,
  discInner: known,
  hubStart: known,
  hubEnd: known,
  fingers: known,
  bearingRest: known,
  pilotMouth: known,
  pilotBore: known,
  pieceBore: known,
  pieceWidth: known,
  tip: known,
  noseEnd: known,
  nose: known,
  splineStart: known,
  splineEnd: known,
  splineMajor: known,
  splines: known,
  pinionRest: known,
  starterAxis: known,
  pads: known,
  padCircle: known,
  plateHeight: known,
  converterNose: known,
})

export const trainFigure: z.ZodType<TrainFigure> = z
  .object({
    engine: engineFigure,
    plates: list(z.object({ mm: z.number(), known: z.boolean(), added: z.boolean() })),
    gearbox: gearboxFigure,
    transfer: transfer.nullable(),
    vehicle,
    mating,
    isAcross: z.boolean(),
    face: size,
    mountsMm: known,
    joints: byName(z.enum(STRIP_PLACES)),
  })
  .meta({ id: 'TrainFigure' })
