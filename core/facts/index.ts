import { BUILD_FACTS } from './build.ts'
import { DERIVED_FACTS } from './derived.ts'
import { DONOR_FACTS } from './donor.ts'
import { ENGINE_MEETS, ENGINE_TRAITS } from './engine.ts'
import type { FactRow } from './fact-row.ts'
import { GEARBOX_MEETS, GEARBOX_TRAITS } from './gearbox.ts'
import { KIT_FACTS } from './kit.ts'
import { VEHICLE_TRAITS } from './vehicle.ts'

const ALL = {
  ...BUILD_FACTS,
  ...VEHICLE_TRAITS,
  ...ENGINE_TRAITS,
  ...ENGINE_MEETS,
  ...GEARBOX_TRAITS,
  ...GEARBOX_MEETS,
  ...DONOR_FACTS,
  ...KIT_FACTS,
  ...DERIVED_FACTS,
}
export type FactKey = keyof typeof ALL & string

/** Every fact that a line of the list may read. A new question is one row in one of these files. */
export const FACT_ROWS: Readonly<Record<FactKey, FactRow>> = ALL

/** How a fact is named in a sentence: "throttle of the engine". */
export function factWords(key: FactKey): string {
  const named = NAMES[key]
  if (named !== undefined) return named
  const [head = '', tail = ''] = key.split('.')
  const said = tail.replaceAll('-', ' ')
  return OWNERS[head]?.(said) ?? said
}
const NAMES: Readonly<Partial<Record<FactKey, string>>> = {
  'build.engine': 'which engine',
  'build.box': 'whose gearbox',
  'build.school': 'service of the engine',
  'build.box-school': 'service of the gearbox',
  'build.place': 'placement',
  'build.case': 'whose transfer case',
  'engine.set': 'whether computer, key and pedal are one set',
  'engine.hot': 'exhaust side of the engine',
  'donor.kind': 'what is bought',
  'donor.box': 'gearbox that stood behind it',
  'joint.torque-clutch': 'torque at the clutch',
  'joint.torque-gearbox': 'torque at the gearbox',
  'joint.torque-case': 'torque at the transfer case',
  'joint.torque-axle': 'torque at the axle',
}
const OWNERS: Readonly<Record<string, (said: string) => string>> = {
  vehicle: (said) => `${said} of the vehicle`,
  engine: (said) => `${said} of the engine`,
  gearbox: (said) => `${said} of the gearbox`,
  donor: (said) => `${said}, of the donor`,
  bench: (said) => `${said}, on the bench`,
  kit: (said) => `${said} of the kit`,
  law: (said) => `${said}, by law`,
  keep: (said) => `${said} must still work`,
  room: (said) => `room for the ${said}`,
  joint: (said) => `how the ${said} meets`,
  choice: (said) => `way out: ${said}`,
  can: (said) => `whether this shop can ${said}`,
}

export const isFactKey = (key: string): key is FactKey => Object.hasOwn(FACT_ROWS, key)
