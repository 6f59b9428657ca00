import { useMemo, useRef } from 'react'
import type { FieldSpec } from './form-values.ts'
import type { Clash } from './merge.ts'
import type { Column } from './table/column.ts'
import { DataTable } from './table/data-table.tsx'
import { Button } from './ui.tsx'

const shownAs = (spec: FieldSpec | undefined, value: unknown): string => {
  if (typeof value === 'boolean') return value ? 'yes' : 'no'
  return spec?.type === 'select'
    ? (spec.options.find((option) => option.value === value)?.words ?? 'Not said')
    : String(value) || 'Nothing'
}

type Settle = (clash: Clash, take: boolean) => void

function columnsOf(fields: readonly FieldSpec[], onSettle: Settle): readonly Column<Clash>[] {
  const specOf = ({ name }: Clash): FieldSpec | undefined =>
    fields.find((spec) => spec.name === name)
  const labelOf = (clash: Clash): string => specOf(clash)?.label ?? clash.name
  const side = (id: string, head: string, words: string, take: boolean): Column<Clash> => {
    const value = (clash: Clash): string =>
      shownAs(specOf(clash), take ? clash.theirs : clash.yours)
    return {
      id,
      head,
      value,
      cell: (clash) => (
        <>
          <div className="whitespace-pre-wrap break-words">{value(clash)}</div>
          <Button
            tone="quiet"
            aria-label={`${words}: ${labelOf(clash)}`}
            onClick={() => onSettle(clash, take)}
          >
            {words}
          </Button>
        </>
      ),
    }
  }
  return [
    { id: 'field', head: 'Field', isFixed: true, className: 'font-semibold', value: labelOf },
    side('yours', 'Yours, not saved', 'Keep yours', false),
    side('theirs', 'Theirs, saved', 'Take theirs', true),
  ]
}

/** What two people changed at once, side by side. */
export function Clashes({
  clashes,
  fields,
  onSettle,
}: {
  clashes: readonly Clash[]
  fields: readonly FieldSpec[]
  onSettle: Settle
}) {
  const latest = useRef(onSettle)
  latest.current = onSettle
  const columns = useMemo(
    () => columnsOf(fields, (clash, take) => latest.current(clash, take)),
    [fields],
  )
  if (clashes.length === 0) return null
  return (
    <section
      role="alert"
      aria-label="Changed by two people"
      className="sticky bottom-0 mt-4 max-h-[50vh] overflow-y-auto border border-ink border-l-[3px] border-l-clash bg-ground px-3 py-2"
    >
      <h2 className="font-bold">Somebody else changed this too</h2>
      <p className="mb-1 text-steel">Both are kept until you choose, field by field.</p>
      <DataTable
        id="clashes"
        what="fields"
        hasTools={false}
        isFixedOrder
        rows={clashes}
        columns={columns}
        keyOf={(clash) => clash.name}
      />
    </section>
  )
}
