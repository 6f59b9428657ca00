import { useMemo, useState } from 'react'
import type { Answer } from '../../../contract/asked.ts'
import { printQuantity, type StoredUnit, type Units } from '../../../core/quantity/units.ts'
import { useAnswer } from '../../api/answer.ts'
import { useSettings } from '../../api/hooks.ts'
import { Field } from '../../components/fields/field.tsx'
import { PartCombobox } from '../../components/fields/part-combobox.tsx'
import type { Column } from '../../components/table/column.ts'
import { DataTable } from '../../components/table/data-table.tsx'
import { Folded } from '../../components/ui.tsx'

const SAYS = {
  same: 'The same inside: every measurement agrees within both bounds.',
  different: 'Not the same inside.',
  unproved: 'Not proved yet: nothing disagrees, but these remain to be measured.',
} as const

type Compared = Answer<'GET /parts/{id}/same-inside/{other}'>['fields'][number]

const shown = (value: unknown, unit: string, units: Units | undefined): string =>
  value === null || value === undefined
    ? 'not known'
    : typeof value === 'number'
      ? printQuantity(value, unit as StoredUnit, units)
      : Array.isArray(value)
        ? value.join(' ')
        : String(value)

const columnsIn = (units: Units | undefined): readonly Column<Compared>[] => [
  {
    id: 'field',
    head: 'Measurement',
    isFixed: true,
    value: (field) => `${field.label}, ${field.verdict}`,
    cell: (field) => (
      <>
        {field.label}
        <span className="block text-steel">
          {field.verdict}
          {field.apart === null || field.apart === 0
            ? ''
            : `, ${Number(field.apart.toFixed(3))} apart`}
          {field.within === null ? '' : `, known within ${Number(field.within.toFixed(3))}`}
        </span>
      </>
    ),
  },
  {
    id: 'one',
    head: 'This',
    align: 'right',
    value: ({ one, unit }) => shown(one, unit, units),
  },
  {
    id: 'other',
    head: 'The other',
    align: 'right',
    value: ({ other, unit }) => shown(other, unit, units),
  },
]
const keyOf = (field: Compared): string => `${field.port}${field.field}`

/** Whether another transmission is the same inside: proved by measurements, with what remains unproved. */
export function SameInside({ part }: { part: string }) {
  const [other, setOther] = useState<{ id: string; name: string } | null>(null)
  const { data: settings } = useSettings()
  const { data } = useAnswer(
    'GET /parts/{id}/same-inside/{other}',
    other ? { params: { id: part, other: other.id } } : null,
  )
  const units = settings?.units
  const columns = useMemo(() => columnsIn(units), [units])
  const rows = useMemo(
    () =>
      (data?.fields ?? []).toSorted(
        (p, q) => Number(p.verdict === 'equal') - Number(q.verdict === 'equal'),
      ),
    [data],
  )
  return (
    <Folded words="Is another the same inside?">
      <Field label="Compare with">
        {({ id }) => (
          <PartCombobox
            id={id}
            kind="transmission"
            except={part}
            shown={other?.name ?? 'Choose a transmission'}
            onPick={setOther}
          />
        )}
      </Field>
      {data && (
        <>
          <p role="status" className="py-1.5 font-semibold">
            {SAYS[data.verdict]}
          </p>
          <DataTable
            id="same-inside"
            what="measurements"
            hasTools={false}
            rows={rows}
            columns={columns}
            keyOf={keyOf}
          />
        </>
      )}
    </Folded>
  )
}
