import { useId } from 'react'
import type { Templates } from '../../../contract/answers/shop.ts'
import { useAnswer } from '../../api/answer.ts'

/** How an input looks here. */
export const input =
  'w-full rounded border border-steel bg-ground px-2 py-1.5 aria-[invalid=true]:border-clash'

/** A label with its input, hint or fault. */
export function Field({
  label,
  hint,
  fault,
  children,
}: {
  label: string
  hint?: string
  fault: string | undefined
  children: (shared: {
    id: string
    'aria-invalid': boolean
    'aria-describedby': string
  }) => React.ReactNode
}) {
  const id = useId()
  return (
    <div>
      <label htmlFor={id} className="mb-0.5 block font-semibold">
        {label}
      </label>
      {children({ id, 'aria-invalid': fault !== undefined, 'aria-describedby': `${id}-help` })}
      <p
        id={`${id}-help`}
        className={fault ? 'mt-0.5 border-l-[3px] border-clash pl-2' : 'text-steel'}
      >
        {fault ?? hint}
      </p>
    </div>
  )
}

/** A type, or a part of the catalogue. */
export function PartChoice({
  label,
  kind,
  offered,
  value,
  fault,
  none = 'Not known yet',
  onChange,
}: {
  label: string
  kind: string
  offered: Templates
  value: string
  fault: string | undefined
  none?: string
  onChange: (value: string) => void
}) {
  const parts = useAnswer('GET /parts', { query: { kind } }).data?.items ?? []
  const types = offered.templates.filter((one) => one.kind === kind)
  const says = types.find((one) => value === `template:${one.id}`)?.says
  return (
    <Field label={label} fault={fault} {...(says ? { hint: says } : {})}>
      {(shared) => (
        <select
          {...shared}
          value={value}
          onChange={(event) => onChange(event.target.value)}
          className={input}
        >
          <option value="">{none}</option>
          {parts.length > 0 && (
            <optgroup label="In the catalogue">
              {parts.map((part) => (
                <option key={part.id} value={`part:${part.id}`}>
                  {part.name}
                </option>
              ))}
            </optgroup>
          )}
          <optgroup label="A type, assumed values">
            {types.map((one) => (
              <option key={one.id} value={`template:${one.id}`}>
                {one.words}, about {one.massKg} kg
              </option>
            ))}
          </optgroup>
        </select>
      )}
    </Field>
  )
}

/** The family of a bolt pattern, where it is known. */
export function Family({
  label,
  offered,
  value,
  onChange,
}: {
  label: string
  offered: Templates
  value: string
  onChange: (value: string) => void
}) {
  return (
    <Field label={label} fault={undefined} hint="Settles the bolts; blank: not known">
      {(shared) => (
        <>
          <input
            {...shared}
            list={`${shared.id}-list`}
            value={value}
            onChange={(event) => onChange(event.target.value)}
            className={input}
            autoComplete="off"
          />
          <datalist id={`${shared.id}-list`}>
            {offered.families.map((family) => (
              <option key={family.id} value={family.id}>
                {family.words}
              </option>
            ))}
          </datalist>
        </>
      )}
    </Field>
  )
}
