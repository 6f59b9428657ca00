import type { ReactNode } from 'react'
import { FIGURES, type FigureId } from '../../../core/pairing/working.ts'
import type { Column } from '../../components/table/column.ts'
import type { PairingRow } from './pairing-rows.ts'

export const figureNamed = (id: string | null): FigureId | null =>
  FIGURES.find((one) => one === id) ?? null

/** A column whose figures open to their working, once they are worked out. Of the rows only the marked one is walked by Tab. */
export function withWorking(
  column: Column<PairingRow>,
  open: (row: PairingRow, figure: FigureId) => void,
): Column<PairingRow> {
  const figure = figureNamed(column.id)
  if (figure === null) return column
  const shown = (row: PairingRow, isMarked: boolean): ReactNode =>
    column.cell ? column.cell(row, isMarked) : column.value(row)
  return {
    ...column,
    cell: (row, isMarked) =>
      row.figures === null ? (
        shown(row, isMarked)
      ) : (
        <button
          type="button"
          tabIndex={isMarked ? 0 : -1}
          className="relative rounded px-0.5 text-inherit hover:bg-ground hover:outline hover:outline-line"
          onClick={() => open(row, figure)}
        >
          {shown(row, isMarked)}
          <span className="sr-only"> {column.head}: how it came about</span>
        </button>
      ),
  }
}
