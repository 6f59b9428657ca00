import { always } from './always.ts'
import { BRIDGE, CLASH, WORK } from './code.ts'
import type { Joint } from './joint.ts'
import { type Formula, formula, type Limit } from './judging/declaration.ts'
import { a, b, known, type Read } from './judging/read.ts'
import type { Outcome } from './verdict.ts'

const backward: Outcome = {
  code: CLASH,
  words: 'As many reverse gears as it had forward ones: nothing in the gearbox cures it',
}
const turnOver: Outcome = {
  code: WORK,
  words: 'The final drive must be turned over',
  task: {
    id: 'turn-final-drive',
    words: 'Turn the final drive over in its case, with oil way and breather checked',
    hours: 10,
    skills: ['mechanic'],
    reversible: true,
  },
}
const pump: Outcome = {
  code: BRIDGE,
  words:
    'The pump turns backward: it overheats with nothing leaking. The belt route or the pump of this route',
  pieces: ['water-pump', 'belt'],
}
const fan: Outcome = {
  code: BRIDGE,
  words: 'The fan blows forward: a fan of the other sense, or an electric one',
  pieces: ['fan'],
}
const alternator: Outcome = {
  code: BRIDGE,
  words: 'It turns backward: its one-way pulley must become a solid one, its fan of either sense',
  pieces: ['alternator-pulley'],
}

const turns = { crank: a.engineOutput.turns, box: b.ratios.turns }
const turnsItsWay = (x: { readonly crank: string | null; readonly box: string | null }): boolean =>
  x.box === 'either' || x.box === x.crank
const isTransaxle = known(b.ratios.finalDrive)

const CRANK = {
  id: 'crank-turns',
  label: 'Crank turns the way the gearbox wants',
  unit: '',
} as const
const crank: readonly Limit[] = [
  // A transaxle's final drive can be turned over; whether it may is asked only where it must be.
  {
    ...CRANK,
    when: formula({ isTransaxle }, (x) => x.isTransaxle),
    holds: formula(turns, turnsItsWay),
    otherwise: [{ ask: b.ratios.mayTurnOver, becomes: turnOver }, { becomes: backward }],
  },
  {
    ...CRANK,
    when: formula({ isTransaxle }, (x) => !x.isTransaxle),
    holds: formula(turns, turnsItsWay),
    otherwise: backward,
  },
]

const front = a.frontDrive
const isDriven: Formula<boolean> = formula({ isNamed: front.named }, ({ isNamed }) => isNamed)

/** What is driven by the ribs turns with the crank, by the back against it; what is not on the belt turns as it likes. */
const belted = (
  id: string,
  label: string,
  wants: Read<string | null>,
  driven: Read<string | null>,
  otherwise: Outcome,
): Limit => ({
  id,
  label,
  unit: '',
  when: isDriven,
  holds: formula({ wants, driven }, (x) => {
    const turns =
      x.driven === 'ribs' ? 'with the crank' : x.driven === 'back' ? 'against the crank' : x.wants
    return x.wants === turns || x.wants === 'either' || x.wants === 'electric'
  }),
  otherwise,
})

/** Joint 12: engine seen from the gearbox against the gearbox; pump, fan and alternator against the belt that drives them. No damage limits. */
export const rotation: Joint = {
  id: 'rotation',
  number: 12,
  short: 'Rotation',
  title: 'Rotation',
  place: 'coupling',
  meets: 'whole',
  strip: 'front',
  drawing: null,
  decides:
    'Which way the crank turns against what the gearbox was made for; ribs turn a pulley with the crank, the back of a belt against it.',
  applies: always,
  limits: [
    ...crank,
    belted('pump-turns', 'Water pump turns its way', front.pumpWants, front.pumpBelt, pump),
    belted('fan-turns', 'Fan turns its way', front.fanWants, front.fanBelt, fan),
    belted(
      'alternator-turns',
      'Alternator turns its way',
      front.alternatorWants,
      front.alternatorBelt,
      alternator,
    ),
  ],
  cures: {
    'water-pump': 'elsewhere',
    belt: 'elsewhere',
    fan: 'elsewhere',
    'alternator-pulley': 'elsewhere',
  },
}
