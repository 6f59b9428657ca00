import type { ReactNode } from 'react'
import type { MissingField } from '../../../core/joints/verdict.ts'
import { keyOf, type Measurements, wordsOf } from './use-measurements.ts'

const WIDE = 100
const TICK = 1.4

export interface PlacedField {
  readonly field: MissingField
  readonly ends: readonly [number, number, number, number]
  /** Where it is typed. */
  readonly at: readonly [number, number]
}

/** A drawing 100 wide on which each field sits on the length it names. */
export function LengthsDrawing({
  title,
  high,
  placed,
  measurements,
  chosen,
  onChoose,
  known,
  className = '',
  children,
}: {
  title: string
  high: number
  placed: readonly PlacedField[]
  measurements: Measurements
  chosen: MissingField | null
  onChoose: (field: MissingField) => void
  /** What it is taken to be now; empty where it is not known. */
  known: (field: MissingField) => string
  className?: string
  /** What is measured. */
  children: ReactNode
}) {
  return (
    <figure className={className}>
      <div className="relative bg-ground" style={{ aspectRatio: `${WIDE} / ${high}` }}>
        <svg
          role="img"
          aria-label={`${title}: a sketch with its lengths, not to scale`}
          viewBox={`0 0 ${WIDE} ${high}`}
          className="absolute inset-0 size-full"
        >
          {children}
          {placed.map(({ field, ends }) => (
            <Length
              key={keyOf(field)}
              ends={ends}
              isChosen={chosen !== null && keyOf(chosen) === keyOf(field)}
            />
          ))}
        </svg>
        {placed.map(({ field, at: [x, y] }) => {
          const typed = measurements.typed(field)
          const shown = typed || measurements.recorded(field)?.shown || ''
          const { fault } = measurements.of(field)
          return (
            <input
              key={keyOf(field)}
              aria-label={`${field.label}, ${field.partName}`}
              aria-invalid={fault !== ''}
              title={field.label}
              value={shown}
              placeholder={known(field) || `? ${wordsOf(field)?.unit ?? ''}`}
              autoComplete="off"
              onFocus={() => onChoose(field)}
              onChange={(event) => measurements.type(field, event.target.value)}
              className={`figure absolute h-[22px] w-[58px] -translate-x-1/2 -translate-y-1/2 rounded border bg-ground px-1 text-center text-[11.5px] aria-[invalid=true]:border-clash ${typed ? 'border-rule' : shown || known(field) ? 'border-steel placeholder:text-steel' : 'border-dashed border-unmeasured'}`}
              style={{ left: `${x}%`, top: `${(y / high) * 100}%` }}
            />
          )
        })}
      </div>
      <figcaption className="pt-0.5 text-[12px] text-steel">{title}</figcaption>
    </figure>
  )
}

/** A dimension line with a stroke across either end. */
function Length({
  ends: [x1, y1, x2, y2],
  isChosen,
}: {
  ends: readonly [number, number, number, number]
  isChosen: boolean
}) {
  const long = Math.hypot(x2 - x1, y2 - y1) || 1
  const [ux, uy] = [((x2 - x1) / long) * TICK, ((y2 - y1) / long) * TICK]
  return (
    <path
      d={`M${x1} ${y1}L${x2} ${y2}M${x1 - uy} ${y1 + ux}L${x1 + uy} ${y1 - ux}M${x2 - uy} ${y2 + ux}L${x2 + uy} ${y2 - ux}`}
      className={`fill-none ${isChosen ? 'stroke-accent' : 'stroke-ink'}`}
      strokeWidth={isChosen ? 0.9 : 0.35}
    />
  )
}
