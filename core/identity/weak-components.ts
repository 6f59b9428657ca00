/** Which weakly connected component each of `count` nodes is in, joined by groups of nodes: the least node of each stands for it. */
export function weakComponents(count: number, groups: Iterable<readonly number[]>): Int32Array {
  const parent = Int32Array.from({ length: count }, (_, node) => node)
  const rootOf = (node: number): number => {
    let at = node
    while (parent[at] !== at) {
      parent[at] = parent[parent[at]!]!
      at = parent[at]!
    }
    return at
  }
  for (const [first, ...others] of groups) {
    if (first === undefined) continue
    for (const other of others) {
      const [p, q] = [rootOf(first), rootOf(other)]
      parent[Math.max(p, q)] = Math.min(p, q)
    }
  }
  for (let node = 0; node < count; node++) parent[node] = rootOf(node)
  return parent
}
