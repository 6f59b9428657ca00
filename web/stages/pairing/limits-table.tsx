import { useMemo, useState } from 'react'
import type { LimitRecord, Verdict } from '../../../core/joints/verdict.ts'
import { lowerFirst } from '../../../core/quantity/plain-text.ts'
import { printQuantity } from '../../../core/quantity/units.ts'
import { useSettings } from '../../api/hooks.ts'
import { JointShape } from '../../components/joint-shape.tsx'
import type { Column } from '../../components/table/column.ts'
import { DataTable } from '../../components/table/data-table.tsx'
import { GradeWord } from '../../components/ui.tsx'
import { StackDrawing } from '../../drawing/stack.tsx'

type Term = LimitRecord['terms'][number]

/** A limit and where it stands among the joint's. */
interface LimitRow {
  readonly id: string
  readonly limit: LimitRecord
}

const LIMIT_COLUMNS: readonly Column<LimitRow>[] = [
  {
    id: 'limit',
    head: 'Limit',
    isFixed: true,
    value: ({ limit }) => limit.label,
    cell: ({ limit }) => (
      <span className="flex gap-2.5">
        <span className="pt-0.5">
          <JointShape code={limit.code} />
        </span>
        <span>
          <b className="underline decoration-line underline-offset-2">{limit.label}</b>
          <span className="block text-steel">
            {[limit.at && !limit.label.includes(limit.at) ? limit.at : '', limit.words]
              .filter(Boolean)
              .join(': ')}
          </span>
        </span>
      </span>
    ),
  },
  {
    id: 'is',
    head: 'Is',
    align: 'right',
    value: ({ limit }) => limit.value,
    cell: ({ limit }) => limit.value?.toFixed(digits(limit)),
  },
  { id: 'wanted', head: 'Wanted', align: 'right', value: ({ limit }) => wanted(limit) },
]
const keyOf = ({ id }: LimitRow): string => id

/** Each limit of a joint with its value and what is wanted; its terms unfold under it. */
export function Limits({ verdict }: { verdict: Verdict }) {
  const [shown, setShown] = useState<string | null>(() => {
    const worst = verdict.limits.findIndex(
      (limit) => limit.code === verdict.code && limit.code !== 'fits',
    )
    return worst >= 0 ? String(worst) : null
  })
  const rows = useMemo(
    () => verdict.limits.map((limit, index) => ({ id: String(index), limit })),
    [verdict.limits],
  )
  return (
    <DataTable
      id="limits"
      what="limits"
      hasTools={false}
      isFixedOrder
      rows={rows}
      columns={LIMIT_COLUMNS}
      keyOf={keyOf}
      marked={shown}
      onOpen={({ id }) => setShown(shown === id ? null : id)}
      below={({ limit }) =>
        (limit.terms.length > 0 || limit.value !== null) && (
          <>
            <StackDrawing limit={limit} />
            <Terms limit={limit} />
          </>
        )
      }
    />
  )
}

function wanted({ low, high }: LimitRecord): string {
  const show = (value: number): string => String(Number(value.toFixed(3)))
  if (low !== null && high !== null) return `${show(low)} to ${show(high)}`
  return low !== null ? `≥ ${show(low)}` : high !== null ? `≤ ${show(high)}` : ''
}

const termColumns = (show: (value: number) => string): readonly Column<Term>[] => [
  {
    id: 'term',
    head: 'Term',
    isFixed: true,
    value: (term) => `${term.label}, ${term.part}`,
    cell: (term) => (
      <>
        <span className="figure">{term.sign > 0 ? '+' : '−'}</span> {term.label}
        <span className="text-steel">, {term.part}</span>
      </>
    ),
  },
  {
    id: 'value',
    head: 'Is',
    align: 'right',
    value: ({ value }) => value,
    cell: ({ value }) => (value === null ? '?' : show(value)),
  },
  {
    id: 'plusMinus',
    head: '±',
    align: 'right',
    className: 'text-steel',
    value: ({ plusMinus }) => plusMinus,
    cell: ({ plusMinus }) => (plusMinus === null ? '' : Number(plusMinus.toFixed(3))),
  },
  {
    id: 'evidence',
    head: 'Evidence',
    value: ({ grade }) => grade,
    cell: ({ grade }) => <GradeWord grade={grade} />,
  },
]
const termKey = (term: Term): string => `${term.sign}${term.part}${term.label}`

function Terms({ limit }: { limit: LimitRecord }) {
  const units = useSettings().data?.units
  const columns = useMemo(
    () => termColumns((value) => printQuantity(value, limit.unit === 'mm' ? 'mm' : '', units)),
    [limit.unit, units],
  )
  return (
    <div className="bg-paper px-1.5">
      {limit.terms.length > 0 && (
        <DataTable
          id="terms"
          what="terms"
          hasTools={false}
          isFixedOrder
          rows={limit.terms}
          columns={columns}
          keyOf={termKey}
        />
      )}
      {limit.value !== null && <p className="py-0.5 text-steel">{boundsOf(limit)}</p>}
    </div>
  )
}

/** What its terms leave open, worst case and root sum square, and the margin that is left. */
function boundsOf(limit: LimitRecord): string {
  const three = (value: number | null): string => String(Number((value ?? 0).toFixed(3)))
  return [
    limit.plusMinus === null
      ? '± not known'
      : `worst case ± ${three(limit.plusMinus)}, root sum square ± ${three(limit.rootSumSquare)}`,
    limit.margin === null ? '' : ` · margin ${three(limit.margin)}`,
    limit.damage && limit.worstMargin !== null ? `, at worst ${three(limit.worstMargin)}` : '',
    limit.loosest && limit.loosest.share !== null
      ? ` · ${Math.round(limit.loosest.share * 100)} % of the ± is ${limit.loosest.part}, ${lowerFirst(limit.loosest.label)}`
      : '',
  ].join('')
}

export const digits = (limit: LimitRecord): number =>
  limit.unit === 'N·m' || limit.unit === 'rpm'
    ? 0
    : Math.abs(limit.high ?? limit.low ?? 1) < 0.2
      ? 3
      : 2
