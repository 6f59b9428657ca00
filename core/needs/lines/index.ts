import { AIR_CONDITIONING_LINES } from './air-conditioning.ts'
import { BELTS_LINES } from './belts.ts'
import { BODY_AND_CHASSIS_LINES } from './body-and-chassis.ts'
import { BRAKE_ASSIST_LINES } from './brake-assist.ts'
import { CLUTCH_LINES } from './clutch.ts'
import { CLUTCH_ACTUATION_LINES } from './clutch-actuation.ts'
import { CONSUMABLES_LINES } from './consumables.ts'
import { CONVERTER_AND_COOLER_LINES } from './converter-and-cooler.ts'
import { COOLING_LINES } from './cooling.ts'
import { CRANK_AND_WHEEL_LINES } from './crank-and-wheel.ts'
import { EMISSIONS_LINES } from './emissions.ts'
import { ENGINE_WIRING_LINES } from './engine-wiring.ts'
import { EXHAUST_LINES } from './exhaust.ts'
import { FLUIDS_LINES } from './fluids.ts'
import { FUEL_LINES } from './fuel.ts'
import { GAUGES_LINES } from './gauges.ts'
import { GEARBOX_LINES } from './gearbox.ts'
import { HEATER_LINES } from './heater.ts'
import { IGNITION_LINES } from './ignition.ts'
import { INTAKE_AND_CHARGE_LINES } from './intake-and-charge.ts'
import { MATING_LINES } from './mating.ts'
import { MOUNTS_LINES } from './mounts.ts'
import { OIL_AND_SUMP_LINES } from './oil-and-sump.ts'
import { ORDER_OF_WORK_LINES } from './order-of-work.ts'
import { PAPERS_LINES } from './papers.ts'
import { PILOT_LINES } from './pilot.ts'
import { merged } from './row.ts'
import { SELLING_AND_HOLDING_LINES } from './selling-and-holding.ts'
import { SERVICES_LINES } from './services.ts'
import { SHAFTS_AND_AXLE_LINES } from './shafts-and-axle.ts'
import { SHIFT_LINES } from './shift.ts'
import { SPEEDOMETER_LINES } from './speedometer.ts'
import { STARTING_AND_CHARGING_LINES } from './starting-and-charging.ts'
import { STEERING_LINES } from './steering.ts'
import { THE_SECOND_TIME_LINES } from './the-second-time.ts'
import { THROTTLE_LINES } from './throttle.ts'
import { TOOLS_LINES } from './tools.ts'
import { TRANSFER_CASE_AND_TAKE_OFF_LINES } from './transfer-case-and-take-off.ts'
import { WEAR_PARTS_LINES } from './wear-parts.ts'

/** Lines by subject, a file each. */
const BY_SUBJECT = {
  mating: MATING_LINES,
  'crank-and-wheel': CRANK_AND_WHEEL_LINES,
  pilot: PILOT_LINES,
  clutch: CLUTCH_LINES,
  'clutch-actuation': CLUTCH_ACTUATION_LINES,
  'converter-and-cooler': CONVERTER_AND_COOLER_LINES,
  gearbox: GEARBOX_LINES,
  shift: SHIFT_LINES,
  'transfer-case-and-take-off': TRANSFER_CASE_AND_TAKE_OFF_LINES,
  'shafts-and-axle': SHAFTS_AND_AXLE_LINES,
  speedometer: SPEEDOMETER_LINES,
  mounts: MOUNTS_LINES,
  'oil-and-sump': OIL_AND_SUMP_LINES,
  cooling: COOLING_LINES,
  heater: HEATER_LINES,
  'intake-and-charge': INTAKE_AND_CHARGE_LINES,
  throttle: THROTTLE_LINES,
  fuel: FUEL_LINES,
  emissions: EMISSIONS_LINES,
  ignition: IGNITION_LINES,
  exhaust: EXHAUST_LINES,
  belts: BELTS_LINES,
  steering: STEERING_LINES,
  'brake-assist': BRAKE_ASSIST_LINES,
  'air-conditioning': AIR_CONDITIONING_LINES,
  'starting-and-charging': STARTING_AND_CHARGING_LINES,
  'engine-wiring': ENGINE_WIRING_LINES,
  gauges: GAUGES_LINES,
  'body-and-chassis': BODY_AND_CHASSIS_LINES,
  'wear-parts': WEAR_PARTS_LINES,
  fluids: FLUIDS_LINES,
  consumables: CONSUMABLES_LINES,
  tools: TOOLS_LINES,
  services: SERVICES_LINES,
  'order-of-work': ORDER_OF_WORK_LINES,
  papers: PAPERS_LINES,
  'selling-and-holding': SELLING_AND_HOLDING_LINES,
  'the-second-time': THE_SECOND_TIME_LINES,
}
export type Subject = keyof typeof BY_SUBJECT

/** Every line that a build may need: a new line is one row in one of these files. */
export const LINE_ROWS = merged(Object.values(BY_SUBJECT).flat())

/** The subject of a kind of line. */
export const subjectOf: ReadonlyMap<string, Subject> = new Map(Object.entries(BY_SUBJECT).flatMap(([subject, lines]) => lines.flatMap((line) => ('kind' in line ? [[line.kind, subject as Subject] as const] : []))))
