import { acrossCrank, type EngineLengths } from './engine-lengths.ts'
import type { Corner, Look } from './mark.ts'

/** One casting of a bank in section: u across it, v along it from the crank axis. */
export interface Section {
  readonly name: 'bank' | 'head' | 'cover'
  readonly look: Look
  readonly corners: readonly Corner[]
  /** How much shorter than the block it is, ahead and behind. */
  readonly ends: readonly [front: number, rear: number]
}

/** The castings of one bank, from the crankcase out. */
export const sectionsOf = (e: EngineLengths, isRow: boolean): readonly Section[] => {
  const { bankHalf, headHalf, deck, head, cover, stroke } = e
  const foot = stroke * 0.5 + (isRow ? 62 : 20)
  return [
    {
      name: 'bank',
      look: 'casting',
      corners: isRow
        ? [
            [-(stroke / 2 + 72), 6],
            [-bankHalf - 4, foot, 26],
            [-bankHalf, deck],
            [bankHalf, deck],
            [bankHalf + 4, foot, 26],
            [stroke / 2 + 72, 6],
          ]
        : [
            [-bankHalf, foot],
            [-bankHalf, deck],
            [bankHalf, deck],
            [bankHalf, foot],
          ],
      ends: [0, 0],
    },
    {
      name: 'head',
      look: 'casting',
      corners: [
        [-headHalf, deck],
        [-headHalf, deck + head, 8],
        [headHalf, deck + head, 8],
        [headHalf, deck],
      ],
      ends: [6, -6],
    },
    {
      name: 'cover',
      look: 'pressed',
      corners: [
        [-headHalf + 8, deck + head],
        [-headHalf + 16, deck + head + cover, 20],
        [headHalf - 16, deck + head + cover, 20],
        [headHalf - 8, deck + head],
      ],
      ends: [12, -12],
    },
  ]
}

/** Heights a section takes, and those of its corners between, seen from the side: y down from the crank axis. */
export function seenFromSide(
  corners: readonly Corner[],
  leanDeg: number,
): { readonly top: number; readonly bottom: number; readonly edges: readonly number[] } {
  const ys = corners.map(([u, v]) => acrossCrank(u, v, leanDeg)[1])
  const top = Math.min(...ys)
  const bottom = Math.max(...ys)
  return { top, bottom, edges: ys.filter((y) => y > top + 6 && y < bottom - 6) }
}

/** The same seen from above: y to the right of the crank axis. */
export function seenFromAbove(
  corners: readonly Corner[],
  leanDeg: number,
): { readonly left: number; readonly right: number } {
  const ys = corners.map(([u, v]) => acrossCrank(u, v, leanDeg)[0])
  return { left: Math.min(...ys), right: Math.max(...ys) }
}
