/** Spur gears, full depth, unshifted teeth. */

/** Module from the outer Ø: Ø/(z + 2), mm. */
export const moduleOf = (outerMm: number, teeth: number): number => outerMm / (teeth + 2)

/** Centre distance at pitch contact, mm. */
export const pitchCentres = (moduleMm: number, teeth: number, otherTeeth: number): number =>
  (moduleMm * (teeth + otherTeeth)) / 2

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
