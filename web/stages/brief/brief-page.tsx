import { useState } from 'react'
import { useParams } from 'react-router'
import { kindWords } from '../../../core/identity/part-kinds.ts'
import { KEPT_ASSEMBLIES } from '../../../core/needs/rules/must-still-work.ts'
import { api } from '../../api/client.ts'
import { act, refresh, saveBuild, useBuild, useCatalogue } from '../../api/hooks.ts'
import type { Build, BuildHeader } from '../../api/types.ts'
import { Form } from '../../components/form.tsx'
import { HistoryButton } from '../../components/history.tsx'
import { ButtonLink, Loaded, PageHead } from '../../components/ui.tsx'
import { USES } from './uses.ts'

/** What, why, money, and what must still work. */
export function Component() {
  const { build: id = '' } = useParams()
  const header = useBuild(id)
  const vehicles = useCatalogue('kind=vehicle')
  return (
    <Loaded of={header.data && vehicles.data ? header : { ...header, data: undefined, error: header.error ?? vehicles.error }} what="the brief">
      {({ build }) => (
        <>
          <PageHead title="Brief" detail="What, why, and what must still work">
            <ButtonLink to={`/builds/${build.id}/first`}>First answer</ButtonLink>
            <HistoryButton entity="build" id={build.id} title={build.name} />
          </PageHead>
          <div className="grid grid-cols-[minmax(0,1fr)_300px] gap-x-6 px-4 pb-10 max-[1000px]:grid-cols-1">
            <Form
              key={build.id}
              id={`brief-${build.id}`}
              fields={[
                { name: 'name', label: 'Name', type: 'text', required: true },
                {
                  name: 'recipientId',
                  label: 'Recipient',
                  type: 'select',
                  options: (vehicles.data?.items ?? []).map((part) => ({ value: part.id, words: part.name })),
                  hint: 'The vehicle being converted',
                },
                { name: 'why', label: 'Why', type: 'area', wide: true, hint: 'What failed, and what of its cause stays in the vehicle: it would kill the next engine too' },
                { name: 'use', label: 'Use', type: 'select', options: USES, hint: 'Decides the torque factor' },
                {
                  name: 'school',
                  label: 'Placement',
                  type: 'select',
                  required: true,
                  options: [
                    { value: 'keep', words: 'Keep the driveline where it is' },
                    { value: 'set-back', words: 'Set the engine back' },
                  ],
                },
                { name: 'likeForLikeMinor', label: 'Like-for-like repair', type: 'money', currency: build.currency, hint: 'The baseline every swap is judged against' },
                { name: 'labourRateMinor', label: 'Labour rate an hour', type: 'money', currency: build.currency },
                { name: 'taxRate', label: 'Tax, %', type: 'percent', hint: 'Added where a price excludes it' },
                { name: 'contingency', label: 'Contingency, %', type: 'percent', hint: 'Safe is likely plus this' },
                { name: 'currency', label: 'Currency', type: 'text', required: true, upper: true },
                { name: 'inspection', label: 'An inspection or certificate is asked for here', type: 'check' },
                { name: 'maxSuppliers', label: 'Suppliers at most', type: 'number', whole: true, hint: 'Blank: no limit' },
                { name: 'maxDonors', label: 'Donors at most', type: 'number', whole: true, hint: 'Floor space; blank: no limit' },
              ]}
              initial={build as unknown as Record<string, unknown>}
              action="Save the brief"
              submit={async ({ labourRateMinor, taxRate, contingency, ...rest }) => {
                await saveBuild(build, { ...rest, labourRateMinor: labourRateMinor ?? 0, taxRate: taxRate ?? 0, contingency: contingency ?? 0 })
                await refresh()
              }}
            />
            <MustWork build={build} />
          </div>
        </>
      )}
    </Loaded>
  )
}

/** Each yes brings parts: cheap to drop early, dear to add late. */
function MustWork({ build }: { build: Build }) {
  // What was just ticked shows at once; the stored list follows.
  const [ticked, setTicked] = useState<Record<string, boolean>>({})
  const toggle = async (kind: string, on: boolean): Promise<void> => {
    setTicked((before) => ({ ...before, [kind]: on }))
    await act(async () => {
      const { build: newest } = await api.get<BuildHeader>(`/builds/${build.id}`)
      await saveBuild(newest, { mustWork: [...newest.mustWork.filter((one) => one !== kind), ...(on ? [kind] : [])].sort() })
    })
    setTicked(({ [kind]: _, ...rest }) => rest)
  }
  return (
    <aside className="border-l border-line pl-5 max-[1000px]:border-0 max-[1000px]:pl-0 max-[1000px]:pt-6">
      <h2 className="font-bold">Must still work afterwards</h2>
      <p className="mb-2 text-steel">Each yes puts its assembly on the parts list to keep or confirm. Cheap to drop now, dear to add late.</p>
      <ul>
        {KEPT_ASSEMBLIES.map((kind) => (
          <li key={kind}>
            <label className="flex items-center gap-2 py-1">
              <input
                type="checkbox"
                className="size-4 accent-(--color-accent)"
                checked={ticked[kind] ?? build.mustWork.includes(kind)}
                onChange={(event) => void toggle(kind, event.target.checked)}
              />
              {kindWords(kind)}
            </label>
          </li>
        ))}
      </ul>
      <p className="mb-2 mt-5 text-steel">The recipient is not in the list? Add it with its axle, tyre and sizes.</p>
      <ButtonLink to="/catalogue/new/vehicle">Add a vehicle</ButtonLink>
    </aside>
  )
}
