/** A label that wants to stand over a place: where, and how wide it is, px. */
export interface Wanted {
  readonly x: number
  readonly width: number
}

/**
 * Places labels in one row so that none overlaps, each as near to where it is wanted as the others leave it: neighbours that
 * would overlap are pushed apart about their common middle. Left edges, px, in the order given; labels stay in the order
 * of what they want. Where they do not fit at all they run on past the right end.
 */
export function labelRow(
  wanted: readonly Wanted[],
  from: number,
  to: number,
  gap = 8,
): readonly number[] {
  const order = wanted
    .map((label, index) => ({ ...label, index }))
    .toSorted((a, b) => a.x - b.x || a.index - b.index)
  interface Block {
    readonly labels: { index: number; width: number; offset: number }[]
    /** Sum of where its labels want its left edge to be. */
    sum: number
    width: number
  }
  const leftOf = ({ sum, labels, width }: Block): number =>
    Math.max(from, Math.min(sum / labels.length, to - width))
  const blocks: Block[] = []
  for (const { index, x, width } of order) {
    let block: Block = { labels: [{ index, width, offset: 0 }], sum: x - width / 2, width }
    let last = blocks.at(-1)
    while (last && leftOf(last) + last.width + gap > leftOf(block)) {
      blocks.pop()
      const shift = last.width + gap
      block = {
        labels: [
          ...last.labels,
          ...block.labels.map((label) => ({ ...label, offset: label.offset + shift })),
        ],
        sum: last.sum + block.sum - shift * block.labels.length,
        width: last.width + gap + block.width,
      }
      last = blocks.at(-1)
    }
    blocks.push(block)
  }
  const lefts: number[] = []
  for (const block of blocks)
    for (const { index, offset } of block.labels) lefts[index] = leftOf(block) + offset
  return lefts
}
