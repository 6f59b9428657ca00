import type { EngineFigure } from '../../../core/train/engine-figure.ts'
import { type EngineLengths, pistonAt, throwsOf } from './engine-lengths.ts'
import { box, disc, from, line, type Mark, outline, radians } from './mark.ts'

/** Bores, pistons, rods, throws and main bearings of the near row seen from the side, as the crank stands. */
export function insideSide(engine: EngineFigure, e: EngineLengths): readonly Mark[] {
  const lean = e.leans[0]!
  const cos = Math.cos(radians(lean))
  // What lies flat shows its pistons end on: nothing of them is seen from the side.
  if (cos < 0.3) return []
  const throws = throwsOf(engine)
  const { bore, stroke, crown, spacing, deck } = e
  const half = bore / 2
  const cylinders = e.xs.flatMap((x, i): Mark[] => {
    const { pin, crankUp } = pistonAt(e, (throws[i] ?? 0) - lean)
    const pinY = -pin * cos
    const crankY = -crankUp * cos
    const top = -(pin + crown) * cos
    const [low, high] = [Math.min(crankY - 26, -30), Math.max(crankY + 26, 30)]
    return [
      box('faint', x - half, -deck * cos, x + half, (-deck + stroke * 1.28) * cos, 2),
      box('piston', x - half + 1.5, top, x + half - 1.5, top + crown * 1.75 * cos, 3),
      ...[9, 17].map((down) =>
        line('inside', [
          [x - half + 2, top + down * cos],
          [x + half - 2, top + down * cos],
        ]),
      ),
      outline('piston', [
        [x - 9, pinY],
        [x + 9, pinY],
        [x + 13, crankY],
        [x - 13, crankY],
      ]),
      disc('piston', x, pinY, 9),
      box('piston', x - 15, crankY - 19, x + 15, crankY + 19, 3),
      box('piston', x - spacing / 2 + 15, low, x - 15, high, 3),
      box('piston', x + 15, low, x + spacing / 2 - 15, high, 3),
    ]
  })
  const mains = [e.xs[0]! - spacing / 2, ...e.xs.map((x) => x + spacing / 2)].map((x) =>
    box('piston', x - 14, -24, x + 14, 24, 2),
  )
  return from('inside', [
    line('axis', [
      [e.blockFront + 6, 0],
      [0, 0],
    ]),
    ...cylinders,
    ...mains,
  ])
}

/** One bore, piston and rod along a bank, u across and v along, drawn upright: turned and placed by who draws it. */
export function insideBank(e: EngineLengths, degrees: number): readonly Mark[] {
  const { pin, crankUp, crankAside } = pistonAt(e, degrees)
  const { bore, stroke, crown, deck } = e
  const half = bore / 2
  return from('inside', [
    box('faint', -half, -deck, half, -deck + stroke * 1.28, 2),
    box('piston', -half + 1.5, -pin - crown, half - 1.5, -pin + crown * 0.75, 4),
    ...[9, 17].map((down) =>
      line('inside', [
        [-half + 3, -pin - crown + down],
        [half - 3, -pin - crown + down],
      ]),
    ),
    outline('piston', [
      [-9, -pin],
      [9, -pin],
      [crankAside + 15, -crankUp],
      [crankAside - 15, -crankUp],
    ]),
    disc('piston', 0, -pin, 10),
  ])
}
