import { asStored, FACE_VIEWS, type FaceView } from '../../core/patterns/as-stored.ts'
import type { AnyFieldWords, Hole } from '../../core/ports/field.ts'
import { parseTyped } from '../../core/ports/parse.ts'
import type { Reading } from '../../core/quantity/units.ts'
import { useReading } from '../api/hooks.ts'
import { PatternDrawing } from '../drawing/pattern.tsx'
import { Field } from './fields/field.tsx'
import { Select } from './fields/select.tsx'

const SAYS: Record<FaceView, string> = {
  'looking at the face': 'Looking at this face: it is mirrored for me',
  'from the gearbox': 'From the gearbox, looking at the engine: as it is kept',
}
const OPTIONS = FACE_VIEWS.map((value) => ({ value, words: SAYS[value] }))

/** How a face that looks forward was seen when its places were written down, with both views as pictures. */
export function FaceViewChoice({
  view,
  onChange,
  words,
  typed,
  fault,
}: {
  view: FaceView | ''
  onChange: (view: FaceView) => void
  words: AnyFieldWords
  typed: string
  fault?: string | undefined
}) {
  const reading = useReading()
  const written = placesOf(words, typed, reading)
  return (
    <div className="flex flex-col gap-2">
      <Field label="How it was seen" fault={fault}>
        {(shared) => (
          <Select
            {...shared}
            value={view}
            options={OPTIONS}
            nothing="Choose: a mirrored plate is a scrapped plate"
            onChange={(one) => one !== '' && onChange(one)}
          />
        )}
      </Field>
      {view !== '' && written.length > 0 && (
        <div className="grid grid-cols-2 gap-3">
          <figure>
            <PatternDrawing holes={written} label="As written" />
            <figcaption className="text-steel">As written</figcaption>
          </figure>
          <figure>
            <PatternDrawing
              holes={asStored(written, view) as readonly Hole[]}
              label="As it is kept"
            />
            <figcaption className="text-steel">As it is kept, from the gearbox</figcaption>
          </figure>
        </div>
      )}
    </div>
  )
}

/** Radius that angles are drawn on, and Ø of what has none, mm. */
const DRAWN = { radius: 60, hole: 8 }

/** What was typed as holes to be drawn; nothing while it cannot be read. */
function placesOf(words: AnyFieldWords, typed: string, reading: Reading): readonly Hole[] {
  try {
    const value = parseTyped(words, typed, reading)
    return (value as readonly (number | Partial<Hole>)[]).map((one) => {
      if (typeof one !== 'number') return { x: 0, y: 0, d: DRAWN.hole, ...one }
      const angle = (one * Math.PI) / 180
      return {
        x: DRAWN.radius * Math.cos(angle),
        y: DRAWN.radius * Math.sin(angle),
        d: DRAWN.hole,
      }
    })
  } catch {
    return []
  }
}
