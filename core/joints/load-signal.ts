import { onAutomatic } from './always.ts'
import { BRIDGE, WORK } from './code.ts'
import type { Joint } from './joint.ts'
import { formula, minus, plus } from './judging/declaration.ts'
import { a, aside, b } from './judging/read.ts'
import type { Outcome } from './verdict.ts'

const RUIN =
  'Without its load signal an automatic shifts soft and burns its clutches in hours: never drive it, not even to try, before the signal is set and its pressure read.'
const cam: Outcome = {
  code: WORK,
  words: 'The cable is pulled too little or too much',
  task: {
    id: 'load-cam',
    words: 'Make the throttle cam that gives the pull, and set it by line pressure',
    hours: 3,
    skills: ['machine', 'mechanic'],
    reversible: true,
    caution: RUIN,
  },
}

const { wants } = b.loadSignal
const gives = a.loadSource

const WAYS = [
  { way: 'cable', source: gives.cable },
  { way: 'vacuum', source: gives.vacuum },
  { way: 'controller', source: gives.bus },
] as const
const SOURCE = {
  id: 'load-source',
  label: 'Engine tells its load as the automatic wants',
  unit: '',
} as const
const byWay = WAYS.map(({ way, source }) => ({
  ...SOURCE,
  when: formula({ wants: aside(wants) }, (x) => x.wants === way),
  names: [wants],
  holds: formula({ source }, (x) => x.source === true),
  otherwise: {
    code: BRIDGE,
    words:
      'This engine does not tell its load that way: a stand-alone controller, a throttle bracket, or a sensor',
    pieces: ['load-controller'],
  } as const,
}))

/** Joint 14: load signal of an automatic. No damage limits by number: what is missing is a bridge, with the warning. */
export const loadSignal: Joint = {
  id: 'load-signal',
  number: 14,
  short: 'Load',
  title: 'Load signal to gearbox',
  place: 'vehicle',
  meets: 'whole',
  strip: 'gearbox',
  drawing: null,
  decides:
    'Cable with its pull, vacuum, or a controller that reads throttle angle: what the automatic wants against what the engine gives.',
  applies: onAutomatic,
  limits: [
    {
      ...SOURCE,
      when: formula({ wants: aside(wants) }, (x) => !WAYS.some(({ way }) => way === x.wants)),
      names: [wants],
      holds: formula({}, () => true),
    },
    ...byWay,
    {
      id: 'load-pull',
      label: 'Cable pulled as far',
      unit: 'mm',
      when: formula({ wants: aside(wants) }, (x) => x.wants === 'cable'),
      terms: [plus(gives.pullMm), minus(b.loadSignal.pullMm)],
      window: ['-cablePullMm', 'cablePullMm'],
      below: cam,
      above: cam,
    },
  ],
  cautions: [{ words: RUIN }],
  cures: { 'load-controller': 'elsewhere' },
}
