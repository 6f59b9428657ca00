import { FACT_ROWS, type FactKey, isFactKey } from './index.ts'

/** Keys published before the facts had their present names. */
const ALIASES: Readonly<Record<string, FactKey>> = {
  'keep.air-conditioning': 'keep.air',
  'keep.power-take-off': 'keep.take-off',
  'keep.range-indicator': 'keep.range',
  'keep.emissions-equipment': 'keep.emissions',
  'law.inspection': 'law.engineer',
  'stopper.papers': 'engine.papers',
  'stopper.law': 'law.allowed',
}

/** The fact of a key as it is, or as it was once published; null where it is none. */
export const factNamed = (key: string): FactKey | null =>
  isFactKey(key) ? key : (ALIASES[key] ?? null)

/** Every key that is read, the old ones too. */
export const NAMED_FACTS: readonly string[] = [...Object.keys(FACT_ROWS), ...Object.keys(ALIASES)]
