import useSWR from 'swr'
import type { Answer } from '../../../contract/asked.ts'
import type { NumberPlan } from '../../../core/identity/check-number.ts'
import type { VerdictWord } from '../../../core/identity/steps.ts'
import { useAnswer } from '../../api/answer.ts'
import { call } from '../../api/client.ts'
import { Field, INPUT } from '../../components/fields/field.tsx'
import { optionsOf, Select } from '../../components/fields/select.tsx'
import { NumberPath } from '../../components/number-path.tsx'
import { ButtonLink, Empty, Failed, GradeWord, PageHead } from '../../components/ui.tsx'
import { useAddress } from '../../components/use-address.ts'
import { useSettled } from '../../components/use-settled.ts'

type Says = Answer<'POST /check/number'>

const VERDICTS: Readonly<Record<VerdictWord, string>> = {
  exact: 'It is the same',
  'superseded by': 'It was superseded',
  interchange: 'It interchanges',
  'with note': 'It serves, with a note',
  'different generation': 'It is of another generation',
  'not listed': 'It is not listed',
  conflict: 'The numbers conflict',
}
const PLANS: Readonly<Record<NumberPlan, string>> = {
  yes: 'may be planned',
  confirm: 'to be confirmed by a person before it is ordered: ports decide',
  no: 'not to be planned',
}
/** Whether a number in hand serves for a number wanted, by what the shop knows: every step, and what is open. */
export function Component() {
  const [params, change] = useAddress()
  const issuers = useAnswer('GET /issuers').data?.items ?? []
  const names = issuers.map(({ name }) => name)
  const typed = (name: string): string => params.get(name) ?? ''
  const issuerOf = (name: string): string => typed(name) || (names[0] ?? '')
  const asked = useSettled({
    want: { issuer: issuerOf('of'), number: typed('want').trim() },
    have: { issuer: issuerOf('from'), number: typed('have').trim() },
  })
  const isAsked = asked.want.number !== '' && asked.have.number !== '' && asked.want.issuer !== ''
  const says = useSWR(
    isAsked ? ['/check/number', JSON.stringify(asked)] : null,
    () =>
      call('POST /check/number', {
        body: {
          want: [{ ...asked.want, quantity: 1, grade: 'catalogue' }],
          have: [{ ...asked.have, grade: 'catalogue' }],
        },
      }),
    { keepPreviousData: true, shouldRetryOnError: false },
  )
  const side = (issuer: string, number: string, words: string) => (
    <fieldset className="grid grid-cols-[140px_minmax(0,1fr)] gap-2">
      <legend className="mb-1 font-bold">{words}</legend>
      <Field label="Issuer">
        {(shared) => (
          <Select
            {...shared}
            value={issuerOf(issuer)}
            options={optionsOf(names)}
            onChange={(chosen) => change({ [issuer]: chosen })}
          />
        )}
      </Field>
      <Field label="Number" hint="In any spelling">
        {(shared) => (
          <input
            {...shared}
            className={`${INPUT} figure`}
            value={typed(number)}
            onChange={({ target }) => change({ [number]: target.value })}
          />
        )}
      </Field>
    </fieldset>
  )
  return (
    <>
      <PageHead title="Check a number" detail="Does one in hand serve for one that is wanted?">
        <ButtonLink to="/catalogue">Catalogue</ButtonLink>
      </PageHead>
      <div className="flex max-w-3xl flex-col gap-4 px-4 pb-12">
        <div className="grid grid-cols-2 gap-6 max-[700px]:grid-cols-1">
          {side('of', 'want', 'Wanted')}
          {side('from', 'have', 'In hand')}
        </div>
        {!isAsked ? (
          <Empty>
            Type the number that is wanted and the one you have; how each issuer writes its numbers
            is kept in Settings.
          </Empty>
        ) : says.error ? (
          <Failed error={says.error} retry={() => void says.mutate()} />
        ) : (
          says.data && <Verdict says={says.data} />
        )}
      </div>
    </>
  )
}

const spelled = ({ issuer, number }: { issuer: string; number: string }): string =>
  `${issuer} ${number}`

function Verdict({ says }: { says: Says }) {
  const { verdict, plan, evidence, path, open, todo, cautions, missing, surplus, current } = says
  const counted = (all: Says['missing']): string =>
    all.map(({ issuer, number, quantity }) => `${quantity} × ${issuer} ${number}`).join(', ')
  return (
    <section aria-label="Verdict" className="flex flex-col gap-2">
      <h2 className="text-[15px] font-bold">{VERDICTS[verdict]}</h2>
      <p>
        {PLANS[plan]}
        {evidence && (
          <>
            {' · '}
            <GradeWord grade={evidence} />
          </>
        )}
      </p>
      <NumberPath
        steps={path.map(({ kind, from, to, grade }) => ({
          kind,
          grade,
          from: from.map(spelled),
          to: to.map(spelled),
        }))}
      />
      {missing.length > 0 && <p>Missing: {counted(missing)}</p>}
      {surplus.length > 0 && <p>Comes along: {counted(surplus)}</p>}
      {open.length > 0 && <p>Not known yet: {open.join(', ')}</p>}
      {todo.map((one) => (
        <p key={one}>To do: {one}</p>
      ))}
      {cautions.map((one) => (
        <p key={one} className="border-l-[3px] border-rule pl-2.5">
          {one}
        </p>
      ))}
      <p className="text-steel">
        {path.length > 0 &&
          `Listed today as ${current.map(({ issuer, number }) => `${issuer} ${number}`).join(', ')}. `}
        A number never overrules a joint: where both speak, the joint decides.
      </p>
      {says.didYouMean.length > 0 && (
        <p>
          Not known so; easily mistaken for{' '}
          <span className="figure">
            {says.didYouMean.map(({ issuer, number }) => `${issuer} ${number}`).join(', ')}
          </span>
          .
        </p>
      )}
    </section>
  )
}
