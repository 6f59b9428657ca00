import type { Rule } from '../rule.ts'

/** Papers and inspection: rules differ by place and date, so they are reminded and recorded, and defer to local authority. */
export const papers: Rule = {
  id: 'papers',
  reads: ['need:engine', 'law.inspection'],
  adds: ['papers', 'inspection'],
  run: ({ has, facts }) =>
    has('engine')
      ? [
          {
            kind: 'papers',
            place: 'papers',
            words: 'Ownership, engine number and invoice, insurer told',
            level: 'confirm' as const,
            why: [{ rule: 'papers', words: 'No papers, no certificate: asked before money is spent. Local authority decides', parent: 'engine/engine/main' }],
          },
          {
            kind: 'inspection',
            place: 'papers',
            words: 'Inspection of the engine change',
            level: facts.is('law.inspection') === true ? ('required' as const) : ('confirm' as const),
            waits: 'first run' as const,
            why: [{ rule: 'papers', words: 'An engine change may need inspection or a certificate where you are: ask the local authority', parent: 'engine/engine/main' }],
          },
        ]
      : [],
}
