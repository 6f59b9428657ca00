import type { VehicleFigure } from '../../../core/train/vehicle-figure.ts'
import { bodyLines } from './body-side.ts'
import { as, box, disc, line, type Mark } from './mark.ts'

/** The steering gear behind the front axle and over its hubs, mm (common practice, no published source). */
const BEHIND = 130
const OVER = 70
/** From the middle to the shaft where nobody measured it. */
const ASIDE = 330
const HALF = 26

/** What of the steering stands in the bay; a tractor's stands over its engine, and what was measured under the engine is drawn there. */
const isDrawn = ({ layout, under }: VehicleFigure): boolean =>
  layout !== 'tractor' && !under.some(({ name }) => /steer|rack|box/i.test(name ?? ''))

/** The steering gear from the left, with its shaft up to the firewall. Where it stands along the vehicle nobody asks: dotted. */
export function steeringSide(v: VehicleFigure): readonly Mark[] {
  if (!isDrawn(v)) return []
  const b = bodyLines(v)
  const [x, y] = [b.front + BEHIND, b.frontHub - OVER]
  return as('steering gear', false, [
    line('behind', [
      [x, y],
      [b.wall + 40, b.roof * 0.34],
    ]),
    disc('behind', x, y, HALF),
  ])
}

/** From above: the gear across, its rods to the wheels, the shaft back to the firewall on the driver's side. */
export function steeringPlan(v: VehicleFigure): readonly Mark[] {
  if (!isDrawn(v)) return []
  const b = bodyLines(v)
  const half = v.track.mm / 2
  const x = b.front + BEHIND
  const aside = v.columnMm ?? ASIDE
  return [
    ...as('steering gear', false, [
      box('behind', x - HALF, -half * 0.45, x + HALF, half * 0.45, 14),
      ...[-1, 1].map((way) =>
        line('behind', [
          [x, way * half * 0.45],
          [b.front + 60, way * (half - 190)],
        ]),
      ),
    ]),
    ...as('steering shaft', v.columnMm !== null, [
      line('behind', [
        [x, aside],
        [b.wall, aside],
      ]),
    ]),
  ]
}

/** From the front: the gear across under the engine, the shaft beside it as far out as it was measured. */
export function steeringFront(v: VehicleFigure): readonly Mark[] {
  if (!isDrawn(v)) return []
  const b = bodyLines(v)
  const half = v.track.mm / 2
  const y = b.frontHub - OVER
  const aside = v.columnMm ?? ASIDE
  return [
    ...as('steering gear', false, [
      box('behind', -half * 0.45, y - HALF, half * 0.45, y + HALF, 14),
      ...[-1, 1].map((way) =>
        line('behind', [
          [way * half * 0.45, y],
          [way * (half - 190), b.frontHub],
        ]),
      ),
    ]),
    ...as('steering shaft', v.columnMm !== null, [
      line('behind', [
        [aside, y],
        [aside, b.roof * 0.4],
      ]),
    ]),
  ]
}
