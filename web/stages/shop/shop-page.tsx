import { useState } from 'react'
import { useHotkeys } from 'react-hotkeys-hook'
import { Link, useParams } from 'react-router'
import type { PairingDetail } from '../../../contract/answers/pairings.ts'
import type { PartLine } from '../../../contract/answers/planning.ts'
import type { MissingField } from '../../../core/joints/verdict.ts'
import { effective } from '../../../core/pairing/order.ts'
import { METHODS } from '../../../core/quantity/methods.ts'
import { useAnswer } from '../../api/answer.ts'
import { useBuild, usePairing } from '../../api/hooks.ts'
import { Dialog } from '../../components/dialog.tsx'
import { ClaimForm } from '../../components/measuring/claim-form.tsx'
import { Button, Caution, Loaded } from '../../components/ui.tsx'

interface Card {
  readonly key: string
  readonly head: string
  readonly words: string
  readonly detail: readonly string[]
  readonly cautions: readonly string[]
  readonly field?: MissingField
}

/** What is asked first is answered elsewhere: on the floor stand lines that stand. */
const stands = ({ outcome }: PartLine): boolean => outcome === 'yes' || outcome === 'leans yes'

/** Shop mode: big and plain, one line at a time, for a tablet and dirty hands. Measurements first, then parts and work. */
export function Component() {
  const { build = '' } = useParams()
  const parts = useAnswer('GET /builds/{id}/parts', { params: { id: build } })
  const header = useBuild(build).data
  const pairing = usePairing(build, header?.engineId ?? null, header?.transmissionId ?? null).data
  return (
    <main className="flex min-h-screen flex-col pb-[var(--told)] text-[22px] leading-snug">
      <Loaded of={parts} what="the lines">
        {(list) => (
          <Cards
            build={build}
            name={header?.build.name ?? ''}
            cards={[
              ...(pairing ? measures(pairing) : []),
              ...list.lines.filter(stands).map(lineCard),
            ]}
          />
        )}
      </Loaded>
    </main>
  )
}

function measures(pairing: PairingDetail): Card[] {
  const seen = new Set<string>()
  return pairing.joints.flatMap((joint) =>
    effective(joint).missing.flatMap((field): Card[] => {
      const key = `${field.port}.${field.field}`
      if (seen.has(key) || field.part === '?') return []
      seen.add(key)
      const method = field.methods[0]
      return [
        {
          key,
          head: `Measure · about ${field.minutes} min`,
          words: field.label,
          detail: [
            field.partName,
            `For ${joint.title.toLowerCase()}`,
            ...(method ? [`By ${METHODS[method].words.toLowerCase()}`] : []),
          ],
          cautions: [],
          field,
        },
      ]
    }),
  )
}

const lineCard = (line: PartLine): Card => ({
  key: line.id,
  head: `${line.group} · ${line.state}`,
  words: line.task ? line.words : `${line.quantity} × ${line.words}`,
  detail: [
    line.why[0]?.words ?? '',
    line.source?.words ?? '',
    line.task ? `${line.task.hours} h, ${line.task.skills.join(', ')}` : '',
    line.task && !line.task.reversible ? 'Cannot be undone: check once more before.' : '',
  ].filter(Boolean),
  cautions: line.cautions,
})

function Cards({ build, name, cards }: { build: string; name: string; cards: readonly Card[] }) {
  const [at, setAt] = useState(0)
  const [measuring, setMeasuring] = useState<MissingField | null>(null)
  const index = Math.min(at, cards.length - 1)
  const card = cards[index]
  const step = (by: number): void => setAt(Math.max(0, Math.min(cards.length - 1, index + by)))
  useHotkeys('right, j', () => step(1), [cards, index])
  useHotkeys('left, k', () => step(-1), [cards, index])
  return (
    <>
      <header className="flex items-center gap-6 border-b border-ink px-6 py-4">
        <b className="truncate">{name}</b>
        <span className="figure ml-auto text-steel">
          {cards.length > 0 ? `${index + 1} of ${cards.length}` : ''}
        </span>
        <Link to={`/builds/${build}/parts`} className="text-accent underline underline-offset-4">
          Leave shop mode
        </Link>
      </header>
      {card ? (
        <article aria-live="polite" className="flex-1 px-6 py-8">
          <p className="text-steel">{card.head}</p>
          <h1 className="my-3 text-[40px] font-bold leading-tight">{card.words}</h1>
          {card.detail.map((line) => (
            <p key={line} className="my-2">
              {line}
            </p>
          ))}
          {card.cautions.map((caution) => (
            <Caution key={caution}>{caution}</Caution>
          ))}
          {card.field && (
            <Button
              tone="main"
              className="mt-6 px-8 py-4"
              onClick={() => setMeasuring(card.field!)}
            >
              Record measurement
            </Button>
          )}
        </article>
      ) : (
        <p className="flex-1 px-6 py-8">
          Nothing to do here yet: choose a pairing first, and its measurements, parts and work stand
          here one by one.
        </p>
      )}
      <nav
        aria-label="Lines"
        className="sticky bottom-0 grid grid-cols-2 gap-4 border-t border-ink bg-paper px-6 py-4"
      >
        <Button className="py-5" disabled={index <= 0} onClick={() => step(-1)}>
          Back
        </Button>
        <Button className="py-5" disabled={index >= cards.length - 1} onClick={() => step(1)}>
          Next
        </Button>
      </nav>
      {measuring && (
        <Dialog
          open
          onOpenChange={() => setMeasuring(null)}
          title="Record a measurement"
          size="wide"
        >
          <ClaimForm build={build} field={measuring} onDone={() => setMeasuring(null)} />
        </Dialog>
      )}
    </>
  )
}
