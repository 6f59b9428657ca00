/**
 * Which strongly connected component each node of a graph is in, by number: nodes of one reach one another. Without recursion,
 * as chains are long. Source: Tarjan, Depth-first search and linear graph algorithms, 1972, from memory.
 */
export function components(count: number, next: (node: number) => readonly number[]): Int32Array {
  const found = new Int32Array(count).fill(-1)
  const index = new Int32Array(count).fill(-1)
  const low = new Int32Array(count)
  const stack: number[] = []
  let [order, last] = [0, 0]
  for (let root = 0; root < count; root++) {
    if (index[root]! >= 0) continue
    const walk: { readonly node: number; readonly to: readonly number[]; i: number }[] = []
    const enter = (node: number): void => {
      index[node] = low[node] = order++
      stack.push(node)
      walk.push({ node, to: next(node), i: 0 })
    }
    enter(root)
    while (walk.length > 0) {
      const frame = walk.at(-1)!
      const { node, to } = frame
      if (frame.i < to.length) {
        const child = to[frame.i++]!
        if (index[child]! < 0) enter(child)
        else if (found[child]! < 0) low[node] = Math.min(low[node]!, index[child]!)
        continue
      }
      walk.pop()
      const parent = walk.at(-1)
      if (parent) low[parent.node] = Math.min(low[parent.node]!, low[node]!)
      if (low[node] !== index[node]) continue
      for (let one = -1; one !== node; ) {
        one = stack.pop()!
        found[one] = last
      }
      last++
    }
  }
  return found
}
