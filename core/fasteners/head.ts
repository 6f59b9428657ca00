import { threadDiameter } from '../mechanics/thread.ts'

/** Width across flats by nominal Ø, mm. ISO 272 (1982) for metric threads; ASME B18.2.1 for inches, from memory. */
const FLATS: readonly (readonly [d: number, flatsMm: number])[] = [
  [5, 8],
  [6, 10],
  [8, 13],
  [10, 16],
  [12, 18],
  [14, 21],
  [16, 24],
  [18, 27],
  [20, 30],
  [22, 34],
  [24, 36],
  [25.4 / 4, (25.4 * 7) / 16],
  [(25.4 * 5) / 16, 25.4 / 2],
  [(25.4 * 3) / 8, (25.4 * 9) / 16],
  [(25.4 * 7) / 16, (25.4 * 5) / 8],
  [25.4 / 2, (25.4 * 3) / 4],
  [(25.4 * 9) / 16, (25.4 * 13) / 16],
  [(25.4 * 5) / 8, (25.4 * 15) / 16],
  [(25.4 * 3) / 4, (25.4 * 9) / 8],
]
/** Where neither standard has it, common practice, no published source. */
const OF_NOMINAL = 1.5

/** Width across flats of a hexagon head for a thread, mm; NaN where the thread cannot be read. */
export function headFlatsMm(thread: string | null): number {
  const d = threadDiameter(thread)
  return FLATS.find(([nominal]) => Math.abs(nominal - d) < 0.05)?.[1] ?? d * OF_NOMINAL
}

/** True where a hexagon head of the thread covers a hole, so that it has metal all round to clamp on. */
export const headCovers = (thread: string | null, holeMm: number): boolean =>
  headFlatsMm(thread) > holeMm
