import { groupBy } from '../../../core/group.ts'

/** What stands in one line of a table: a row, or the head of those that follow. */
export interface Entry<R> {
  readonly row: R | null
  readonly group: string
  /** How many stand under the head. */
  readonly count: number
}

/** Rows under the heads of their groups, in the order the groups first come; without groups as they are. */
export const inGroups = <R,>(
  rows: readonly R[],
  groupOf: ((row: R) => string) | undefined,
): readonly Entry<R>[] =>
  groupOf
    ? [...groupBy(rows, groupOf)].flatMap(([group, members]) => [
        { row: null, group, count: members.length },
        ...members.map((row) => ({ row, group, count: 0 })),
      ])
    : rows.map((row) => ({ row, group: '', count: 0 }))

/** The head of a group of rows. */
export const GroupRow = ({
  index,
  measure,
  group,
  count,
  columns,
  isEdged,
}: {
  index: number
  measure: (row: HTMLElement | null) => void
  group: string
  count: number
  columns: number
  isEdged: boolean
}) => (
  <tr
    ref={measure}
    data-index={index}
    aria-rowindex={index + 2}
    className="border-b border-line bg-bench"
  >
    <th
      colSpan={columns}
      scope="rowgroup"
      className={`py-1 text-[13px] text-ink [font-stretch:100%] ${isEdged ? 'pl-4' : 'pl-1'}`}
    >
      <b>{group}</b>
      <span className="figure ml-2 font-normal text-steel">{count}</span>
    </th>
  </tr>
)
