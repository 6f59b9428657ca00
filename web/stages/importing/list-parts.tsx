import { useNavigate } from 'react-router'
import { LIST_KINDS, LISTS, type ListKind } from '../../../core/tables/lists.ts'
import { Field } from '../../components/fields/field.tsx'
import { Select } from '../../components/fields/select.tsx'
import type { Column } from '../../components/table/column.ts'
import { DataTable } from '../../components/table/data-table.tsx'
import { Button } from '../../components/ui.tsx'

const KINDS = [
  { value: 'offers', words: "Offers: a supplier's prices" },
  ...LIST_KINDS.map((value) => ({ value, words: LISTS[value].words })),
] as const

/** Which list is read in. */
export function WhichList({ kind }: { kind: ListKind | 'offers' }) {
  const navigate = useNavigate()
  return (
    <Field label="What is in the list" className="mb-3 max-w-sm">
      {(shared) => (
        <Select
          {...shared}
          value={kind}
          options={KINDS}
          onChange={(next) =>
            navigate(next === 'offers' ? '/suppliers/import' : `/catalogue/import/${next}`)
          }
        />
      )}
    </Field>
  )
}

export const FilePicker = ({ onPick }: { onPick: (file: File) => void }) => (
  <label className="inline-flex cursor-pointer items-center rounded border border-ink bg-ground px-3 py-1.5 font-semibold focus-within:outline-2 focus-within:outline-accent hover:bg-bench">
    Choose a file
    <input
      type="file"
      accept=".csv,.tsv,.txt,.xlsx,text/csv"
      className="sr-only"
      onChange={(event) => {
        const file = event.target.files?.[0]
        event.target.value = ''
        if (file) onPick(file)
      }}
    />
  </label>
)

interface Bad {
  readonly line: number
  readonly column: string
  readonly message: string
}
const CELLS: readonly Column<Bad>[] = [
  { id: 'line', head: 'Line', align: 'right', value: (cell) => cell.line },
  { id: 'column', head: 'Column', className: 'figure', value: (cell) => cell.column },
  { id: 'message', head: 'What to do', value: (cell) => cell.message },
]

/** The button that takes all in; or every cell that is wrong, with what to do. */
export const NothingWrong = ({
  preview: { bad, badCount },
  onImport,
}: {
  preview: { readonly bad: readonly Bad[]; readonly badCount: number }
  onImport: () => void
}) =>
  bad.length === 0 ? (
    <Button tone="main" onClick={onImport}>
      Import all
    </Button>
  ) : (
    <>
      <p className="border-l-[3px] border-clash pl-2.5" role="alert">
        {badCount} {badCount === 1 ? 'cell is' : 'cells are'} wrong
        {badCount > bad.length ? `, the first ${bad.length} shown` : ''}. Nothing is imported until
        all are mended.
      </p>
      <DataTable
        id="bad-cells"
        what="cells to mend"
        rows={bad}
        columns={CELLS}
        keyOf={(cell) => `${cell.line}${cell.column}${cell.message}`}
      />
    </>
  )
