import { type Bounds, boundsOf } from './mark.ts'
import type { Scene, View } from './scene.ts'

/** A drawing's scale and where its origin lies, px. */
export interface Frame {
  readonly pxPerMm: number
  readonly x: number
  readonly y: number
}

const MARGIN_MM = 60

/** What a strip shows of a scene: the whole length of the vehicle and the height of its train, the roof cut off. */
export function stripBounds({ train, vehicle, bounds }: Scene, view: View): Bounds {
  const own = boundsOf(train)
  const ground = boundsOf(vehicle.filter(({ part }) => part === 'ground' || part === 'wheel'))
  return view !== 'plan'
    ? {
        x0: bounds.x0 - MARGIN_MM,
        x1: bounds.x1 + MARGIN_MM,
        y0: own.y0 - MARGIN_MM,
        y1: Math.max(own.y1, Number.isFinite(ground.y1) ? ground.y1 : own.y1) + 20,
      }
    : bounds
}

/** The scale at which bounds fill a place, and where their origin comes to lie: in its middle across, on its floor. */
export function frameOf(bounds: Bounds, width: number, height: number, top = 0): Frame {
  const pxPerMm = Math.min(width / (bounds.x1 - bounds.x0), height / (bounds.y1 - bounds.y0))
  return {
    pxPerMm,
    x: (width - (bounds.x1 + bounds.x0) * pxPerMm) / 2,
    y: top + (height - (bounds.y1 + bounds.y0) * pxPerMm) / 2,
  }
}

/** A point of the drawing on the page, px. */
export const onPage = (
  { pxPerMm, x, y }: Frame,
  [mx, my]: readonly [number, number],
): readonly [number, number] => [x + mx * pxPerMm, y + my * pxPerMm]
