import { createContext, useContext } from 'react'
import { minorDigits } from '../../../core/money/money.ts'
import type { FigureId } from '../../../core/pairing/working.ts'
import { GRADES } from '../../../core/quantity/grade.ts'
import type { Column } from '../../components/table/column.ts'
import { moneyColumn } from '../../components/table/columns.tsx'
import { Tip } from '../../components/tip.tsx'
import { GradeWord, Money } from '../../components/ui.tsx'
import { Silhouette } from '../../drawing/train/silhouette.tsx'
import { isSamePick, LETTERS, MOST_PICKED, type PickedPair } from '../compare/picked.ts'
import { CostBar } from './cost-bar.tsx'
import { withWorking } from './figure-cell.tsx'
import { leaningOf, openOf, type PairingRow } from './pairing-rows.ts'

/** The pairings picked to be compared. */
export const Picked = createContext<readonly PickedPair[]>([])

/** What the columns are made with. */
export interface Shown {
  readonly currency: string
  /** Whether the panel stands beside: then nothing is as wide as it could be. */
  readonly isNarrow: boolean
  /** Columns of the joints, one a joint or one a place. */
  readonly joints: readonly Column<PairingRow>[]
  readonly pick: (row: PairingRow) => void
  /** Opens a figure to its working. */
  readonly open: (row: PairingRow, figure: FigureId) => void
}

/** Columns of the list: the pairing, its joints front to back, then what decides. */
export const pairingColumns = (shown: Shown): readonly Column<PairingRow>[] =>
  plainColumns(shown).map((column) => withWorking(column, shown.open))

