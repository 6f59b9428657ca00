import type { Hole } from '../ports/field.ts'

/** A face that a name settles: nobody types its coordinates. */
export interface PatternFamily {
  readonly id: string
  readonly words: string
  readonly holes: readonly Hole[]
}

const round = (value: number): number => Number(value.toFixed(3))

/** Equal holes on one circle, the first half a step from +y, as these housings are drilled. */
const circle = (count: number, circleMm: number, holeMm: number): Hole[] =>
  Array.from({ length: count }, (_, i) => {
    const angle = ((i + 0.5) * 2 * Math.PI) / count
    return {
      x: round((circleMm / 2) * Math.cos(angle)),
      y: round((circleMm / 2) * Math.sin(angle)),
      d: holeMm,
    }
  })

/**
 * Engine flywheel housings of the published standard (SAE J617): bolt circles and counts, mm, from memory. Any face that
 * names one agrees with any other that does; the register of the standard locates it.
 */
export const PATTERN_FAMILIES: readonly PatternFamily[] = [
  { id: 'housing-no-5', words: 'Standard engine housing no. 5', holes: circle(8, 333.4, 10.5) },
  { id: 'housing-no-4', words: 'Standard engine housing no. 4', holes: circle(12, 381, 10.5) },
  { id: 'housing-no-3', words: 'Standard engine housing no. 3', holes: circle(12, 428.6, 10.5) },
  { id: 'housing-no-2', words: 'Standard engine housing no. 2', holes: circle(12, 466.7, 10.5) },
  { id: 'housing-no-1', words: 'Standard engine housing no. 1', holes: circle(12, 530.2, 12.5) },
]
