import { useId } from 'react'
import { BOX_PX, layOutNumbers, type NumberEdge, type NumberNode } from './number-map-layout.ts'

/** Numbers with what leads from one to another: down by replacement, sideways where they stand for one another. */
export function NumberMap({
  nodes,
  edges,
  label,
}: {
  nodes: readonly NumberNode[]
  edges: readonly NumberEdge[]
  /** The same in words. */
  label: string
}) {
  const head = useId()
  const { nodes: placed, edges: drawn, width, height } = layOutNumbers(nodes, edges)
  return (
    <svg
      role="img"
      aria-label={label}
      viewBox={`-1 -1 ${width + 2} ${height + 2}`}
      width={width + 2}
      className="h-auto max-w-full"
    >
      <defs>
        <marker
          id={head}
          viewBox="0 0 8 8"
          refX="8"
          refY="4"
          markerWidth="8"
          markerHeight="8"
          orient="auto-start-reverse"
        >
          <path d="M0 0L8 4L0 8z" className="fill-ink" />
        </marker>
      </defs>
      {drawn.map(({ from, to, path, isBothWays, isLevel }) => (
        <path
          key={`${from} ${to} ${isLevel}`}
          d={path}
          className="fill-none stroke-ink"
          strokeDasharray={isLevel ? '4 3' : undefined}
          markerEnd={`url(#${head})`}
          markerStart={isBothWays ? `url(#${head})` : undefined}
        />
      ))}
      {placed.map(({ id, words, isOwn, x, y, width: wide }) => (
        <g key={id}>
          <rect
            x={x}
            y={y}
            width={wide}
            height={BOX_PX}
            rx={3}
            className={isOwn ? 'fill-bench stroke-ink' : 'fill-ground stroke-steel'}
          />
          <text
            x={x + wide / 2}
            y={y + BOX_PX / 2 + 4}
            textAnchor="middle"
            className="figure fill-ink text-[12px]"
          >
            {words}
          </text>
        </g>
      ))}
    </svg>
  )
}
