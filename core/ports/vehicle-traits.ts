import { VEHICLE_TRAITS } from '../facts/vehicle.ts'
import { traits } from './traits.ts'

/** What the vehicle is, in words: what decides which lines a build needs. */
export const vehicleTraits = traits(
  'vehicle-traits',
  'What the vehicle is',
  'gearbox',
  VEHICLE_TRAITS,
)
