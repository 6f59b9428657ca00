import type { TracedPattern } from '../../../core/patterns/from-trace.ts'
import { Button } from '../../components/ui.tsx'
import { input, type Marks } from './trace-marks.ts'

/** Distances marked on the picture, and what each is in truth. */
export function KnownDistances({
  marks,
  traced,
  onChange,
}: {
  marks: Marks
  traced: TracedPattern | null
  onChange: (known: Marks['known']) => void
}) {
  if (marks.known.length === 0) return null
  return (
    <fieldset>
      <legend className="font-bold">Known distances</legend>
      {marks.known.map((one, index) => (
        <div key={index} className="flex items-center gap-2 py-0.5">
          <label className="flex items-center gap-2">
            {index + 1}
            <input
              aria-label={`Known distance ${index + 1}`}
              value={one.typed}
              placeholder="100 mm"
              onChange={(event) =>
                onChange(
                  marks.known.map((held, i) =>
                    i === index ? { ...held, typed: event.target.value } : held,
                  ),
                )
              }
              className={`${input} figure w-28 py-1`}
            />
          </label>
          {traced?.misfits[index] !== undefined && (
            <span className="figure text-steel">
              off by {Math.abs(traced.misfits[index]).toFixed(2)} mm
            </span>
          )}
          <Button tone="quiet" onClick={() => onChange(marks.known.filter((_, i) => i !== index))}>
            Take away
          </Button>
        </div>
      ))}
    </fieldset>
  )
}
