import type { EngineFigure } from '../../../core/train/engine-figure.ts'
import { type EngineLengths, PULLEY } from './engine-lengths.ts'
import { as, box, disc, from, line, type Mark, outline } from './mark.ts'

/** Turbine and compressor housings, mm (common practice, no published source). */
const TURBINE = 56
const COMPRESSOR = 62
const LONG = 96
const LOBES = 74

const middleOf = ({ xs }: EngineLengths): number => (xs[0]! + xs.at(-1)!) / 2
/** Side of the turbocharger: where the exhaust is; of both sides the left. */
const hotWay = ({ hot }: EngineFigure): 1 | -1 => (hot === 'right' ? -1 : 1)

/** What charges an engine, seen from its left at the height of its exhaust: a turbocharger hides behind an engine that is hot on the right. */
export function chargerSide(
  engine: EngineFigure,
  e: EngineLengths,
  exhaustY: number,
  top: number,
): readonly Mark[] {
  const x = middleOf(e)
  if (engine.air === 'turbo' && hotWay(engine) > 0)
    return [
      disc('casting', x + 34, exhaustY, TURBINE, 'silhouette'),
      disc('cover', x + 34, exhaustY, 22),
      box('turned', x - 34, exhaustY - 26, x - 10, exhaustY + 26, 4),
      disc('pressed', x - LONG + 24, exhaustY, COMPRESSOR, 'silhouette'),
      disc('turned', x - LONG + 24, exhaustY, 26),
      disc('inside', x - LONG + 24, exhaustY, 8, 'inside'),
    ]
  if (engine.air === 'blower')
    return [
      box('casting', e.blockFront + 40, top - 2 * LOBES, -90, top, 18, 'silhouette'),
      box('turned', e.nose + 20, top - LOBES - 22, e.blockFront + 42, top - LOBES + 22, 5),
      box('turned', e.nose, top - LOBES - 48, e.nose + 34, top - LOBES + 48, 4),
      box('rubber', e.nose + 11, top - LOBES - 40, e.nose + 26, PULLEY - 20),
      ...from(
        'inside',
        [0.35, 0.65].map((share) =>
          line('inside', [
            [e.blockFront + 50, top - 2 * LOBES * share],
            [-100, top - 2 * LOBES * share],
          ]),
        ),
      ),
    ]
  return []
}

/** The same from above; `edge` is the outer side of the exhaust, down the page on the left of the train. */
export function chargerPlan(
  engine: EngineFigure,
  e: EngineLengths,
  edge: (way: 1 | -1) => number,
): readonly Mark[] {
  const x = middleOf(e)
  if (engine.air === 'turbo') {
    const way = hotWay(engine)
    const y = edge(way) + way * 108
    return [
      box('casting', x - 2, y - TURBINE * 0.7, x + 76, y + TURBINE * 0.7, 26, 'silhouette'),
      box('turned', x - 40, y - 26, x, y + 26, 4),
      outline(
        'pressed',
        [
          [x - 40, y - COMPRESSOR * 0.6, 10],
          [x - 96, y - COMPRESSOR * 0.9, 24],
          [x - 116, y - 30, 6],
          [x - 116, y + 30, 6],
          [x - 96, y + COMPRESSOR * 0.9, 24],
          [x - 40, y + COMPRESSOR * 0.6, 10],
        ],
        'silhouette',
      ),
    ]
  }
  if (engine.air === 'blower')
    return [
      box('casting', e.blockFront + 40, -LOBES - 20, -90, LOBES + 20, 20, 'silhouette'),
      box('turned', e.nose, -48, e.nose + 34, 48, 4),
      box('turned', e.nose + 34, -22, e.blockFront + 42, 22, 5),
    ]
  return []
}

/** The same from its end: x right of the crank axis, y down; `w` is half the width of the head, `y` its exhaust, `top` its top. */
export function chargerEnd(
  engine: EngineFigure,
  w: number,
  y: number,
  top: number,
): readonly Mark[] {
  if (engine.air === 'turbo') {
    const x = -hotWay(engine) * (w + 108)
    return [
      disc('casting', x, y + 60, COMPRESSOR, 'silhouette'),
      disc('turned', x, y + 60, 28),
      disc('inside', x, y + 60, 9, 'inside'),
    ]
  }
  if (engine.air === 'blower')
    return [
      box('casting', -LOBES - 20, top - 2 * LOBES, LOBES + 20, top, 30, 'silhouette'),
      ...[-1, 1].map((way) => disc('turned', way * LOBES * 0.5, top - LOBES, LOBES * 0.46)),
    ]
  return []
}

export const asCharger = (engine: EngineFigure, marks: readonly Mark[]): readonly Mark[] =>
  as('charger', engine.isKind, marks)
