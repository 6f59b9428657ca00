import type { EngineFigure } from '../../../core/train/engine-figure.ts'
import { sectionsOf, seenFromAbove } from './bank.ts'
import { asCharger, chargerPlan } from './charger.ts'
import { acrossCrank, type EngineLengths, engineLengths, PULLEY } from './engine-lengths.ts'
import { as, box, disc, from, line, type Mark, outline } from './mark.ts'

const ALTERNATOR_ASIDE = 150

/** An engine from above: x back from its block face, y to its left (the right of the train is up). */
export function enginePlan(engine: EngineFigure): readonly Mark[] {
  const e = engineLengths(engine)
  const isRow = engine.arrangement === 'in line'
  const known = engine.isKind && (engine.bore.known || engine.length.known)
  const half = e.bankHalf + 30
  const hotWay = engine.hot === 'left' ? 1 : -1
  const hotLean = (way: 1 | -1): number => e.leans[way > 0 ? 0 : e.leans.length - 1]!
  return [
    ...as('engine', known, [
      box('casting', e.blockFront, -half - 30, 0, half + 30, 8, 'silhouette'),
      ...(isRow
        ? [...intakePlan(e, engine.slantDeg, -hotWay), ...exhaustPlan(e, engine.slantDeg, hotWay)]
        : e.leans.flatMap((lean) => exhaustPlan(e, lean, lean > 0 ? -1 : 1))),
      ...e.leans.flatMap((lean) => [
        ...sectionsOf(e, isRow)
          .filter(({ name }) => name !== 'bank' || !isRow)
          .map(({ look, corners, ends }) => {
            const { left, right } = seenFromAbove(corners, lean)
            return box(look, e.blockFront + ends[0], -right, ends[1], -left, 10, 'silhouette')
          }),
        ...e.xs.flatMap((x) => {
          const y = -acrossCrank(0, e.deck + e.head + e.cover, lean)[0]
          return [disc('turned', x, y, 20), disc('inside', x, y, 7, 'inside')]
        }),
      ]),
      ...(isRow ? [] : [box('pressed', e.blockFront + 50, -112, -60, 112, 26, 'silhouette')]),
      outline(
        'cover',
        [
          [e.coverFront, -half - 14, 10],
          [e.blockFront, -half - 20],
          [e.blockFront, half + 20],
          [e.coverFront, half + 14, 10],
        ],
        'silhouette',
      ),
      ...beltPlan(e, -hotWay),
      box('cover', -14, -205, 0, 205, 3),
    ]),
    ...asCharger(
      engine,
      chargerPlan(engine, e, (way) => edge(e, hotLean(way), way)),
    ),
  ]
}

/** The edge of the head on one side; way +1 is to the left of the train, down the page. */
const edge = (e: EngineLengths, lean: number, way: number): number =>
  -acrossCrank(-way * e.headHalf, e.deck + e.head * 0.6, lean)[0]

const intakePlan = (e: EngineLengths, lean: number, way: number): readonly Mark[] => {
  const y = edge(e, lean, way)
  const [first, last] = [e.xs[0]!, e.xs.at(-1)!]
  return [
    ...e.xs.map((x) =>
      outline('cover', [
        [x - 17, y - way * 10],
        [x + 17, y - way * 10],
        [x + 20, y + way * 92],
        [x - 14, y + way * 92],
      ]),
    ),
    box('pressed', first - 46, y + way * 74, last + 44, y + way * 160, 24),
    box('turned', first - 92, y + way * 83, first - 44, y + way * 151, 5),
  ]
}

const exhaustPlan = (e: EngineLengths, lean: number, way: number): readonly Mark[] => {
  const y = edge(e, lean, way)
  const [first, last] = [e.xs[0]!, e.xs.at(-1)!]
  return [
    ...e.xs.map((x) => box('cover', x - 19, y - way * 10, x + 19, y + way * 46)),
    box('cover', first - 30, y + way * 34, last + 30, y + way * 82, 16),
    disc('turned', (first + last) / 2, y + way * 58, 25),
  ]
}

const beltPlan = (e: EngineLengths, way: number): readonly Mark[] => {
  const y = way * ALTERNATOR_ASIDE
  const at = e.blockFront
  return [
    box('turned', e.nose, -PULLEY, e.nose + 36, PULLEY, 4, 'silhouette'),
    box('cover', at - 30, y - 52, at + 66, y + 52, 14),
    box('turned', e.nose + 8, y - 30, e.nose + 28, y + 30, 3),
    box('turned', e.nose + 11, Math.min(-PULLEY, y - 30), e.nose + 26, Math.max(PULLEY, y + 30)),
    ...from(
      'inside',
      [0.3, 0.5, 0.7].map((share) =>
        line('inside', [
          [e.nose + 36 * share, -PULLEY + 2],
          [e.nose + 36 * share, PULLEY - 2],
        ]),
      ),
    ),
  ]
}
