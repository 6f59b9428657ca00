import { type LucideIcon, PanelRightClose, PanelRightOpen } from 'lucide-react'
import { useState } from 'react'
import type { PairingDetail } from '../../../contract/answers/pairings.ts'
import type { usePairing } from '../../api/hooks.ts'
import { Tip } from '../../components/tip.tsx'
import { Button, Failed, Loading } from '../../components/ui.tsx'
import { PairingPanel } from './pairing-panel.tsx'
import { WhySheet } from './why-sheet.tsx'

const FOLDED = 'pairing:panel'

/** Beside the grid: why a joint reads as it does, or the pairing; folded, only the way to open it. */
export function PairingSide({
  build,
  detail,
  data,
  joint,
  onClose,
}: {
  build: string
  detail: ReturnType<typeof usePairing>
  data: PairingDetail | undefined
  joint: string | null
  onClose: () => void
}) {
  const [isFolded, setFolded] = useState(() => localStorage.getItem(FOLDED) === 'folded')
  const fold = (to: boolean): void => {
    localStorage.setItem(FOLDED, to ? 'folded' : 'open')
    setFolded(to)
  }
  const open = data?.joints.find((one) => one.joint === joint)
  if (isFolded && !open)
    return (
      <div className="w-[30px] shrink-0 border-l border-line bg-ground print:hidden max-[1000px]:w-auto max-[1000px]:border-l-0 max-[1000px]:border-t">
        <FoldButton words="Show the pairing" icon={PanelRightOpen} onClick={() => fold(false)} />
      </div>
    )
  return (
    <div className="relative w-[372px] shrink-0 overflow-y-auto border-l border-line bg-ground max-[1000px]:w-auto max-[1000px]:border-l-0 max-[1000px]:border-t">
      {detail.error && !data ? (
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
          <PairingPanel build={build} detail={data} />
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
