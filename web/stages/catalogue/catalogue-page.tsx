import { useState } from 'react'
import { Link, useSearchParams } from 'react-router'
import type { Donor, Kit } from '../../../contract/answers/rows.ts'
import { kindWords, PART_KINDS } from '../../../core/ports/part-kinds.ts'
import { useAnswer } from '../../api/answer.ts'
import { removeWithUndo } from '../../api/hooks.ts'
import { HistoryButton } from '../../components/history.tsx'
import { Button, ButtonLink, Empty, Loaded, Money, PageHead } from '../../components/ui.tsx'

const TABS = [
  { id: 'parts', words: 'Parts' },
  { id: 'kits', words: 'Kits' },
  { id: 'donors', words: 'Donors' },
] as const

/** Browse what is known: parts by kind, kits, donors. */
export function Component() {
  const [params, setParams] = useSearchParams()
  const tab = params.get('tab') ?? 'parts'
  return (
    <>
      <PageHead title="Catalogue" detail="What is known of engines, gearboxes, vehicles and parts">
        <HistoryButton entity="part" title="parts" />
        <ButtonLink to="/catalogue/new/vehicle">Add a vehicle</ButtonLink>
        <ButtonLink to="/catalogue/new/engine">Add an engine</ButtonLink>
        <ButtonLink to="/catalogue/new/transmission">Add a transmission</ButtonLink>
        <ButtonLink to="/catalogue/new/part">Add a part</ButtonLink>
        <ButtonLink to="/catalogue/new/kit">Add a kit</ButtonLink>
        <ButtonLink to="/catalogue/new/donor">Add a donor</ButtonLink>
      </PageHead>
      <div className="flex gap-1 px-4 pb-3" role="group" aria-label="What to show">
        {TABS.map(({ id, words }) => (
          <button
            key={id}
            type="button"
            aria-pressed={tab === id}
            onClick={() => setParams({ tab: id })}
            className="rounded border border-line px-3 py-1 aria-pressed:border-ink aria-pressed:bg-bench aria-pressed:font-semibold"
          >
            {words}
          </button>
        ))}
      </div>
      {tab === 'kits' ? (
        <Kits />
      ) : tab === 'donors' ? (
        <Donors />
      ) : (
        <Parts kind={params.get('kind') ?? ''} onKind={(kind) => setParams(kind ? { kind } : {})} />
      )}
    </>
  )
}

function Parts({ kind, onKind }: { kind: string; onKind: (kind: string) => void }) {
  const [q, setQ] = useState('')
  const [limit, setLimit] = useState(100)
  const parts = useAnswer('GET /parts', {
    query: { limit, kind: kind || undefined, q: q || undefined },
  })
  return (
    <>
      <div className="flex flex-wrap gap-3 px-4 pb-3">
        <label className="flex items-center gap-2">
          Kind
          <select
            value={kind}
            onChange={(event) => onKind(event.target.value)}
            className="rounded border border-steel bg-ground px-2 py-1"
          >
            <option value="">All</option>
            {Object.entries(PART_KINDS).map(([id, { words }]) => (
              <option key={id} value={id}>
                {words}
              </option>
            ))}
          </select>
        </label>
        <label className="flex items-center gap-2">
          Find
          <input
            value={q}
            onChange={(event) => setQ(event.target.value)}
            placeholder="name or number"
            className="rounded border border-steel bg-ground px-2 py-1"
          />
        </label>
      </div>
      <Loaded of={parts} what="the parts">
        {({ items, next }) =>
          items.length === 0 ? (
            <Empty
              action={
                <ButtonLink to="/catalogue/new/part" tone="main">
                  Add a part
                </ButtonLink>
              }
            >
              {q || kind
                ? 'No part is like that. Try fewer letters or another kind.'
                : 'The catalogue is empty. Add a vehicle, an engine and a transmission by typing what was measured; leave out what is not known.'}
            </Empty>
          ) : (
            <>
              <table className="w-full">
                <thead>
                  <tr className="border-b border-ink">
                    <th className="py-1 pl-4">Part</th>
                    <th>Kind</th>
                    <th>Years</th>
                    <th>Numbers</th>
                  </tr>
                </thead>
                <tbody>
                  {items.map((part) => (
                    <tr key={part.id} className="border-b border-line hover:bg-bench/50">
                      <td className="py-1.5 pl-4">
                        <Link
                          to={`/catalogue/parts/${encodeURIComponent(part.id)}`}
                          className="font-semibold text-accent underline underline-offset-2"
                        >
                          {part.name}
                        </Link>
                      </td>
                      <td>{kindWords(part.kind)}</td>
                      <td className="figure">
                        {[part.fromYear, part.toYear].filter(Boolean).join('–')}
                      </td>
                      <td className="figure">{part.numbers.join(', ')}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
              {next && (
                <div className="p-4">
                  <Button onClick={() => setLimit(limit + 200)}>Show more</Button>
                </div>
              )}
            </>
          )
        }
      </Loaded>
    </>
  )
}

function Kits() {
  const kits = useAnswer('GET /kits')
  return (
    <Loaded of={kits} what="the kits">
      {({ items }) => <Bundles kind="kit" items={items} />}
    </Loaded>
  )
}

function Donors() {
  const donors = useAnswer('GET /donors')
  return (
    <Loaded of={donors} what="the donors">
      {({ items }) => <Bundles kind="donor" items={items} />}
    </Loaded>
  )
}

function Bundles({ kind, items }: { kind: 'kit' | 'donor'; items: readonly (Kit | Donor)[] }) {
  return items.length === 0 ? (
    <Empty
      action={<ButtonLink to={`/catalogue/new/${kind}`} tone="main">{`Add a ${kind}`}</ButtonLink>}
    >
      {kind === 'kit'
        ? 'A kit is conversion parts sold together. Its contents are searched as parts and bought as one.'
        : 'A donor is a vehicle bought for its parts. What it yields is used, sold or scrapped; the plan weighs all of it.'}
    </Empty>
  ) : (
    <table className="w-full">
      <thead>
        <tr className="border-b border-ink">
          <th className="py-1 pl-4">{kind === 'kit' ? 'Kit' : 'Donor'}</th>
          <th>Holds</th>
          <th className="text-right">Price</th>
          <th aria-label="Actions" />
        </tr>
      </thead>
      <tbody>
        {items.map((bundle) => (
          <BundleRow key={bundle.id} kind={kind} bundle={bundle} />
        ))}
      </tbody>
    </table>
  )
}

const BundleRow = ({ kind, bundle }: { kind: 'kit' | 'donor'; bundle: Kit | Donor }) => (
  <tr className="border-b border-line align-top">
    <td className="py-2 pl-4">
      <b>{bundle.name}</b>
      <div className="text-steel">
        {[bundle.note, 'omits' in bundle && bundle.omits && `Leaves out: ${bundle.omits}`]
          .filter(Boolean)
          .join(' · ')}
      </div>
    </td>
    <td className="max-w-[420px] py-2">
      {bundle.items
        .map((item) => `${item.quantity > 1 ? `${item.quantity} × ` : ''}${item.partName}`)
        .join(', ')}
    </td>
    <td className="py-2 text-right">
      <Money minor={bundle.priceMinor} currency={bundle.currency} />
    </td>
    <td className="py-2 pr-4 text-right">
      <Button
        tone="quiet"
        onClick={() =>
          void removeWithUndo(
            kind === 'kit' ? 'DELETE /kits/{id}' : 'DELETE /donors/{id}',
            { params: { id: bundle.id } },
            `${bundle.name} is in the trash.`,
          )
        }
      >
        Remove
      </Button>
    </td>
  </tr>
)
