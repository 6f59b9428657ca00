import type { Dowel, Hole, Point } from '../../core/ports/field.ts'

const MARGIN_MM = 24
const SCALE_MM = 100
const CROSS_MM = 8

/**
 * A face to scale, in the train frame: holes numbered, dowels ringed, the axis a cross, 100 mm to judge by. A second
 * pattern lies over it in the accent.
 */
export function PatternDrawing({
  holes,
  dowels = [],
  outline = [],
  over,
  label,
}: {
  holes: readonly Hole[]
  dowels?: readonly Dowel[]
  outline?: readonly Point[]
  over?: readonly Hole[] | undefined
  label: string
}) {
  const all = [...holes, ...dowels, ...outline, ...(over ?? []), { x: 0, y: 0 }]
  const left = Math.min(...all.map(({ x }) => x)) - MARGIN_MM
  const right = Math.max(...all.map(({ x }) => x), left + SCALE_MM) + MARGIN_MM
  const top = Math.max(...all.map(({ y }) => y)) + MARGIN_MM
  const bottom = Math.min(...all.map(({ y }) => y)) - MARGIN_MM - 16
  // y runs up in the train frame and down on the screen.
  return (
    <svg
      role="img"
      aria-label={label}
      viewBox={`${left} ${-top} ${right - left} ${top - bottom}`}
      className="max-h-[56vh] w-full bg-ground print:max-h-none"
    >
      {outline.length > 2 && (
        <polygon
          points={outline.map(({ x, y }) => `${x},${-y}`).join(' ')}
          className="fill-none stroke-line"
          strokeWidth={1}
        />
      )}
      <path
        d={`M${-CROSS_MM} 0H${CROSS_MM}M0 ${-CROSS_MM}V${CROSS_MM}`}
        className="stroke-steel"
        strokeWidth={0.8}
      />
      {holes.map((hole, index) => (
        <g key={index}>
          <circle
            cx={hole.x}
            cy={-hole.y}
            r={hole.d / 2}
            className="fill-none stroke-ink"
            strokeWidth={1}
          />
          <text
            x={hole.x + hole.d / 2 + 3}
            y={-hole.y + 3}
            className="figure fill-ink"
            fontSize={9}
          >
            {index + 1}
          </text>
        </g>
      ))}
      {dowels.map((dowel, index) => (
        <g key={index}>
          <circle
            cx={dowel.x}
            cy={-dowel.y}
            r={dowel.d / 2}
            className="fill-bench stroke-ink"
            strokeWidth={1}
          />
          <circle
            cx={dowel.x}
            cy={-dowel.y}
            r={dowel.d / 2 + 3}
            className="fill-none stroke-ink"
            strokeWidth={0.6}
          />
        </g>
      ))}
      {over?.map((hole, index) => (
        <circle
          key={index}
          cx={hole.x}
          cy={-hole.y}
          r={hole.d / 2}
          className="fill-none stroke-accent"
          strokeWidth={1.4}
          strokeDasharray="3 2"
        />
      ))}
      <path
        d={`M${left + MARGIN_MM / 2} ${-bottom - 8}h${SCALE_MM}`}
        className="stroke-ink"
        strokeWidth={1.2}
      />
      <text x={left + MARGIN_MM / 2} y={-bottom - 12} className="figure fill-steel" fontSize={9}>
        100 mm
      </text>
    </svg>
  )
}
