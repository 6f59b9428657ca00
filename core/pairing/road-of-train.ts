import { ROAD_DEFAULTS, type RoadCar } from '../mechanics/road/road-car.ts'
import {
  curveFromPeaks,
  GROSS_OVER_NET,
  scaledCurve,
  type TorqueCurve,
} from '../mechanics/road/torque-curve.ts'
import { loadedRadius } from '../mechanics/tyre.ts'
import { type CompiledPart, portOf } from '../ports/index.ts'
import { mmOf, wordOf } from '../train/size.ts'
import { type Body, vehicleFigure } from '../train/vehicle-figure.ts'
import type { Train } from './train.ts'

/** A train on the road: what it drives like, and what of it nobody said. */
export interface RoadFigure {
  readonly car: RoadCar
  /** What stands in for what nobody said, in words with its figure. */
  readonly standIns: readonly string[]
  readonly fuel: 'petrol' | 'diesel'
  readonly isCharged: boolean
  /** Whether its figures were gross, and were taken down to net. */
  readonly isGross: boolean
}

/** Masses, kg; null where nobody said. */
export interface RoadMasses {
  readonly vehicle: number | null
  /** What the new train weighs more than the old one. */
  readonly change: number | null
}

/** What a vehicle of a kind commonly has, by its body: drag area m², mass and load aboard kg (common practice, no published source). */
const TYPICAL: Readonly<Record<Body, { drag: number; mass: number; aboard: number }>> = {
  saloon: { drag: 0.7, mass: 1250, aboard: 150 },
  coupe: { drag: 0.64, mass: 1150, aboard: 110 },
  roadster: { drag: 0.72, mass: 950, aboard: 110 },
  van: { drag: 1.6, mass: 1450, aboard: 500 },
  truck: { drag: 1.3, mass: 1700, aboard: 300 },
  'four-by-four': { drag: 1.25, mass: 1850, aboard: 200 },
  tractor: { drag: 2.6, mass: 2400, aboard: 100 },
}
const LAUNCH_OF_TORQUE_PEAK = 0.6
const ROLLING_FACTOR = 0.97
const AUTOMATIC_SHIFT_S = 0.25

/** The road figure of a train, or what is missing before there can be one, in words. */
export function roadOfTrain(
  train: Train,
  masses: RoadMasses,
): { readonly road: RoadFigure } | { readonly missing: readonly string[] } {
  const ratios = portOf(train.transmission, 'ratios')
  const axle = portOf(train.recipient, 'axle')
  const load = portOf(train.recipient, 'road-load')
  const tyre = portOf(train.recipient, 'tyre')
  const traits = portOf(train.engine, 'engine-traits')
  const { body, layout, isFourDriven } = vehicleFigure(train.recipient)
  const standIns: string[] = []
  const or = (value: number | null, standIn: number, words: string, unit: string): number => {
    if (value === null) standIns.push(`${words} ${standIn}${unit && ` ${unit}`}`)
    return value ?? standIn
  }
  const curve = curveOf(train.engine)
  const final = mmOf(ratios.finalDrive) ?? mmOf(axle.ratio)
  const radius = mmOf(tyre.loadedMm) ?? mmOr(loadedRadius(tyre.marking.v, ROLLING_FACTOR).mm)
  const missing = [
    ...(curve === null ? ['peak torque, its speed and the redline of the engine'] : []),
    ...(ratios.gears.v === null ? ['the ratios of the gearbox'] : []),
    ...(final === null ? ['the ratio of the axle'] : []),
    ...(radius === null ? ['the driven tyre'] : []),
  ]
  if (curve === null || ratios.gears.v === null || final === null || radius === null)
    return { missing }
  const typical = TYPICAL[body]
  const vehicleKg = or(masses.vehicle, typical.mass, 'mass', 'kg')
  if (masses.change === null) standIns.push('no change of mass')
  const isAutomatic = ratios.type.v === 'automatic'
  const isRear = layout !== 'crosswise'
  return {
    road: {
      car: {
        ...ROAD_DEFAULTS,
        curve: curve.curve,
        gears: ratios.gears.v,
        final,
        massKg:
          vehicleKg +
          (masses.change ?? 0) +
          or(mmOf(load.aboardKg), typical.aboard, 'aboard', 'kg'),
        dragM2: or(mmOf(load.dragM2), typical.drag, 'drag area', 'm²'),
        rolling: or(mmOf(load.rolling), ROAD_DEFAULTS.rolling, 'rolling resistance', ''),
        radiusM: radius / 1000,
        driven: isFourDriven ? 'all' : isRear ? 'rear' : 'front',
        stall: isAutomatic ? or(mmOf(ratios.stall), 2, 'stall ratio', '') : null,
        shiftS: isAutomatic ? AUTOMATIC_SHIFT_S : ROAD_DEFAULTS.shiftS,
        launchRpm: Math.min(
          ROAD_DEFAULTS.launchRpm,
          portOf(train.engine, 'engine-output').peakTorqueRpm.v * LAUNCH_OF_TORQUE_PEAK + 300,
        ),
      },
      standIns,
      fuel: wordOf(traits.fuel, ['petrol', 'diesel'], 'petrol'),
      isCharged: traits.air.v === 'turbo' || traits.air.v === 'blower',
      isGross: curve.isGross,
    },
  }
}

const mmOr = (value: number): number | null => (Number.isNaN(value) ? null : value)

/** The engine's curve, net: its own points where it has them, else by its peaks; null where they are not known or cannot be. */
function curveOf(engine: CompiledPart): { curve: TorqueCurve; isGross: boolean } | null {
  const said = portOf(engine, 'engine-output')
  const [redlineRpm, torqueNm, torqueRpm] = [
    mmOf(said.redlineRpm),
    mmOf(said.peakTorqueNm),
    mmOf(said.peakTorqueRpm),
  ]
  const isGross = said.basis.v === 'gross'
  const net = (curve: TorqueCurve) => ({
    curve: isGross ? scaledCurve(curve, 1 / GROSS_OVER_NET.likely) : curve,
    isGross,
  })
  const speeds = said.curveRpm.v
  const torques = said.curveNm.v
  if (
    redlineRpm !== null &&
    speeds &&
    torques &&
    speeds.length === torques.length &&
    speeds.length > 1
  )
    return net({
      points: speeds.map((rpm, i) => ({ rpm, nm: torques[i]! })).toSorted((a, b) => a.rpm - b.rpm),
      redlineRpm,
    })
  if (redlineRpm === null || torqueNm === null || torqueRpm === null) return null
  const kw = mmOf(said.peakPowerKw)
  const powerRpm = mmOf(said.peakPowerRpm)
  const peaks = { torqueNm, torqueRpm, redlineRpm }
  try {
    return net(
      curveFromPeaks(
        kw === null || powerRpm === null ? peaks : { ...peaks, powerW: kw * 1000, powerRpm },
      ),
    )
  } catch (error) {
    if (!(error instanceof RangeError)) throw error
    // Figures that contradict one another: the torque alone is believed, where it can be.
    return redlineRpm > torqueRpm ? net(curveFromPeaks(peaks)) : null
  }
}
