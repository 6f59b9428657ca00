import { useState } from 'react'
import { Link } from 'react-router'
import type { MissingField, Verdict } from '../../../core/joints/verdict.ts'
import { Dialog } from '../../components/dialog.tsx'
import { Button } from '../../components/ui.tsx'
import { ClaimForm, keyOf, type Recorded } from './claim-form.tsx'

/**
 * Lists a joint's fields, missing ones first, and writes one claim after another on the parts that own them: it stays
 * open, goes on to the next that is missing, and shows what was recorded.
 */
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
  const [recorded, setRecorded] = useState<Readonly<Record<string, Recorded>>>({})
  // In the order it opened with: what is recorded must not move the list under one's hand.
  const [order] = useState(() => {
    const missing = new Set(verdict.missing.map(keyOf))
    return [...verdict.fields]
      .sort((p, q) => Number(missing.has(keyOf(q))) - Number(missing.has(keyOf(p))))
      .map(keyOf)
  })
  const missing = new Set(verdict.missing.map(keyOf))
  const fields = [...verdict.fields].sort((p, q) => rank(order, p) - rank(order, q))
  const nextAfter = (done: ReadonlySet<string>): MissingField | null =>
    fields.find(
      (field) => missing.has(keyOf(field)) && field.part !== '?' && !done.has(keyOf(field)),
    ) ?? null
  const [chosen, setChosen] = useState<MissingField | null>(nextAfter(new Set()))
  const keep = (field: MissingField, one: Recorded): void => {
    const all = { ...recorded, [keyOf(field)]: one }
    setRecorded(all)
    setChosen(nextAfter(new Set(Object.keys(all))))
  }
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
                <FieldChoice
                  field={field}
                  isMissing={missing.has(keyOf(field))}
                  isChosen={chosen !== null && keyOf(chosen) === keyOf(field)}
                  recorded={recorded[keyOf(field)]}
                  onChoose={() => setChosen(field)}
                />
              )}
            </li>
          ))}
        </ul>
        {chosen ? (
          <ClaimForm
            key={keyOf(chosen)}
            build={build}
            field={chosen}
            onDone={(one) => keep(chosen, one)}
          />
        ) : (
          <div>
            <p className="mb-3">
              {Object.keys(recorded).length > 0
                ? 'Nothing is missing here any more. Choose another, or close.'
                : 'Choose what you measured.'}
            </p>
            <Button onClick={onClose}>Close</Button>
          </div>
        )}
      </div>
    </Dialog>
  )
}

const rank = (order: readonly string[], field: MissingField): number => {
  const at = order.indexOf(keyOf(field))
  return at < 0 ? order.length : at
}

const FieldChoice = ({
  field,
  isMissing,
  isChosen,
  recorded,
  onChoose,
}: {
  field: MissingField
  isMissing: boolean
  isChosen: boolean
  recorded: Recorded | undefined
  onChoose: () => void
}) => (
  <>
    <button
      type="button"
      aria-pressed={isChosen}
      onClick={onChoose}
      className="w-full rounded px-1.5 py-1.5 text-left hover:bg-bench aria-pressed:bg-chosen"
    >
      <span className={isMissing ? 'font-bold' : ''}>{field.label}</span>
      <span className="text-steel">
        , {field.partName}
        {recorded ? (
          <>
            {' · recorded '}
            <span className="figure">{recorded.shown}</span>
          </>
        ) : isMissing ? (
          ` · missing · ${field.minutes} min`
        ) : (
          ''
        )}
      </span>
    </button>
    {recorded?.notUsed && (
      <p className="mb-1.5 border-l-[3px] border-rule pl-2">{recorded.notUsed}</p>
    )}
  </>
)
