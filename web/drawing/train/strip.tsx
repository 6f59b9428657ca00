import { type ReactNode, useId, useMemo, useState } from 'react'
import type { TrainFigure } from '../../../core/train/train-figure.ts'
import { useLitJoint } from '../../components/lit-joint.ts'
import { Button } from '../../components/ui.tsx'
import { frameOf, onPage, stripBounds } from './frame.ts'
import type { Mark } from './mark.ts'
import { Hatches, Marks } from './marks.tsx'
import { MatingPlane } from './mating-plane-view.tsx'
import { saveTrain } from './save-train.ts'
import { sceneOf, VIEW_WORDS, VIEWS, type View } from './scene.ts'
import type { StripJoint } from './strip-joints.ts'
import { LABELS, RULER, STRIP_TOP, StripLabels, stripRows } from './strip-labels.tsx'
import { useWidth } from './use-width.ts'

/** Height of the drawing at most and at least, px, and of a window at most: what stands under it is worked on. */
const MOST = 204
const LEAST = 110
const OF_WINDOW = 0.17
type Shown = View | 'section'

const keptView = (): Shown => {
  const kept = localStorage.getItem('strip-view')
  return kept === 'section' ? kept : (VIEWS.find((view) => view === kept) ?? 'side')
}

/**
 * The train in its vehicle, to scale from data: from the side, from above, from the front, or in section at the mating
 * plane; what nobody measured is a dotted stand-in. A joint stands over its place and opens its why sheet.
 */
export function Strip({
  train,
  name,
  joints,
  selected,
  onSelect,
  children,
}: {
  train: TrainFigure
  name: string
  joints: readonly StripJoint[]
  selected: string | null
  onSelect: (joint: string) => void
  /** What else stands in its line of tools. */
  children?: ReactNode
}) {
  const [shown, setShown] = useState<Shown>(keptView)
  const look = (next: Shown): void => {
    localStorage.setItem('strip-view', next)
    setShown(next)
  }
  return (
    <section aria-label="Strip, to scale" className="relative border-b border-line bg-ground">
      {shown === 'section' ? (
        <div className="flex items-start gap-6 overflow-x-auto px-4 py-2">
          <MatingPlane mating={train.mating} />
          <p className="max-w-64 pt-1 text-steel">
            Block to the left, gearbox to the right, all to one scale. Flange and pilot are told
            from the block face, shaft and bearing from the bell face. Dotted: not measured.
          </p>
        </div>
      ) : (
        <TrainStrip
          train={train}
          view={shown}
          joints={joints}
          selected={selected}
          onSelect={onSelect}
        />
      )}
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1 px-4 pb-1 print:hidden">
        {[...VIEWS, 'section' as const].map((view) => (
          <button
            key={view}
            type="button"
            aria-pressed={shown === view}
            onClick={() => look(view)}
            className="text-accent underline underline-offset-2 aria-pressed:font-bold aria-pressed:text-ink aria-pressed:no-underline"
          >
            {view === 'section' ? 'Mating plane' : VIEW_WORDS[view]}
          </button>
        ))}
        <Button tone="quiet" onClick={() => saveTrain(train, shown, name)}>
          Save drawing
        </Button>
        {children && <span className="ml-auto">{children}</span>}
      </div>
    </section>
  )
}

