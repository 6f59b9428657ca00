import { type ReactNode, useId } from 'react'
import type { FieldWords } from '../../../core/ports/field.ts'
import { PORT_KINDS } from '../../../core/ports/index.ts'
import { TypedInput } from '../../components/typed-input.tsx'
import type { Typed } from './read-part-fields.ts'

/** How an input looks here. */
export const input =
  'w-full rounded border border-steel bg-ground px-2 py-1.5 aria-[invalid=true]:border-clash'

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
  return (
    <fieldset className="border-t border-line pt-2">
      <legend className="pr-3 font-bold">
        {title}
        <span className="font-normal text-steel">
          {slot === 'main' ? '' : ` · ${slot}`}
          {looks ? LOOKS[looks] : ''}
        </span>
      </legend>
      {looks === 'forward' && kind === 'face' && (
        <p className="mb-2 text-steel">
          This face looks forward: type it as seen from the gearbox looking at the engine. If you
          measured it looking at this face, change the sign of every first figure (the one across)
          before typing: mirrored plates are scrapped plates.
        </p>
      )}
      <div className="grid grid-cols-3 gap-x-5 gap-y-3 max-[900px]:grid-cols-1">
        {Object.entries(fields as Record<string, FieldWords<unknown>>).map(([name, words]) => (
          <PortField key={name} name={`${kind}/${slot}.${name}`} words={words} {...form} />
        ))}
      </div>
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
  const options = words.choices ?? (words.type === 'flag' ? ['yes', 'no'] : null)
  const label = `${words.label}${words.unit ? `, ${words.unit}` : ''}`
  const shared = {
    value: typed[name] ?? '',
    'aria-invalid': faults[name] !== undefined,
    onChange: (event: { target: { value: string } }) => set(name, event.target.value),
  }
  return (
    <Labelled label={label} fault={faults[name]}>
      {(id) =>
        options ? (
          <select id={id} {...shared} className={input}>
            <option value="">Not known</option>
            {options.map((option) => (
              <option key={option}>{option}</option>
            ))}
          </select>
        ) : (
          <TypedInput
            id={id}
            words={words}
            value={typed[name] ?? ''}
            invalid={faults[name] !== undefined}
            onChange={(value) => set(name, value)}
          />
        )
      }
    </Labelled>
  )
}

/** A label with its input, and what is wrong with it. */
export function Labelled({
  label,
  fault,
  children,
}: {
  label: string
  fault?: string | undefined
  children: (id: string) => ReactNode
}) {
  const id = useId()
  return (
    <div>
      <label htmlFor={id} className="mb-1 block font-semibold">
        {label}
      </label>
      {children(id)}
      {fault && <p className="mt-1 border-l-[3px] border-clash pl-2">{fault}</p>}
    </div>
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
    <Labelled label={label} fault={faults[name]}>
      {(id) => (
        <input
          id={id}
          value={typed[name] ?? ''}
          aria-invalid={faults[name] !== undefined}
          autoComplete="off"
          onChange={(event) => set(name, event.target.value)}
          className={input}
        />
      )}
    </Labelled>
  )
}
