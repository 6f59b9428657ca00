import { useState } from 'react'
import { LINE_PLACES, placeWords } from '../../../core/needs/line.ts'
import { PORT_KINDS } from '../../../core/ports/index.ts'
import { GRADES } from '../../../core/quantity/grade.ts'
import { useAnswer } from '../../api/answer.ts'
import { call } from '../../api/client.ts'
import { act, useReading } from '../../api/hooks.ts'
import { undoNewest } from '../../api/undo.ts'
import { Check } from '../../components/fields/check.tsx'
import { Field, INPUT } from '../../components/fields/field.tsx'
import { optionsOf, Select } from '../../components/fields/select.tsx'
import { Button, Folded } from '../../components/ui.tsx'
import type { Change } from '../../components/use-address.ts'
import { NarrowField, readNarrow } from './narrow-field.tsx'

/** Sizes a part can be found by: every figure of every port. */
const SIZES = Object.entries(PORT_KINDS).flatMap(([port, { title, fields }]) =>
  Object.entries(fields as Record<string, { label: string; unit: string; type: string }>).flatMap(
    ([field, { label, unit, type }]) =>
      type === 'number'
        ? [
            {
              value: `${port}.${field}`,
              words: unit ? `${label}, ${unit}` : label,
              group: title,
            },
          ]
        : [],
  ),
)
const PLACES = LINE_PLACES.map((place) => ({ value: place, words: placeWords(place) }))
/** What of the address narrows the list. */
export const NARROWS = [
  'place',
  'size',
  'sizeFrom',
  'sizeTo',
  'fits',
  'isInStock',
  'priceTo',
  'evidence',
] as const
export type Narrowed = (typeof NARROWS)[number]

/** What narrows a list of parts beside its words and kind; kept under a name to be had again. */
export function Narrow({
  params,
  currency,
  change,
}: {
  params: URLSearchParams
  currency: string
  change: (next: Change) => void
}) {
  const value = (name: Narrowed): string => params.get(name) ?? ''
  const reading = useReading()
  const kept = useAnswer('GET /kept', { query: { what: 'filter' } }).data?.items ?? []
  const [name, setName] = useState('')
  const [fault, setFault] = useState('')
  const used = NARROWS.filter((one) => value(one) !== '').length
  const text = (
    field: 'sizeFrom' | 'sizeTo' | 'fits' | 'priceTo',
    label: string,
    hint?: string,
  ) => (
    <NarrowField
      label={label}
      {...(hint ? { hint } : {})}
      value={value(field)}
      isText={field === 'fits'}
      read={(typed) => readNarrow(field, typed, { size: value('size'), currency, reading })}
      onChange={(next) => change({ [field]: next })}
    />
  )
  const put = (values: Readonly<Record<string, string>>): void =>
    change(Object.fromEntries(NARROWS.map((one) => [one, values[one] ?? null])))
  const keep = (): void => {
    const isNamed = name.trim() !== ''
    setFault(isNamed ? '' : 'Give it a name.')
    if (!isNamed) return
    const values = Object.fromEntries(
      NARROWS.flatMap((one) => (value(one) === '' ? [] : [[one, value(one)]])),
    )
    void act(
      () => call('POST /kept', { body: { what: 'filter', name: name.trim(), value: values } }),
      `Kept for everybody here as ${name.trim()}.`,
      undoNewest,
    ).then((isKept) => isKept && setName(''))
  }
  return (
    <div className="px-4 pb-2 print:hidden">
      <Folded
        words={used > 0 ? `Narrowed by ${used}` : 'Narrow by size, place, fit, price'}
        isOpen={used > 0}
      >
        <div className="grid max-w-5xl grid-cols-4 gap-x-4 gap-y-2 max-[900px]:grid-cols-2">
          <Field label="Place on the list">
            {(shared) => (
              <Select
                {...shared}
                value={value('place')}
                options={PLACES}
                nothing="Anywhere"
                onChange={(place) => change({ place })}
              />
            )}
          </Field>
          <Field label="Size of">
            {(shared) => (
              <Select
                {...shared}
                value={value('size')}
                options={SIZES}
                nothing="Any"
                onChange={(size) =>
                  change({ size, ...(size === '' ? { sizeFrom: null, sizeTo: null } : {}) })
                }
              />
            )}
          </Field>
          {text('sizeFrom', 'from')}
          {text('sizeTo', 'to')}
          {text('fits', 'Listed for', 'A family, such as Kessarn Wick')}
          {text('priceTo', `Price to, ${currency}`)}
          <Field label="Known at least as">
            {(shared) => (
              <Select
                {...shared}
                value={value('evidence')}
                options={optionsOf(GRADES)}
                nothing="Anything"
                onChange={(evidence) => change({ evidence })}
              />
            )}
          </Field>
          <div className="self-end">
            <Check
              isChecked={value('isInStock') === 'true'}
              onChange={(isInStock) => change({ isInStock: isInStock ? 'true' : null })}
            >
              In stock somewhere
            </Check>
          </div>
        </div>
        <div className="mt-2 flex flex-wrap items-end gap-2">
          {used > 0 && (
            <Button
              tone="quiet"
              onClick={() => change(Object.fromEntries(NARROWS.map((one) => [one, null])))}
            >
              Show all again
            </Button>
          )}
          {[...kept]
            .sort((p, q) => p.name.localeCompare(q.name, 'en'))
            .map((one) => (
              <span key={one.id} className="inline-flex items-center rounded border border-line">
                <Button tone="quiet" onClick={() => put(one.value)}>
                  {one.name}
                </Button>
                <Button
                  tone="quiet"
                  aria-label={`Forget ${one.name}`}
                  onClick={() =>
                    void act(
                      () => call('DELETE /kept/{id}', { params: { id: one.id } }),
                      `${one.name} is kept no more.`,
                      undoNewest,
                    )
                  }
                >
                  ×
                </Button>
              </span>
            ))}
          {used > 0 && (
            <form
              className="flex items-end gap-2"
              onSubmit={(event) => {
                event.preventDefault()
                keep()
              }}
            >
              <Field label="Keep this under a name" {...(fault ? { fault } : {})}>
                {(shared) => (
                  <input
                    {...shared}
                    className={INPUT}
                    value={name}
                    maxLength={60}
                    onChange={({ target }) => setName(target.value)}
                  />
                )}
              </Field>
              <Button type="submit">Keep</Button>
            </form>
          )}
        </div>
      </Folded>
    </div>
  )
}
