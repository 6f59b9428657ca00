import { memo } from 'react'
import { AXIS_DASH, DOTTED, INKS, isSeenAt, type Tone } from './ink.ts'
import { type Mark, pathOf } from './mark.ts'

/** How a whole train is drawn: inked, or as one of several laid over one another by its line alone. */
export type Weight = 'filled' | 'solid' | 'dashed' | 'hairline'

const HATCHES: Readonly<Partial<Record<Tone, string>>> = {
  hatch: 'url(#train-hatch)',
  'hatch-other': 'url(#train-hatch-other)',
  'hatch-fine': 'url(#train-hatch-fine)',
}
const paint = (tone: Tone | null): string =>
  tone === null ? 'none' : (HATCHES[tone] ?? `var(--color-${tone})`)

const LAID_OVER: Readonly<Record<Exclude<Weight, 'filled'>, { width: number; dash?: string }>> = {
  solid: { width: 1.9 },
  dashed: { width: 1.5, dash: '7 3.5' },
  hairline: { width: 0.8 },
}

/** Marks inked at a scale: what could not be seen at it is left out. */
export const Marks = memo(function Marks({
  marks,
  pxPerMm,
  weight = 'filled',
}: {
  marks: readonly Mark[]
  pxPerMm: number
  weight?: Weight
}) {
  const seen =
    weight === 'filled'
      ? marks.filter(({ detail }) => isSeenAt(detail, pxPerMm))
      : marks.filter(({ detail }) => detail === 'silhouette')
  return (
    <g strokeLinejoin="round" strokeLinecap="round">
      {seen.map((mark, i) => (
        <Inked key={`${mark.part} ${i}`} mark={mark} weight={weight} />
      ))}
    </g>
  )
})

function Inked({ mark, weight }: { mark: Mark; weight: Weight }) {
  const ink = INKS[mark.look]
  const look =
    weight === 'filled'
      ? {
          fill: paint(ink.fill),
          fillOpacity: mark.known ? undefined : 0.6,
          stroke: mark.known || ink.stroke ? paint(ink.stroke) : 'var(--color-ink)',
          strokeWidth: mark.known ? ink.width : Math.max(ink.width, 1.1),
          strokeDasharray: mark.known ? (mark.look === 'axis' ? AXIS_DASH : undefined) : DOTTED,
        }
      : {
          fill: 'none',
          stroke: 'var(--color-ink)',
          strokeWidth: LAID_OVER[weight].width,
          strokeDasharray: mark.known ? LAID_OVER[weight].dash : DOTTED,
        }
  if ('r' in mark)
    return (
      <circle
        cx={mark.at[0]}
        cy={mark.at[1]}
        r={mark.r}
        vectorEffect="non-scaling-stroke"
        {...look}
      />
    )
  return (
    <path
      d={pathOf(mark)}
      vectorEffect="non-scaling-stroke"
      {...look}
      fill={mark.closed ? look.fill : 'none'}
    />
  )
}

/** Hatchings of cut metal, once a page. */
export function Hatches() {
  return (
    <defs>
      {(
        [
          ['train-hatch', 45, 5, 'paper', 'steel', 0.8],
          ['train-hatch-other', -45, 5, 'ground', 'steel', 0.8],
          ['train-hatch-fine', 45, 3, 'bench', 'steel', 0.8],
        ] as const
      ).map(([id, turn, step, ground, ink, width]) => (
        <pattern
          key={id}
          id={id}
          width={step}
          height={step}
          patternUnits="userSpaceOnUse"
          patternTransform={`rotate(${turn})`}
        >
          <rect width={step} height={step} fill={`var(--color-${ground})`} />
          <line y2={step} stroke={`var(--color-${ink})`} strokeWidth={width} strokeOpacity={0.55} />
        </pattern>
      ))}
    </defs>
  )
}
