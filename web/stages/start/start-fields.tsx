import { useState } from 'react'
import type { Templates } from '../../../contract/answers/shop.ts'
import { useAnswer } from '../../api/answer.ts'
import { usePart } from '../../api/hooks.ts'
import { Combobox } from '../../components/fields/combobox.tsx'
import { Field, INPUT } from '../../components/fields/field.tsx'
import { useFoundParts } from '../../components/fields/found-parts.ts'
import type { Typed } from './start-draft.ts'
import { TypeCard } from './type-card.tsx'
import type { Start } from './use-start.ts'

/** What one types as text. */
type TextName = { [K in keyof Typed]: Typed[K] extends string ? K : never }[keyof Typed]

/** One line of text by its label. */
export const TextField = ({
  start: { typed, set, faults },
  name,
  label,
  hint,
  className = '',
}: {
  start: Start
  name: TextName
  label: string
  hint?: string
  className?: string
}) => (
  <Field label={label} hint={hint} fault={faults[name]}>
    {(shared) => (
      <input
        {...shared}
        value={typed[name]}
        autoComplete="off"
        onChange={(event) => set({ [name]: event.target.value })}
        className={`${INPUT} ${className}`}
      />
    )}
  </Field>
)

/** A type with assumed values, or a part of the catalogue. */
export function PartChoice({
  label,
  kind,
  offered,
  start,
  name,
  year,
  none = 'Not known yet',
}: {
  label: string
  kind: string
  offered: Templates
  start: Start
  name: TextName
  /** Where its year is typed, if its type goes by age. */
  year?: TextName
  none?: string
}) {
  const { typed, set, faults } = start
  const value = typed[name]
  const [words, setWords] = useState('')
  const [isWanted, want] = useState(false)
  const parts = useFoundParts(isWanted, kind, words)
  const partId = value.startsWith('part:') ? value.slice('part:'.length) : null
  const part = usePart(partId ?? undefined).data
  const types = offered.templates.filter((one) => one.kind === kind)
  const type = types.find((one) => value === `template:${one.id}`)
  const wanted = words.trim().toLowerCase()
  // The same tree whether a type is chosen or not: what is made anew loses the focus.
  return (
    <div>
      <div
        className={`grid gap-x-2 ${type && year ? 'grid-cols-[minmax(0,1fr)_84px]' : 'grid-cols-1'}`}
      >
        <Field label={label} hint={type?.says} fault={faults[name]}>
          {(shared) => (
            <Combobox
              {...shared}
              onFocus={() => want(true)}
              onPointerDown={() => want(true)}
              shown={
                type
                  ? `${type.words}, about ${type.massKg} kg`
                  : partId
                    ? (part?.name ?? '…')
                    : none
              }
              words={words}
              onSearch={setWords}
              found={[
                ...types
                  .filter((one) => one.words.toLowerCase().includes(wanted))
                  .map((one) => ({
                    id: `template:${one.id}`,
                    name: `${one.words}, about ${one.massKg} kg`,
                    group: 'A type, assumed values',
                  })),
                ...(parts ?? []).map((one) => ({
                  id: `part:${one.id}`,
                  name: one.name,
                  group: 'In the catalogue',
                })),
              ]}
              nothing={none}
              onPick={(chosen) => set({ [name]: chosen?.id ?? '' })}
              placeholder="Name or part number"
              none="No type and no part is called that."
            />
          )}
        </Field>
        {type && year && (
          <TextField start={start} name={year} label="Year" className="figure text-right" />
        )}
      </div>
      {type && <TypeCard id={type.id} year={year ? typed[year] : ''} />}
    </div>
  )
}

/** The family of a bolt pattern, where it is known. */
export const Family = ({
  label,
  start: { typed, set },
  name,
}: {
  label: string
  start: Start
  name: TextName
}) => {
  const families = useAnswer('GET /templates').data?.families ?? []
  return (
    <Field label={label} hint="Settles the bolts; blank: not known">
      {(shared) => (
        <>
          <input
            {...shared}
            list={`${shared.id}-list`}
            value={typed[name]}
            onChange={(event) => set({ [name]: event.target.value })}
            className={INPUT}
            autoComplete="off"
          />
          <datalist id={`${shared.id}-list`}>
            {families.map((family) => (
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
