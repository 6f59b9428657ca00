import type { PairingDetail } from '../../../contract/answers/pairings.ts'
import { isCouplingKind } from '../../../core/pairing/coupling.ts'
import { useAnswer } from '../../api/answer.ts'
import { call } from '../../api/client.ts'
import { act } from '../../api/hooks.ts'
import { PartCombobox } from '../../components/fields/part-combobox.tsx'
import { Select } from '../../components/fields/select.tsx'

/** What sits between engine and gearbox: what comes with them, or what is said instead. */
export function CouplingPieces({ build, detail }: { build: string; detail: PairingDetail }) {
  const pair = { engineId: detail.engine, transmissionId: detail.transmission }
  const kits = (useAnswer('GET /kits').data?.items ?? []).filter((kit) =>
    kit.items.some((item) => isCouplingKind(item.partKind ?? '')),
  )
  const take = (
    kind: PairingDetail['coupling'][number]['kind'] | 'transfer-case',
    words: string,
    partId: string | null,
  ): Promise<boolean> =>
    act(
      () =>
        call('POST /builds/{id}/coupling', {
          params: { id: build },
          body: { ...pair, kind, partId },
        }),
      `${words} changed.`,
    )
  const takeKit = (kitId: string): Promise<boolean> =>
    act(
      () =>
        call('POST /builds/{id}/coupling-kit', {
          params: { id: build },
          body: { ...pair, kitId },
        }),
      "The kit's pieces take the place of their kind.",
    )
  return (
    <div>
      <h3 className="mb-1 font-bold">Coupling pieces</h3>
      <p className="mb-1 text-steel">
        Wheel, separator and pilot come with the engine, the rest with the transmission, unless you
        say otherwise.
      </p>
      {kits.length > 0 && (
        <Piece words="From a kit">
          {(label) => (
            <Select
              aria-label={label}
              value=""
              options={kits.map(({ id, name }) => ({ value: id, words: name }))}
              nothing="Take a kit's pieces"
              onChange={(kitId) => kitId && void takeKit(kitId)}
            />
          )}
        </Piece>
      )}
      {detail.transfer.isOffered && (
        <Piece words="Transfer case">
          {(label) => (
            <PartCombobox
              aria-label={label}
              kind="transfer-case"
              shown={detail.transfer.name ?? 'None: rear drive only'}
              nothing={detail.transfer.name ? 'Back to the default' : 'None: rear drive only'}
              onPick={(part) => void take('transfer-case', label, part?.id ?? null)}
            />
          )}
        </Piece>
      )}
      {detail.coupling.map((piece) => {
        const none = piece.kind === 'separator' ? 'None' : 'None named: not known'
        return (
          <Piece key={piece.kind} words={piece.words}>
            {(label) => (
              <PartCombobox
                aria-label={label}
                kind={piece.kind}
                shown={piece.name ?? none}
                nothing={piece.name ? 'Back to the default' : none}
                onPick={(part) => void take(piece.kind, label, part?.id ?? null)}
              />
            )}
          </Piece>
        )
      })}
    </div>
  )
}

const Piece = ({
  words,
  children,
}: {
  words: string
  children: (label: string) => React.ReactNode
}) => (
  <div className="grid grid-cols-[112px_minmax(0,1fr)] items-center gap-2 py-0.5">
    <span aria-hidden>{words}</span>
    {children(words)}
  </div>
)
