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
  const [head = '', tail = ''] = key.split('.')
  const said = tail.replaceAll('-', ' ')
  const of = OWNERS[head]
  return of === undefined ? said : `${said} ${of}`
}
const OWNERS: Readonly<Record<string, string>> = {
  vehicle: 'of the vehicle',
  engine: 'of the engine',
  gearbox: 'of the gearbox',
  donor: 'of the donor',
  bench: 'on the bench',
  kit: 'of the kit',
  law: 'by law',
  keep: 'must still work',
  room: 'as room',
  joint: 'as joint',
  choice: 'as way out',
  can: 'in this shop',
  build: 'of the build',
}

export const isFactKey = (key: string): key is FactKey => Object.hasOwn(FACT_ROWS, key)
