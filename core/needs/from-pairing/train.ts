import type { NewNeed } from '../need.ts'
import type { Rule } from './rule.ts'

/** The engine and the transmission themselves. */
export const train: Rule = {
  id: 'train',
  reads: [
    'engine.part',
    'engine.name',
    'engine.recipients',
    'transmission.part',
    'transmission.name',
    'transmission.recipients',
  ],
  adds: ['engine', 'transmission'],
  run: ({ facts }) =>
    (['engine', 'transmission'] as const).flatMap((kind): NewNeed[] => {
      const part = facts.text(`${kind}.part`)
      if (part === undefined) return []
      const keep = facts.is(`${kind}.recipients`) === true
      return [
        {
          kind,
          place: kind,
          words: facts.text(`${kind}.name`) ?? kind,
          wants: part,
          constraints: [{ equals: part }],
          ...(keep ? { keep } : {}),
          why: [
            {
              rule: 'train',
              words: keep ? 'The pairing keeps the one the recipient has' : 'The pairing chosen',
            },
          ],
          cautions: keep
            ? []
            : ['Lifting: rated points, balance found first, never under a hanging engine.'],
        },
      ]
    }),
}
