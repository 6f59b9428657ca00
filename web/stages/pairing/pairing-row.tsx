import clsx from 'clsx'
import type { PairingRow } from '../../../contract/answers/pairings.ts'
import type { JOINTS } from '../../../core/joints/index.ts'
import { JointShape } from '../../components/joint-shape.tsx'

/** A pairing by its two parts. */
export const keyOf = (row: Pick<PairingRow, 'engineId' | 'transmissionId'>): string =>
  `${row.engineId}|${row.transmissionId}`

/** One pairing: its joints as shapes, and what decides. */
export function Row({
  row,
  columns,
  isSelected,
  joint,
  onSelect,
}: {
  row: PairingRow
  columns: readonly (typeof JOINTS)[number][]
  isSelected: boolean
  joint: string | null
  onSelect: (joint: string | null) => void
}) {
  return (
    <tr
      data-key={keyOf(row)}
      aria-selected={isSelected}
      className={clsx('border-b border-line', isSelected ? 'bg-chosen' : 'hover:bg-bench/50')}
    >
      <td
        className={clsx(
          'sticky left-0 min-w-[166px] border-l-[3px] py-1.5 pl-3.5',
          isSelected ? 'border-accent bg-chosen' : 'border-transparent bg-paper',
        )}
      >
        <button type="button" className="text-left" onClick={() => onSelect(null)}>
          <span className="font-bold">{row.engine}</span>
          {row.chosen && <span className="ml-2 text-steel">chosen</span>}
          <br />
          {row.transmission}
        </button>
      </td>
      {columns.map(({ id, title }) => {
        const cell = row.joints.find((one) => one.joint === id)
        return (
          <td key={id} className="text-center">
            {cell && (
              <button
                type="button"
                aria-label={`${title}, ${row.engine} with ${row.transmission}`}
                aria-describedby={`${keyOf(row)}-${id}`}
                className={clsx(
                  'rounded p-1 hover:bg-ground',
                  isSelected && joint === id && 'bg-ground outline outline-accent',
                )}
                onClick={() => onSelect(id)}
              >
                <span id={`${keyOf(row)}-${id}`}>
                  <JointShape code={cell.code} closed={cell.closed} evidence={cell.evidence} />
                </span>
                {cell.conflicts > 0 && (
                  <span
                    className="ml-0.5 font-bold"
                    title="A claim disagrees with what is computed"
                  >
                    ≠<span className="sr-only"> a claim disagrees</span>
                  </span>
                )}
              </button>
            )}
          </td>
        )
      })}
      <td className="figure text-right">{row.open || '–'}</td>
      <td className="figure text-right">{row.hours || '–'}</td>
      <td className="figure text-right">
        {row.marginNm === null
          ? '?'
          : `${row.marginNm >= 0 ? '+' : '−'}${Math.abs(Math.round(row.marginNm))}`}
      </td>
      <td className="max-w-[190px] truncate pl-4 pr-3 text-steel" title={row.closedBy.join(' + ')}>
        {row.closedBy.join(' + ')}
      </td>
    </tr>
  )
}
