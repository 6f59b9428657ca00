import type { Joint } from '../joint.ts'

/**
 * All that the joints declare, as one text: what they read, their windows and formulas as they are written. Two programs of
 * which it is the same judge alike as far as the declarations decide.
 */
export const declarationsSaid = (joints: readonly Joint[]): string => {
  const seen = new Set<object>()
  return JSON.stringify(joints, (_, value: unknown) => {
    if (typeof value === 'function') return value.toString()
    if (typeof value !== 'object' || value === null) return value
    // What a field is asked by is shared by many reads: said once.
    if (seen.has(value)) return undefined
    seen.add(value)
    return value
  })
}
