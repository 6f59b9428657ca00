import clsx from 'clsx'
import { createContext, useContext } from 'react'
import type { PairingRow } from '../../../contract/answers/pairings.ts'
import { JOINTS } from '../../../core/joints/index.ts'
import { JointShape } from '../../components/joint-shape.tsx'
import { lights } from '../../components/lit-joint.ts'
import type { Column } from '../../components/table/column.ts'
import { moneyColumn } from '../../components/table/columns.tsx'
import { Tip } from '../../components/tip.tsx'
import { Money } from '../../components/ui.tsx'
import { isSamePick, LETTERS, MOST_PICKED, type PickedPair } from '../compare/picked.ts'

/** A pairing by its two parts. */
export const pairingKey = (row: Pick<PairingRow, 'engineId' | 'transmissionId'>): string =>
  `${row.engineId}|${row.transmissionId}`

/** The joint that is looked into on the marked row: only that row is drawn again when it changes. */
export const LookedInto = createContext<string | null>(null)

/** The pairings picked to be compared. */
export const Picked = createContext<readonly PickedPair[]>([])

type Joint = (typeof JOINTS)[number]
type Look = (row: PairingRow, joint: string | null) => void

/** Columns of the grid: what decides, then the joints that apply to any of the rows, front to back. */
export const pairingColumns = (
  rows: readonly PairingRow[],
  currency: string,
  look: Look,
  pick: (row: PairingRow) => void,
): readonly Column<PairingRow>[] => [
  {
    id: 'pick',
    head: '',
    title: 'Picked to be compared',
    isActions: true,
    isFixed: true,
    value: () => null,
    cell: (row, isMarked) => <PickBox row={row} isMarked={isMarked} onPick={() => pick(row)} />,
  },
  {
    id: 'pairing',
    head: 'Engine, transmission',
    isFixed: true,
    value: (row) => `${row.engine} with ${row.transmission}`,
    className: 'min-w-[150px] leading-tight',
    cell: (row) => (
      <>
        <span className="font-bold">{row.engine}</span>
        {row.chosen && <span className="ml-2 text-steel">chosen</span>}
        <br />
        {row.transmission}
      </>
    ),
  },
  {
    id: 'open',
    head: 'Open',
    title: 'Joints that are not measured yet',
    align: 'right',
    value: (row) => row.open,
    cell: (row) => row.open || '–',
  },
  {
    id: 'hours',
    head: 'Hours',
    title: 'Work at its joints, closed where a set closes them',
    align: 'right',
    value: (row) => row.hours,
    cell: (row) => row.hours || '–',
  },
  {
    ...moneyColumn<PairingRow>(
      'pieces',
      'Pieces',
      ({ piecesMinor }) => piecesMinor,
      () => currency,
      true,
    ),
    title: 'The least that the pieces which close it are known to cost',
    cell: ({ piecesMinor }) =>
      piecesMinor === 0 ? '–' : <Money minor={piecesMinor} currency={currency} whole />,
  },
  {
    id: 'margin',
    head: 'Torque',
    title: 'Margin at the gearbox input, N·m',
    align: 'right',
    value: (row) => row.marginNm,
    cell: ({ marginNm }) =>
      marginNm === null ? '?' : `${marginNm >= 0 ? '+' : '−'}${Math.abs(Math.round(marginNm))}`,
  },
  roadColumn(
    'hill',
    'Hill',
    'The fastest it holds a hill of 6 % in top, km/h',
    ({ hillTopKmh }) => hillTopKmh,
    0,
  ),
  roadColumn(
    'cruise',
    'Cruise',
    'Engine speed in top at 80 km/h, rpm',
    ({ cruiseRpm }) => cruiseRpm,
    0,
  ),
  roadColumn(
    'hundred',
    '0–100',
    'Seconds from rest to 100 km/h',
    ({ toHundredS }) => toHundredS,
    1,
  ),
  roadColumn(
    'mass',
    'Mass',
    'What the new train weighs more than the old one, kg',
    ({ massChangeKg }) => massChangeKg,
    0,
    true,
  ),
  {
    id: 'closedBy',
    head: 'Closed by',
    value: (row) => row.closedBy.join(' + '),
    className: 'min-w-[104px] max-w-[150px] text-steel leading-tight',
    cell: (row) => (
      <Tip words={row.closedBy.join(' + ')}>
        <span className="line-clamp-2">{row.closedBy.join(' + ')}</span>
      </Tip>
    ),
  },
  ...JOINTS.filter(({ id }) =>
    rows.some((row) => row.joints.some(({ joint }) => joint === id)),
  ).map((joint) => jointColumn(joint, look)),
]

