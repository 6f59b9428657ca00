import type { ReactNode } from 'react'
import { groupBy } from '../../core/group.ts'
import type { FieldSpec } from './form-values.ts'

const COLUMNS = { 1: 'grid-cols-1', 2: 'grid-cols-2', 3: 'grid-cols-3' } as const

/** The fields of a form in columns; where they say under which head they stand, heads side by side. */
export function Sections({
  fields,
  columns,
  children,
}: {
  fields: readonly FieldSpec[]
  columns: 1 | 2 | 3
  children: (spec: FieldSpec) => ReactNode
}) {
  const sections = [...groupBy(fields, ({ section }) => section ?? '')]
  const inner = (own: readonly FieldSpec[]): ReactNode => (
    <div className={`grid gap-x-5 gap-y-3 ${COLUMNS[columns]} max-[900px]:grid-cols-1`}>
      {own.map(children)}
    </div>
  )
  return sections.length === 1 ? (
    inner(fields)
  ) : (
    <div className="grid grid-cols-2 items-start gap-x-8 gap-y-5 max-[900px]:grid-cols-1">
      {sections.map(([head, own]) => (
        <fieldset key={head} className="min-w-0">
          <legend className="mb-2 w-full border-b border-ink pb-1 font-bold">{head}</legend>
          {inner(own)}
        </fieldset>
      ))}
    </div>
  )
}
