import { useId } from 'react'
import type { MatingFigure } from '../../../core/train/mating-figure.ts'
import { Hatches, Marks } from './marks.tsx'
import { MATING_FRAME, matingPlane } from './mating-plane.ts'
import { matingDepths } from './mating-section.ts'

const TALL = 282
const NOTES = 190
const { x0, y0, x1, y1 } = MATING_FRAME

/** What the section says of each depth, beside it: its name, where it is, and its figure. */
interface Note {
  readonly words: string
  readonly mm: number | null
  readonly x: number
  readonly y: number
}

function notesOf(m: MatingFigure): readonly Note[] {
  const at = matingDepths(m)
  const common: readonly Note[] = [
    ...(m.platesMm > 0 ? [{ words: 'plates', mm: m.platesMm, x: m.platesMm / 2, y: -190 }] : []),
    { words: 'flange', mm: m.flange, x: m.flange ?? 8, y: -46 },
    ...(m.spacersMm > 0
      ? [{ words: 'spacer', mm: m.spacersMm, x: at.flange - m.spacersMm / 2, y: -40 }]
      : []),
  ]
  return m.kind === 'converter'
    ? [
        ...common,
        {
          words: 'pull-up',
          mm:
            m.pads === null || m.flange === null || m.plateHeight === null
              ? null
              : at.pads - at.plate,
          x: (at.pads + at.plate) / 2,
          y: -(m.padCircle ?? 250) / 2,
        },
      ]
    : [
        ...common,
        { words: 'clutch face', mm: m.clutchFace, x: at.clutch, y: -110 },
        { words: 'shaft tip', mm: m.tip, x: at.tip, y: 0 },
        { words: 'bearing at rest', mm: m.bearingRest, x: at.rest, y: -34 },
        { words: 'pinion at rest', mm: m.pinionRest, x: at.pinion, y: -(m.starterAxis ?? 150) },
      ]
}

/** The mating plane in section to scale, its depths named: clutch or converter, from block face to bearing or pump. */
export function MatingPlane({ mating, height = TALL }: { mating: MatingFigure; height?: number }) {
  const clip = useId()
  const scale = height / (y1 - y0)
  const width = (x1 - x0) * scale
  const notes = notesOf(mating).toSorted((a, b) => a.y - b.y)
  return (
    <svg
      width={width + NOTES}
      height={height}
      role="img"
      aria-label={`Mating plane in section, ${mating.kind}: ${notes.map(({ words, mm }) => `${words} ${mm === null ? 'not measured' : `${round(mm)} mm`}`).join(', ')}`}
    >
      <Hatches />
      <defs>
        <clipPath id={clip}>
          <rect width={width} height={height} />
        </clipPath>
      </defs>
      <g clipPath={`url(#${clip})`}>
        <rect width={width} height={height} className="fill-paper" />
        <g transform={`scale(${scale}) translate(${-x0} ${-y0})`}>
          <Marks marks={matingPlane(mating)} pxPerMm={scale} />
        </g>
      </g>
      <rect
        x={0.5}
        y={0.5}
        width={width - 1}
        height={height - 1}
        fill="none"
        className="stroke-ink"
      />
      {notes.map(({ words, mm, x, y }, i) => {
        const [px, py] = [(x - x0) * scale, (y - y0) * scale]
        const ty = 22 + i * ((height - 44) / Math.max(1, notes.length - 1))
        return (
          <g key={words}>
            <path
              d={`M${px} ${py}L${width + 12} ${ty}H${width + 20}`}
              fill="none"
              strokeWidth={0.6}
              className="stroke-steel"
            />
            <circle cx={px} cy={py} r={1.8} className="fill-ink" />
            <text x={width + 26} y={ty + 4} className="fill-ink text-[12px]">
              {words} <tspan className="figure">{mm === null ? 'not measured' : round(mm)}</tspan>
            </text>
          </g>
        )
      })}
    </svg>
  )
}

const round = (mm: number): string => String(Math.round(mm * 10) / 10).replace('-', '−')
