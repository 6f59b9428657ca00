import { useState } from 'react'
import { Link } from 'react-router'
import type { MissingField, Verdict } from '../../../core/joints/verdict.ts'
import { Dialog } from '../../components/dialog.tsx'
import { ClaimForm, keyOf } from './claim-form.tsx'

/** Lists a joint's fields, missing ones first, and writes one claim on the part that owns the field. */
export function MeasureDialog({
  build,
  title,
  verdict,
  onClose,
}: {
  build: string
  title: string
  verdict: Verdict
  onClose: () => void
}) {
  const missing = new Set(verdict.missing.map(keyOf))
  const fields = [...verdict.fields].sort(
    (p, q) => Number(missing.has(keyOf(q))) - Number(missing.has(keyOf(p))),
  )
  const [chosen, setChosen] = useState<MissingField | null>(
    fields.find((field) => missing.has(keyOf(field)) && field.part !== '?') ?? null,
  )
  return (
    <Dialog open onOpenChange={onClose} title={`Record a measurement: ${title.toLowerCase()}`} wide>
      <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,1.2fr)] gap-5 max-[700px]:grid-cols-1">
        <ul className="max-h-[60vh] overflow-y-auto" aria-label="Fields of this joint">
          {fields.map((field) => (
            <li key={keyOf(field)} className="border-b border-line">
              {field.part === '?' ? (
                <p className="py-1.5">
                  No {field.partName.toLowerCase()} is named yet.{' '}
                  <Link to="/catalogue" className="text-accent underline">
                    Add it in Catalogue
                  </Link>
                  <span className="text-steel">
                    , then measure its {field.label.toLowerCase()}.
                  </span>
                </p>
              ) : (
                <button
                  type="button"
                  aria-pressed={chosen !== null && keyOf(chosen) === keyOf(field)}
                  onClick={() => setChosen(field)}
                  className="w-full rounded px-1.5 py-1.5 text-left hover:bg-bench aria-pressed:bg-chosen"
                >
                  <span className={missing.has(keyOf(field)) ? 'font-bold' : ''}>
                    {field.label}
                  </span>
                  <span className="text-steel">
                    , {field.partName}
                    {missing.has(keyOf(field)) ? ` · missing · ${field.minutes} min` : ''}
                  </span>
                </button>
              )}
            </li>
          ))}
        </ul>
        {chosen ? (
          <ClaimForm key={keyOf(chosen)} build={build} field={chosen} onDone={onClose} />
        ) : (
          <p className="text-steel">Choose what you measured.</p>
        )}
      </div>
    </Dialog>
  )
}
