import type { WhatIf, Where } from '../../../core/mechanics/road/what-if.ts'
import {
  parseQuantity,
  QuantityError,
  type Reading,
  type StoredUnit,
} from '../../../core/quantity/units.ts'

interface TriedField {
  readonly id: string
  readonly label: string
  readonly unit: StoredUnit
  readonly hint?: string
  readonly least: number
  readonly most: number
  /** What it is where nothing is typed; null where it is left as the vehicle has it. */
  readonly plain: number | null
}

/** What can be tried, in the order of the form: on the vehicle, then on the road. */
export const TRIED_FIELDS = [
  { id: 'final', label: 'Axle ratio', unit: '', least: 0.5, most: 60, plain: null },
  { id: 'radius', label: 'Loaded tyre radius', unit: 'mm', least: 150, most: 1200, plain: null },
  { id: 'torque', label: 'Peak torque, tuned', unit: 'N·m', least: 20, most: 5000, plain: null },
  { id: 'more', label: 'More aboard', unit: 'kg', least: -2000, most: 10_000, plain: null },
  { id: 'drag', label: 'Drag area, m²', unit: '', least: 0.2, most: 12, plain: null },
  { id: 'cruise', label: 'Cruising at, km/h', unit: '', least: 20, most: 250, plain: 80 },
  { id: 'hill', label: 'Hill, %', unit: '', least: 0, most: 40, plain: 6 },
  { id: 'altitude', label: 'Altitude, m', unit: '', least: 0, most: 4500, plain: 0 },
  { id: 'wind', label: 'Head wind, km/h', unit: '', least: -60, most: 120, plain: 0 },
  { id: 'trailer', label: 'Trailer', unit: 'kg', least: 0, most: 30_000, plain: 0 },
] as const satisfies readonly TriedField[]
export type TriedId = (typeof TRIED_FIELDS)[number]['id'] | 'gears'

/** What is tried as it was typed, with what is wrong with it by field. */
export interface Tried {
  readonly whatIf: WhatIf
  readonly where: Where
  readonly cruiseKmh: number
  readonly faults: Readonly<Partial<Record<TriedId, string>>>
}

/** Reads what was typed; what cannot be read is left as it is, and told. */
export function readTried(typed: (id: TriedId) => string, reading: Reading): Tried {
  const faults: Partial<Record<TriedId, string>> = {}
  const figure = (id: TriedId): number | null => {
    const field = TRIED_FIELDS.find((one) => one.id === id)!
    const text = typed(id).trim()
    if (text === '') return field.plain
    try {
      const value = parseQuantity(text, field.unit, reading)
      if (value < field.least || value > field.most) {
        faults[id] = `${field.label} lies between ${field.least} and ${field.most}.`
        return field.plain
      }
      return value
    } catch (error) {
      if (!(error instanceof QuantityError)) throw error
      faults[id] = error.message
      return field.plain
    }
  }
  const gearsOf = (): readonly number[] | null => {
    const text = typed('gears').trim()
    if (text === '') return null
    const gears = text.split(/[\s;]+/).map((one) => Number(one.replace(',', '.')))
    if (gears.length > 24 || gears.some((gear) => !(gear > 0.1 && gear < 30))) {
      faults.gears = 'Type the ratios first to top, with spaces between: 3.9 2.26 1.41 1.'
      return null
    }
    if (gears.some((gear, i) => i > 0 && gear >= gears[i - 1]!)) {
      faults.gears = 'Each ratio is lower than the one before it.'
      return null
    }
    return gears
  }
  return {
    whatIf: {
      final: figure('final'),
      radiusMm: figure('radius'),
      torqueNm: figure('torque'),
      moreKg: figure('more'),
      dragM2: figure('drag'),
      gears: gearsOf(),
    },
    where: {
      hillPercent: figure('hill')!,
      altitudeM: figure('altitude')!,
      windKmh: figure('wind')!,
      trailerKg: figure('trailer')!,
    },
    cruiseKmh: figure('cruise')!,
    faults,
  }
}
