import type { PartLine } from '../../../contract/answers/planning.ts'
import type { Code } from '../../../core/joints/code.ts'
import { minorDigits, printMoney } from '../../../core/money/money.ts'
import { JointShape } from '../../components/joint-shape.tsx'
import type { Column } from '../../components/table/column.ts'
import { Tip } from '../../components/tip.tsx'
import { GradeWord, Money } from '../../components/ui.tsx'
import { NumberSays } from './number-says.tsx'
import type { SmallPieces } from './small-pieces.ts'
import { numberWords, STATE_WORDS } from './words.ts'

/** What comes or stays unseen may cost another after all: its range is shown, not nothing. */
const isUnseen = ({ state, source }: PartLine): boolean =>
  state === 'comes' || (state === 'kept' && (source?.confirm.length ?? 0) > 0)
const priceOf = (line: PartLine): number | null =>
  isUnseen(line) ? null : (line.costMinor ?? line.estimateMinor)

/** What stands of a line of the list: its reason in short, its source, number, evidence, price, state. */
export const lineColumns = (
  currency: string,
  codeAt: (joint: string | null) => Code | undefined,
  small: SmallPieces,
): readonly Column<PartLine>[] => [
  {
    id: 'line',
    head: 'Line, and why in short',
    isFixed: true,
    value: (line) => [line.words, line.why[0]?.words].filter(Boolean).join(': '),
    cell: (line) => {
      const code = codeAt(line.joint)
      return (
        <span className="flex gap-2.5">
          <span
            className={`w-[22px] shrink-0 pt-0.5 ${small.isPiece(line) ? 'ml-5 border-l border-line' : ''}`}
          >
            {code && <JointShape code={code} />}
          </span>
          <span>
            <span className="hidden print:inline" aria-hidden>
              ☐{' '}
            </span>
            <b>{line.words}</b>
            <span className="block text-steel">{line.why[0]?.words}</span>
            {line.hangs.length > 0 && line.state === 'asked' && (
              <span className="block text-steel">Because it is not known: {line.hangs[0]}</span>
            )}
            {line.aside && (
              <span className="block border-l-[3px] border-unmeasured pl-2">{line.aside}</span>
            )}
            <Pieces line={line} small={small} />
          </span>
        </span>
      )
    },
  },
  {
    id: 'off',
    head: 'Off',
    align: 'right',
    value: (line) => (line.sort === 'part' ? line.quantity : line.time[1]),
    cell: (line) =>
      line.sort === 'part' || line.sort === 'tool'
        ? line.quantity
        : line.time[1] > 0
          ? `${line.time[1].toFixed(1)} h`
          : '',
  },
  {
    id: 'from',
    head: 'From',
    className: 'max-w-[220px]',
    value: (line) => line.source?.words,
    cell: (line) =>
      line.source ? (
        line.source.words
      ) : (
        <span className="text-steel">
          {line.candidateCount > 0 ? `${line.candidateCount} to choose` : ''}
        </span>
      ),
  },
  {
    id: 'number',
    head: 'Number says',
    value: (line) => line.source && numberWords(line.source.number),
    cell: (line) => line.source && <NumberSays verdict={line.source.number} />,
  },
  {
    id: 'evidence',
    head: 'Evidence',
    value: (line) => line.source?.evidence,
    cell: (line) => line.source && <GradeWord grade={line.source.evidence} />,
  },
  {
    id: 'price',
    head: currency,
    align: 'right',
    value: (line) => {
      const minor = priceOf(line)
      return minor === null ? null : minor / 10 ** minorDigits(currency)
    },
    cell: (line) => <Price line={line} currency={currency} />,
  },
  {
    id: 'state',
    head: 'State',
    className: 'whitespace-nowrap',
    value: (line) =>
      [STATE_WORDS[line.state], line.waits !== 'nothing' && `waits: ${line.waits}`]
        .filter(Boolean)
        .join(', '),
    cell: (line) => (
      <>
        {STATE_WORDS[line.state]}
        {line.waits !== 'nothing' && <div className="text-steel">waits: {line.waits}</div>}
      </>
    ),
  },
]

/** The small pieces of a line, told by how many until they are unfolded. */
function Pieces({ line, small }: { line: PartLine; small: SmallPieces }) {
  const count = small.countOf(line)
  if (count === 0) return null
  const isOpen = small.isOpen(line)
  return (
    <button
      type="button"
      aria-expanded={isOpen}
      onClick={(event) => {
        event.stopPropagation()
        small.toggle(line)
      }}
      className="block text-accent underline print:hidden"
    >
      {isOpen
        ? `Fold its ${count} small ${count === 1 ? 'piece' : 'pieces'}`
        : `with ${count} small ${count === 1 ? 'piece' : 'pieces'}`}
    </button>
  )
}

const Price = ({ line, currency }: { line: PartLine; currency: string }) =>
  priceOf(line) !== null ? (
    <Money minor={priceOf(line)} currency={currency} />
  ) : line.price === null ? (
    <span className="font-sans text-steel">no price yet</span>
  ) : line.price[0] === 0 && line.price[2] === 0 ? null : (
    <Tip words="What is common, by how it stands and where it comes from: to plan with">
      <span className="figure block whitespace-nowrap text-[12px] text-steel underline decoration-dotted underline-offset-4">
        {printMoney(Math.round(line.price[0]), currency, true)}–
        {printMoney(Math.round(line.price[2]), currency, true)}
      </span>
    </Tip>
  )
