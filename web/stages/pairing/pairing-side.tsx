import { type LucideIcon, PanelRightClose, PanelRightOpen } from 'lucide-react'
import { useState } from 'react'
import type { PairingDetail, Pairings } from '../../../contract/answers/pairings.ts'
import type { FigureId } from '../../../core/pairing/working.ts'
import type { usePairing } from '../../api/hooks.ts'
import { Tip } from '../../components/tip.tsx'
import { Button, Failed, Loading } from '../../components/ui.tsx'
import { BestThree } from './best-three.tsx'
import { PairingPanel } from './pairing-panel.tsx'
import type { PairingRow } from './pairing-rows.ts'
import { WhySheet } from './why-sheet.tsx'
import { WorkingSheet } from './working-sheet.tsx'

const FOLDED = 'pairing:panel'

/** Whether the panel is folded away; remembered. */
export function usePanel() {
  const [isFolded, setFolded] = useState(() => localStorage.getItem(FOLDED) !== 'open')
  return {
    isFolded,
    fold: (to: boolean): void => {
      localStorage.setItem(FOLDED, to ? 'folded' : 'open')
      setFolded(to)
    },
  }
}

/** Beside the grid: why a joint reads as it does, or the pairing; folded, only the way to open it. */
export function PairingSide({
  build,
  detail,
  data,
  joint,
  figure,
  row,
  panel: { isFolded, fold },
  listed,
  rows,
  isDone,
  onLook,
  onClose,
}: {
  build: string
  detail: ReturnType<typeof usePairing>
  data: PairingDetail | undefined
  joint: string | null
  figure: FigureId | null
  /** The row that is looked at. */
  row: PairingRow
  panel: ReturnType<typeof usePanel>
  listed: Pairings
  rows: readonly PairingRow[]
  isDone: boolean
  onLook: (row: PairingRow) => void
  onClose: () => void
}) {
  const open = data?.joints.find((one) => one.joint === joint)
  if (isFolded && !open && figure === null)
    return (
      <button
        type="button"
        onClick={() => fold(false)}
        aria-label="Show the pairing, what is best and what to measure next"
        className="flex w-[30px] shrink-0 flex-col items-center gap-3 border-l border-line bg-ground py-2 hover:bg-bench print:hidden max-[1000px]:w-auto max-[1000px]:flex-row max-[1000px]:border-l-0 max-[1000px]:border-t max-[1000px]:px-4"
      >
        <PanelRightOpen aria-hidden size={16} className="text-accent" />
        {['This pairing', 'Best under the brief', 'Measure next'].map((words) => (
          <span
            key={words}
            className="text-steel [writing-mode:vertical-rl] max-[1000px]:[writing-mode:horizontal-tb]"
          >
            {words}
          </span>
        ))}
      </button>
    )
  return (
    <div className="relative w-[372px] shrink-0 overflow-y-auto border-l border-line bg-ground max-[1000px]:w-auto max-[1000px]:border-l-0 max-[1000px]:border-t">
      {figure !== null ? (
        <WorkingSheet
          build={build}
          row={row}
          figure={figure}
          school={listed.school}
          currency={listed.currency}
          onClose={onClose}
        />
      ) : detail.error && !data ? (
        <Failed error={detail.error} retry={() => void detail.mutate()} />
      ) : !data ? (
        <Loading what="the pairing" />
      ) : open ? (
        <WhySheet
          key={`${open.id}|${data.chosen.join()}`}
          joint={open}
          build={build}
          pairing={data}
          onClose={onClose}
        />
      ) : (
        <>
          <span className="absolute right-0 top-0">
            <FoldButton
              words="Fold the pairing away"
              icon={PanelRightClose}
              onClick={() => fold(true)}
            />
          </span>
          <PairingPanel build={build} detail={data}>
            <BestThree pairings={listed} rows={rows} isDone={isDone} onLook={onLook} />
          </PairingPanel>
        </>
      )}
    </div>
  )
}

const FoldButton = ({
  words,
  icon: Icon,
  onClick,
}: {
  words: string
  icon: LucideIcon
  onClick: () => void
}) => (
  <Tip words={words}>
    <Button tone="quiet" aria-label={words} className="m-1" onClick={onClick}>
      <Icon aria-hidden size={16} />
    </Button>
  </Tip>
)
