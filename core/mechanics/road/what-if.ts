import { atAltitude, LEVEL, type Road, type RoadCar } from './road-car.ts'
import { scaledCurve } from './torque-curve.ts'

/** What is tried on a car and a road; null leaves it as it is. */
export interface WhatIf {
  /** Peak torque tuned to, N·m. */
  readonly torqueNm: number | null
  readonly gears: readonly number[] | null
  readonly final: number | null
  /** Loaded radius of the tyre, mm. */
  readonly radiusMm: number | null
  /** More aboard, or less, kg. */
  readonly moreKg: number | null
  readonly dragM2: number | null
}

/** Where it is tried. */
export interface Where {
  /** %, rise over run. */
  readonly hillPercent: number
  readonly altitudeM: number
  readonly windKmh: number
  readonly trailerKg: number
}

/** A car with what is tried on it: another output scales its whole curve. */
export function withWhatIf(car: RoadCar, tried: WhatIf): RoadCar {
  const peak = Math.max(...car.curve.points.map(({ nm }) => nm))
  return {
    ...car,
    curve: tried.torqueNm === null ? car.curve : scaledCurve(car.curve, tried.torqueNm / peak),
    gears: tried.gears ?? car.gears,
    final: tried.final ?? car.final,
    radiusM: tried.radiusMm === null ? car.radiusM : tried.radiusMm / 1000,
    massKg: car.massKg + (tried.moreKg ?? 0),
    dragM2: tried.dragM2 ?? car.dragM2,
  }
}

/** Drag area of a trailer by what it weighs, m²: an open one to a caravan (common practice, no published source). */
const trailerDrag = (kg: number): number => Math.min(3, 0.4 + kg / 700)
const TRAILER_ROLLING = 0.015

/** The hill on which it is tried, with air, wind and trailer. */
export const roadOf = (
  { hillPercent, altitudeM, windKmh, trailerKg }: Where,
  isCharged: boolean,
): Road =>
  atAltitude(
    {
      ...LEVEL,
      grade: hillPercent / 100,
      windMs: windKmh / 3.6,
      trailer:
        trailerKg > 0
          ? { massKg: trailerKg, dragM2: trailerDrag(trailerKg), rolling: TRAILER_ROLLING }
          : null,
    },
    altitudeM,
    isCharged,
  )
