import { useMemo, useState } from 'react'
import { TOLERANCES } from '../../../core/joints/tolerances.ts'
import { call } from '../../api/client.ts'
import { act } from '../../api/hooks.ts'
import type { Column } from '../../components/table/column.ts'
import { DataTable } from '../../components/table/data-table.tsx'
import { Button } from '../../components/ui.tsx'

/** Windows and tolerances of the shop, over the usual ones. */
export function Tolerances({ edits }: { edits: Record<string, number> }) {
  const rows = useMemo(
    () => TOLERANCE_ROWS.map((row) => ({ ...row, edited: edits[row.name] })),
    [edits],
  )
  return (
    <section>
      <h2 className="font-bold">Tolerances</h2>
      <p className="mb-1 text-steel">
        Common practice, no published source. A change moves every verdict that leans on it.
      </p>
      <DataTable
        id="tolerances"
        what="tolerances"
        isFixedOrder
        rows={rows}
        columns={COLUMNS}
        keyOf={keyOf}
      />
    </section>
  )
}

interface Tolerance {
  readonly name: string
  readonly words: string
  readonly unit: string
  readonly standard: number
  readonly edited: number | undefined
}
const TOLERANCE_ROWS = Object.entries(TOLERANCES).map(([name, { value, words, unit }]) => ({
  name,
  words,
  unit,
  standard: value,
}))
const keyOf = ({ name }: Tolerance): string => name
const short = (value: number): string => String(Number(value.toFixed(4)))

const COLUMNS: readonly Column<Tolerance>[] = [
  { id: 'words', head: 'What', isFixed: true, value: ({ words }) => words },
  {
    id: 'value',
    head: 'Is',
    align: 'right',
    value: ({ edited, standard }) => edited ?? standard,
    // Typed anew where it is changed elsewhere.
    cell: (row) => <ToleranceInput key={short(row.edited ?? row.standard)} tolerance={row} />,
  },
  { id: 'unit', head: 'Unit', className: 'text-steel', value: ({ unit }) => unit },
  {
    id: 'reset',
    head: 'Back to the usual',
    isActions: true,
    value: () => null,
    cell: ({ name, words, standard, edited }) =>
      edited !== undefined && (
        <Button
          tone="quiet"
          aria-label={`Reset ${words}`}
          onClick={() =>
            void act(
              () => call('PATCH /settings', { body: { tolerances: { [name]: null } } }),
              `${words}: back to ${short(standard)}`,
            )
          }
        >
          Reset
        </Button>
      ),
  },
]

function ToleranceInput({
  tolerance: { name, words, unit, standard, edited },
}: {
  tolerance: Tolerance
}) {
  const current = short(edited ?? standard)
  const [text, setText] = useState(current)
  const [fault, setFault] = useState('')
  const save = (): void => {
    const value = Number(text.replace(',', '.'))
    if (text.trim() === '' || !Number.isFinite(value)) {
      setFault(`"${text}" is not a figure. It stays ${current}.`)
      setText(current)
      return
    }
    setFault('')
    if (String(value) !== current)
      void act(
        () => call('PATCH /settings', { body: { tolerances: { [name]: value } } }),
        `${words}: ${value} ${unit}`,
      )
  }
  return (
    <>
      <input
        aria-label={words}
        value={text}
        onChange={(event) => setText(event.target.value)}
        onBlur={save}
        onKeyDown={(event) => event.key === 'Enter' && save()}
        className="figure w-20 rounded border border-steel bg-ground px-1.5 py-0.5 text-right"
      />
      {fault && (
        <p role="alert" className="border-l-[3px] border-clash pl-2 text-left font-sans">
          {fault}
        </p>
      )}
    </>
  )
}
