import { useMemo, useRef } from 'react'
import type { FieldView, PartDetail } from '../../../contract/answers/catalogue.ts'
import type { Dowel, Hole, Point } from '../../../core/ports/field.ts'
import { printQuantity, type StoredUnit, type Units } from '../../../core/quantity/units.ts'
import { useSettings } from '../../api/hooks.ts'
import type { Column } from '../../components/table/column.ts'
import { DataTable } from '../../components/table/data-table.tsx'
import { Button, Folded, GradeWord } from '../../components/ui.tsx'
import { PatternDrawing } from '../../drawing/pattern.tsx'
import { FieldClaims } from './field-claims.tsx'

type Port = PartDetail['ports'][number]

const shownOf = (field: FieldView, units: Units | undefined): string =>
  typeof field.value === 'number'
    ? printQuantity(field.value, field.unit as StoredUnit, units)
    : (field.claims.find(({ used }) => used)?.shown ?? '')

/** Coordinates: a picture says them better, the figures stand folded. */
const coordinatesIn = ({ value }: FieldView): number =>
  Array.isArray(value) && typeof value[0] === 'object' ? value.length : 0

const columnsIn = (
  units: Units | undefined,
  onMeasure: (field: FieldView) => void,
): readonly Column<FieldView>[] => [
  {
    id: 'field',
    head: 'Measurement',
    isFixed: true,
    className: 'w-[38%]',
    value: ({ label }) => label,
  },
  {
    id: 'value',
    head: 'Is',
    className: 'figure whitespace-pre-wrap',
    value: (field) => shownOf(field, units),
    cell: (field) => <FieldValue field={field} shown={shownOf(field, units)} />,
  },
  {
    id: 'evidence',
    head: 'Evidence',
    className: 'w-24',
    value: ({ grade }) => grade,
    cell: ({ grade }) => <GradeWord grade={grade} />,
  },
  measureColumn(onMeasure),
]

const measureColumn = (onMeasure: (field: FieldView) => void): Column<FieldView> => ({
  id: 'measure',
  head: 'Measure',
  isActions: true,
  align: 'right',
  className: 'w-20',
  value: () => null,
  cell: (field) => (
    <Button tone="quiet" aria-label={`Measure ${field.label}`} onClick={() => onMeasure(field)}>
      Measure
    </Button>
  ),
})

const keyOf = ({ name }: FieldView): string => name

/** One port of a part: what is known, with its evidence; what is not known yet, counted and folded. */
export function PartPort({
  port,
  onMeasure,
}: {
  port: Port
  onMeasure: (port: string, field: FieldView) => void
}) {
  const units = useSettings().data?.units
  const latest = useRef(onMeasure)
  latest.current = onMeasure
  const [columns, unknownColumns] = useMemo(() => {
    const measure = (field: FieldView): void => latest.current(port.id, field)
    const all = columnsIn(units, measure)
    return [all, [all[0]!, measureColumn(measure)]]
  }, [units, port.id])
  const [known, unknown] = useMemo(
    () => [
      port.fields.filter(({ value, claims }) => value !== null || claims.length > 0),
      port.fields.filter(({ value, claims }) => value === null && claims.length === 0),
    ],
    [port.fields],
  )
  return (
    <section className="mb-6">
      <h2 className="border-b border-ink pb-1 font-bold">
        {port.title}
        <span className="font-normal text-steel">
          {port.slot === 'main' ? '' : ` · ${port.slot}`}
          {port.looks ? ` · looks ${port.looks}` : ''}
        </span>
      </h2>
      {port.kind === 'face' && <Face fields={known} title={port.title} />}
      {known.length > 0 && (
        <DataTable
          id="port-fields"
          what="measurements"
          hasTools={false}
          isFixedOrder
          rows={known}
          columns={columns}
          keyOf={keyOf}
        />
      )}
      {unknown.length > 0 && (
        <Folded words={`${unknown.length} not known yet`}>
          <DataTable
            id="unknown-fields"
            what="measurements"
            hasTools={false}
            isFixedOrder
            rows={unknown}
            columns={unknownColumns}
            keyOf={keyOf}
          />
        </Folded>
      )}
    </section>
  )
}

/** A face as a picture, where its holes are known. */
function Face({ fields, title }: { fields: readonly FieldView[]; title: string }) {
  const of = <T,>(name: string): readonly T[] =>
    (fields.find((field) => field.name === name)?.value ?? []) as readonly T[]
  const holes = of<Hole>('holes')
  if (holes.length === 0) return null
  return (
    <div className="max-w-[420px] py-2">
      <PatternDrawing
        label={`${title}, ${holes.length} holes, to scale`}
        holes={holes}
        dowels={of<Dowel>('dowels')}
        outline={of<Point>('outline')}
      />
    </div>
  )
}

const FieldValue = ({ field, shown }: { field: FieldView; shown: string }) => (
  <>
    {coordinatesIn(field) > 0 ? (
      <Folded words={`${coordinatesIn(field)}, in figures`}>{shown}</Folded>
    ) : (
      shown
    )}
    {field.plusMinus !== null && field.plusMinus > 0 && (
      <span className="text-steel"> ±{Number(field.plusMinus.toFixed(3))}</span>
    )}
    {field.conflict && (
      <div className="border-l-[3px] border-rule pl-2 font-sans">
        Claims disagree beyond their ±: look before you spend.
      </div>
    )}
    {(field.claims.length > 1 ||
      field.claims.some(({ isImpossible, struckDay }) => isImpossible || struckDay)) && (
      <FieldClaims field={field} />
    )}
  </>
)
