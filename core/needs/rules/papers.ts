import type { Rule } from '../rule.ts'

/** Answered no, or don't know: it is to be settled, not only confirmed. */
const isOpen = (says: string | undefined): boolean => says === 'no' || says === 'unknown'

/** Papers and inspection: rules differ by place and date, so they are reminded and recorded, and defer to local authority. */
export const papers: Rule = {
  id: 'papers',
  reads: ['need:engine', 'law.inspection', 'stopper.papers', 'stopper.law'],
  adds: ['papers', 'inspection'],
  run: ({ has, facts }) =>
    has('engine')
      ? [
          {
            kind: 'papers',
            place: 'papers',
            words: 'Ownership, engine number and invoice, insurer told',
            level: isOpen(facts.text('stopper.papers'))
              ? ('required' as const)
              : ('confirm' as const),
            why: [
              ...(isOpen(facts.text('stopper.papers'))
                ? [
                    {
                      rule: 'papers',
                      words:
                        'Asked at the start: not in hand, or not known. Nothing is bought before they are',
                      parent: 'engine/engine/main',
                    },
                  ]
                : []),
              {
                rule: 'papers',
                words:
                  'No papers, no certificate: asked before money is spent. Local authority decides',
                parent: 'engine/engine/main',
              },
            ],
          },
          {
            kind: 'inspection',
            place: 'papers',
            words: 'Inspection of the engine change',
            level:
              facts.is('law.inspection') === true || isOpen(facts.text('stopper.law'))
                ? ('required' as const)
                : ('confirm' as const),
            waits: 'first run' as const,
            why: [
              {
                rule: 'papers',
                words:
                  'An engine change may need inspection or a certificate where you are: ask the local authority',
                parent: 'engine/engine/main',
              },
            ],
          },
        ]
      : [],
}
