import { useSearchParams } from 'react-router'
import { HistoryButton } from '../../components/history.tsx'
import { ButtonLink, PageHead } from '../../components/ui.tsx'
import { DonorsList, KitsList } from './bundles-list.tsx'
import { PartsList } from './parts-list.tsx'

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
      {tab === 'kits' ? <KitsList /> : tab === 'donors' ? <DonorsList /> : <PartsList />}
    </>
  )
}
