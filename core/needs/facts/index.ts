import { BUILD_FACTS } from './build.ts'
import { DERIVED_FACTS } from './derived.ts'
import { DONOR_FACTS } from './donor.ts'
import { ENGINE_FACTS } from './engine.ts'
import type { FactRow } from './fact-row.ts'
import { GEARBOX_FACTS } from './gearbox.ts'
import { KIT_FACTS } from './kit.ts'
import { VEHICLE_FACTS } from './vehicle.ts'

const ALL = {
  ...BUILD_FACTS,
  ...VEHICLE_FACTS,
  ...ENGINE_FACTS,
  ...GEARBOX_FACTS,
  ...DONOR_FACTS,
  ...KIT_FACTS,
  ...DERIVED_FACTS,
}
export type FactKey = keyof typeof ALL & string

/** Every fact that a line of the list may read. A new question is one row in one of these files. */
export const FACT_ROWS: Readonly<Record<FactKey, FactRow>> = ALL

export const isFactKey = (key: string): key is FactKey => Object.hasOwn(FACT_ROWS, key)
