import { useState } from 'react'
import { Link } from 'react-router'
import type { Answer } from '../../../contract/asked.ts'
import { kindWords } from '../../../core/ports/part-kinds.ts'
import { useAnswer } from '../../api/answer.ts'
import { Empty, Loaded } from '../../components/ui.tsx'

type Part = Answer<'GET /parts'>['items'][number]

const TOPS = [
  { kind: 'vehicle', words: 'Vehicles, with what came with them' },
  { kind: 'engine', words: 'Engines, with what hangs on them' },
  { kind: 'transmission', words: 'Gearboxes, with what came with them' },
  { kind: 'transfer-case', words: 'Transfer cases' },
] as const

/** The catalogue as it stands in a shop: vehicles, engines and gearboxes with what hangs on each, kits with what is in them. */
export function Tree() {
  return (
    <div className="max-w-4xl px-4 pb-12">
      {TOPS.map(({ kind, words }) => (
        <Branch key={kind} words={words}>
          <Owners kind={kind} />
        </Branch>
      ))}
      <Branch words="Kits, with what is in them">
        <Kits />
      </Branch>
    </div>
  )
}

/** What unfolds: it is asked for when it is opened first. */
function Branch({ words, children }: { words: string; children: React.ReactNode }) {
  const [isOpen, setOpen] = useState(false)
  return (
    <details
      className="border-b border-line py-1"
      onToggle={(event) => setOpen(event.currentTarget.open)}
    >
      <summary className="cursor-pointer py-0.5 font-semibold">{words}</summary>
      <div className="pl-5">{isOpen && children}</div>
    </details>
  )
}

const PartLink = ({ id, name }: { id: string; name: string }) => (
  <Link
    className="text-accent underline underline-offset-2"
    to={`/catalogue/parts/${encodeURIComponent(id)}`}
  >
    {name}
  </Link>
)

function Owners({ kind }: { kind: string }) {
  const parts = useAnswer('GET /parts', { query: { kind, limit: 1000 } })
  return (
    <Loaded of={parts} what="the parts">
      {({ items }) =>
        items.length === 0 ? (
          <Empty>None yet.</Empty>
        ) : (
          <ul>
            {[...items]
              .sort((p, q) => p.name.localeCompare(q.name, 'en'))
              .map((part) => (
                <li key={part.id}>
                  <Branch words={part.name}>
                    <p className="py-0.5">
                      <PartLink id={part.id} name="Open it" />
                      {part.numbers.length > 0 && (
                        <span className="figure text-steel"> · {part.numbers.join(', ')}</span>
                      )}
                    </p>
                    <Hanging owner={part} />
                  </Branch>
                </li>
              ))}
          </ul>
        )
      }
    </Loaded>
  )
}

function Hanging({ owner }: { owner: Part }) {
  const parts = useAnswer('GET /parts', { query: { owner: owner.id, limit: 1000 } })
  return (
    <Loaded of={parts} what="what hangs on it">
      {({ items }) =>
        items.length === 0 ? (
          <p className="py-0.5 text-steel">Nothing is kept of what came with it.</p>
        ) : (
          <ul>
            {items.map((part) => (
              <li key={part.id} className="flex flex-wrap gap-x-3 py-0.5">
                <PartLink id={part.id} name={part.name} />
                <span className="text-steel">{kindWords(part.kind)}</span>
                <span className="figure text-steel">{part.numbers.join(', ')}</span>
              </li>
            ))}
          </ul>
        )
      }
    </Loaded>
  )
}

function Kits() {
  const kits = useAnswer('GET /kits')
  return (
    <Loaded of={kits} what="the kits">
      {({ items }) => (
        <ul>
          {items.map((kit) => (
            <li key={kit.id}>
              <Branch words={kit.name}>
                <ul>
                  {kit.items.map(({ id, partId, partName, quantity }) => (
                    <li key={id} className="py-0.5">
                      {quantity} × <PartLink id={partId} name={partName ?? partId} />
                    </li>
                  ))}
                </ul>
                {kit.omits && <p className="py-0.5">Leaves out: {kit.omits}</p>}
              </Branch>
            </li>
          ))}
        </ul>
      )}
    </Loaded>
  )
}
