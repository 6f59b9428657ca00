import { matchFaces } from './block-face.ts'
import { isNamed } from './chassis.ts'
import type { Joint, JointContext } from './joint.ts'
import type { Sheet } from './sheet.ts'
import type { Side } from './side.ts'
import { BRIDGE, CLASH, type Limit, type Outcome, WORK } from './verdict.ts'

const adapter = (words: string): Outcome => ({ code: BRIDGE, words, pieces: ['case-adapter'] })
const shaft = (words: string): Outcome => ({ code: BRIDGE, words, pieces: ['coupling-shaft', 'case-adapter'] })
const FACE: Limit = { id: 'case-face', label: 'Case bolts meet', unit: '' }
const CLOCK: Limit = { id: 'case-clock', label: 'Case turned', unit: '°' }
const SPLINES: Limit = { id: 'case-splines', label: 'Splines are as many', unit: '' }
const BORE: Limit = { id: 'case-bore', label: 'Case over the shaft, outer Ø', unit: 'mm', below: shaft('The shaft does not go in'), above: shaft('The shaft is loose in the case') }
const HELD: Limit = { id: 'case-engaged', label: 'Shaft held in the case', unit: 'mm', damage: true, below: shaft('Too little shaft is held: a longer one, or a thinner adapter') }
const END: Limit = { id: 'case-end', label: 'Shaft end clear inside', unit: 'mm', damage: true, below: shaft('The shaft bottoms in the case: a shorter one, or a thicker adapter') }
const SIDE: Limit = { id: 'front-side', label: 'Front output on the side of the front axle', unit: '' }
const crossed: Outcome = { code: CLASH, words: 'Front output and front axle stand on either side: no shaft crosses over. Another case, or another axle' }
const TURNS: Limit = { id: 'front-turns', label: 'Front output turns as the axle wants', unit: '' }
const against: Outcome = { code: CLASH, words: 'The front axle would drive backward: another case, or an axle of the other sense' }
const RATIO: Limit = {
  id: 'front-ratio',
  label: 'Front and rear wheels at one speed',
  unit: '',
  below: { code: BRIDGE, words: 'Front wheels turn slower: axles of one ratio', pieces: ['axle-gears'] },
  above: { code: BRIDGE, words: 'Front wheels turn faster: axles of one ratio', pieces: ['axle-gears'] },
}
const SHIFT: Limit = { id: 'case-shift', label: 'Shifted as the vehicle does', unit: '' }
const linkage: Outcome = {
  code: WORK,
  words: 'It is shifted another way',
  task: { id: 'case-shift', words: 'Make the shift of the transfer case: lever, cable or switch, with its lamp', hours: 4, skills: ['mechanic'], reversible: true },
}
const clocked: Outcome = {
  code: WORK,
  words: 'The case is turned: front shaft, lever and mount move with it',
  task: { id: 'clocked-case', words: 'Check oil level, front shaft angle, lever and mount with the case as turned', hours: 2, skills: ['mechanic'], reversible: true },
}
const notTurned: Outcome = adapter('The bolts meet only with the case turned, and it may not turn')

/** Joint 13: gearbox to transfer case, and its front output to the front axle. Damage limits: shaft held, shaft end. */
export const transferCase: Joint = {
  id: 'transfer-case',
  number: 13,
  short: 'Transfer',
  title: 'Gearbox to transfer case',
  place: 'vehicle',
  decides:
    'Bolt face and clocking, splines, how much shaft is held and whether it bottoms; front output side and rotation against the front axle; front and rear ratios equal; how it is shifted.',
  sometimes: [
    'face.family',
    'face.holes',
    'face.mayTurn',
    'transfer.frontSide',
    'transfer.frontTurns',
    'transfer.frontRatio',
    'transfer.shift',
    'front-axle.side',
    'front-axle.turns',
    'front-axle.ratio',
    'front-axle.shift',
    'axle.ratio',
  ],
  applies: (_a, b) => isNamed(b.transfer),
  check(a, b, ctx, sheet) {
    face(a, b, ctx, sheet)
    coupling(b, ctx, sheet)
    const { transfer, frontAxle } = b
    if (!isNamed(frontAxle)) return
    sheet.uses(transfer.frontSide)
    sheet.uses(frontAxle.side)
    sheet.require(SIDE, transfer.frontSide.v === frontAxle.side.v, crossed)
    sheet.uses(transfer.frontTurns)
    sheet.uses(frontAxle.turns)
    sheet.require(TURNS, transfer.frontTurns.v === frontAxle.turns.v, against)
    sheet.uses(transfer.frontRatio)
    sheet.uses(frontAxle.ratio)
    sheet.uses(b.axle.ratio)
    sheet.value((transfer.frontRatio.v * b.axle.ratio.v) / frontAxle.ratio.v - 1, 0)
    sheet.within(RATIO, -ctx.tolerances.axleRatio, ctx.tolerances.axleRatio)
    sheet.uses(transfer.shift)
    sheet.uses(frontAxle.shift)
    sheet.require(SHIFT, transfer.shift.v === frontAxle.shift.v, linkage)
  },
}

function face(a: Side, b: Side, ctx: JointContext, sheet: Sheet): void {
  const family = a.face.family.claim !== null && b.face.family.claim !== null && a.face.family.v === b.face.family.v
  if (family) {
    sheet.uses(a.face.family)
    sheet.uses(b.face.family)
    sheet.require(FACE, true, adapter(''))
    return
  }
  sheet.uses(a.face.holes)
  sheet.uses(b.face.holes)
  const match = sheet.allKnown ? matchFaces(a.face, b.face, ctx.tolerances.axisOffsetFitsMm) : null
  const all = match !== null && match.missingA.length === 0 && match.missingB.length === 0
  sheet.require(FACE, all, adapter('The bolts of the case do not meet: an adapter, and its length moves the case back'))
  if (!all) return
  const turned = Math.abs(match.turnDeg) > ctx.tolerances.turnDeg
  sheet.uses(a.face.holes)
  sheet.uses(b.face.holes)
  if (turned) sheet.uses(b.face.mayTurn)
  sheet.require(CLOCK, !turned, b.face.mayTurn.v ? clocked : notTurned)
  sheet.show('Turn of the case', match.turnDeg, '°')
}

function coupling(b: Side, ctx: JointContext, sheet: Sheet): void {
  const shaftOut = b.caseShaft
  const input = b.transferInput
  sheet.uses(shaftOut.splines)
  sheet.uses(input.splines)
  sheet.require(SPLINES, shaftOut.splines.v === input.splines.v, shaft(`${shaftOut.splines.v} splines into ${input.splines.v}`))
  sheet.term(1, input.majorMm)
  sheet.term(-1, shaftOut.majorMm)
  sheet.within(BORE, 0, ctx.tolerances.splineMm)
  // The shaft stands past the rear face by where its end is, less that face.
  const proud = shaftOut.endMm.v - shaftOut.faceMm.v
  for (const field of [shaftOut.endMm, shaftOut.faceMm, input.depthMm]) sheet.uses(field)
  sheet.value(Math.min(proud, input.depthMm.v), Math.max(shaftOut.endMm.pm + shaftOut.faceMm.pm, input.depthMm.pm))
  sheet.within(HELD, ctx.tolerances.couplingMm, Infinity)
  sheet.term(1, input.mostMm)
  sheet.term(-1, shaftOut.endMm)
  sheet.term(1, shaftOut.faceMm)
  sheet.within(END, ctx.tolerances.shaftEndMm, Infinity)
}
