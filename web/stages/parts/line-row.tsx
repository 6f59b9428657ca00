import clsx from 'clsx'
import type { PartLine } from '../../../contract/answers/planning.ts'
import { printMoney } from '../../../core/money/money.ts'
import { JointShape } from '../../components/joint-shape.tsx'
import { GradeWord, Money } from '../../components/ui.tsx'
import { NumberSays } from './number-says.tsx'
import { STATE_WORDS } from './words.ts'

/** One line of the parts list. */
export function LineRow({
  line,
  currency,
  isSelected,
  joint,
  onSelect,
}: {
  line: PartLine
  currency: string
  isSelected: boolean
  joint:
    | { bare: { code: 'fits' } }
    | undefined
    | { bare: { code: Parameters<typeof JointShape>[0]['code'] } }
  onSelect: () => void
}) {
  return (
    <tr
      aria-selected={isSelected}
      className={clsx(
        'border-b border-line align-top',
        isSelected ? 'bg-chosen' : 'hover:bg-bench/50',
      )}
    >
      <td
        className={clsx(
          'border-l-[3px] py-1.5 pl-3.5',
          isSelected ? 'border-accent' : 'border-transparent',
        )}
      >
        <button type="button" className="flex gap-2.5 text-left" onClick={onSelect}>
          <span className="w-[22px] shrink-0 pt-0.5">
            {joint && <JointShape code={joint.bare.code} />}
          </span>
          <span>
            <b>{line.words}</b>
            <span className="block text-steel">{line.why[0]?.words}</span>
          </span>
        </button>
      </td>
      <td className="figure py-1.5 text-right">
        {line.task ? `${line.task.hours} h` : line.quantity}
      </td>
      <td className="max-w-[220px] py-1.5 pl-4 pr-3">
        {line.source ? (
          line.source.words
        ) : (
          <span className="text-steel">
            {line.candidateCount > 0 ? `${line.candidateCount} to choose from` : ''}
          </span>
        )}
      </td>
      <td className="py-1.5">{line.source ? <NumberSays verdict={line.source.number} /> : ''}</td>
      <td className="py-1.5">{line.source ? <GradeWord grade={line.source.evidence} /> : ''}</td>
      <td className="py-1.5 text-right">
        {line.costMinor !== null || line.estimateMinor !== null ? (
          <Money minor={line.costMinor ?? line.estimateMinor} currency={currency} />
        ) : (
          <span className="text-steel">
            {line.task ? '' : 'no price yet'}
            {line.range && (
              <span
                className="figure block whitespace-nowrap text-[12px] underline decoration-dotted underline-offset-4"
                title="Assumed: the range of its kind, to plan with"
              >
                {printMoney(line.range.low, currency, true)}–
                {printMoney(line.range.high, currency, true)}
              </span>
            )}
          </span>
        )}
      </td>
      <td className="whitespace-nowrap py-1.5 pl-4 pr-3">
        {STATE_WORDS[line.state]}
        {line.waits !== 'nothing' && <div className="text-steel">waits: {line.waits}</div>}
      </td>
    </tr>
  )
}
