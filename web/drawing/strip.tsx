import { useState } from 'react'
import type { Code } from '../../core/joints/code.ts'
import type { Strip as StripData } from '../../core/pairing/strip.ts'
import type { Grade } from '../../core/quantity/grade.ts'
import { JointShape } from '../components/joint-shape.tsx'
import { Button } from '../components/ui.tsx'
import { type Shape, stripShapes, type Tone, type View } from './strip-shapes.ts'

export interface StripJoint {
  readonly joint: string
  readonly short: string
  readonly code: Code
  readonly closed: Code | null
  readonly evidence: Grade | null
}

/** Above and below the crank axis, or left and right of the centre line, mm. */
const FRAME = { side: { top: -560, bottom: 400 }, plan: { top: -760, bottom: 760 } } as const
const SCALE_MM = 70
/** Drawn height, px. */
const TALL_PX = 172

const FILL: Record<Tone, string> = {
  part: 'var(--color-bench)',
  plate: 'var(--color-steel)',
  added: 'var(--color-bridge)',
  vehicle: 'none',
  pan: 'var(--color-paper)',
  under: 'var(--color-line)',
  moving: 'var(--color-rule)',
  mount: 'var(--color-ink)',
  shaft: 'none',
}

const VIEWS = [
  ['side', 'Side'],
  ['plan', 'Plan'],
] as const

/** The train from radiator to rear axle, to scale from data, from the side or above; what is not known is drawn dotted. A joint opens its why sheet. */
export function Strip({
  strip,
  joints,
  selected,
  onSelect,
}: {
  strip: StripData
  joints: readonly StripJoint[]
  selected: string | null
  onSelect: (joint: string) => void
}) {
  const [open, setOpen] = useState(localStorage.getItem('strip') !== 'closed')
  const [view, setView] = useState<View>(
    localStorage.getItem('strip-view') === 'plan' ? 'plan' : 'side',
  )
  const toggle = (): void => {
    localStorage.setItem('strip', open ? 'closed' : 'open')
    setOpen(!open)
  }
  const look = (next: View): void => {
    localStorage.setItem('strip-view', next)
    setView(next)
  }
  const drawing = stripShapes(strip, view)
  const { top, bottom } = FRAME[view]
  const width = drawing.toMm + 60
  const height = bottom - top + SCALE_MM
  const place = selected === null ? undefined : drawing.joints[selected]
  const known = drawing.shapes
    .filter((shape) => shape.tone === 'part' && !shape.known)
    .map((shape) => shape.id)
  return (
    <section
      aria-label="Strip, to scale"
      className="relative border-b border-line bg-ground print:hidden"
    >
      <span className="absolute right-3 top-1.5 flex gap-3">
        {open &&
          VIEWS.map(([id, words]) => (
            <button
              key={id}
              type="button"
              aria-pressed={view === id}
              onClick={() => look(id)}
              className="text-accent underline underline-offset-2 aria-pressed:font-bold aria-pressed:text-ink aria-pressed:no-underline"
            >
              {words}
            </button>
          ))}
        <Button tone="quiet" onClick={toggle} aria-expanded={open}>
          {open ? 'Fold the strip' : 'Show the strip'}
        </Button>
      </span>
      <div
        className={open ? 'mx-auto' : 'px-4'}
        style={open ? { maxWidth: Math.max(720, (TALL_PX * width) / height) } : undefined}
      >
        <div className="flex flex-wrap gap-0.5 pl-2 pr-52 pt-1.5">
          {joints.map((joint) => (
            <button
              key={joint.joint}
              type="button"
              aria-pressed={selected === joint.joint}
              onClick={() => onSelect(joint.joint)}
              className="flex flex-col items-center rounded px-1.5 py-0.5 hover:bg-bench aria-pressed:bg-chosen"
            >
              <JointShape code={joint.code} closed={joint.closed} evidence={joint.evidence} />
              <span className="narrow font-semibold leading-tight">{joint.short}</span>
            </button>
          ))}
        </div>
        {open && (
          <svg
            viewBox={`-60 ${top} ${width} ${height}`}
            className="block w-full"
            style={{ height: TALL_PX }}
            preserveAspectRatio="xMidYMid meet"
            role="img"
            aria-label={`${view === 'side' ? 'Side view' : 'Plan view'} to scale, ${strip.layout}: block face ${strip.blockFace.mm} mm behind the radiator${known.length > 0 ? `; not measured: ${known.join(', ')}` : ''}`}
          >
            <g stroke="var(--color-ink)" strokeWidth="5">
              {drawing.shapes.map((shape) => (
                <Drawn key={shape.id} shape={shape} />
              ))}
              {place && (
                <path
                  d={`M${place[0]} ${top}V${bottom}`}
                  stroke="var(--color-accent)"
                  strokeDasharray="10 10"
                />
              )}
            </g>
            <Scale to={drawing.toMm - 80} at={bottom} />
          </svg>
        )}
      </div>
    </section>
  )
}

/** Lines are open, boxes closed; plates are solid. */
function Drawn({ shape }: { shape: Shape }) {
  const look = {
    fill: FILL[shape.tone],
    stroke:
      shape.tone === 'vehicle'
        ? 'var(--color-line)'
        : shape.tone === 'plate' || shape.tone === 'added' || shape.tone === 'mount'
          ? 'none'
          : undefined,
    strokeDasharray: shape.known ? undefined : '14 14',
  }
  if (shape.circle)
    return <circle cx={shape.circle.x} cy={shape.circle.y} r={shape.circle.r} {...look} />
  const points = shape.points!.map((point) => point.join(',')).join(' ')
  const isLine = shape.id === 'firewall' || shape.points!.length === 2
  return isLine ? (
    <polyline points={points} {...look} fill="none" />
  ) : (
    <polygon points={points} {...look} opacity={shape.known || shape.tone !== 'plate' ? 1 : 0.4} />
  )
}

function Scale({ to, at }: { to: number; at: number }) {
  const marks = Array.from({ length: Math.floor((to - 500) / 500) + 1 }, (_, i) => i * 500)
  return (
    <g stroke="var(--color-line)" strokeWidth="4">
      <path d={`M0 ${at}H${to}`} />
      {marks.map((mark) => (
        <g key={mark}>
          <path d={`M${mark} ${at - 18}V${at}`} />
          <text
            x={mark}
            y={at + 52}
            fontSize="48"
            textAnchor="middle"
            stroke="none"
            fill="var(--color-steel)"
            className="figure"
          >
            {mark}
          </text>
        </g>
      ))}
      <text
        x={to}
        y={at + 52}
        fontSize="48"
        textAnchor="end"
        stroke="none"
        fill="var(--color-steel)"
      >
        mm from radiator
      </text>
    </g>
  )
}
