import type { Rule } from '../rule.ts'

/** Oil and coolant. Capacities come with their own calculators; until then quantities are litres to confirm. */
export const fluids: Rule = {
  id: 'fluids',
  reads: ['need:engine', 'need:transmission'],
  adds: ['engine-oil', 'gearbox-oil', 'coolant'],
  run: ({ has }) => [
    ...(has('engine')
      ? [
          {
            kind: 'engine-oil',
            place: 'fluids',
            words: 'Engine oil and filter',
            why: [
              {
                rule: 'fluids',
                words: 'Fresh at first start, drained again soon after',
                parent: 'engine/engine/main',
              },
            ],
          },
          {
            kind: 'coolant',
            place: 'fluids',
            words: 'Coolant',
            why: [
              {
                rule: 'fluids',
                words: 'The system is open during the swap',
                parent: 'engine/engine/main',
              },
            ],
            cautions: ['Never open a hot cooling system.'],
          },
        ]
      : []),
    ...(has('transmission')
      ? [
          {
            kind: 'gearbox-oil',
            place: 'fluids',
            words: 'Gearbox oil',
            why: [
              {
                rule: 'fluids',
                words: 'Filled before first fire',
                parent: 'transmission/transmission/main',
              },
            ],
          },
        ]
      : []),
  ],
}
