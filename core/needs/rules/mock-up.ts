import type { Rule } from '../rule.ts'

const LINES = [
  [
    'propshaft',
    'driveline',
    'Propshaft',
    'Its length and angles are taken on the tyres with the train mocked up',
  ],
  ['exhaust', 'bay', 'Exhaust', 'Its route past steering and starter shows at mock-up'],
  ['lower-hose', 'bay', 'Lower radiator hose', 'Its run shows at mock-up'],
  ['belt', 'bay', 'Drive belt', 'Its length follows from the accessories as mounted'],
  ['throttle-actuation', 'bay', 'Throttle actuation', 'Cable or pedal is settled at mock-up'],
] as const

/** What only a mock-up can measure: ordered before it, it is a wrong part. */
export const mockUp: Rule = {
  id: 'mock-up',
  reads: ['need:engine'],
  adds: LINES.map(([kind]) => kind),
  run: ({ has }) =>
    has('engine')
      ? LINES.map(([kind, place, words, why]) => ({
          kind,
          place,
          words,
          waits: 'mock-up' as const,
          why: [{ rule: 'mock-up', words: why, parent: 'engine/engine/main' }],
        }))
      : [],
}
