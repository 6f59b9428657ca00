import { useId, useState } from 'react'
import { type Dimension, dimensionId, dimensionWords } from '../../../core/recipient/dimensions.ts'
import type { Measuring } from './measure.ts'

/** One dimension's field. What is typed is kept when the field is left or Enter is pressed; Escape takes it back. */
export function DimensionInput({
  dimension,
  measuring,
  onFocus,
  className = '',
}: {
  dimension: Dimension
  measuring: Measuring
  onFocus?: () => void
  className?: string
}) {
  const [typed, setTyped] = useState<string | null>(null)
  const id = useId()
  const words = dimensionWords(dimension)
  const shown = measuring.shown(dimension)
  const fault = measuring.faults[dimensionId(dimension)]
  const leave = (): void => {
    if (typed === null) return
    const isNew = typed.trim() !== '' && typed.trim() !== shown.text
    if (!isNew || measuring.record(dimension, typed)) setTyped(null)
  }
  return (
    <>
      <input
        aria-label={words.label}
        aria-invalid={fault !== undefined}
        aria-describedby={`${id}-state`}
        value={typed ?? shown.text}
        placeholder={words.unit === '°' ? '?°' : '? mm'}
        inputMode="text"
        autoComplete="off"
        onFocus={onFocus}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={leave}
        onKeyDown={(event) => {
          if (event.key === 'Enter') leave()
          if (event.key === 'Escape') setTyped(null)
        }}
        className={`figure rounded border bg-ground px-1 aria-[invalid=true]:border-clash ${shown.text === '' && typed === null ? 'border-dashed border-unmeasured' : shown.isWaiting ? 'border-rule' : 'border-steel'} ${className}`}
      />
      <span id={`${id}-state`} className="sr-only">
        {fault ?? shown.detail}
      </span>
    </>
  )
}
