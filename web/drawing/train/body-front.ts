import type { VehicleFigure } from '../../../core/train/vehicle-figure.ts'
import { bodyLines } from './body-side.ts'
import { as, from, line, type Mark, outline } from './mark.ts'
import { wheelFront } from './running-gear.ts'

/** The vehicle from the front, faint: x to its left (as one stands before it, to one's right), y down from the crank axis. */
export function bodyFront(v: VehicleFigure): readonly Mark[] {
  const b = bodyLines(v)
  const out = v.track.mm / 2
  const low = b.ground - 220
  const known = v.frontAxle.known && v.track.known
  const wheels = [-1, 1].flatMap((way) =>
    wheelFront(way * (out - 90), b.frontHub, b.frontR, known && v.frontTyre.known),
  )
  const ground = as('ground', true, [
    line(
      'behind',
      [
        [-out - 200, b.ground],
        [out + 200, b.ground],
      ],
      'silhouette',
    ),
  ])
  if (v.layout === 'tractor')
    return [
      ...as('body', v.isBody, [
        outline(
          'behind',
          [
            [-240, b.ground - 520],
            [-240, b.roof * 0.7, 90],
            [240, b.roof * 0.7, 90],
            [240, b.ground - 520],
          ],
          'silhouette',
        ),
      ]),
      ...wheels,
      ...ground,
    ]
  const waist = b.roof * 0.52
  return [
    ...as('body', v.isBody, [
      outline(
        'behind',
        [
          [-out, low, 20],
          [-out - 20, waist, 60],
          [-out + 110, waist - 30, 40],
          [-out + 260, b.roof + 20, 90],
          [out - 260, b.roof + 20, 90],
          [out - 110, waist - 30, 40],
          [out + 20, waist, 60],
          [out, low, 20],
        ],
        'silhouette',
      ),
      ...from('casting', [
        line('behind-far', [
          [-out + 110, waist - 30],
          [out - 110, waist - 30],
        ]),
      ]),
    ]),
    ...wheels,
    ...ground,
  ]
}
