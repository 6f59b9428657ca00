import { useParams } from 'react-router'
import { refresh, useAnswer } from '../../api/answer.ts'
import { saveBuild, useBuild } from '../../api/hooks.ts'
import { Form } from '../../components/form.tsx'
import { HistoryButton } from '../../components/history.tsx'
import { ButtonLink, Loaded, PageHead } from '../../components/ui.tsx'
import { BriefQuestions, Findings, Law, MustWork, Uncut } from './brief-sheets.tsx'
import { USES } from './uses.ts'

/** What, why, money, limits, law, and what must still work with what it adds. */
export function Component() {
  const { build: id = '' } = useParams()
  const header = useBuild(id)
  const vehicles = useAnswer('GET /parts', { query: { kind: 'vehicle' } })
  return (
    <Loaded
      of={
        header.data && vehicles.data
          ? header
          : { ...header, data: undefined, error: header.error ?? vehicles.error }
      }
      what="the brief"
    >
      {({ build }) => (
        <>
          <PageHead title="Brief" detail="What, why, and what must still work">
            <ButtonLink to={`/builds/${build.id}/recipient`}>Measure the recipient</ButtonLink>
            <ButtonLink to={`/builds/${build.id}/first`}>First answer</ButtonLink>
            <HistoryButton entity="build" id={build.id} title={build.name} />
          </PageHead>
          <div className="grid grid-cols-[minmax(0,1fr)_380px] gap-x-6 px-4 pb-10 max-[1000px]:grid-cols-1">
            <div>
              <Form
                key={build.id}
                id={`brief-${build.id}`}
                fields={[
                  { name: 'name', label: 'Name', type: 'text', required: true },
                  {
                    name: 'recipientId',
                    label: 'Recipient',
                    type: 'select',
                    options: (vehicles.data?.items ?? []).map((part) => ({
                      value: part.id,
                      words: part.name,
                    })),
                    hint: 'The vehicle being converted',
                  },
                  {
                    name: 'why',
                    label: 'Why',
                    type: 'area',
                    wide: true,
                    hint: 'What failed, and what of its cause stays in the vehicle: it would kill the next engine too',
                  },
                  {
                    name: 'use',
                    label: 'Use',
                    type: 'select',
                    options: USES,
                    hint: 'Decides the torque factor',
                  },
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
                  {
                    name: 'likeForLikeMinor',
                    label: 'Like-for-like repair',
                    type: 'money',
                    currency: build.currency,
                    hint: 'The baseline every swap is judged against',
                  },
                  {
                    name: 'labourRateMinor',
                    label: 'Labour rate an hour',
                    type: 'money',
                    currency: build.currency,
                  },
                  {
                    name: 'taxRate',
                    label: 'Tax, %',
                    type: 'percent',
                    hint: 'Added where a price excludes it',
                  },
                  {
                    name: 'contingency',
                    label: 'Contingency, %',
                    type: 'percent',
                    hint: 'Safe is likely plus this',
                  },
                  {
                    name: 'currency',
                    label: 'Currency',
                    type: 'text',
                    required: true,
                    upper: true,
                  },
                  {
                    name: 'inspection',
                    label: 'An inspection or certificate is asked for here',
                    type: 'check',
                  },
                  {
                    name: 'maxSuppliers',
                    label: 'Suppliers at most',
                    type: 'number',
                    whole: true,
                    hint: 'Blank: no limit',
                  },
                  {
                    name: 'maxDonors',
                    label: 'Donors at most',
                    type: 'number',
                    whole: true,
                    hint: 'Floor space; blank: no limit',
                  },
                ]}
                initial={build}
                action="Save the brief"
                submit={async ({ labourRateMinor, taxRate, contingency, ...rest }) => {
                  await saveBuild(build, {
                    ...rest,
                    labourRateMinor: labourRateMinor ?? 0,
                    taxRate: taxRate ?? 0,
                    contingency: contingency ?? 0,
                  })
                  await refresh()
                }}
              />
              <div className="mt-8">
                <BriefQuestions build={build.id} />
                <Law build={build.id} />
              </div>
            </div>
            <aside className="border-l border-line pl-5 max-[1000px]:border-0 max-[1000px]:pl-0 max-[1000px]:pt-6">
              <Findings build={build.id} />
              <MustWork build={build} />
              <Uncut build={build} />
              <p className="mb-2 mt-5 text-steel">
                The recipient is not in the list? Add it with its axle, tyre and sizes.
              </p>
              <ButtonLink to="/catalogue/new/vehicle">Add a vehicle</ButtonLink>
            </aside>
          </div>
        </>
      )}
    </Loaded>
  )
}
