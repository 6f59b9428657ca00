import { frameOf } from './frame.ts'
import { boundsOf, type Mark } from './mark.ts'
import { Marks } from './marks.tsx'

/** Marks alone, filling a box: for cards and cells. */
export function TrainPicture({
  marks,
  width,
  height,
  label,
  className,
}: {
  marks: readonly Mark[]
  width: number
  height: number
  label: string
  className?: string
}) {
  const frame = frameOf(boundsOf(marks), width - 4, height - 4, 2)
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      width={width}
      height={height}
      role="img"
      aria-label={label}
      className={className}
    >
      <g transform={`translate(${frame.x + 2} ${frame.y}) scale(${frame.pxPerMm})`}>
        <Marks marks={marks} pxPerMm={frame.pxPerMm} />
      </g>
    </svg>
  )
}
