import { Link, useParams } from 'react-router'
import type { FirstAnswer } from '../../../contract/answers/builds.ts'
import type { StopperSays } from '../../../core/pairing/stoppers.ts'
import { useAnswer } from '../../api/answer.ts'
import { call } from '../../api/client.ts'
import { act } from '../../api/hooks.ts'
import { useJustSaid } from '../../api/just-said.ts'
import { usePerson } from '../../api/person.ts'
import { ButtonLink, Empty, GradeWord, Loaded, PageHead, Span } from '../../components/ui.tsx'
import { Blockers } from '../blockers.tsx'
import { QuestionRow } from '../known/question-row.tsx'
import { FirstVerdicts } from './first-verdicts.tsx'
import { StopperQuestions } from './stopper-questions.tsx'

/** The first answer: verdicts with leaning, ranges, what to confirm or drop, what to measure first. */
export function Component() {
  const { build = '' } = useParams()
  const first = useAnswer('GET /builds/{id}/first-answer', { params: { id: build } })
  return (
    <Loaded of={first} what="the first answer">
      {(answer) => (
        <>
          <PageHead title="First answer" detail={answer.pairing ?? 'no pairing yet'}>
            <ButtonLink to={`/builds/${build}/brief`}>Brief</ButtonLink>
            <ButtonLink to={`/builds/${build}/pairing`} tone="main">
              Go on to the pairing
            </ButtonLink>
          </PageHead>
          {answer.pairing === null ? (
            <Empty
              action={<ButtonLink to={`/builds/${build}/pairing`}>Choose a pairing</ButtonLink>}
            >
              Without an engine and a gearbox there is nothing to work out yet. A type of each is
              enough for a first answer.
            </Empty>
          ) : (
            <div className="grid grid-cols-[minmax(0,1.1fr)_minmax(0,1fr)] gap-x-8 px-4 pb-12 max-[1000px]:grid-cols-1">
              <div className="flex flex-col gap-6">
                <Sums answer={answer} />
                <FirstVerdicts build={build} answer={answer} />
                <MeasureFirst build={build} answer={answer} />
              </div>
              <div className="flex flex-col gap-6">
                <Blockers build={build} blockers={answer.blockers} />
                <Questions build={build} answer={answer} />
                <Stoppers build={build} answer={answer} />
              </div>
            </div>
          )}
        </>
      )}
    </Loaded>
  )
}

function Sums({ answer }: { answer: FirstAnswer }) {
  const { totals, counts } = answer
  if (!totals) return null
  const lines = counts.yes + counts.leansYes + counts.open
  return (
    <section aria-label="Price and hours">
      <dl className="grid grid-cols-3 border-y border-ink">
        {[
          {
            words: 'Likely, parts and labour',
            value: <Span range={totals.likely} currency={answer.currency} />,
          },
          {
            words: 'Hours',
            value: `${Math.round(totals.hours.low)} to ${Math.round(totals.hours.high)} h`,
          },
          { words: 'Lines', value: `${lines}` },
        ].map(({ words, value }) => (
          <div key={words} className="border-l border-line px-3 py-2 first:border-l-0 first:pl-0">
            <dt className="text-steel">{words}</dt>
            <dd className="figure text-[15px] font-semibold">{value}</dd>
          </div>
        ))}
      </dl>
      <p className="mt-1 text-steel">
        {counts.yes} lines are sure, {counts.leansYes} lean to yes because a type says so,{' '}
        {counts.open} hang on a question, {counts.folded} are left out by assumption.{' '}
        {counts.assumed} are priced by what is common (<GradeWord grade="assumed" />
        ). Four builds in five land in the range: to plan with, not to buy on.
        {totals.unpriced > 0
          ? ` ${totals.unpriced} have no price in ${answer.currency}: add an exchange rate to EUR in Settings.`
          : ''}
      </p>
    </section>
  )
}

function MeasureFirst({ build, answer }: { build: string; answer: FirstAnswer }) {
  if (answer.measure.length === 0) return null
  return (
    <section>
      <h2 className="mb-1 font-bold">Measure first</h2>
      <ol>
        {answer.measure.map((field) => (
          <li
            key={`${field.port}.${field.field}`}
            className="flex items-baseline gap-3 border-b border-line py-1"
          >
            <Link
              className="text-accent underline underline-offset-2"
              to={`/builds/${build}/pairing?engine=${answer.engineId}&transmission=${answer.transmissionId}&joint=${field.joints[0]}`}
            >
              {field.label}
            </Link>
            <span className="truncate text-steel">{field.partName}</span>
            <span className="figure ml-auto whitespace-nowrap">{field.minutes} min</span>
          </li>
        ))}
      </ol>
    </section>
  )
}

/** What would narrow the answer most. */
function Questions({ build, answer }: { build: string; answer: FirstAnswer }) {
  const person = usePerson()
  const said = useJustSaid<string | null>()
  return (
    <section aria-label="To ask first">
      <h2 className="font-bold">Ask these first</h2>
      <p className="mb-1 text-steel">
        What moves the total most.{' '}
        <Link className="text-accent underline" to={`/builds/${build}/known`}>
          What we know of this build
        </Link>
      </p>
      {answer.questions.map((question) => (
        <QuestionRow
          key={question.key}
          question={question}
          currency={answer.currency}
          said={said.shown(question.key, null)}
          onAnswer={(value) =>
            void said.say(question.key, value, () =>
              act(
                () =>
                  call('POST /builds/{id}/facts', {
                    params: { id: build },
                    body: { key: question.key, value, by: person.name },
                  }),
                'Answer kept: the list follows.',
              ),
            )
          }
        />
      ))}
    </section>
  )
}

function Stoppers({ build, answer }: { build: string; answer: FirstAnswer }) {
  const person = usePerson()
  const said = useJustSaid<StopperSays | null>()
  const stoppers = answer.stoppers.map((one) => ({ ...one, says: said.shown(one.id, one.says) }))
  return (
    <StopperQuestions
      stoppers={stoppers}
      onAnswer={(question, says) =>
        void said.say(question, says, () =>
          act(
            () =>
              call('POST /builds/{id}/stoppers', {
                params: { id: build },
                body: { question, says, saidBy: person.name },
              }),
            'Answer kept.',
          ),
        )
      }
    />
  )
}
