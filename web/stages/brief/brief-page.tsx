import { useParams } from 'react-router'
import { refresh } from '../../api/answer.ts'
import { saveBuild, useBuild } from '../../api/hooks.ts'
import { Form } from '../../components/form.tsx'
import { HistoryButton } from '../../components/history.tsx'
import { ButtonLink, Folded, Loaded, PageHead } from '../../components/ui.tsx'
import { briefFields } from './brief-fields.ts'
import { BriefQuestions, Findings, Law, MustWork, Uncut } from './brief-sheets.tsx'

/** Three short parts: what and why, money and limits, what must still work; the rest is folded under them. */
export function Component() {
  const { build: id = '' } = useParams()
  return (
    <Loaded of={useBuild(id)} what="the brief">
      {({ build }) => (
        <>
          <PageHead title="Brief" detail="What and why, money and limits, what must still work">
            <ButtonLink to={`/builds/${build.id}/recipient`}>Measure the recipient</ButtonLink>
            <ButtonLink to={`/builds/${build.id}/first`}>First answer</ButtonLink>
            <HistoryButton entity="build" id={build.id} title={build.name} />
          </PageHead>
          <div className="grid grid-cols-[minmax(0,1fr)_340px] gap-x-8 px-4 pb-10 max-[1000px]:grid-cols-1">
            <div>
              <Form
                key={build.id}
                id={`brief-${build.id}`}
                fields={briefFields(build.currency)}
                initial={build}
                action="Save the brief"
                savesWhenLeft
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
              <div className="mt-6 max-w-4xl">
                <Findings build={build.id} />
                <Folded words="Why it is wanted, its limits, and how much is enough">
                  <BriefQuestions build={build.id} />
                </Folded>
                <Folded words="Law and papers">
                  <Law build={build.id} />
                </Folded>
                <Uncut build={build} />
              </div>
              <p className="mt-5 text-steel">
                The recipient is not in the list?{' '}
                <ButtonLink to="/catalogue/new/vehicle">Add a vehicle</ButtonLink>
              </p>
            </div>
            <MustWork build={build} />
          </div>
        </>
      )}
    </Loaded>
  )
}
