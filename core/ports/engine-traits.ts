import { ENGINE_TRAITS } from '../facts/engine.ts'
import { traits } from './traits.ts'

/** What the engine is, in words: what decides which lines a build needs. */
export const engineTraits = traits('engine-traits', 'What the engine is', 'engine', ENGINE_TRAITS)
