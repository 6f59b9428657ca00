import type { MissingField } from '../../../core/joints/verdict.ts'
import { unusualTyped } from '../../../core/ports/parse.ts'
import { METHODS } from '../../../core/quantity/methods.ts'
import { sentence } from '../../../core/quantity/plain-text.ts'
import { useReading } from '../../api/hooks.ts'
import { FaceViewChoice } from '../face-view.tsx'
import { Check } from '../fields/check.tsx'
import { Field, INPUT } from '../fields/field.tsx'
import { optionsOf, Select, YES_NO } from '../fields/select.tsx'
import { Photos } from '../photos/photos.tsx'
import { TypedInput } from '../typed-input.tsx'
import { asksView, keyOf, type Measurements, wordsOf } from './use-measurements.ts'

/** One field: how it is measured in shop words, its value, its method with the ± offered, a photo of it. */
export function FieldPanel({
  field,
  measurements,
  opensHere,
}: {
  field: MissingField
  measurements: Measurements
  /** The keyboard goes into its value, unless it is typed elsewhere. */
  opensHere: boolean
}) {
  const words = wordsOf(field)
  const reading = useReading()
  if (!words) return null
  const typed = measurements.typed(field)
  const { method, plusMinus, view, isSo, fault } = measurements.of(field)
  const choices = words.choices ? optionsOf(words.choices) : words.type === 'flag' ? YES_NO : null
  const offered = method in METHODS ? METHODS[method as keyof typeof METHODS].plusMinus : null
  return (
    <>
      <p>
        <b>{field.label}</b>
        <span className="text-steel">, {field.partName}</span>
        {words.how && <span className="block text-steel">{sentence(words.how)}</span>}
      </p>
      <Field label="Value">
        {({ id }) =>
          choices ? (
            <Select
              id={id}
              value={typed}
              options={choices}
              nothing="Choose"
              autoFocus={opensHere}
              onChange={(text) => measurements.type(field, text)}
            />
          ) : (
            <TypedInput
              id={id}
              words={words}
              value={typed}
              invalid={fault !== ''}
              onChange={(text) => measurements.type(field, text)}
              isFirst={opensHere}
            />
          )
        }
      </Field>
      {fault && (
        <p role="alert" className="border-l-[3px] border-clash pl-2.5">
          {fault}
        </p>
      )}
      {unusualTyped(words, typed, reading) && (
        <Check isChecked={isSo} onChange={(next) => measurements.say(field, { isSo: next })}>
          It is so, though it is unusual
        </Check>
      )}
      {asksView(field) && (
        <FaceViewChoice
          view={view}
          onChange={(next) => measurements.say(field, { view: next })}
          words={words}
          typed={typed}
        />
      )}
      {measurements.ofAll.grade === 'measured' && words.methods.length > 0 && (
        <div className="grid grid-cols-[2fr_1fr] gap-3">
          <Field label="Method">
            {({ id }) => (
              <Select
                id={id}
                value={method}
                options={words.methods.map((one) => ({ value: one, words: METHODS[one].words }))}
                nothing="Another way"
                onChange={(next) => measurements.say(field, { method: next })}
              />
            )}
          </Field>
          <label>
            <span className="mb-1 block font-semibold">±</span>
            <input
              value={plusMinus}
              onChange={(event) => measurements.say(field, { plusMinus: event.target.value })}
              placeholder={offered === null ? 'not known' : String(offered)}
              className={`${INPUT} figure`}
            />
          </label>
        </div>
      )}
      <Photos
        of={{ partId: field.part, spot: `measured:${keyOf(field)}` }}
        what={`${field.label} on ${field.partName}`}
      />
    </>
  )
}
