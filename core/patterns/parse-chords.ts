import { parseQuantity, type Reading } from '../quantity/units.ts'
import { type Chord, ChordsError } from './from-chords.ts'

/**
 * Reads distances as written beside a block, a line each: `1 2 173.2` or `3 axis 7 1/8 in`.
 * @throws ChordsError or QuantityError naming the line
 */
export function parseChords(typed: string, reading: Reading = {}): Chord[] {
  return typed
    .split(/[\n;]+/)
    .map((line) => line.trim())
    .filter(Boolean)
    .map((line, index) => {
      const match = /^(\d+|axis)[\s-]+(\d+|axis)\s+(.+)$/i.exec(line)
      if (!match)
        throw new ChordsError(
          `Line ${index + 1}, "${line}": write the two holes and the distance, such as 1 2 173.2, or 3 axis 180.`,
        )
      const hole = (text: string): number => (/^axis$/i.test(text) ? 0 : Number(text))
      return {
        from: hole(match[1]!),
        to: hole(match[2]!),
        mm: parseQuantity(match[3]!, 'mm', reading),
      }
    })
}
