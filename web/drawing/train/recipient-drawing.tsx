import { type ReactNode, useId } from 'react'
import {
  type Dimension,
  dimensionId,
  VIEW_WORDS,
  type View,
} from '../../../core/recipient/dimensions.ts'
import type { TrainFigure } from '../../../core/train/train-figure.ts'
import { type DimensionLine, dimensionSheet, SCENE_OF } from './dimension-lines.ts'
import { frameOf } from './frame.ts'
import { Hatches, Marks } from './marks.tsx'
import { sceneOf } from './scene.ts'
import { useWidth } from './use-width.ts'

/** The recipient to scale with the dimensions of a view on it; each field stands on the length it names. */
export function RecipientDrawing({
  train,
  view,
  open,
  children,
}: {
  train: TrainFigure
  view: View
  /** The dimension that is looked at. */
  open: Dimension | null
  /** The field of a dimension. */
  children: (dimension: Dimension) => ReactNode
}) {
  const [ref, width] = useWidth<HTMLDivElement>(860)
  const clip = useId()
  const sheet = dimensionSheet(train, view, width)
  const { vehicle, train: own } = sceneOf(train, SCENE_OF[view])
  const { frame } = sheet
  return (
    <div ref={ref} className="relative overflow-hidden bg-ground" style={{ height: sheet.height }}>
      <svg
        role="img"
        aria-label={`${VIEW_WORDS[view]}, to scale, with its dimensions`}
        width={width}
        height={sheet.height}
        className="absolute inset-0"
      >
        <Hatches />
        <clipPath id={clip}>
          <rect y={sheet.drawn.top} width={width} height={sheet.drawn.height} />
        </clipPath>
        <g clipPath={`url(#${clip})`}>
          <g transform={`translate(${frame.x} ${frame.y}) scale(${frame.pxPerMm})`}>
            <Marks marks={vehicle} pxPerMm={frame.pxPerMm} />
            <Marks marks={own} pxPerMm={frame.pxPerMm} />
          </g>
        </g>
        {sheet.lines.map((line) => (
          <Line
            key={dimensionId(line.dimension)}
            line={line}
            isOpen={open !== null && dimensionId(open) === dimensionId(line.dimension)}
          />
        ))}
      </svg>
      {sheet.lines.map(({ dimension, at: [x, y] }) => (
        <span
          key={dimensionId(dimension)}
          className="absolute -translate-x-1/2 -translate-y-1/2"
          style={{ left: x, top: y }}
        >
          {children(dimension)}
        </span>
      ))}
    </div>
  )
}

const TICK = 4

function Line({ line: { from, to, feet }, isOpen }: { line: DimensionLine; isOpen: boolean }) {
  const long = Math.hypot(to[0] - from[0], to[1] - from[1]) || 1
  const [ux, uy] = [((to[0] - from[0]) / long) * TICK, ((to[1] - from[1]) / long) * TICK]
  const tick = ([x, y]: readonly [number, number]): string =>
    `M${x - uy} ${y + ux}L${x + uy} ${y - ux}`
  return (
    <g className={isOpen ? 'stroke-accent' : 'stroke-steel'} fill="none">
      {[from, to].map(([x, y], i) =>
        feet[i]![1] === y ? null : (
          <path
            key={x + i}
            d={`M${x} ${y}L${feet[i]![0]} ${feet[i]![1]}`}
            strokeWidth={0.5}
            strokeDasharray="2 3"
          />
        ),
      )}
      <path
        d={`M${from[0]} ${from[1]}L${to[0]} ${to[1]}${tick(from)}${tick(to)}`}
        strokeWidth={isOpen ? 2 : 1}
      />
    </g>
  )
}

const SMALL = { width: 200, height: 92 }

/** One dimension on a small drawing of the recipient: for a line of a card. */
export function DimensionSketch({
  train,
  dimension,
  label,
}: {
  train: TrainFigure
  dimension: Dimension
  label: string
}) {
  const sheet = dimensionSheet(train, dimension.view, SMALL.width)
  const line = sheet.lines.find((one) => dimensionId(one.dimension) === dimensionId(dimension))
  const { vehicle, train: own, bounds } = sceneOf(train, SCENE_OF[dimension.view])
  const frame = frameOf(bounds, SMALL.width, SMALL.height)
  const onSmall = ([x, y]: readonly [number, number]): readonly [number, number] => [
    ((x - sheet.frame.x) / sheet.frame.pxPerMm) * frame.pxPerMm + frame.x,
    ((y - sheet.frame.y) / sheet.frame.pxPerMm) * frame.pxPerMm + frame.y,
  ]
  const [a, b] = line ? line.feet.map(onSmall) : []
  return (
    <svg
      role="img"
      aria-label={`Sketch: ${label}`}
      viewBox={`0 0 ${SMALL.width} ${SMALL.height}`}
      className="w-full bg-ground"
    >
      <g opacity={0.6}>
        <g transform={`translate(${frame.x} ${frame.y}) scale(${frame.pxPerMm})`}>
          <Marks marks={vehicle} pxPerMm={frame.pxPerMm} />
          <Marks marks={own} pxPerMm={frame.pxPerMm} />
        </g>
      </g>
      {a && b && (
        <path d={`M${a[0]} ${a[1]}L${b[0]} ${b[1]}`} className="stroke-accent" strokeWidth={3} />
      )}
    </svg>
  )
}
