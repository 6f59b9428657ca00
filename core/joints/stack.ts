import { minus, plus } from './judging/declaration.ts'
import { a, b, kept, plates, setBack, spacers, type Term, where } from './judging/read.ts'

/** F, where the wheel's face sits: the flange with its spacers. */
export const flange: readonly Term[] = [plus(a.crankFlange.proudMm), plus(spacers)]

/** Where the pilot bore's lengths start: the block face, F where the wheel carries it, a spacer's own front face. */
export const boreDatum: readonly Term[] = [
  ...flange.map(({ sign, of }) => ({ sign, of: where(a.pilotBore.slot, 'flange', of) })),
  plus(where(a.pilotBore.slot, 'spacer', a.crankFlange.proudMm)),
]

/** Where the driveline is kept, the vehicle's x = 0 along the train follows from the gearbox on its crossmember. */
export const keptOrigin: readonly Term[] = [
  plus(kept(plates)),
  plus(kept(b.mountPad.alongMm)),
  minus(kept(b.crossmember.alongMm)),
]

/**
 * The place of the vehicle's x = 0 (midway between its engine mounts) along the train, from the block face.
 * Kept driveline: the gearbox sits on its crossmember and places the train. Set back: the engine sits on its mounts.
 */
export const chassisOrigin: readonly Term[] = [plus(setBack(a.enginePads.alongMm)), ...keptOrigin]
