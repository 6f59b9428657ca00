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

/** Every line that a build may need: a new line is one row in one of these files. */
export const LINE_ROWS = merged([
  ...MATING_LINES,
  ...CRANK_AND_WHEEL_LINES,
  ...PILOT_LINES,
  ...CLUTCH_LINES,
  ...CLUTCH_ACTUATION_LINES,
  ...CONVERTER_AND_COOLER_LINES,
  ...GEARBOX_LINES,
  ...SHIFT_LINES,
  ...TRANSFER_CASE_AND_TAKE_OFF_LINES,
  ...SHAFTS_AND_AXLE_LINES,
  ...SPEEDOMETER_LINES,
  ...MOUNTS_LINES,
  ...OIL_AND_SUMP_LINES,
  ...COOLING_LINES,
  ...HEATER_LINES,
  ...INTAKE_AND_CHARGE_LINES,
  ...THROTTLE_LINES,
  ...FUEL_LINES,
  ...EMISSIONS_LINES,
  ...IGNITION_LINES,
  ...EXHAUST_LINES,
  ...BELTS_LINES,
  ...STEERING_LINES,
  ...BRAKE_ASSIST_LINES,
  ...AIR_CONDITIONING_LINES,
  ...STARTING_AND_CHARGING_LINES,
  ...ENGINE_WIRING_LINES,
  ...GAUGES_LINES,
  ...BODY_AND_CHASSIS_LINES,
  ...WEAR_PARTS_LINES,
  ...FLUIDS_LINES,
  ...CONSUMABLES_LINES,
  ...TOOLS_LINES,
  ...SERVICES_LINES,
  ...ORDER_OF_WORK_LINES,
  ...PAPERS_LINES,
  ...SELLING_AND_HOLDING_LINES,
  ...THE_SECOND_TIME_LINES,
])