const plainColumns = ({
  currency,
  isNarrow,
  joints,
  pick,
}: Shown): readonly Column<PairingRow>[] => [
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
    value: (row) => `${row.engine} with ${row.transmission} ${row.transfer ?? ''}`.trim(),
    className: isNarrow ? 'narrow max-w-[206px]' : 'narrow max-w-[286px]',
    cell: (row) => (
      <Tip
        words={`${row.engine} with ${row.transmission}${row.transfer ? ` and ${row.transfer}` : ''}`}
      >
        <span className="flex items-center gap-1.5">
          <Silhouette engine={row.engineFigure} gearbox={row.gearboxFigure} />
          <span className="truncate">
            <span className="font-bold">{row.engine}</span>{' '}
            <span className={row.chosen ? '' : 'text-steel'}>
              {row.chosen && 'chosen · '}
              {row.transmission}
              {row.transfer && ` · ${row.transfer}`}
            </span>
          </span>
        </span>
      </Tip>
    ),
  },
  ...joints,
  {
    id: 'open',
    head: 'Open',
    title: 'Joints that are not measured, and where they lean to: + likely, − doubtful',
    align: 'right',
    value: openOf,
    cell: (row) => {
      const { likely, doubtful } = leaningOf(row)
      return (
        <>
          {likely + doubtful > 0 && (
            <span className="text-[11px] text-steel">
              {likely > 0 && `+${likely}`} {doubtful > 0 && `−${doubtful}`}{' '}
            </span>
          )}
          {openOf(row) || '–'}
        </>
      )
    },
  },
  figure(
    'stoppers',
    'Stoppers',
    'Questions that stop builds, not answered and judged by no joint yet',
    ({ figures }) => figures?.stoppers,
    0,
    { isAside: true },
  ),
  {
    id: 'weakest',
    head: 'Evidence',
    title: 'The weakest it leans on',
    isAside: true,
    value: ({ weakest }) => (weakest === null ? null : GRADES.indexOf(weakest)),
    cell: ({ weakest }) => <GradeWord grade={weakest} />,
  },
  {
    id: 'cost',
    head: 'Cost from–to',
    // As wide before it is worked out: what is aimed at does not move.
    className: isNarrow ? 'min-w-[118px]' : 'min-w-[190px]',
    title:
      'The whole list with its work, by row prices and best offers: one build in ten costs less than the first, one in ten more than the second. Dotted: the like-for-like repair.',
    align: 'right',
    value: ({ figures }) =>
      figures?.money ? figures.money.likely / 10 ** minorDigits(currency) : null,
    cell: ({ figures }) =>
      figures === null ? (
        '…'
      ) : figures.money === null ? (
        '–'
      ) : (
        <CostBar money={figures.money} currency={currency} isBare={isNarrow} />
      ),
  },
  {
    id: 'hours',
    head: 'Hours',
    className: 'min-w-[66px]',
    title: 'Of the whole list: nine in ten take more than the first, and less than the second',
    align: 'right',
    value: ({ figures }) => (figures ? (figures.hours.low + figures.hours.high) / 2 : null),
    cell: ({ figures }) =>
      figures ? `${Math.round(figures.hours.low)}–${Math.round(figures.hours.high)}` : '…',
  },
  figure(
    'mass',
    'Mass',
    'What the new train weighs more than the old one, kg',
    ({ figures }) => figures?.massChangeKg,
    0,
    { isSigned: true },
  ),
  figure(
    'front',
    'On front',
    'What of the change stands on the front axle, kg',
    ({ figures }) => figures?.frontChangeKg,
    0,
    { isSigned: true, isAside: true },
  ),
  figure(
    'margin',
    'Torque',
    'Margin at the gearbox input, N·m',
    ({ figures }) => figures?.marginNm,
    0,
    { isSigned: true },
  ),
  figure(
    'hill',
    'Hill',
    'The fastest it holds a hill of 6 % in top, km/h',
    ({ figures }) => figures?.hillTopKmh,
    0,
  ),
  figure(
    'cruise',
    'Cruise',
    'Engine speed in top at 80 km/h, rpm',
    ({ figures }) => figures?.cruiseRpm,
    0,
  ),
  figure(
    'hundred',
    '0–100',
    'Seconds from rest to 100 km/h',
    ({ figures }) => figures?.toHundredS,
    1,
    { isAside: true },
  ),
  {
    ...moneyColumn<PairingRow>(
      'pieces',
      'Pieces',
      ({ figures }) => figures?.piecesMinor,
      () => currency,
      true,
    ),
    title: 'The least that the pieces which close it are known to cost',
    isAside: true,
    cell: ({ figures }) =>
      figures === null ? (
        '…'
      ) : figures.piecesMinor === 0 ? (
        '–'
      ) : (
        <Money minor={figures.piecesMinor} currency={currency} whole />
      ),
  },
  {
    id: 'closedBy',
    head: 'Closed by',
    isAside: true,
    value: ({ figures }) => figures?.closedBy.join(' + '),
    className: 'min-w-[104px] max-w-[150px] text-steel leading-tight',
    cell: ({ figures }) => (
      <Tip words={figures?.closedBy.join(' + ')}>
        <span className="line-clamp-2">{figures?.closedBy.join(' + ')}</span>
      </Tip>
    ),
  },
]

/** A figure of a row: … until it is worked out, ? where something it needs is not known. */
function figure(
  id: string,
  head: string,
  title: string,
  of: (row: PairingRow) => number | null | undefined,
  digits: number,
  { isSigned = false, isAside = false }: { isSigned?: boolean; isAside?: boolean } = {},
): Column<PairingRow> {
  return {
    id,
    head,
    title,
    align: 'right',
    isAside,
    value: of,
    cell: (row) => {
      const value = of(row)
      if (row.figures === null) return '…'
      if (value === null || value === undefined) return '?'
      const text = Math.abs(value).toFixed(digits)
      return isSigned ? `${value < 0 ? '−' : '+'}${text}` : text
    },
  }
}

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
      aria-label={`Compare ${row.engine} with ${row.transmission}${row.transfer ? ` and ${row.transfer}` : ''}`}
      tabIndex={isMarked ? 0 : -1}
      disabled={at < 0 && picks.length >= MOST_PICKED}
      onClick={onPick}
      className={`size-[18px] rounded print:hidden text-center font-semibold text-[12px] leading-[17px] ${at >= 0 ? 'bg-ink text-paper' : 'border border-steel bg-ground disabled:opacity-40'}`}
    >
      {at >= 0 ? LETTERS[at] : ''}
    </button>
  )
}
