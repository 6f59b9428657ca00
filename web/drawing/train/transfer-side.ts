import type { TransferFigure } from '../../../core/train/transfer-figure.ts'
import { as, box, disc, from, line, type Mark, outline, steps } from './mark.ts'

/** A transfer case from the left: x back from its front face, y down from the shaft axis; the chain case reaches down by the drop. */
export function transferSide(transfer: TransferFigure): readonly Mark[] {
  const { length, drop, frontAlong, output } = transfer
  const adapter = length.mm * 0.18
  const chain = length.mm * 0.31
  const wide = length.mm * 0.2
  const end = length.mm
  const rear = output.belowMm
  const low = drop.mm
  const nose = frontAlong.mm + 46
  return [
    ...as('transfer case', length.known, [
      outline(
        'casting',
        [
          [0, -92, 6],
          [adapter, -100, 8],
          [chain, -112, 8],
          [chain, 112, 8],
          [adapter, 100, 8],
          [0, 92, 6],
        ],
        'silhouette',
      ),
      ...from(
        'inside',
        [-50, 0, 50].map((y) =>
          line('inside', [
            [8, y],
            [chain - 6, y * 1.12],
          ]),
        ),
      ),
      outline(
        'casting',
        [
          [chain + wide, rear - 86, 8],
          [chain + wide + 52, rear - 66, 12],
          [end - 30, rear - 46, 8],
          [end, rear - 44],
          [end, rear + 44],
          [end - 30, rear + 46, 8],
          [chain + wide + 52, rear + 70, 12],
          [chain + wide, rear + 92, 8],
        ],
        'silhouette',
      ),
    ]),
    ...as('transfer case', length.known && drop.known, [
      outline(
        'casting',
        [
          [chain, low - 62, 8],
          [nose + 14, low - 54, 10],
          [nose, low - 40],
          [nose, low + 40],
          [nose + 14, low + 54, 10],
          [chain, low + 62, 8],
        ],
        'silhouette',
      ),
      box('cover', chain, -118, chain + wide, low + 84, 20, 'silhouette'),
      ...from('inside', [
        line('inside', [
          [chain + wide / 2, -116],
          [chain + wide / 2, low + 82],
        ]),
        ...steps(-92, low + 70, 54).map((y) =>
          box('turned', chain + wide / 2 - 16, y, chain + wide / 2 + 16, y + 12, 2),
        ),
      ]),
      disc('turned', chain + wide - 20, low + 46, 9),
      box('turned', nose - 12, low - 50, nose, low + 50, 2),
      box('turned', end, rear - 50, end + 13, rear + 50, 2),
    ]),
    ...as('transfer lever', false, [
      line('hollow', [
        [40, -96],
        [30, -200, 80],
        [-30, -330],
      ]),
      disc('rubber', -34, -344, 18),
    ]),
  ]
}

/** A transfer case from above; way +1 where the front output is on the left of the train, down the page. */
export function transferPlan(transfer: TransferFigure): readonly Mark[] {
  const { length, frontSide, frontAlong, drop } = transfer
  const way = frontSide === 'left' ? 1 : -1
  const aside = way * 220
  return [
    ...as('transfer case', length.known, [
      outline(
        'casting',
        [
          [0, -92, 6],
          [length.mm * 0.31, -112, 8],
          [length.mm * 0.51, -86, 8],
          [length.mm, -44],
          [length.mm, 44],
          [length.mm * 0.51, 86, 8],
          [length.mm * 0.31, 112, 8],
          [0, 92, 6],
        ],
        'silhouette',
      ),
    ]),
    ...as('transfer case', drop.known, [
      box(
        'cover',
        length.mm * 0.31,
        Math.min(-118, aside - 84),
        length.mm * 0.51,
        Math.max(118, aside + 84),
        20,
        'silhouette',
      ),
      box('turned', frontAlong.mm + 34, aside - 50, length.mm * 0.31, aside + 50, 6),
    ]),
  ]
}
