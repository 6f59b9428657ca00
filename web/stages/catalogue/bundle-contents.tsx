import { useMemo, useRef, useState } from 'react'
import { CATALOGUE_OPTIONS } from '../../../core/needs/catalogue-kinds.ts'
import { Field, INPUT } from '../../components/fields/field.tsx'
import { PartCombobox } from '../../components/fields/part-combobox.tsx'
import { Select } from '../../components/fields/select.tsx'
import type { Column } from '../../components/table/column.ts'
import { DataTable } from '../../components/table/data-table.tsx'
import { Button } from '../../components/ui.tsx'
import { blankItem, type ItemField, type TypedItem } from './bundle-items.ts'

const FIELDS: readonly { readonly field: ItemField; readonly label: string }[] = [
  { field: 'quantity', label: 'Number off' },
  { field: 'stripHours', label: 'Strip hours' },
  { field: 'sale', label: 'Sale price' },
  { field: 'chance', label: 'Chance, %' },
  { field: 'sellingHours', label: 'Selling hours' },
]

interface Edits {
  readonly type: (item: TypedItem, field: ItemField, text: string) => void
  readonly takeOut: (item: TypedItem) => void
}

const columnsOf = (
  kind: 'kit' | 'donor',
  { type, takeOut }: Edits,
): readonly Column<TypedItem>[] => [
  { id: 'part', head: 'Part', isFixed: true, value: ({ name }) => name },
  ...(kind === 'kit' ? FIELDS.slice(0, 1) : FIELDS).map(({ field, label }) => ({
    id: field,
    head: label,
    value: (item: TypedItem) => item[field],
    cell: (item: TypedItem) => (
      <input
        aria-label={`${label}, ${item.name}`}
        value={item[field]}
        placeholder={field === 'quantity' ? '1' : '0'}
        onChange={(event) => type(item, field, event.target.value)}
        className="figure w-20 rounded border border-steel bg-ground px-1.5 py-1 text-right"
      />
    ),
  })),
  ...(kind === 'kit'
    ? [
        {
          id: 'again',
          head: 'How it is had again',
          value: ({ hadAgain }: TypedItem) => hadAgain,
          cell: (item: TypedItem) => (
            <input
              aria-label={`How ${item.name} is had again`}
              value={item.hadAgain}
              placeholder="Should its maker be gone"
              onChange={(event) => type(item, 'hadAgain', event.target.value)}
              className="w-56 rounded border border-steel bg-ground px-1.5 py-1 max-[500px]:w-24"
            />
          ),
        },
      ]
    : []),
  {
    id: 'out',
    head: 'Actions',
    isActions: true,
    align: 'right',
    value: () => null,
    cell: (item) => (
      <Button tone="quiet" aria-label={`Take out ${item.name}`} onClick={() => takeOut(item)}>
        Take out
      </Button>
    ),
  },
]
const keyOf = ({ partId }: TypedItem): string => partId

/** What a kit holds or a donor yields, part by part. */
export function BundleContents({
  kind,
  items,
  onChange,
}: {
  kind: 'kit' | 'donor'
  items: readonly TypedItem[]
  onChange: (items: readonly TypedItem[]) => void
}) {
  const now = useRef({ items, onChange })
  now.current = { items, onChange }
  const columns = useMemo(
    () =>
      columnsOf(kind, {
        type: (item, field, text) =>
          now.current.onChange(
            now.current.items.map((one) =>
              one.partId === item.partId ? { ...one, [field]: text } : one,
            ),
          ),
        takeOut: (item) =>
          now.current.onChange(now.current.items.filter(({ partId }) => partId !== item.partId)),
      }),
    [kind],
  )
  return (
    <>
      <h2 className="mb-2 mt-6 font-bold">{kind === 'kit' ? 'What is in it' : 'What it yields'}</h2>
      {items.length > 0 && (
        <div className="mb-3">
          <DataTable
            id={`${kind}-contents`}
            what="parts"
            hasTools={false}
            rows={items}
            columns={columns}
            keyOf={keyOf}
          />
        </div>
      )}
      <Field label="Put a part in" className="max-w-md">
        {({ id }) => (
          <PartCombobox
            id={id}
            shown="Find a part"
            onPick={(part) =>
              part &&
              !items.some(({ partId }) => partId === part.id) &&
              onChange([...items, blankItem(part)])
            }
          />
        )}
      </Field>
      {kind === 'kit' && (
        <ByNumber onAdd={(item) => onChange([...items, item])} taken={items.map(keyOf)} />
      )}
    </>
  )
}

/** A piece of a kit by its kind and number: it need not be in the catalogue yet. */
function ByNumber({
  onAdd,
  taken,
}: {
  onAdd: (item: TypedItem) => void
  taken: readonly string[]
}) {
  const [by, setBy] = useState({ kind: '', issuer: '', number: '' })
  const key = `${by.issuer} ${by.number}`.trim()
  const isWhole = by.kind !== '' && by.issuer.trim() !== '' && by.number.trim() !== ''
  return (
    <fieldset className="mt-3">
      <legend className="font-semibold">or by its kind and number</legend>
      <div className="flex flex-wrap items-end gap-3">
        <Field label="Kind" className="w-52">
          {(shared) => (
            <Select
              {...shared}
              value={by.kind}
              options={CATALOGUE_OPTIONS}
              nothing="Choose"
              onChange={(kind) => setBy({ ...by, kind })}
            />
          )}
        </Field>
        {(['issuer', 'number'] as const).map((name) => (
          <Field key={name} label={name === 'issuer' ? 'Whose number' : 'Number'} className="w-36">
            {(shared) => (
              <input
                {...shared}
                className={INPUT}
                value={by[name]}
                onChange={({ target }) => setBy({ ...by, [name]: target.value })}
              />
            )}
          </Field>
        ))}
        <Button
          disabled={!isWhole || taken.includes(key)}
          onClick={() => {
            onAdd({ ...blankItem({ id: key, name: key }), by: { ...by } })
            setBy({ kind: '', issuer: '', number: '' })
          }}
        >
          Put it in
        </Button>
      </div>
    </fieldset>
  )
}
