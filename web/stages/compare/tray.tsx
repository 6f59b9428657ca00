import { ButtonLink } from '../../components/ui.tsx'
import { useAddress } from '../../components/use-address.ts'
import { Silhouette } from '../../drawing/train/silhouette.tsx'
import type { PairingRow } from '../pairing/pairing-rows.ts'
import { Letter } from './letter.tsx'
import { isSamePick, LETTERS, MOST_PICKED, type PickedPair, writePicks } from './picked.ts'

/** The pairings picked so far, under the list; nothing while none is. */
export function Tray({
  build,
  picks,
  rows,
  onTake,
}: {
  build: string
  picks: readonly PickedPair[]
  rows: readonly PairingRow[]
  onTake: (pick: PickedPair) => void
}) {
  // Compared as they are listed: kept, or set back.
  const school = useAddress()[0].get('school')
  if (picks.length === 0) return null
  return (
    <section
      aria-label="To compare"
      className="flex flex-wrap items-center gap-2 border-ink border-t bg-bench px-4 py-2 print:hidden"
    >
      <b>
        Compare{' '}
        <span className="figure font-normal text-steel">
          {picks.length} of {MOST_PICKED}
        </span>
      </b>
      {picks.map((pick, i) => {
        const row = rows.find((one) => isSamePick(one, pick))
        const name = row ? `${row.engine} with ${row.transmission}` : 'a pairing not in this list'
        return (
          <span
            key={writePicks([pick])}
            className="flex max-w-72 items-center gap-2 rounded border border-line bg-paper px-2 py-1"
          >
            <Letter>{LETTERS[i]!}</Letter>
            {row && <Silhouette engine={row.engineFigure} gearbox={row.gearboxFigure} />}
            <span className="narrow truncate">{name}</span>
            <button
              type="button"
              aria-label={`Take out ${name}`}
              className="px-1 text-steel hover:text-ink"
              onClick={() => onTake(pick)}
            >
              ×
            </button>
          </span>
        )
      })}
      <span className="ml-auto">
        {picks.length > 1 ? (
          <ButtonLink
            tone="main"
            to={`/builds/${build}/compare?pick=${encodeURIComponent(writePicks(picks)!)}${school ? `&school=${school}` : ''}`}
          >
            Compare {picks.length}
          </ButtonLink>
        ) : (
          <span className="text-steel">one more with c</span>
        )}
      </span>
    </section>
  )
}
