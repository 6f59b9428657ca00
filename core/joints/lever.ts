import { whereNamed } from './always.ts'
import { BRIDGE, WORK } from './code.ts'
import type { Joint } from './joint.ts'
import { formula, type Limit, less, minus, plus } from './judging/declaration.ts'
import { aside, b, plates, type Term } from './judging/read.ts'
import { chassisOrigin } from './stack.ts'
import type { Outcome } from './verdict.ts'

const cut: Outcome = {
  code: WORK,
  words: 'The opening is made longer',
  task: {
    id: 'cut-lever-opening',
    words: 'Cut the tunnel for the lever, frame and close the old opening, protect from rust',
    hours: 5,
    skills: ['weld'],
    reversible: false,
    caution:
      'Last check before the cut: train on its mounts, every gear selected. Battery, computers and alternator unplugged before welding; no fuel line near.',
  },
}
const moved = (words: Outcome['words']): Outcome => ({
  code: BRIDGE,
  words,
  pieces: ['lever-linkage'],
})
const mirrored: Outcome = {
  code: WORK,
  words: 'The gate is mirrored',
  task: {
    id: 'mirror-gate',
    words: 'Cross the rods or cables so that the gate is right, mark the knob, try every gear',
    hours: 3,
    skills: ['mechanic'],
    reversible: true,
  },
}

const stick = b.lever
const opening = b.leverOpening
const works = { ours: stick.work, vehicles: opening.work }

/** Place of the lever along the train less the vehicle's x = 0. */
const place: readonly Term[] = [plus(stick.alongMm), plus(plates), ...less(chassisOrigin)]
/** Cables and rods reach any place; only a lever on the case must stand in the opening. */
const edge = (id: string, label: string, terms: readonly Term[], words: string): Limit => ({
  id,
  label,
  unit: 'mm',
  when: formula({ work: aside(stick.work) }, ({ work }) => work !== 'cables' && work !== 'rods'),
  terms,
  window: ['leverMm', Infinity],
  below: [{ ask: opening.mayCut, becomes: cut }, { becomes: moved(words) }],
})

/** Joint 20: the lever in its opening. Has no damage limits. */
export const lever: Joint = {
  id: 'lever',
  number: 20,
  short: 'Lever',
  title: 'Gear lever in its opening',
  place: 'vehicle',
  meets: 'whole',
  strip: 'lever',
  drawing: null,
  decides:
    'Place along against both edges of the opening, how it is moved, and the sense of the gate.',
  applies: whereNamed(opening),
  limits: [
    {
      id: 'lever-work',
      label: 'Moved as the vehicle moves it',
      unit: '',
      holds: formula(works, (x) => x.ours === x.vehicles),
      otherwise: moved(
        formula(works, (x) => `Moved by ${x.ours}, the vehicle by ${x.vehicles}: another linkage`),
      ),
    },
    {
      id: 'lever-gate',
      label: 'Gate is as the driver expects',
      unit: '',
      holds: formula({ gate: stick.gate }, ({ gate }) => gate !== 'mirrored'),
      otherwise: mirrored,
    },
    edge(
      'lever-front',
      'Lever behind the front edge',
      [...place, minus(opening.fromMm)],
      'The lever stands too far forward: a remote linkage, or a bent lever',
    ),
    edge(
      'lever-rear',
      'Lever ahead of the rear edge',
      [...less(place), plus(opening.toMm)],
      'The lever stands too far back: a remote linkage, or a bent lever',
    ),
  ],
  cures: { 'lever-linkage': 'elsewhere' },
}
