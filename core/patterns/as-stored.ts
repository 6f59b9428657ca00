import type { AnyFieldWords } from '../ports/field.ts'

/** How a face was looked at when its places were written down. */
export const FACE_VIEWS = ['looking at the face', 'from the gearbox'] as const
export type FaceView = (typeof FACE_VIEWS)[number]

/** Whether a field says places on a face: coordinates, or the angles of holes. */
export const isPlaced = ({ type, unit }: Pick<AnyFieldWords, 'type' | 'unit'>): boolean =>
  type === 'holes' || type === 'dowels' || type === 'points' || (type === 'numbers' && unit === '°')

/**
 * Places in the one view that all faces are kept in, from the gearbox looking at the engine. What is written looking at a
 * face that looks forward is mirrored: x → −x, angle → 180° − angle. All else stays.
 */
export function asStored(value: unknown, view: FaceView): unknown {
  if (view === 'from the gearbox' || !Array.isArray(value)) return value
  return value.map((one: number | { readonly x: number }) =>
    typeof one === 'number' ? (540 - one) % 360 : { ...one, x: one.x === 0 ? 0 : -one.x },
  )
}
