import { kindWords } from '../../ports/part-kinds.ts'
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

/** What comes with an assembly when it is carried over to another engine. */
const WITH: Partial<
  Record<
    (typeof KEPT_ASSEMBLIES)[number],
    readonly (readonly [kind: string, words: string, why: string])[]
  >
> = {
  'air-conditioning': [
    ['compressor-mount', 'Compressor mount', 'The compressor must sit in the new belt’s plane'],
    ['refrigerant-hose', 'Refrigerant hoses', 'Hose ends follow the compressor'],
    [
      'refrigerant-service',
      'Refrigerant recovered and filled',
      'Before the old engine comes out, and after',
    ],
  ],
  'steering-assist': [['assist-hose', 'Steering assist hose', 'Pump and rack ends differ']],
  'four-wheel-drive': [
    [
      'front-propshaft',
      'Front propshaft',
      'Its length and angle follow the transfer case; measured with the train mocked up',
    ],
  ],
  'power-take-off': [['take-off', 'Power take-off unit', 'Made for the opening of this gearbox']],
  cruise: [
    [
      'cruise-actuator',
      'Cruise actuator and its signals',
      'It pulls this engine’s throttle and reads this gearbox’s speed',
    ],
  ],
}

const CAUTIONS: Record<string, string> = {
  'air-conditioning': 'Refrigerant is recovered by a licensed technician.',
  'steering-assist': 'Steering must be clear through full travel and lock.',
  'emissions-equipment': 'What must be carried over is set by local law.',
}

/** For each thing that must still work, its assembly to keep or confirm. */
export const mustStillWork: Rule = {
  id: 'must-still-work',
  reads: KEPT_ASSEMBLIES.map((kind): FactKey => `keep.${kind}`),
  adds: [...KEPT_ASSEMBLIES, ...Object.values(WITH).flatMap((all) => all.map(([kind]) => kind))],
  run: ({ facts }) =>
    KEPT_ASSEMBLIES.filter((kind) => facts.is(`keep.${kind}`) === true).flatMap((kind) => [
      {
        kind,
        place: kind === 'speedometer' ? 'driveline' : 'kept',
        words: kindWords(kind),
        keep: true,
        level: 'confirm' as const,
        why: [
          {
            rule: 'must-still-work',
            words:
              "The brief says it must still work: keep the recipient's and confirm it reaches the new train",
          },
        ],
        cautions: CAUTIONS[kind] ? [CAUTIONS[kind]] : [],
      },
      ...(WITH[kind] ?? []).map(([with_, words, why]) => ({
        kind: with_,
        place: 'kept',
        words,
        level: 'confirm' as const,
        why: [{ rule: 'must-still-work', words: `${kindWords(kind)} must still work: ${why}` }],
        cautions: CAUTIONS[kind] ? [CAUTIONS[kind]] : [],
      })),
    ]),
}
