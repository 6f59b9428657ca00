import { useMemo, useRef } from 'react'
import { Field } from '../../components/fields/field.tsx'
import { PartCombobox } from '../../components/fields/part-combobox.tsx'
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
    </>
  )
}
