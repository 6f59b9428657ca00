import { useState } from 'react'
import { CLOCK, type Correction, type Sweep } from '../../../core/mechanics/concentricity.ts'
import type { SheetAnswers, SheetQuestion } from '../../../core/sheets/sheet.ts'

const RADIUS = 118
const CENTRE = 150
/** How many times the offset is drawn larger than it is, px per mm. */
const ENLARGED = 160

const placeOf = (degrees: number, radius: number): { left: number; top: number } => ({
  left: CENTRE + radius * Math.cos((degrees * Math.PI) / 180),
  top: CENTRE - radius * Math.sin((degrees * Math.PI) / 180),
})

/** Eight readings where they were taken; the middle of the bore and the way back, enlarged. */
export function ClockSweep({
  questions,
  answers,
  sweep,
  correction,
  onSay,
}: {
  questions: readonly SheetQuestion[]
  answers: SheetAnswers
  sweep: Sweep | null
  correction: Correction | null
  onSay: (question: string, value: string) => void
}) {
  const at = sweep && {
    x: CENTRE + sweep.offset.x * ENLARGED,
    y: CENTRE - sweep.offset.y * ENLARGED,
  }
  return (
    <div className="relative my-3 h-[300px] w-[300px]">
      <svg viewBox="0 0 300 300" className="absolute inset-0" aria-hidden="true">
        <circle
          cx={CENTRE}
          cy={CENTRE}
          r={78}
          className="fill-ground stroke-line"
          strokeWidth={1.5}
        />
        <path
          d={`M${CENTRE - 8} ${CENTRE}h16M${CENTRE} ${CENTRE - 8}v16`}
          className="stroke-steel"
          strokeWidth={1}
        />
        {at && <circle cx={at.x} cy={at.y} r={4} className="fill-ink" />}
        {at && correction && (
          <path
            d={`M${at.x} ${at.y}L${CENTRE} ${CENTRE}`}
            className="stroke-clash"
            strokeWidth={2}
          />
        )}
      </svg>
      {questions.map((question, index) => (
        <Reading
          key={question.id}
          question={question}
          place={placeOf(CLOCK[index]!.degrees, RADIUS)}
          value={answers[question.id]?.value ?? ''}
          onSay={(value) => onSay(question.id, value)}
        />
      ))}
    </div>
  )
}

function Reading({
  question,
  place,
  value,
  onSay,
}: {
  question: SheetQuestion
  place: { left: number; top: number }
  value: string
  onSay: (value: string) => void
}) {
  const [typed, setTyped] = useState<string | null>(null)
  const leave = (): void => {
    if (typed !== null && typed.trim() !== value) onSay(typed.trim())
    setTyped(null)
  }
  return (
    <label
      className="absolute w-[58px] -translate-x-1/2 -translate-y-1/2 text-center"
      style={place}
    >
      <span className="block text-[11px] text-steel">{question.words}</span>
      <input
        value={typed ?? value}
        inputMode="decimal"
        autoComplete="off"
        onChange={(event) => setTyped(event.target.value)}
        onBlur={leave}
        className="figure w-full rounded border border-steel bg-ground px-1 py-0.5 text-center"
      />
    </label>
  )
}
