import { GEARBOX_TRAITS } from '../facts/gearbox.ts'
import { traits } from './traits.ts'

/** What the gearbox is, in words: what decides which lines a build needs. */
export const gearboxTraits = traits(
  'gearbox-traits',
  'What the gearbox is',
  'gearbox',
  GEARBOX_TRAITS,
)
