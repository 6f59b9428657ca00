import { type FaceView, isPlaced } from '../../../core/patterns/as-stored.ts'
import type { FieldWords } from '../../../core/ports/field.ts'
import { PORT_KINDS } from '../../../core/ports/index.ts'
import { unusualTyped } from '../../../core/ports/parse.ts'
import { useReading } from '../../api/hooks.ts'
import { FaceViewChoice } from '../../components/face-view.tsx'
import { Check } from '../../components/fields/check.tsx'
import { Field, INPUT } from '../../components/fields/field.tsx'
import { optionsOf, Select } from '../../components/fields/select.tsx'
import { TypedInput } from '../../components/typed-input.tsx'
import { soKey, type Typed, viewKey } from './read-part-fields.ts'

const LOOKS: Record<string, string> = { forward: ', looks forward', rearward: ', looks rearward' }

/** Everything one port of the part may be asked. */
export function PortFields({
  kind,
  slot,
  looks,
  ...form
}: {
  kind: keyof typeof PORT_KINDS
  slot: string
  looks: string | undefined
  typed: Typed
  faults: Typed
  set: (name: string, value: string) => void
}) {
  const { title, fields } = PORT_KINDS[kind]
  const view = viewKey(kind, slot)
  const isForward = (looks ?? PORT_KINDS[kind].looks) === 'forward'
  const placed = Object.entries(fields as Record<string, FieldWords<unknown>>)
    .map(([name, words]) => ({ words, typed: form.typed[`${kind}/${slot}.${name}`] ?? '' }))
    .find(({ words, typed }) => isForward && isPlaced(words) && typed.trim() !== '')
  return (
    <fieldset className="border-t border-line pt-2">
      <legend className="pr-3 font-bold">
        {title}
        <span className="font-normal text-steel">
          {slot === 'main' ? '' : ` · ${slot}`}
          {looks ? LOOKS[looks] : ''}
        </span>
      </legend>
      <div className="grid grid-cols-3 gap-x-5 gap-y-3 max-[900px]:grid-cols-1">
        {Object.entries(fields as Record<string, FieldWords<unknown>>).map(([name, words]) => (
          <PortField key={name} name={`${kind}/${slot}.${name}`} words={words} {...form} />
        ))}
      </div>
      {placed && (
        <div className="mt-3 max-w-[620px]">
          <FaceViewChoice
            view={(form.typed[view] ?? '') as FaceView | ''}
            onChange={(value) => form.set(view, value)}
            words={placed.words}
            typed={placed.typed}
            fault={form.faults[view]}
          />
        </div>
      )}
    </fieldset>
  )
}

function PortField({
  name,
  words,
  typed,
  faults,
  set,
}: {
  name: string
  words: FieldWords<unknown>
  typed: Typed
  faults: Typed
  set: (name: string, value: string) => void
}) {
  const reading = useReading()
  const options = words.choices ?? (words.type === 'flag' ? ['yes', 'no'] : null)
  const label = `${words.label}${words.unit ? `, ${words.unit}` : ''}`
  return (
    <Field label={label} fault={faults[name]}>
      {(shared) =>
        options ? (
          <Select
            {...shared}
            value={typed[name] ?? ''}
            options={optionsOf(options)}
            nothing="Not known"
            onChange={(value) => set(name, value)}
          />
        ) : (
          <>
            <TypedInput
              id={shared.id}
              words={words}
              value={typed[name] ?? ''}
              invalid={faults[name] !== undefined}
              onChange={(value) => set(name, value)}
            />
            {unusualTyped(words, typed[name] ?? '', reading) && (
              <Check
                isChecked={typed[soKey(name)] === 'yes'}
                onChange={(isSo) => set(soKey(name), isSo ? 'yes' : '')}
              >
                It is so, though it is unusual
              </Check>
            )}
          </>
        )
      }
    </Field>
  )
}

/** One line of text by its label. */
export function Text({
  name,
  label,
  typed,
  faults,
  set,
}: {
  name: string
  label: string
  typed: Typed
  faults: Typed
  set: (name: string, value: string) => void
}) {
  return (
    <Field label={label} fault={faults[name]}>
      {(shared) => (
        <input
          {...shared}
          value={typed[name] ?? ''}
          autoComplete="off"
          onChange={(event) => set(name, event.target.value)}
          className={INPUT}
        />
      )}
    </Field>
  )
}
