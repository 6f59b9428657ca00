import { type BoltClass, engagementMm, type Metal, tightening } from '../../mechanics/fasteners.ts'
import type { Constraint, NewNeed, Reason } from '../need.ts'
import type { Rule } from './rule.ts'

/** A bolt may be longer or shorter than the one wanted by this, mm. */
const LENGTH_MM = 0.5

const threaded = (thread: string | undefined): Constraint[] =>
  thread === undefined ? [] : [{ port: 'flange-bolts', field: 'thread', equals: thread }]

/** How tight, and how deep, where only the thread is known. */
function tightened(thread: string | undefined, boltClass: BoltClass): Reason[] {
  const found = thread === undefined ? null : tightening(thread, boltClass)
  if (!found || thread === undefined) return []
  const deep = (metal: Metal): string => engagementMm(thread, metal).toFixed(0)
  return [
    {
      rule: 'hardware',
      words: `${found.words}. Screwed in at least ${deep('steel')} mm in steel, ${deep('aluminium')} in aluminium, where the thread limits and not the bolt`,
    },
  ]
}

/** Dowels and bolts of each bolted joint. */
export const hardware: Rule = {
  id: 'hardware',
  reads: [
    'face.bolts',
    'face.dowels',
    'face.thread',
    'face.plates',
    'flange.bolts',
    'flange.thread',
    'flange.lengthMm',
    'need:cover',
  ],
  adds: ['bell-bolt', 'dowel', 'flange-bolt', 'cover-bolt'],
  run: ({ facts, has }) => {
    const needs: NewNeed[] = []
    const bolts = facts.count('face.bolts')
    const plates = facts.count('face.plates') ?? 0
    const thread = facts.text('face.thread')
    const sets = 1 + plates
    if (bolts !== undefined)
      needs.push({
        kind: 'bell-bolt',
        place: 'face',
        words: `Bell bolts${thread ? ` ${thread}` : ''}`,
        constraints: threaded(thread),
        quantity: bolts * sets,
        why: [
          {
            rule: 'hardware',
            words:
              plates > 0
                ? `${bolts} at the block and ${bolts} at the bell of each plate`
                : `${bolts} bolts clamp the case`,
          },
          ...tightened(thread, '8.8'),
        ],
      })
    needs.push({
      kind: 'dowel',
      place: 'face',
      words: 'Dowels',
      quantity: (facts.count('face.dowels') ?? 2) * sets,
      why: [
        { rule: 'hardware', words: 'Dowels locate the case on the crank axis; bolts only clamp' },
      ],
    })
    const flange = facts.count('flange.bolts')
    if (flange !== undefined) {
      const size = facts.text('flange.thread')
      const length = facts.count('flange.lengthMm')
      needs.push({
        kind: 'flange-bolt',
        place: 'crank',
        words: `Flange bolts${size ? ` ${size}` : ''}${length === undefined ? '' : ` × ${length}`}`,
        constraints: [
          ...threaded(size),
          ...(length === undefined
            ? []
            : [
                {
                  port: 'flange-bolts',
                  field: 'lengthMm',
                  low: length - LENGTH_MM,
                  high: length + LENGTH_MM,
                },
              ]),
        ],
        quantity: flange,
        why: [
          {
            rule: 'hardware',
            words:
              "Every maker's bolt of the crank flange, new; its torque is the maker's, and a stretch bolt's is an angle",
          },
        ],
        cautions: ["Right class and the maker's torque: a flywheel that comes loose kills."],
      })
    }
    if (has('cover'))
      needs.push({
        kind: 'cover-bolt',
        place: 'coupling',
        words: 'Clutch cover bolts',
        quantity: 6,
        why: [
          {
            rule: 'hardware',
            words: 'The cover is bolted to the flywheel',
            parent: 'cover/coupling/main',
          },
        ],
      })
    return needs
  },
}
