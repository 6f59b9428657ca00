import type { PairingDetail } from '../../../contract/answers/pairings.ts'
import { JOINTS } from '../../../core/joints/index.ts'
import { isCouplingKind } from '../../../core/pairing/coupling.ts'
import { effective } from '../../../core/pairing/order.ts'
import { useAnswer } from '../../api/answer.ts'
import { call } from '../../api/client.ts'
import { act } from '../../api/hooks.ts'
import { JointShape } from '../../components/joint-shape.tsx'
import { Button, ButtonLink } from '../../components/ui.tsx'

/** The selected pairing: its joints in words, the sets that close it, its coupling pieces, and the choice. */
export function PairingPanel({ build, detail }: { build: string; detail: PairingDetail }) {
  const pair = { engineId: detail.engine, transmissionId: detail.transmission }
  const kits = (useAnswer('GET /kits').data?.items ?? []).filter((kit) =>
    kit.items.some((item) => isCouplingKind(item.partKind ?? '')),
  )
  const choose = (inserted?: readonly string[]): Promise<boolean> =>
    act(
      () =>
        call('POST /builds/{id}/pairing', {
          params: { id: build },
          body: { ...pair, ...(inserted ? { inserted: [...inserted] } : {}) },
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
        <Button tone="main" className="self-start" onClick={() => void choose()}>
          Choose this pairing
        </Button>
      )}
      <ul>
        {detail.joints.map((joint) => (
          <li key={joint.id} className="flex items-baseline gap-2 border-b border-line py-1.5">
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
      <div>
        <h3 className="mb-1 font-bold">Sets that close it</h3>
        {detail.sets.length === 0 && (
          <p className="text-steel">
            {detail.joints.some((joint) =>
              joint.bare.limits.some((limit) => limit.code === 'bridge'),
            )
              ? 'Nothing in the catalogue closes it: a piece is to be made or found.'
              : 'None is needed.'}
          </p>
        )}
        {detail.sets.slice(0, 8).map((set) => {
          const taken =
            detail.chosen.length === set.parts.length &&
            set.parts.every((part) => detail.chosen.includes(part))
          return (
            <div
              key={set.parts.join()}
              className="flex items-start gap-3 border-b border-line py-1.5"
            >
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
                  <Button tone="quiet" onClick={() => void choose(set.parts)}>
                    Take this
                  </Button>
                )}
              </span>
            </div>
          )
        })}
      </div>
      <div>
        <h3 className="mb-1 font-bold">Coupling pieces</h3>
        <p className="mb-1 text-steel">
          Wheel, separator and pilot come with the engine, the rest with the transmission, unless
          you say otherwise.
        </p>
        {kits.length > 0 && (
          <label className="grid grid-cols-[112px_minmax(0,1fr)] items-center gap-2 py-0.5">
            From a kit
            <select
              className="min-w-0 rounded border border-steel bg-ground px-1.5 py-1"
              value=""
              onChange={(event) =>
                void act(
                  () =>
                    call('POST /builds/{id}/coupling-kit', {
                      params: { id: build },
                      body: {
                        ...pair,
                        kitId: event.target.value,
                      },
                    }),
                  "The kit's pieces take the place of their kind.",
                )
              }
            >
              <option value="">Take a kit's pieces</option>
              {kits.map((kit) => (
                <option key={kit.id} value={kit.id}>
                  {kit.name}
                </option>
              ))}
            </select>
          </label>
        )}
        {detail.transfer.choices.length > 0 && (
          <label className="grid grid-cols-[112px_minmax(0,1fr)] items-center gap-2 py-0.5">
            Transfer case
            <select
              className="min-w-0 rounded border border-steel bg-ground px-1.5 py-1"
              value={detail.transfer.partId ?? ''}
              onChange={(event) =>
                void act(
                  () =>
                    call('POST /builds/{id}/coupling', {
                      params: { id: build },
                      body: {
                        ...pair,
                        kind: 'transfer-case',
                        partId: event.target.value || null,
                      },
                    }),
                  'Transfer case changed.',
                )
              }
            >
              <option value="">
                {detail.transfer.partId ? 'Back to the default' : 'None: rear drive only'}
              </option>
              {detail.transfer.choices.map((choice) => (
                <option key={choice.id} value={choice.id}>
                  {choice.name}
                </option>
              ))}
            </select>
          </label>
        )}
        {detail.coupling.map((piece) => (
          <label
            key={piece.kind}
            className="grid grid-cols-[112px_minmax(0,1fr)] items-center gap-2 py-0.5"
          >
            {piece.words}
            <select
              className="min-w-0 rounded border border-steel bg-ground px-1.5 py-1"
              value={piece.partId ?? ''}
              onChange={(event) =>
                void act(
                  () =>
                    call('POST /builds/{id}/coupling', {
                      params: { id: build },
                      body: {
                        ...pair,
                        kind: piece.kind,
                        partId: event.target.value || null,
                      },
                    }),
                  `${piece.words} changed.`,
                )
              }
            >
              <option value="">
                {piece.partId
                  ? 'Back to the default'
                  : piece.kind === 'separator'
                    ? 'None'
                    : 'None named: not known'}
              </option>
              {piece.choices.map((choice) => (
                <option key={choice.id} value={choice.id}>
                  {choice.name}
                </option>
              ))}
            </select>
          </label>
        ))}
      </div>
    </aside>
  )
}
