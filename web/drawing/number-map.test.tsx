// @vitest-environment jsdom

import { cleanup, render, screen } from '@testing-library/react'
import fc from 'fast-check'
import { afterEach, expect, test } from 'vitest'
import { NumberMap } from './number-map.tsx'
import { BOX_PX, layOutNumbers, type NumberEdge } from './number-map-layout.ts'

afterEach(cleanup)

const edge = (from: string, to: string, isLevel = false): NumberEdge => ({
  from,
  to,
  isLevel,
  isBothWays: false,
})

test('what replaces a number stands under it, what stands for it beside it, and no box lies on another', () => {
  const id = fc.integer({ min: 0, max: 8 }).map((one) => `MLD ${one * 1117}`)
  fc.assert(
    fc.property(
      fc.uniqueArray(id, { minLength: 1 }),
      fc.array(fc.tuple(fc.nat(), fc.nat()), { maxLength: 12 }),
      (ids, pairs) => {
        // Edges that only lead on: no rings.
        const edges = pairs.flatMap(([p, q]) => {
          const [a, b] = [p % ids.length, q % ids.length].sort((x, y) => x - y) as [number, number]
          return a === b ? [] : [edge(ids[a]!, ids[b]!)]
        })
        const { nodes, width, height } = layOutNumbers(
          ids.map((one) => ({ id: one, words: one, isOwn: false })),
          edges,
        )
        const at = new Map(nodes.map((node) => [node.id, node]))
        for (const { from, to } of edges) expect(at.get(from)!.y).toBeLessThan(at.get(to)!.y)
        for (const p of nodes) {
          expect(p.x).toBeGreaterThanOrEqual(0)
          expect(p.x + p.width).toBeLessThanOrEqual(width + 0.001)
          expect(p.y + BOX_PX).toBeLessThanOrEqual(height)
          for (const q of nodes)
            if (p !== q && p.y === q.y)
              expect(p.x + p.width < q.x || q.x + q.width < p.x).toBe(true)
        }
      },
    ),
  )
})

test('level numbers share a row; a ring is drawn too', () => {
  const nodes = ['a', 'b', 'c'].map((id) => ({ id, words: id, isOwn: false }))
  const level = layOutNumbers(nodes, [edge('a', 'b'), edge('b', 'c', true)])
  expect(level.nodes.map(({ y }) => y)).toEqual([0, 58, 58])
  const ring = layOutNumbers(nodes, [edge('a', 'b'), edge('b', 'c'), edge('c', 'a')])
  expect(ring.edges).toHaveLength(3)
  expect(new Set(ring.nodes.map(({ y }) => y)).size).toBeGreaterThan(1)
})

test('the map says in words what it shows', () => {
  render(
    <NumberMap
      nodes={[
        { id: 'MLD 1', words: 'MLD 1', isOwn: true },
        { id: 'MLD 2', words: 'MLD 2', isOwn: false },
      ]}
      edges={[edge('MLD 1', 'MLD 2')]}
      label="MLD 1 replaced by MLD 2"
    />,
  )
  const map = screen.getByRole('img', { name: 'MLD 1 replaced by MLD 2' })
  expect(map.querySelectorAll('rect')).toHaveLength(2)
  expect(map.textContent).toBe('MLD 1MLD 2')
})
