import { useState } from 'react'
import { Link } from 'react-router'
import type { MissingField, Verdict } from '../../../core/joints/verdict.ts'
import { printQuantity } from '../../../core/quantity/units.ts'
import { useReading } from '../../api/hooks.ts'
import { Dialog } from '../dialog.tsx'
import { Button } from '../ui.tsx'
import { FieldPanel } from './field-panel.tsx'
import { JointDrawings } from './joint-drawings.tsx'
import { NextAsTyped } from './next-as-typed.tsx'
import { SaidOfAll } from './said-of-all.tsx'
import { keyOf, type Recorded, useMeasurements, wordsOf } from './use-measurements.ts'

/**
 * The fields of a joint on drawings of its ports and in a list, missing ones first. Several are typed side by side; Enter
 * records them on the parts that own them, and it stays open and goes on to the next that is missing.
 */
export function MeasureDialog({
  build,
  title,
  verdict,
  isRanked = false,
  onClose,
}: {
  build: string
  title: string
  /** What is measured, what of it is missing, and the limits that tell what is known. */
  verdict: Pick<Verdict, 'fields' | 'missing' | 'limits'>
  /** Whether what to measure next stands beside, as if what is typed were recorded. */
  isRanked?: boolean
  onClose: () => void
}) {
  // In the order it opened with: what is recorded must not move the list under one's hand.
  const [order] = useState(() => {
    const missing = new Set(verdict.missing.map(keyOf))
    return [...verdict.fields]
      .sort((p, q) => Number(missing.has(keyOf(q))) - Number(missing.has(keyOf(p))))
      .map(keyOf)
  })
  const missing = new Set(verdict.missing.map(keyOf))
  const fields = [...verdict.fields].sort((p, q) => rank(order, p) - rank(order, q))
  const named = fields.filter((field) => field.part !== '?')
  const measurements = useMeasurements(build, named)
  const { units } = useReading()
  const values = new Map<string, number>(
    verdict.limits.flatMap(({ terms }) =>
      terms.flatMap(({ port, field, value }) =>
        value === null ? [] : [[`${port}.${field}`, value] as const],
      ),
    ),
  )
  const known = (field: MissingField): string => {
    const value = values.get(keyOf(field))
    return value === undefined ? '' : printQuantity(value, wordsOf(field)?.unit ?? '', units)
  }
  const nextAfter = (done: ReadonlySet<string>): MissingField | null =>
    named.find((field) => missing.has(keyOf(field)) && !done.has(keyOf(field))) ?? null
  const [{ chosen, typedHere }, setChosen] = useState<Chosen>({
    chosen: nextAfter(new Set()),
    typedHere: true,
  })
  const choose = (field: MissingField | null): void => setChosen({ chosen: field, typedHere: true })

  const record = async (): Promise<void> => {
    const asked = measurements.waiting
    if (asked.length === 0) {
      if (chosen) measurements.say(chosen, { fault: 'Type the value first.' })
      return
    }
    const done = new Set((await measurements.record()).map(keyOf))
    const refused = asked.find((field) => !done.has(keyOf(field)))
    const before = named.filter((field) => measurements.recorded(field)).map(keyOf)
    choose(refused ?? nextAfter(new Set([...done, ...before])))
  }

  return (
    <Dialog
      open
      onOpenChange={onClose}
      title={`Record a measurement: ${title.toLowerCase()}`}
      size="broad"
    >
      <form
        onSubmit={(event) => {
          event.preventDefault()
          void record()
        }}
        className="grid grid-cols-[minmax(0,1.5fr)_minmax(0,1fr)] gap-5 max-[760px]:grid-cols-1"
      >
        <div className="flex flex-col gap-3">
          <JointDrawings
            fields={named}
            measurements={measurements}
            chosen={chosen}
            known={known}
            onChoose={(field) => setChosen({ chosen: field, typedHere: false })}
          />
          <ul aria-label="Fields of this joint">
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
                    typed={measurements.typed(field)}
                    recorded={measurements.recorded(field)}
                    known={known(field)}
                    onChoose={() => choose(field)}
                  />
                )}
              </li>
            ))}
          </ul>
        </div>
        <div className="flex flex-col gap-3 self-start min-[761px]:sticky min-[761px]:top-0">
          {chosen ? (
            <FieldPanel
              key={keyOf(chosen)}
              field={chosen}
              measurements={measurements}
              opensHere={typedHere}
            />
          ) : (
            <p>
              {named.some(measurements.recorded)
                ? 'Nothing is missing here any more. Choose another, or close.'
                : 'Choose what you measured.'}
            </p>
          )}
          <SaidOfAll measurements={measurements} />
          <div className="flex gap-2">
            <Button type="submit" tone="main">
              {measurements.waiting.length > 1
                ? `Record ${measurements.waiting.length} measurements`
                : 'Record measurement'}
            </Button>
            {!chosen && <Button onClick={onClose}>Close</Button>}
          </div>
          {isRanked && <NextAsTyped measurements={measurements} />}
        </div>
      </form>
    </Dialog>
  )
}

interface Chosen {
  readonly chosen: MissingField | null
  /** Its value is typed in the panel; otherwise on the drawing. */
  readonly typedHere: boolean
}

const rank = (order: readonly string[], field: MissingField): number => {
  const at = order.indexOf(keyOf(field))
  return at < 0 ? order.length : at
}

const FieldChoice = ({
  field,
  isMissing,
  isChosen,
  typed,
  recorded,
  known,
  onChoose,
}: {
  field: MissingField
  isMissing: boolean
  isChosen: boolean
  typed: string
  recorded: Recorded | undefined
  known: string
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
        {typed.trim() !== '' ? (
          <>
            {' · typed '}
            <span className="figure">{typed}</span>
          </>
        ) : recorded ? (
          <>
            {' · recorded '}
            <span className="figure">{recorded.shown}</span>
          </>
        ) : isMissing ? (
          ` · missing · ${field.minutes} min`
        ) : (
          known && (
            <>
              {' · '}
              <span className="figure">{known}</span>
            </>
          )
        )}
      </span>
    </button>
    {recorded?.notUsed && (
      <p className="mb-1.5 border-l-[3px] border-rule pl-2">{recorded.notUsed}</p>
    )}
  </>
)