function TrainStrip({
  train,
  view,
  joints,
  selected,
  onSelect,
}: {
  train: TrainFigure
  view: View
  joints: readonly StripJoint[]
  selected: string | null
  onSelect: (joint: string) => void
}) {
  const [ref, width] = useWidth<HTMLDivElement>(1000)
  const clip = useId()
  const lit = useLitJoint()
  const scene = useMemo(() => sceneOf(train, view), [train, view])
  const bounds = stripBounds(scene, view)
  const drawn = Math.max(
    LEAST,
    Math.min(
      MOST,
      window.innerHeight * OF_WINDOW,
      ((bounds.y1 - bounds.y0) / (bounds.x1 - bounds.x0)) * width,
    ),
  )
  const frame = frameOf(bounds, width, drawn, STRIP_TOP)
  const labels = stripRows({
    train,
    scene,
    joints,
    selected,
    frame,
    width,
    foot: STRIP_TOP + drawn + RULER,
  })
  const hasUnder = labels.under.length > 0
  const height = STRIP_TOP + drawn + RULER + (hasUnder ? LABELS : 4)
  const missing = unknownOf(scene.train)
  const place = (joint: string | null) => {
    const at = joint === null ? undefined : train.joints[joint]
    return at ? onPage(frame, scene.places[at]) : null
  }
  const shownAt = place(lit ?? selected)
  return (
    <div ref={ref} className="relative overflow-hidden" style={{ height }}>
      <svg
        width={width}
        height={height}
        className="absolute inset-0"
        role="img"
        aria-label={`${VIEW_WORDS[view]} view to scale, ${train.isAcross ? 'crosswise' : 'lengthwise'}: ${wordsOf(train)}${missing.length > 0 ? `; not measured: ${missing.join(', ')}` : ''}`}
      >
        <Hatches />
        <defs>
          <clipPath id={clip}>
            <rect x={0} y={STRIP_TOP - 8} width={width} height={drawn + 10} />
          </clipPath>
        </defs>
        <g clipPath={`url(#${clip})`}>
          <g transform={`translate(${frame.x} ${frame.y}) scale(${frame.pxPerMm})`}>
            <Marks marks={scene.vehicle} pxPerMm={frame.pxPerMm} />
            <Marks marks={scene.train} pxPerMm={frame.pxPerMm} />
          </g>
        </g>
        {labels.leaders.map((leader) => (
          <path
            key={leader.key}
            d={leader.path}
            fill="none"
            strokeWidth={leader.key === `joint ${lit ?? selected}` ? 1.4 : 0.6}
            className={leader.key === `joint ${lit ?? selected}` ? 'stroke-accent' : 'stroke-steel'}
          />
        ))}
        {shownAt && (
          <circle
            cx={shownAt[0]}
            cy={shownAt[1]}
            r={6}
            fill="none"
            strokeWidth={2}
            className="stroke-accent"
          />
        )}
        {view === 'front' ? null : (
          <Ruler from={frame.x} pxPerMm={frame.pxPerMm} width={width} y={STRIP_TOP + drawn + 4} />
        )}
      </svg>
      <StripLabels
        labels={labels}
        lit={lit}
        selected={selected}
        onSelect={onSelect}
        under={STRIP_TOP + drawn + RULER}
      />
    </div>
  )
}

/** What the engine is, as one would say it. */
const wordsOf = ({ engine, face }: TrainFigure): string =>
  `${engine.count} cylinders ${engine.arrangement}, block face ${Math.round(face.mm)} mm behind the radiator`

/** Parts of the train drawn as stand-ins, each once. */
export const unknownOf = (marks: readonly Mark[]): readonly string[] => [
  ...new Set(marks.filter(({ known }) => !known).map(({ part }) => part)),
]

/** Millimetres behind the radiator along the foot of the drawing. */
function Ruler({
  from,
  pxPerMm,
  width,
  y,
}: {
  from: number
  pxPerMm: number
  width: number
  y: number
}) {
  const most = Math.floor((width - from - 10) / pxPerMm / 100)
  const ticks = Array.from({ length: Math.max(0, most) + 1 }, (_, i) => i * 100)
  return (
    <g className="stroke-line">
      <path d={`M${from} ${y}H${from + (ticks.at(-1) ?? 0) * pxPerMm}`} />
      {ticks.map((mm) => (
        <path key={mm} d={`M${from + mm * pxPerMm} ${y}v${mm % 500 === 0 ? 5 : 3}`} />
      ))}
      {ticks
        .filter((mm) => mm % 500 === 0)
        .map((mm) => (
          <text
            key={mm}
            x={from + mm * pxPerMm}
            y={y + 14}
            textAnchor="middle"
            stroke="none"
            className="figure fill-steel text-[10px]"
          >
            {mm}
          </text>
        ))}
    </g>
  )
}
