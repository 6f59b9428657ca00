import type { ReactNode } from 'react'
import type { PairingDetail } from '../../../contract/answers/pairings.ts'
import { JOINTS } from '../../../core/joints/index.ts'
import { effective } from '../../../core/pairing/order.ts'
import { JointShape } from '../../components/joint-shape.tsx'
import { light } from '../../components/lit-joint.ts'
import { Button, ButtonLink } from '../../components/ui.tsx'
import { Choice } from './choice.tsx'
import { choosePairing } from './choose-pairing.ts'
import { CouplingPieces } from './coupling-pieces.tsx'
import { MeasureNext } from './measure-next.tsx'

type Take = (inserted?: readonly string[]) => Promise<boolean>

/** The selected pairing: its joints in words, the sets that close it, its coupling pieces, and the choice. */
export function PairingPanel({
  build,
  detail,
  children,
}: {
  build: string
  detail: PairingDetail
  /** What the page puts before its joints. */
  children?: ReactNode
}) {
  const { other } = detail.transfer
  const take: Take = (inserted) => choosePairing(build, detail, inserted)
  return (
    <aside aria-label="Selected pairing" className="flex flex-col gap-4 px-4 py-3">
      <div>
        <h2 className="text-[15px] font-bold">{detail.engineName}</h2>
        <p className="text-steel">
          with {detail.transmissionName}
          {other && ` and ${detail.transfer.name}`}
        </p>
      </div>
      {detail.chosenPairing && <Choice build={build} />}
      <p>
        <ButtonLink
          to={`/builds/${build}/road?engine=${detail.engine}&transmission=${detail.transmission}${other ? `&transfer=${other}` : ''}`}
        >
          On the road
        </ButtonLink>
      </p>
      {children}
      <MeasureNext build={build} />
      <ul>
        {detail.joints.map((joint) => (
          <li
            key={joint.id}
            onPointerEnter={() => light(joint.joint)}
            onPointerLeave={() => light(null)}
            className="flex items-baseline gap-2 border-b border-line py-1.5"
          >
            <JointShape code={effective(joint).code} word />
            <span className="ml-auto text-right text-steel">
              {JOINTS.find(({ id }) => id === joint.joint)?.title}
            </span>
          </li>
        ))}
      </ul>
      {detail.notes.map((note) => (
        <p key={note} className="border-l-[3px] border-unmeasured pl-2.5">
          {note}
        </p>
      ))}
      <Sets detail={detail} onTake={(parts) => void take(parts)} />
      <CouplingPieces build={build} detail={detail} />
    </aside>
  )
}

/** Why no set is shown: none is needed only where every joint mates. */
function noSetWords(joints: readonly PairingDetail['joints'][number]['bare'][]): string {
  if (joints.some(({ limits }) => limits.some(({ code }) => code === 'bridge')))
    return 'Nothing in the catalogue closes it: a piece is to be made or found.'
  const open = joints.filter(({ code }) => code === 'unmeasured').length
  if (open > 0)
    return `No gap is known yet, and ${open === 1 ? 'one joint is' : `${open} joints are`} not measured: a piece may be needed still.`
  return joints.some(({ code }) => code === 'clash')
    ? 'No piece put in cures what clashes.'
    : 'None is needed.'
}

/** Sets of pieces that close it, the best first. */
const Sets = ({
  detail,
  onTake,
}: {
  detail: PairingDetail
  onTake: (parts: readonly string[]) => void
}) => (
  <div>
    <h3 className="mb-1 font-bold">Sets that close it</h3>
    {detail.sets.length === 0 && (
      <p className="text-steel">{noSetWords(detail.joints.map(({ bare }) => bare))}</p>
    )}
    {detail.sets.slice(0, 8).map((set) => {
      const taken =
        detail.chosen.length === set.parts.length &&
        set.parts.every((part) => detail.chosen.includes(part))
      return (
        <div key={set.parts.join()} className="flex items-start gap-3 border-b border-line py-1.5">
          <div className="min-w-0">
            {set.names.join(' + ')}
            <div className="text-steel">
              {set.closes === 'yes'
                ? 'Closes it'
                : `May close it; not known: ${set.missing.slice(0, 3).join('; ')}`}
              {set.kits.length > 0 ? ` · in ${set.kits.join(', ')}` : ''}
            </div>
          </div>
          <span className="ml-auto shrink-0">
            {taken ? (
              <span className="text-steel">taken</span>
            ) : (
              <Button tone="quiet" onClick={() => onTake(set.parts)}>
                Take this
              </Button>
            )}
          </span>
        </div>
      )
    })}
  </div>
)
