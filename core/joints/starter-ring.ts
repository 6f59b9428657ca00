import { moduleOf, outerOf, pitchCentres, starterTurns, type Turns } from '../mechanics/gear.ts'
import { always } from './always.ts'
import { BRIDGE, CLASH } from './code.ts'
import type { Joint } from './joint.ts'
import { computed, formula, type Limit, measure, minus, plus } from './judging/declaration.ts'
import { a, aside, b, either } from './judging/read.ts'
import type { Outcome } from './verdict.ts'

const starter = (words: Outcome['words']): Outcome => ({ code: BRIDGE, words, pieces: ['starter'] })
const noRoom: Outcome = {
  code: BRIDGE,
  words: 'Something stands where the starter sits: another bell, or a starter of the other side',
  pieces: ['starter', 'bellhousing'],
}
const nowhere: Outcome = {
  code: CLASH,
  words: 'The vehicle has room for a starter on neither side',
}

const motor = b.starter
const ring = b.ring
const turns = { crank: a.engineOutput.turns, way: motor.way, turns: motor.turns }
const wanted = (x: { readonly crank: string | null; readonly way: string | null }): string =>
  starterTurns(x.crank as Turns, x.way as 'rearward' | 'forward')

/** The starter's seat is the block's or the bell's, by what it is mounted on. */
const seats = [
  { seat: a.starterSeat, isOn: (mount: string | null) => mount === 'block' },
  { seat: b.starterSeat, isOn: (mount: string | null) => mount !== 'block' },
]
/** As measured, else that of a full-depth pinion. */
const pinionMm = either(
  motor.outerMm,
  computed({ moduleMm: motor.moduleMm, teeth: motor.teeth }, (x) => outerOf(x.moduleMm, x.teeth), {
    moduleMm: 1,
    teeth: 1,
  }),
)
const mesh = seats.map(
  ({ seat, isOn }): Limit => ({
    id: 'starter-mesh',
    label: 'Starter axis beyond pitch contact',
    unit: 'mm',
    when: formula({ mount: aside(motor.mount) }, ({ mount }) => isOn(mount)),
    names: [motor.mount],
    terms: [plus(seat.axisMm)],
    measure: measure(
      { ringMm: ring.outerMm, pinionMm, moduleMm: motor.moduleMm },
      (x) => -pitchCentres(x.ringMm, x.pinionMm, x.moduleMm),
      { ringMm: -1, pinionMm: -1, moduleMm: 1 },
    ),
    window: ['meshLowMm', 'meshHighMm'],
    below: {
      code: BRIDGE,
      words: 'Pinion and ring bind: another ring or starter',
      pieces: ['starter', 'flywheel'],
    },
    above: {
      code: BRIDGE,
      words: 'Pinion hardly reaches the ring: another ring or starter',
      pieces: ['starter', 'flywheel'],
    },
  }),
)
const side = seats.map(
  ({ seat, isOn }): Limit => ({
    id: 'starter-side',
    label: 'Room on the side of the starter',
    unit: '',
    when: formula(
      { mount: aside(motor.mount), isNamed: b.starterRoom.named },
      ({ mount, isNamed }) => isNamed && isOn(mount),
    ),
    names: [motor.mount],
    holds: formula(
      { side: seat.side, free: b.starterRoom.side },
      (x) => x.free === 'both' || x.free === x.side,
    ),
    otherwise: [
      {
        when: formula({ free: b.starterRoom.side }, ({ free }) => free === 'neither'),
        becomes: nowhere,
      },
      { becomes: noRoom },
    ],
  }),
)

/** Joint 9: starter on its ring. Rest gap and overlap are decided in depth. No damage limits. */
export const starterRing: Joint = {
  id: 'starter-ring',
  number: 9,
  short: 'Starter',
  title: 'Starter to ring gear',
  place: 'coupling',
  meets: 'whole',
  strip: 'starter',
  drawing: null,
  decides:
    'Module of both, axis distance against pitch contact, which way it turns, and whether its side is free.',
  applies: always,
  limits: [
    {
      id: 'starter-module',
      label: 'Teeth are of one module',
      unit: 'mm',
      terms: [minus(motor.moduleMm)],
      measure: measure(
        { teeth: ring.teeth, outerMm: ring.outerMm },
        (x) => moduleOf(x.outerMm, x.teeth),
        { outerMm: 1, teeth: -1 },
      ),
      window: ['-moduleMm', 'moduleMm'],
      below: starter('Finer teeth on the ring'),
      above: starter('Coarser teeth on the ring'),
    },
    ...mesh,
    {
      id: 'starter-turns',
      label: 'Starter turns the crank its way',
      unit: '',
      holds: formula(turns, (x) => x.turns === wanted(x)),
      otherwise: starter(formula(turns, (x) => `It must turn ${wanted(x)}, looking at the pinion`)),
    },
    ...side,
  ],
  cures: { starter: 'instead', flywheel: 'flange', bellhousing: 'elsewhere' },
}
