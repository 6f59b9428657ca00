import type { VehicleFigure } from '../../../core/train/vehicle-figure.ts'
import { bodyLines } from './body-side.ts'
import { as, disc, from, line, type Mark, outline, steps } from './mark.ts'
import { wheelPlan } from './running-gear.ts'

/** The vehicle from above, faint: x behind the radiator, y to its left (its right is up). */
export function bodyPlan(v: VehicleFigure): readonly Mark[] {
  const b = bodyLines(v)
  const half = v.track.mm / 2 - 90
  const out = v.track.mm / 2
  const isTractor = v.layout === 'tractor'
  const lengths = v.frontAxle.known && v.rearAxle.known && v.track.known
  const wheels = (
    [
      [b.front, b.frontR],
      [b.rear, b.r],
    ] as const
  ).flatMap(([x, r]) => [-half, half].flatMap((y) => wheelPlan(x, y, r, lengths)))
  if (isTractor)
    return [
      ...as('body', v.isBody, [
        outline(
          'behind',
          [
            [b.nose, -230, 40],
            [b.wall, -230],
            [b.wall, 230],
            [b.nose, 230, 40],
          ],
          'silhouette',
        ),
      ]),
      ...wheels,
    ]
  return [
    ...as('body', v.isBody, [
      outline(
        'behind',
        [
          [b.nose, -out * 0.45, 260],
          [b.nose + 90, -out * 0.94, 200],
          [b.front + 200, -out - 40, 300],
          [b.rear + 200, -out - 40, 200],
          [b.tail - 40, -out * 0.92, 120],
          [b.tail, -out * 0.4, 160],
          [b.tail, out * 0.4, 160],
          [b.tail - 40, out * 0.92, 120],
          [b.rear + 200, out + 40, 200],
          [b.front + 200, out + 40, 300],
          [b.nose + 90, out * 0.94, 200],
          [b.nose, out * 0.45, 260],
        ],
        'silhouette',
      ),
      ...from(
        'casting',
        [b.front, b.rear].flatMap((x) =>
          [-1, 1].flatMap((way) => [
            disc('behind', x + 20, way * (half - 215), 86),
            disc('behind-far', x + 20, way * (half - 215), 34),
            ...steps(0, 2, 1).map((i) =>
              disc(
                'behind-far',
                x + 20 + 60 * Math.cos(i * 2.09),
                way * (half - 215) + 60 * Math.sin(i * 2.09),
                8,
              ),
            ),
          ]),
        ),
      ),
    ]),
    ...wheels,
  ]
}

/** The firewall from above, bowed, across the vehicle. */
export const wallPlan = (v: VehicleFigure): readonly Mark[] => {
  const out = v.track.mm / 2 - 60
  const x = v.firewall.mm
  return v.layout === 'tractor'
    ? []
    : as('firewall', v.firewall.known, [
        line(
          'shell',
          [
            [x + 60, -out],
            [x, -out * 0.7, 60],
            [x, out * 0.7, 60],
            [x + 60, out],
          ],
          'silhouette',
        ),
      ])
}
