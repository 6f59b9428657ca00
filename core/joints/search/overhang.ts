import type { Point } from '../../ports/field.ts'

/** Greatest distance, mm, by which either outline reaches past the other; 0 when both agree. Corners only: outlines are traced densely. */
export function overhang(a: readonly Point[], b: readonly Point[]): number {
  return Math.max(reach(a, b), reach(b, a))
}

const reach = (from: readonly Point[], past: readonly Point[]): number =>
  from.reduce((most, p) => Math.max(most, isInside(p, past) ? 0 : distance(p, past)), 0)

function isInside(p: Point, ring: readonly Point[]): boolean {
  let inside = false
  for (let i = 0, j = ring.length - 1; i < ring.length; j = i++) {
    const u = ring[i]!,
      v = ring[j]!
    if (u.y > p.y !== v.y > p.y && p.x < ((v.x - u.x) * (p.y - u.y)) / (v.y - u.y) + u.x)
      inside = !inside
  }
  return inside
}

function distance(p: Point, ring: readonly Point[]): number {
  let least = Infinity
  for (let i = 0, j = ring.length - 1; i < ring.length; j = i++) {
    const u = ring[j]!,
      v = ring[i]!
    const dx = v.x - u.x,
      dy = v.y - u.y
    const along = Math.max(
      0,
      Math.min(1, ((p.x - u.x) * dx + (p.y - u.y) * dy) / (dx * dx + dy * dy || 1)),
    )
    least = Math.min(least, Math.hypot(p.x - u.x - along * dx, p.y - u.y - along * dy))
  }
  return least
}
