import { SwitchRow } from '../../components/fields/switch-row.tsx'
import { HistoryButton } from '../../components/history.tsx'
import { ButtonLink, PageHead } from '../../components/ui.tsx'
import { useAddress } from '../../components/use-address.ts'
import { DonorsList, KitsList } from './bundles-list.tsx'
import { PartsList } from './parts-list.tsx'
import { Tree } from './tree.tsx'

const TABS = [
  { value: 'parts', words: 'Parts' },
  { value: 'kits', words: 'Kits' },
  { value: 'donors', words: 'Donors' },
  { value: 'tree', words: 'By what hangs on what' },
] as const

/** Browse what is known: parts by kind, kits, donors. */
export function Component() {
  const [params, change] = useAddress()
  const tab = TABS.find(({ value }) => value === params.get('tab'))?.value ?? 'parts'
  return (
    <>
      <PageHead title="Catalogue" detail="What is known of engines, gearboxes, vehicles and parts">
        <HistoryButton entity="part" title="parts" />
        <ButtonLink to="/catalogue/check" tone="quiet">
          Check a number
        </ButtonLink>
        <ButtonLink to="/catalogue/conflicts" tone="quiet">
          Numbers in conflict
        </ButtonLink>
        <ButtonLink to="/catalogue/import/parts" tone="quiet">
          Import a list
        </ButtonLink>
        <ButtonLink to="/catalogue/new/vehicle">Add a vehicle</ButtonLink>
        <ButtonLink to="/catalogue/new/engine">Add an engine</ButtonLink>
        <ButtonLink to="/catalogue/new/transmission">Add a transmission</ButtonLink>
        <ButtonLink to="/catalogue/new/part">Add a part</ButtonLink>
        <ButtonLink to="/catalogue/new/kit">Add a kit</ButtonLink>
        <ButtonLink to="/catalogue/new/donor">Add a donor</ButtonLink>
      </PageHead>
      <div className="px-4 pb-3">
        <SwitchRow
          label="What to show"
          value={tab}
          options={TABS}
          onChange={(chosen) =>
            change({ tab: chosen, q: null, kind: null, sort: null, filter: null })
          }
        />
      </div>
      {tab === 'tree' ? (
        <Tree />
      ) : tab === 'kits' ? (
        <KitsList />
      ) : tab === 'donors' ? (
        <DonorsList />
      ) : (
        <PartsList />
      )}
    </>
  )
}
