import { locatedFit } from '../fasteners/bolt-set.ts'
import { onManual } from './always.ts'
import { BRIDGE, WORK } from './code.ts'
import type { Joint } from './joint.ts'
import { type Formula, formula, type Limit, minus, plus } from './judging/declaration.ts'
import { a, aside, b } from './judging/read.ts'
import type { Outcome } from './verdict.ts'

const PIECE = ['pilot'] as const
const open: Outcome = {
  code: WORK,
  words: 'The nose is too tight in the bush: open it to size',
  task: {
    id: 'open-pilot',
    words: 'Open the bush to its running clearance; it closes up when pressed',
    hours: 1,
    skills: ['machine'],
    reversible: false,
  },
}
const turnDown: Outcome = {
  code: WORK,
  words: 'The bush is too tight in its bore: turn its outside down',
  task: {
    id: 'turn-pilot',
    words: 'Turn the outside of the bush down to its press fit',
    hours: 0.7,
    skills: ['machine'],
    reversible: false,
  },
}
/** A bearing's races are hard and its sizes are not altered. */
const tight = (words: string): Outcome => ({ code: BRIDGE, words, pieces: PIECE })
const isBearing: Formula<boolean> = formula(
  { type: aside(b.pilotPiece.type) },
  ({ type }) => type === 'bearing',
)
const finish: Outcome = {
  code: WORK,
  words: 'The crank is not bored for a pilot',
  task: {
    id: 'finish-pilot-bore',
    words: 'Bore the crank for a pilot, true to the register',
    hours: 4,
    skills: ['machine'],
    reversible: false,
    caution:
      'Last check before a crank is cut: confirm the depth and that the shaft nose cannot be carried by a sleeve in the wheel.',
  },
}
const loose: Outcome = {
  code: BRIDGE,
  words: 'Nose is loose: a bearing, bush or sleeve of the right bore',
  pieces: PIECE,
}
const falls: Outcome = {
  code: BRIDGE,
  words: 'Piece is loose in its bore: one of the right outer Ø',
  pieces: PIECE,
}
const none: Outcome = {
  code: BRIDGE,
  words: 'There is no pilot piece: a bearing, bush or sleeve',
  pieces: PIECE,
}

const piece = b.pilotPiece
const type = { type: aside(piece.type) }

/** A bearing takes the nose with less clearance than a bush, which closes up when pressed. */
const nose: Limit = {
  id: 'nose-clearance',
  label: 'Nose in the pilot piece',
  unit: 'mm',
  names: [piece.type],
  terms: [plus(piece.boreMm), minus(b.inputShaft.noseMm)],
  above: loose,
}

/** Joint 4: bore, piece and nose by their Ø, at nominal. Has no damage limits; engagement is decided in depth. */
export const pilot: Joint = {
  id: 'pilot',
  number: 4,
  short: 'Pilot',
  title: 'Pilot',
  place: 'coupling',
  meets: 'whole',
  strip: 'pilot',
  drawing: null,
  decides: 'Whether the bore is finished, the nose in its bearing or bush, the piece in its bore.',
  applies: onManual,
  limits: [
    {
      id: 'bore-finished',
      label: 'Pilot bore finished',
      unit: '',
      holds: formula({ finished: a.pilotBore.finished }, ({ finished }) => finished === true),
      otherwise: finish,
    },
    {
      id: 'pilot-there',
      label: 'A pilot piece is fitted',
      unit: '',
      holds: formula({ type: piece.type }, ({ type }) => type !== 'none'),
      otherwise: none,
    },
    {
      ...nose,
      when: formula(type, ({ type }) => type === 'bearing'),
      window: [0, 'bearingClearMm'],
      below: tight('The nose is too tight for the bearing: another bearing'),
    },
    {
      ...nose,
      when: formula(type, ({ type }) => type !== 'bearing' && type !== 'none'),
      window: ['bushClearLowMm', 'bushClearHighMm'],
      below: open,
    },
    {
      id: 'press',
      label: 'Piece in the bore, interference',
      unit: 'mm',
      when: formula(type, ({ type }) => type !== 'none'),
      terms: [plus(piece.outerMm), minus(a.pilotBore.boreMm)],
      window: ['pressLowMm', 'pressHighMm'],
      below: falls,
      above: [
        {
          when: isBearing,
          becomes: tight('The bearing is too large for its bore: another bearing'),
        },
        { becomes: turnDown },
      ],
    },
  ],
  cures: { pilot: 'pilot' },
  hardware: (a, b) => ({
    bolts: [],
    fits: [
      ...locatedFit('Pilot piece in its bore', a.pilotBore.boreMm, b.pilotPiece.outerMm, true),
      ...locatedFit('Nose in the pilot', b.pilotPiece.boreMm, b.inputShaft.noseMm),
    ],
  }),
}
