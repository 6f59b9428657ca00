import type { Joint } from './joint.ts'
import { BRIDGE, type Limit, type Outcome, WORK } from './verdict.ts'

const PIECE = ['pilot'] as const
const open: Outcome = {
  code: WORK,
  words: 'Too tight: open it to size',
  task: { id: 'open-pilot', words: 'Open the pilot piece to its running clearance; a bush closes up when pressed', hours: 1, skills: ['machine'], reversible: false },
}
const finish: Outcome = {
  code: WORK,
  words: 'The crank is not bored for a pilot',
  task: {
    id: 'finish-pilot-bore',
    words: 'Bore the crank for a pilot, true to the register',
    hours: 4,
    skills: ['machine'],
    reversible: false,
    caution: 'Last check before a crank is cut: confirm the depth and that the shaft nose cannot be carried by a sleeve in the wheel.',
  },
}
const loose: Outcome = { code: BRIDGE, words: 'Nose is loose: a bearing, bush or sleeve of the right bore', pieces: PIECE }
const falls: Outcome = { code: BRIDGE, words: 'Piece is loose in its bore: one of the right outer Ø', pieces: PIECE }
const none: Outcome = { code: BRIDGE, words: 'There is no pilot piece: a bearing, bush or sleeve', pieces: PIECE }

const FINISHED: Limit = { id: 'bore-finished', label: 'Pilot bore finished', unit: '' }
const THERE: Limit = { id: 'pilot-there', label: 'A pilot piece is fitted', unit: '' }
const NOSE: Limit = { id: 'nose-clearance', label: 'Nose in the pilot piece', unit: 'mm', below: open, above: loose }
const PRESS: Limit = { id: 'press', label: 'Piece in the bore, interference', unit: 'mm', below: falls, above: open }

/** Joint 4: bore, piece and nose by their Ø, at nominal. Has no damage limits; engagement is decided in depth. */
export const pilot: Joint = {
  id: 'pilot',
  number: 4,
  short: 'Pilot',
  title: 'Pilot',
  place: 'coupling',
  decides: 'Whether the bore is finished, the nose in its bearing or bush, the piece in its bore.',
  applies: (_a, b) => b.ratios.type.v !== 'automatic',
  check(a, b, ctx, sheet) {
    const piece = b.pilotPiece
    sheet.uses(a.pilotBore.finished)
    sheet.require(FINISHED, a.pilotBore.finished.v === true, finish)

    sheet.uses(piece.type)
    sheet.require(THERE, piece.type.v !== 'none', none)
    if (piece.type.v === 'none') return

    const bearing = piece.type.v === 'bearing'
    sheet.uses(piece.type)
    sheet.term(1, piece.boreMm)
    sheet.term(-1, b.inputShaft.noseMm)
    sheet.within(NOSE, bearing ? 0 : ctx.tolerances.bushClearLowMm, bearing ? ctx.tolerances.bearingClearMm : ctx.tolerances.bushClearHighMm)

    sheet.term(1, piece.outerMm)
    sheet.term(-1, a.pilotBore.boreMm)
    sheet.within(PRESS, ctx.tolerances.pressLowMm, ctx.tolerances.pressHighMm)
  },
}
