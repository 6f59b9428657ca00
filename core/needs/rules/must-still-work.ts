import { kindWords } from '../../identity/part-kinds.ts'
import type { FactKey } from '../facts.ts'
import type { Rule } from '../rule.ts'

export const KEPT_ASSEMBLIES = [
  'air-conditioning',
  'steering-assist',
  'brake-assist',
  'cruise',
  'gauges',
  'four-wheel-drive',
  'power-take-off',
  'speedometer',
  'range-indicator',
  'emissions-equipment',
  'heater',
] as const

const CAUTIONS: Record<string, string> = {
  'air-conditioning': 'Refrigerant is recovered by a licensed technician.',
  'steering-assist': 'Steering must be clear through full travel and lock.',
  'emissions-equipment': 'What must be carried over is set by local law.',
}

/** For each thing that must still work, its assembly to keep or confirm. */
export const mustStillWork: Rule = {
  id: 'must-still-work',
  reads: KEPT_ASSEMBLIES.map((kind): FactKey => `keep.${kind}`),
  adds: KEPT_ASSEMBLIES,
  run: ({ facts }) =>
    KEPT_ASSEMBLIES.filter((kind) => facts.is(`keep.${kind}`) === true).map((kind) => ({
      kind,
      place: kind === 'speedometer' ? 'driveline' : 'kept',
      words: kindWords(kind),
      keep: true,
      level: 'confirm' as const,
      why: [{ rule: 'must-still-work', words: "The brief says it must still work: keep the recipient's and confirm it reaches the new train" }],
      cautions: CAUTIONS[kind] ? [CAUTIONS[kind]] : [],
    })),
}
