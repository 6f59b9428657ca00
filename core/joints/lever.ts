import { chassisOrigin, isNamed } from './chassis.ts'
import type { Joint, JointContext } from './joint.ts'
import type { Sheet } from './sheet.ts'
import type { Side } from './side.ts'
import { plates } from './stack.ts'
import { BRIDGE, type Limit, type Outcome, WORK } from './verdict.ts'

const cut: Outcome = {
  code: WORK,
  words: 'The opening is made longer',
  task: {
    id: 'cut-lever-opening',
    words: 'Cut the tunnel for the lever, frame and close the old opening, protect from rust',
    hours: 5,
    skills: ['weld'],
    reversible: false,
    caution: 'Last check before the cut: train on its mounts, every gear selected. Battery, computers and alternator unplugged before welding; no fuel line near.',
  },
}
const moved = (words: string): Outcome => ({ code: BRIDGE, words, pieces: ['lever-linkage'] })
const FRONT: Limit = { id: 'lever-front', label: 'Lever behind the front edge', unit: 'mm', below: moved('The lever stands too far forward: a remote linkage, or a bent lever') }
const REAR: Limit = { id: 'lever-rear', label: 'Lever ahead of the rear edge', unit: 'mm', below: moved('The lever stands too far back: a remote linkage, or a bent lever') }
const CUT_FRONT: Limit = { ...FRONT, below: cut }
const CUT_REAR: Limit = { ...REAR, below: cut }
const WORKED: Limit = { id: 'lever-work', label: 'Moved as the vehicle moves it', unit: '' }
const GATE: Limit = { id: 'lever-gate', label: 'Gate is as the driver expects', unit: '' }
const mirrored: Outcome = {
  code: WORK,
  words: 'The gate is mirrored',
  task: { id: 'mirror-gate', words: 'Cross the rods or cables so that the gate is right, mark the knob, try every gear', hours: 3, skills: ['mechanic'], reversible: true },
}

/** Joint 20: the lever in its opening. Has no damage limits. */
export const lever: Joint = {
  id: 'lever',
  number: 20,
  short: 'Lever',
  title: 'Gear lever in its opening',
  place: 'vehicle',
  decides: 'Place along against both edges of the opening, how it is moved, and the sense of the gate.',
  sometimes: [
    'lever.alongMm',
    'lever-opening.fromMm',
    'lever-opening.toMm',
    'lever-opening.mayCut',
    'mount-pad.alongMm',
    'crossmember.alongMm',
    'engine-pads.alongMm',
    'lever.gate',
  ],
  applies: (_a, b) => isNamed(b.leverOpening),
  check(a, b, ctx, sheet) {
    const { lever: stick, leverOpening: opening } = b
    sheet.uses(stick.work)
    sheet.uses(opening.work)
    const held = stick.work.v === opening.work.v
    sheet.require(WORKED, held, moved(`Moved by ${stick.work.v}, the vehicle by ${opening.work.v}: another linkage`))

    sheet.uses(stick.gate)
    sheet.require(GATE, stick.gate.v !== 'mirrored', mirrored)
    // Cables and rods reach any place; only a lever on the case must stand in the opening.
    if (stick.work.v === 'cables' || stick.work.v === 'rods') return
    edge(1, FRONT, CUT_FRONT, a, b, ctx, sheet)
    edge(-1, REAR, CUT_REAR, a, b, ctx, sheet)
  },
}

/** Room from one edge of the opening to the lever, + inside. */
function edge(sign: 1 | -1, limit: Limit, cutting: Limit, a: Side, b: Side, ctx: JointContext, sheet: Sheet): void {
  const back: 1 | -1 = sign === 1 ? -1 : 1
  const { leverMm } = ctx.tolerances
  sheet.term(sign, b.lever.alongMm)
  plates(sign, ctx, sheet)
  chassisOrigin(back, a, b, ctx, sheet)
  sheet.term(back, sign === 1 ? b.leverOpening.fromMm : b.leverOpening.toMm)
  const short = sheet.allKnown && sheet.sum < leverMm
  if (short) sheet.uses(b.leverOpening.mayCut)
  sheet.within(short && b.leverOpening.mayCut.v ? cutting : limit, leverMm, Infinity)
}
