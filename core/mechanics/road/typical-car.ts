import { LEVEL, ROAD_DEFAULTS, type RoadCar, speedAt } from './road-car.ts'
import { curveFromPeaks } from './torque-curve.ts'

/** Proportions of a car of which only mass and power are known (common practice, no published source). */
const TYPICAL = {
  powerRpm: 4800,
  torqueRpm: 2800,
  redlineRpm: 5300,
  /** Peak torque over the torque at peak power. */
  torqueRise: 1.22,
  gears: [2.95, 1.75, 1.2, 1],
  dragM2: 0.7,
  radiusM: 0.31,
  /** Driver and what is tested with it, kg. */
  aboardKg: 110,
  /** Speed in top at peak power over the speed that power would hold. */
  gearing: 1.05,
} as const

/** A road car from its mass and peak power alone, all else as is common: what it is fitted and judged on is in road.test.ts. */
export function typicalCar(
  { massKg, powerW }: { readonly massKg: number; readonly powerW: number },
  more: Partial<RoadCar> = {},
): RoadCar {
  const { powerRpm, torqueRpm, redlineRpm, torqueRise, gears, dragM2, radiusM } = TYPICAL
  const curve = curveFromPeaks({
    torqueNm: (powerW / ((powerRpm * 2 * Math.PI) / 60)) * torqueRise,
    torqueRpm,
    redlineRpm,
    powerW,
    powerRpm,
  })
  const base: RoadCar = {
    ...ROAD_DEFAULTS,
    curve,
    gears,
    final: 1,
    massKg: massKg + TYPICAL.aboardKg,
    dragM2,
    radiusM,
    driven: 'rear',
    stall: null,
    ...more,
  }
  const held = ((powerW * base.efficiency) / (0.5 * LEVEL.airKgM3 * base.dragM2)) ** (1 / 3)
  return {
    ...base,
    final: more.final ?? speedAt(base, gears.at(-1)!, powerRpm) / (held * TYPICAL.gearing),
  }
}
