import { useState } from 'react'
import type { LimitRecord, Verdict } from '../../../core/joints/verdict.ts'
import { printQuantity } from '../../../core/quantity/units.ts'
import { useSettings } from '../../api/hooks.ts'
import { JointShape } from '../../components/joint-shape.tsx'
import { GradeWord } from '../../components/ui.tsx'
import { StackDrawing } from '../../drawing/stack.tsx'

/** Each limit of a joint with its terms, value and margin. */
export function Limits({ verdict }: { verdict: Verdict }) {
  const [shown, setShown] = useState<number | null>(() => {
    const worst = verdict.limits.findIndex(
      (limit) => limit.code === verdict.code && limit.code !== 'fits',
    )
    return worst >= 0 ? worst : null
  })
  return (
    <table className="w-full">
      <thead>
        <tr className="border-b border-ink">
          <th className="py-1" aria-label="Verdict" />
          <th>Limit</th>
          <th className="text-right">Is</th>
          <th className="text-right">Wanted</th>
        </tr>
      </thead>
      {verdict.limits.map((limit, index) => (
        <tbody key={index} className="border-b border-line align-top">
          <tr>
            <td className="w-8 py-1.5">
              <JointShape code={limit.code} />
            </td>
            <td className="py-1.5 pr-2">
              <button
                type="button"
                aria-expanded={shown === index}
                className="text-left font-semibold underline decoration-line underline-offset-2"
                onClick={() => setShown(shown === index ? null : index)}
              >
                {limit.label}
              </button>
              <div className="text-steel">{[limit.at, limit.words].filter(Boolean).join(': ')}</div>
            </td>
            <td className="figure py-1.5 text-right">
              {limit.value === null ? '' : limit.value.toFixed(digits(limit))}
            </td>
            <td className="figure whitespace-nowrap py-1.5 pl-3 text-right">{wanted(limit)}</td>
          </tr>
          {shown === index && limit.terms.length + (limit.value === null ? 0 : 1) > 0 && (
            <tr>
              <td />
              <td colSpan={3} className="pb-2">
                <StackDrawing limit={limit} />
                <Terms limit={limit} />
              </td>
            </tr>
          )}
        </tbody>
      ))}
    </table>
  )
}

function wanted({ low, high }: LimitRecord): string {
  const show = (value: number): string => String(Number(value.toFixed(3)))
  if (low !== null && high !== null) return `${show(low)} to ${show(high)}`
  return low !== null ? `≥ ${show(low)}` : high !== null ? `≤ ${show(high)}` : ''
}

function Terms({ limit }: { limit: LimitRecord }) {
  const { data } = useSettings()
  const show = (value: number): string =>
    printQuantity(value, limit.unit === 'mm' ? 'mm' : '', data?.units)
  return (
    <table className="w-full bg-paper">
      <tbody>
        {limit.terms.map((term, index) => (
          <tr key={index} className="border-b border-line">
            <td className="figure w-5 pl-1.5">{term.sign > 0 ? '+' : '−'}</td>
            <td className="py-0.5">
              {term.label}
              <span className="text-steel">, {term.part}</span>
            </td>
            <td className="figure text-right">{term.value === null ? '?' : show(term.value)}</td>
            <td className="figure px-2 text-right text-steel">
              {term.plusMinus === null ? '' : `±${Number(term.plusMinus.toFixed(3))}`}
            </td>
            <td className="pr-1.5 text-right">
              <GradeWord grade={term.grade} />
            </td>
          </tr>
        ))}
        {limit.value !== null && (
          <tr>
            <td />
            <td colSpan={4} className="py-0.5 text-steel">
              {limit.plusMinus === null
                ? '± not known'
                : `worst case ± ${Number(limit.plusMinus.toFixed(3))}, root sum square ± ${Number((limit.rootSumSquare ?? 0).toFixed(3))}`}
              {limit.margin === null ? '' : ` · margin ${Number(limit.margin.toFixed(3))}`}
              {limit.damage && limit.worstMargin !== null
                ? `, at worst ${Number(limit.worstMargin.toFixed(3))}`
                : ''}
            </td>
          </tr>
        )}
      </tbody>
    </table>
  )
}

export const digits = (limit: LimitRecord): number =>
  limit.unit === 'N·m' || limit.unit === 'rpm'
    ? 0
    : Math.abs(limit.high ?? limit.low ?? 1) < 0.2
      ? 3
      : 2
