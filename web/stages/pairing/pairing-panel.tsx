import type { PairingDetail } from '../../../contract/answers/pairings.ts'
import { JOINTS } from '../../../core/joints/index.ts'
import { effective } from '../../../core/pairing/order.ts'
import { call } from '../../api/client.ts'
import { act } from '../../api/hooks.ts'
import { JointShape } from '../../components/joint-shape.tsx'
import { light } from '../../components/lit-joint.ts'
import { Button, ButtonLink } from '../../components/ui.tsx'
import { CouplingPieces } from './coupling-pieces.tsx'
import { MeasureNext } from './measure-next.tsx'

type Take = (inserted?: readonly string[]) => Promise<boolean>

/** The selected pairing: its joints in words, the sets that close it, its coupling pieces, and the choice. */
export function PairingPanel({ build, detail }: { build: string; detail: PairingDetail }) {
  const take: Take = (inserted) =>
    act(
      () =>
        call('POST /builds/{id}/pairing', {
          params: { id: build },
          body: {
            engineId: detail.engine,
            transmissionId: detail.transmission,
            ...(inserted ? { inserted: [...inserted] } : {}),
          },
        }),
      `${detail.engineName} with ${detail.transmissionName} is chosen.`,
    )
  return (
    <aside aria-label="Selected pairing" className="flex flex-col gap-4 px-4 py-3">
      <div>
        <h2 className="text-[15px] font-bold">{detail.engineName}</h2>
        <p className="text-steel">with {detail.transmissionName}</p>
      </div>
      {detail.chosenPairing ? (
        <p className="flex items-center gap-3">
          This is the build's pairing.{' '}
          <ButtonLink to={`/builds/${build}/parts`}>See its parts</ButtonLink>
        </p>
      ) : (
        <Button tone="main" className="self-start" onClick={() => void take()}>
          Choose this pairing
        </Button>
      )}
      <p>
        <ButtonLink
          to={`/builds/${build}/road?engine=${detail.engine}&transmission=${detail.transmission}`}
        >
          On the road
        </ButtonLink>
      </p>
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