/** The box that picks a row, with its letter once it is. */
function PickBox({
  row,
  isMarked,
  onPick,
}: {
  row: PairingRow
  isMarked: boolean
  onPick: () => void
}) {
  const picks = useContext(Picked)
  const at = picks.findIndex((one) => isSamePick(one, row))
  return (
    <button
      type="button"
      role="checkbox"
      aria-checked={at >= 0}
      aria-label={`Compare ${row.engine} with ${row.transmission}`}
      tabIndex={isMarked ? 0 : -1}
      disabled={at < 0 && picks.length >= MOST_PICKED}
      onClick={onPick}
      className={`size-[18px] rounded print:hidden text-center font-semibold text-[12px] leading-[17px] ${at >= 0 ? 'bg-ink text-paper' : 'border border-steel bg-ground disabled:opacity-40'}`}
    >
      {at >= 0 ? LETTERS[at] : ''}
    </button>
  )
}

/** A figure of the road: shown when it is chosen, sorted like any other. */
const roadColumn = (
  id: string,
  head: string,
  title: string,
  value: (row: PairingRow) => number | null,
  digits: number,
  isSigned = false,
): Column<PairingRow> => ({
  id,
  head,
  title,
  align: 'right',
  isAside: true,
  value,
  cell: (row) => {
    const figure = value(row)
    if (figure === null) return '?'
    const text = Math.abs(figure).toFixed(digits)
    return isSigned ? `${figure < 0 ? '−' : '+'}${text}` : text
  },
})

const codeOf = (row: PairingRow, { id }: Joint): PairingRow['joints'][number] | undefined =>
  row.joints.find(({ joint }) => joint === id)

const jointColumn = (joint: Joint, look: Look): Column<PairingRow> => ({
  id: joint.id,
  head: joint.short,
  title: joint.title,
  isUpright: true,
  value: (row) => {
    const cell = codeOf(row, joint)
    return cell && (cell.closed ?? cell.code)
  },
  cell: (row, isMarked) => (
    <JointCell row={row} joint={joint} isMarked={isMarked} onLook={() => look(row, joint.id)} />
  ),
})

/** What two parts read where they meet; pressed, why. Of the rows only the marked one is walked by Tab. */
function JointCell({
  row,
  joint,
  isMarked,
  onLook,
}: {
  row: PairingRow
  joint: Joint
  isMarked: boolean
  onLook: () => void
}) {
  const cell = codeOf(row, joint)
  if (!cell) return null
  const shape = <JointShape code={cell.code} closed={cell.closed} evidence={cell.evidence} />
  const says = `${pairingKey(row)}-${joint.id}`
  return (
    <Pressed isMarked={isMarked} joint={joint.id}>
      <button
        type="button"
        tabIndex={isMarked ? 0 : -1}
        aria-label={`${joint.title}, ${row.engine} with ${row.transmission}`}
        aria-describedby={says}
        className="block rounded px-px py-1 hover:bg-ground"
        onClick={onLook}
        {...lights(joint.id)}
      >
        <span id={says}>{shape}</span>
        {cell.conflicts > 0 && (
          <Tip words="A claim disagrees with what is computed">
            <span className="font-bold">
              ≠<span className="sr-only"> a claim disagrees</span>
            </span>
          </Tip>
        )}
      </button>
    </Pressed>
  )
}

/** An outline round the joint that is looked into. */
const Pressed = ({
  isMarked,
  joint,
  children,
}: {
  isMarked: boolean
  joint: string
  children: React.ReactNode
}) => (isMarked ? <Outlined joint={joint}>{children}</Outlined> : <span>{children}</span>)

function Outlined({ joint, children }: { joint: string; children: React.ReactNode }) {
  const isHere = useContext(LookedInto) === joint
  return (
    <span className={clsx('block rounded', isHere && 'bg-ground outline outline-accent')}>
      {children}
    </span>
  )
}
