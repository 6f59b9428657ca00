import { z } from 'zod'
import type { RoadCar } from '../../core/mechanics/road/road-car.ts'
import type { RoadFigure } from '../../core/pairing/road-of-train.ts'
import { known, list, words } from './basics.ts'

const car: z.ZodType<RoadCar> = z.object({
  curve: z.object({
    points: list(z.object({ rpm: z.number(), nm: z.number() })),
    redlineRpm: z.number(),
  }),
  gears: list(z.number()),
  final: z.number(),
  massKg: z.number(),
  dragM2: z.number(),
  rolling: z.number(),
  radiusM: z.number(),
  efficiency: z.number(),
  grip: z.number(),
  launchGrip: z.number(),
  driven: z.enum(['front', 'rear', 'all']),
  drivenShare: z.number(),
  heightOverBase: z.number(),
  engineInertia: z.number(),
  wheelInertia: z.number(),
  shiftS: z.number(),
  stall: known,
  launchRpm: z.number(),
  reactionS: z.number(),
})
const figure: z.ZodType<RoadFigure> = z.object({
  car,
  standIns: words,
  fuel: z.enum(['petrol', 'diesel']),
  isCharged: z.boolean(),
  isGross: z.boolean(),
})

/** The vehicle on the road with this pairing, and as it was; null where something is missing, named. */
export const road = z
  .strictObject({
    after: figure.nullable(),
    missing: words,
    before: figure.nullable(),
    beforeName: z.string().nullable(),
  })
  .meta({ id: 'Road' })
