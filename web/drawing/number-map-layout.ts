/** A number on the map. */
export interface NumberNode {
  readonly id: string
  /** As it is spelled. */
  readonly words: string
  /** It is on the part, or is one that is asked about. */
  readonly isOwn: boolean
}
/** How two numbers hang together; level ones stand side by side, the others under one another. */
export interface NumberEdge {
  readonly from: string
  readonly to: string
  readonly isLevel: boolean
  readonly isBothWays: boolean
}
/** A box, by its upper left corner, px. */
export interface PlacedNode extends NumberNode {
  readonly x: number
  readonly y: number
  readonly width: number
}
export interface NumberMapLayout {
  readonly nodes: readonly PlacedNode[]
  readonly edges: readonly (NumberEdge & { readonly path: string })[]
  readonly width: number
  readonly height: number
}

export const BOX_PX = 24
const CHARACTER_PX = 7.4
const PAD_PX = 8
const GAP_PX = 18
const STEP_PX = 34

/**
 * Places numbers in rows: each below all that lead to it, those that are level beside one another. Where numbers go round
 * in a ring, each stands as deep as there are numbers at most.
 */
export function layOutNumbers(
  nodes: readonly NumberNode[],
  edges: readonly NumberEdge[],
): NumberMapLayout {
  const rank = new Map(nodes.map(({ id }) => [id, 0]))
  const known = edges.filter(({ from, to }) => rank.has(from) && rank.has(to) && from !== to)
  for (let turn = 0; turn < nodes.length; turn++)
    for (const { from, to, isLevel } of known) {
      const [a, b] = [rank.get(from)!, rank.get(to)!]
      if (isLevel) {
        rank.set(from, Math.max(a, b))
        rank.set(to, Math.max(a, b))
      } else if (b <= a && a + 1 < nodes.length) rank.set(to, a + 1)
    }
  const depths = [...new Set(rank.values())].sort((p, q) => p - q)
  const rows = depths.map((depth) => nodes.filter(({ id }) => rank.get(id) === depth))
  const widthOf = ({ words }: NumberNode): number =>
    Math.ceil(words.length * CHARACTER_PX) + 2 * PAD_PX
  const rowWidth = (row: readonly NumberNode[]): number =>
    row.reduce((sum, node) => sum + widthOf(node), 0) + GAP_PX * (row.length - 1)
  const width = Math.max(1, ...rows.map(rowWidth))
  const placed = rows.flatMap((row, depth) => {
    let x = (width - rowWidth(row)) / 2
    return row.map((node) => {
      const own = { ...node, x, y: depth * (BOX_PX + STEP_PX), width: widthOf(node) }
      x += own.width + GAP_PX
      return own
    })
  })
  const at = new Map(placed.map((node) => [node.id, node]))
  return {
    nodes: placed,
    edges: known.map((edge) => ({ ...edge, path: pathOf(at.get(edge.from)!, at.get(edge.to)!) })),
    width,
    // What is level is joined by a bow beneath.
    height:
      Math.max(1, rows.length) * (BOX_PX + STEP_PX) -
      STEP_PX +
      (known.some(({ isLevel }) => isLevel) ? 12 : 0),
  }
}

/** From the edge of one box to the edge of another: down, up past a ring, or in a bow beneath two of one row. */
function pathOf(from: PlacedNode, to: PlacedNode): string {
  const [x1, x2] = [from.x + from.width / 2, to.x + to.width / 2]
  if (from.y === to.y) {
    const y = from.y + BOX_PX
    return `M${x1} ${y}Q${(x1 + x2) / 2} ${y + 22} ${x2} ${y}`
  }
  return from.y < to.y
    ? `M${x1} ${from.y + BOX_PX}L${x2} ${to.y}`
    : `M${x1} ${from.y}L${x2} ${to.y + BOX_PX}`
}
