import type { Field } from '../ports/field.ts'
import { isNamed } from './chassis.ts'
import type { Joint } from './joint.ts'
import type { Sheet } from './sheet.ts'
import { BRIDGE, CLASH, type Limit, type Outcome, WORK } from './verdict.ts'

const CRANK: Limit = { id: 'crank-turns', label: 'Crank turns the way the gearbox wants', unit: '' }
const backward: Outcome = { code: CLASH, words: 'As many reverse gears as it had forward ones: nothing in the gearbox cures it' }
const turnOver: Outcome = {
  code: WORK,
  words: 'The final drive must be turned over',
  task: { id: 'turn-final-drive', words: 'Turn the final drive over in its case, with oil way and breather checked', hours: 10, skills: ['mechanic'], reversible: true },
}
const PUMP: Limit = { id: 'pump-turns', label: 'Water pump turns its way', unit: '' }
const FAN: Limit = { id: 'fan-turns', label: 'Fan turns its way', unit: '' }
const ALTERNATOR: Limit = { id: 'alternator-turns', label: 'Alternator turns its way', unit: '' }
const pump: Outcome = {
  code: BRIDGE,
  words: 'The pump turns backward: it overheats with nothing leaking. The belt route or the pump of this route',
  pieces: ['water-pump', 'belt'],
}
const fan: Outcome = { code: BRIDGE, words: 'The fan blows forward: a fan of the other sense, or an electric one', pieces: ['fan'] }
const alternator: Outcome = { code: BRIDGE, words: 'It turns backward: its one-way pulley must become a solid one, its fan of either sense', pieces: ['alternator-pulley'] }

/** Joint 12: engine seen from the gearbox against the gearbox; pump, fan and alternator against the belt that drives them. No damage limits. */
export const rotation: Joint = {
  id: 'rotation',
  number: 12,
  short: 'Rotation',
  title: 'Rotation',
  place: 'coupling',
  decides: 'Which way the crank turns against what the gearbox was made for; ribs turn a pulley with the crank, the back of a belt against it.',
  sometimes: [
    'ratios.mayTurnOver',
    'front-drive.pumpWants',
    'front-drive.pumpBelt',
    'front-drive.fanWants',
    'front-drive.fanBelt',
    'front-drive.alternatorWants',
    'front-drive.alternatorBelt',
  ],
  applies: () => true,
  check(a, b, _ctx, sheet) {
    const crank = a.engineOutput.turns
    const box = b.ratios.turns
    sheet.uses(crank)
    sheet.uses(box)
    const holds = box.v === 'either' || box.v === crank.v
    const transaxle = b.ratios.finalDrive.claim !== null
    if (sheet.allKnown && !holds && transaxle) sheet.uses(b.ratios.mayTurnOver)
    sheet.require(CRANK, holds, transaxle && b.ratios.mayTurnOver.v ? turnOver : backward)

    const front = a.frontDrive
    if (!isNamed(front)) return
    belted(PUMP, front.pumpWants, front.pumpBelt, pump, sheet)
    belted(FAN, front.fanWants, front.fanBelt, fan, sheet)
    belted(ALTERNATOR, front.alternatorWants, front.alternatorBelt, alternator, sheet)
  },
}

/** What is driven by the ribs turns with the crank, by the back against it; what is not on the belt turns as it likes. */
function belted(limit: Limit, wants: Field<string | null>, driven: Field<string | null>, otherwise: Outcome, sheet: Sheet): void {
  sheet.uses(wants)
  sheet.uses(driven)
  const turns = driven.v === 'ribs' ? 'with the crank' : driven.v === 'back' ? 'against the crank' : wants.v
  sheet.require(limit, wants.v === turns || wants.v === 'either' || wants.v === 'electric', otherwise)
}
