import { useId, useMemo } from 'react'
import type { StripPlace } from '../../../core/joints/joint.ts'
import type { TrainFigure } from '../../../core/train/train-figure.ts'
import { Hatches, Marks } from './marks.tsx'
import { MatingPlane } from './mating-plane-view.tsx'
import { sceneOf } from './scene.ts'

const WIDTH = 340
const HEIGHT = 150
const SCALE = 0.3
const SECTION = 180
/** Places that are seen in section: between block and bell. */
const IN_SECTION: ReadonlySet<StripPlace> = new Set([
  'face',
  'flange',
  'pilot',
  'release',
  'starter',
])

/** The train where one joint is, to scale: in section at the mating plane, elsewhere from the side. */
export function JointCloseUp({ train, joint }: { train: TrainFigure; joint: string }) {
  const clip = useId()
  const place = train.joints[joint]
  const scene = useMemo(() => sceneOf(train, 'side'), [train])
  if (!place) return null
  if (IN_SECTION.has(place)) return <MatingPlane mating={train.mating} height={SECTION} />
  const [x, y] = scene.places[place]
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="w-full border border-line bg-ground"
      role="img"
      aria-label="Where it is on the train, from the left"
    >
      <Hatches />
      <clipPath id={clip}>
        <rect width={WIDTH} height={HEIGHT} />
      </clipPath>
      <g clipPath={`url(#${clip})`}>
        <g
          transform={`translate(${WIDTH / 2 - x * SCALE} ${HEIGHT / 2 - y * SCALE}) scale(${SCALE})`}
        >
          <Marks marks={scene.vehicle} pxPerMm={SCALE} />
          <Marks marks={scene.train} pxPerMm={SCALE} />
        </g>
        <circle
          cx={WIDTH / 2}
          cy={HEIGHT / 2}
          r={14}
          fill="none"
          strokeWidth={1.6}
          className="stroke-accent"
        />
      </g>
    </svg>
  )
}
