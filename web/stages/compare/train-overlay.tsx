import { useId, useMemo } from 'react'
import type { TrainFigure } from '../../../core/train/train-figure.ts'
import { frameOf, stripBounds } from '../../drawing/train/frame.ts'
import { Hatches, Marks, type Weight } from '../../drawing/train/marks.tsx'
import { sceneOf } from '../../drawing/train/scene.ts'
import { useWidth } from '../../drawing/train/use-width.ts'
import { LETTERS } from './picked.ts'

const HEIGHT = 218
export const WEIGHTS: readonly Weight[] = ['filled', 'solid', 'dashed', 'hairline']

/** Trains laid over one another in one vehicle: the first inked, the others by their line alone. */
export function TrainOverlay({ trains }: { trains: readonly TrainFigure[] }) {
  const [ref, width] = useWidth<HTMLDivElement>(1000)
  const clip = useId()
  const scenes = useMemo(() => trains.map((train) => sceneOf(train, 'side')), [trains])
  const [first] = scenes
  if (!first) return null
  const frame = frameOf(stripBounds(first, 'side'), width, HEIGHT - 8, 4)
  return (
    <div ref={ref} className="relative overflow-hidden bg-ground" style={{ height: HEIGHT }}>
      <svg
        width={width}
        height={HEIGHT}
        className="absolute inset-0"
        role="img"
        aria-label={`${trains.length} trains over one another, from the left, to scale: ${LETTERS.slice(0, trains.length).join(', ')}`}
      >
        <Hatches />
        <clipPath id={clip}>
          <rect width={width} height={HEIGHT} />
        </clipPath>
        <g clipPath={`url(#${clip})`}>
          <g transform={`translate(${frame.x} ${frame.y}) scale(${frame.pxPerMm})`}>
            <Marks marks={first.vehicle} pxPerMm={frame.pxPerMm} />
            {scenes.map(({ train }, i) => (
              <Marks
                key={LETTERS[i]}
                marks={train}
                pxPerMm={frame.pxPerMm}
                weight={WEIGHTS[i] ?? 'hairline'}
              />
            ))}
          </g>
        </g>
        {scenes.map(({ places }, i) => {
          const [x] = places.output
          const px = frame.x + x * frame.pxPerMm
          const y = HEIGHT - 16 - i * 18
          return (
            <g key={LETTERS[i]}>
              <path
                d={`M${px} ${frame.y + places.output[1] * frame.pxPerMm}V${y}`}
                className="stroke-steel"
                strokeWidth={0.6}
              />
              <rect x={px - 8} y={y - 8} width={16} height={16} rx={3} className="fill-ink" />
              <text
                x={px}
                y={y + 4}
                textAnchor="middle"
                className="fill-paper text-[11.5px] font-semibold"
              >
                {LETTERS[i]}
              </text>
            </g>
          )
        })}
      </svg>
    </div>
  )
}
