import { useState } from 'react'
import type { Code } from '../../core/joints/verdict.ts'
import type { Strip as StripData, StripLength } from '../../core/pairing/strip.ts'
import type { Grade } from '../../core/quantity/grade.ts'
import { JointShape } from '../components/joint-shape.tsx'
import { Button } from '../components/ui.tsx'

/** Width of one joint shape's place above the drawing, in drawing mm. */
const SLOT_MM = 90

export interface StripJoint {
  readonly joint: string
  readonly short: string
  readonly code: Code
  readonly closed: Code | null
  readonly evidence: Grade | null
}

const HEIGHT_MM = 880
/** Height of the crank axis in the drawing; room above it for the engine, below for the wheels. */
const SHAFT_MM = 480
/** Drawn height, px. */
const TALL_PX = 178
const dash = (length: StripLength): string | undefined => (length.known ? undefined : '14 14')

/** The train from radiator to rear axle, to scale from data; what is not known is drawn dotted. A joint opens its why sheet. */
export function Strip({ strip, joints, selected, onSelect }: { strip: StripData; joints: readonly StripJoint[]; selected: string | null; onSelect: (joint: string) => void }) {
  const [open, setOpen] = useState(localStorage.getItem('strip') !== 'closed')
  const toggle = (): void => {
    localStorage.setItem('strip', open ? 'closed' : 'open')
    setOpen(!open)
  }
  const { blockFace, engine, plates, bell, gearbox, rearAxle } = strip
  const plateMm = plates.reduce((sum, plate) => sum + plate.mm, 0)
  const bellFrom = blockFace.mm + plateMm
  const boxFrom = bellFrom + bell.mm
  const boxTo = boxFrom + gearbox.length.mm
  const width = Math.max(rearAxle.mm, boxTo + 200) + 420
  const places: Record<string, number> = {
    'block-face': blockFace.mm,
    'crank-flange': blockFace.mm,
    depth: blockFace.mm,
    pilot: blockFace.mm,
    torque: boxFrom + gearbox.length.mm / 2,
  }
  const frame = { left: -60, width, height: HEIGHT_MM + 70 }
  return (
    <section aria-label="Strip, to scale" className="relative border-b border-line bg-ground">
      <span className="absolute right-3 top-1.5">
        <Button tone="quiet" onClick={toggle} aria-expanded={open}>
          {open ? 'Fold the strip' : 'Show the strip'}
        </Button>
      </span>
      <div className={open ? 'mx-auto' : 'px-4'} style={open ? { maxWidth: (TALL_PX * frame.width) / frame.height } : undefined}>
        <div className="flex gap-1 pt-1.5" style={open ? { paddingLeft: `${(100 * Math.max(0, blockFace.mm - 3 * SLOT_MM - frame.left)) / frame.width}%` } : undefined}>
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
            viewBox={`-60 0 ${width} ${HEIGHT_MM + 70}`}
            className="block h-[172px] w-full"
            preserveAspectRatio="xMidYMid meet"
            role="img"
            aria-label={`Side view to scale: block face ${blockFace.mm} mm behind the radiator${blockFace.known ? '' : ', not measured'}`}
          >
            <g fill="none" stroke="var(--color-ink)" strokeWidth="5">
              <path d={`M0 ${SHAFT_MM - 180}h34v420H0z`} />
              <rect
                x={blockFace.mm - engine.length.mm}
                y={SHAFT_MM + 170 - engine.height.mm}
                width={engine.length.mm}
                height={engine.height.mm}
                fill="var(--color-bench)"
                strokeDasharray={dash(engine.length)}
              />
              <Wheel x={strip.frontAxle.mm} known={strip.frontAxle.known} />
              <Wheel x={rearAxle.mm} known={rearAxle.known} />
              <Plates plates={plates} from={blockFace.mm} />
              <path
                d={`M${bellFrom} ${SHAFT_MM - 200}L${boxFrom} ${SHAFT_MM - 115}V${SHAFT_MM + 115}L${bellFrom} ${SHAFT_MM + 200}z`}
                fill="var(--color-bench)"
                strokeDasharray={dash(bell)}
              />
              <rect
                x={boxFrom}
                y={SHAFT_MM - gearbox.height.mm / 2}
                width={gearbox.length.mm}
                height={gearbox.height.mm}
                fill="var(--color-bench)"
                strokeDasharray={dash(gearbox.length)}
              />
              <path d={`M${boxTo} ${SHAFT_MM - 14}H${rearAxle.mm - 105}M${boxTo} ${SHAFT_MM + 14}H${rearAxle.mm - 105}`} strokeDasharray="14 14" />
              <circle cx={rearAxle.mm} cy={SHAFT_MM} r="105" fill="var(--color-bench)" strokeDasharray={dash(rearAxle)} />
              <path d={`M${strip.firewall.mm} 60V${SHAFT_MM + 150}q0 60 60 60H${rearAxle.mm - 330}`} stroke="var(--color-line)" strokeDasharray={dash(strip.firewall)} />
              {joints.map(
                (joint) =>
                  joint.joint === selected &&
                  places[joint.joint] !== undefined && (
                    <path key={joint.joint} d={`M${places[joint.joint]} 0V${HEIGHT_MM - 60}`} stroke="var(--color-accent)" strokeDasharray="10 10" />
                  ),
              )}
            </g>
            <Scale to={width - 200} />
          </svg>
        )}
      </div>
    </section>
  )
}

/** Plates too thin to see are given a hair of width, no more. */
function Plates({ plates, from }: { plates: StripData['plates']; from: number }) {
  let at = from
  return plates.map((plate, index) => {
    const x = at
    at += plate.mm
    return (
      <rect
        key={index}
        x={x}
        y={SHAFT_MM - 215}
        width={Math.max(plate.mm, 6)}
        height={430}
        fill={plate.added ? 'var(--color-bridge)' : 'var(--color-steel)'}
        stroke="none"
        opacity={plate.known ? 1 : 0.4}
      />
    )
  })
}

const Wheel = ({ x, known }: { x: number; known: boolean }) => <circle cx={x} cy={SHAFT_MM + 60} r="315" stroke="var(--color-line)" strokeDasharray={known ? undefined : '14 14'} />

function Scale({ to }: { to: number }) {
  const marks = Array.from({ length: Math.floor((to - 500) / 500) + 1 }, (_, i) => i * 500)
  return (
    <g stroke="var(--color-line)" strokeWidth="4">
      <path d={`M0 ${HEIGHT_MM}H${to}`} />
      {marks.map((mark) => (
        <g key={mark}>
          <path d={`M${mark} ${HEIGHT_MM - 18}V${HEIGHT_MM}`} />
          <text x={mark} y={HEIGHT_MM + 52} fontSize="48" textAnchor="middle" stroke="none" fill="var(--color-steel)" className="figure">
            {mark}
          </text>
        </g>
      ))}
      <text x={to} y={HEIGHT_MM + 52} fontSize="48" textAnchor="end" stroke="none" fill="var(--color-steel)">
        mm from radiator
      </text>
    </g>
  )
}
