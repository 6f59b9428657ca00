/** Spur gears, full depth, unshifted teeth. */

/** Module from the outer Ø: Ø/(z + 2), mm. */
export const moduleOf = (outerMm: number, teeth: number): number => outerMm / (teeth + 2)

/** Outer Ø of a full-depth gear, mm. */
export const outerOf = (moduleMm: number, teeth: number): number => moduleMm * (teeth + 2)

/** Centre distance at pitch contact of two gears by their outer Ø: each addendum is one module, mm. */
export const pitchCentres = (outerMm: number, otherOuterMm: number, moduleMm: number): number =>
  (outerMm + otherOuterMm) / 2 - 2 * moduleMm

export type Turns = 'clockwise' | 'counter-clockwise'
const other = (turns: Turns): Turns => (turns === 'clockwise' ? 'counter-clockwise' : 'clockwise')

/**
 * How a starter must turn, looking at its pinion, to crank an engine. The pinion turns against the ring; seen from the
 * gearbox that is against the crank. A pinion that moves rearward faces the gearbox, so it is seen from the same side; one
 * that moves forward is seen from the engine, mirrored.
 */
export const starterTurns = (
  crankFromGearbox: Turns,
  pinionMoves: 'rearward' | 'forward',
): Turns => (pinionMoves === 'rearward' ? other(crankFromGearbox) : crankFromGearbox)
