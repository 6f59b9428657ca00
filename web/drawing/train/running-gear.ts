import { as, box, disc, from, line, type Mark, outline, steps } from './mark.ts'

/** A live axle from the side, centre at x, y: its nose forward, or rearward where it is a front one. */
export function axleSide(
  part: string,
  known: boolean,
  x: number,
  y: number,
  isFront = false,
): readonly Mark[] {
  const way = isFront ? -1 : 1
  return as(part, known, [
    outline(
      'casting',
      [
        [x - way * 210, y - 30, 4],
        [x - way * 196, y - 30],
        [x - way * 170, y - 46, 8],
        [x - way * 90, y - 88, 14],
        [x - way * 40, y - 104],
        [x - way * 40, y + 104],
        [x - way * 90, y + 88, 14],
        [x - way * 170, y + 46, 8],
        [x - way * 196, y + 30],
        [x - way * 210, y + 30, 4],
      ],
      'silhouette',
    ),
    disc('casting', x, y, 118, 'silhouette'),
    ...from(
      'inside',
      steps(0, 7, 1).map((i) => {
        const angle = (i * Math.PI) / 4 + 0.3
        return disc('inside', x + 98 * Math.cos(angle), y + 98 * Math.sin(angle), 6)
      }),
    ),
    disc('turned', x, y, 44),
    disc('inside', x, y, 24, 'inside'),
    box(
      'turned',
      Math.min(x - way * 220, x - way * 207),
      y - 46,
      Math.max(x - way * 220, x - way * 207),
      y + 46,
      2,
    ),
  ])
}

/** From its centre to the joint ahead of it, mm. */
export const AXLE_NOSE = 232

/** A live axle from above: tubes out to both wheels, the final drive in the middle. */
export const axlePlan = (
  part: string,
  known: boolean,
  x: number,
  half: number,
  isFront = false,
): readonly Mark[] => {
  const way = isFront ? -1 : 1
  return as(part, known, [
    box('casting', x - 40, -half, x + 40, half, 6, 'silhouette'),
    disc('casting', x, 0, 118, 'silhouette'),
    outline('casting', [
      [x - way * 210, -40, 4],
      [x - way * 90, -84, 14],
      [x - way * 90, 84, 14],
      [x - way * 210, 40, 4],
    ]),
  ])
}

/** A wheel from the side. */
export const wheelSide = (x: number, y: number, r: number, known = true): readonly Mark[] =>
  as('wheel', known, [
    disc('behind', x, y, r, 'silhouette'),
    disc('behind-far', x, y, r * 0.66),
    disc('behind-far', x, y, r * 0.6),
    disc('behind-far', x, y, r * 0.2),
    ...from(
      'casting',
      steps(0, 4, 1).map((i) =>
        disc(
          'behind-far',
          x + Math.cos(i * 1.2566 + 0.3) * r * 0.34,
          y + Math.sin(i * 1.2566 + 0.3) * r * 0.34,
          r * 0.055,
        ),
      ),
    ),
  ])

/** A wheel from above: tyre and rim. */
export const wheelPlan = (x: number, y: number, r: number, known = true): readonly Mark[] =>
  as('wheel', known, [
    box('behind', x - r, y - 92, x + r, y + 92, 40, 'silhouette'),
    ...[-1, 1].map((way) =>
      line('behind-far', [
        [x + way * r * 0.83, y - 92],
        [x + way * r * 0.83, y + 92],
      ]),
    ),
    box(
      'behind-far',
      x - r * 0.63,
      y + (y > 0 ? -92 : 40),
      x + r * 0.63,
      y + (y > 0 ? -40 : 92),
      10,
    ),
  ])

/** A wheel from the front. */
export const wheelFront = (x: number, y: number, r: number, known = true): readonly Mark[] =>
  as('wheel', known, [box('behind', x - 92, y - r, x + 92, y + r, 40, 'silhouette')])

const CORE_DEEP = 52

/** A radiator from the side, its rear face at x = 0: core, tanks, filler. */
export const radiatorSide = (known: boolean, top: number, bottom: number): readonly Mark[] =>
  as('radiator', known, [
    box('turned', -CORE_DEEP, top, 0, bottom, 3, 'silhouette'),
    box('pressed', -CORE_DEEP - 3, top - 26, 3, top + 2, 6),
    box('pressed', -CORE_DEEP - 3, bottom - 1, 3, bottom + 25, 6),
    box('cover', -CORE_DEEP + 10, top - 36, -CORE_DEEP + 34, top - 25, 2),
    ...from(
      'inside',
      steps(top + 8, bottom - 5, 11).map((y) =>
        line('faint', [
          [-CORE_DEEP + 4, y],
          [-4, y],
        ]),
      ),
    ),
  ])

/** The same from above, with the electric fans where there are some. */
export const radiatorPlan = (known: boolean, half: number, isElectric: boolean): readonly Mark[] =>
  as('radiator', known, [
    box('turned', -CORE_DEEP, -half, 0, half, 3, 'silhouette'),
    box('pressed', -CORE_DEEP - 6, -half - 34, 6, -half + 2, 6),
    box('pressed', -CORE_DEEP - 6, half - 2, 6, half + 34, 6),
    ...from(
      'inside',
      steps(-half + 10, half - 10, 20).map((y) =>
        line('faint', [
          [-CORE_DEEP + 4, y],
          [-4, y],
        ]),
      ),
    ),
    ...(isElectric
      ? [-170, 170].flatMap((y) => [
          box('turned', 8, y - 140, 24, y + 140, 3),
          box('cover', 24, y - 34, 64, y + 34, 8),
        ])
      : []),
  ])

/** An electric fan from the side, behind the core. */
export const electricFanSide = (middle: number): readonly Mark[] =>
  as('fan', true, [
    box('turned', 8, middle - 150, 24, middle + 150, 3),
    box('cover', 24, middle - 30, 64, middle + 30, 6),
  ])

/** A crossmember in section, its top at y. */
export const crossmember = (
  part: string,
  x: number,
  y: number,
  wide = 120,
  tall = 46,
): readonly Mark[] =>
  as(part, true, [
    outline('cut', [
      [x - wide / 2, y],
      [x + wide / 2, y],
      [x + wide / 2, y + tall],
      [x + wide / 2 - 14, y + tall],
      [x + wide / 2 - 14, y + 12],
      [x - wide / 2 + 14, y + 12],
      [x - wide / 2 + 14, y + tall],
      [x - wide / 2, y + tall],
    ]),
  ])

/** The gearbox mount: foot and rubber, its foot at y. */
export const gearboxMount = (known: boolean, x: number, y: number): readonly Mark[] =>
  as('gearbox mount', known, [
    outline('cover', [
      [x - 44, y - 30, 4],
      [x + 44, y - 30, 4],
      [x + 34, y - 14],
      [x - 34, y - 14],
    ]),
    box('rubber', x - 34, y - 14, x + 34, y + 10, 4),
  ])
