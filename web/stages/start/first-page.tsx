import { Link, useParams } from 'react-router'
import type { FirstAnswer } from '../../../contract/answers/builds.ts'
import type { StopperSays } from '../../../core/pairing/stoppers.ts'
import { useAnswer } from '../../api/answer.ts'
import { call } from '../../api/client.ts'
import { act } from '../../api/hooks.ts'
import { useJustSaid } from '../../api/just-said.ts'
import { usePerson } from '../../api/person.ts'
import {
  Button,
  ButtonLink,
  Empty,
  GradeWord,
  Loaded,
  PageHead,
  Span,
} from '../../components/ui.tsx'
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
                <ToSettle build={build} answer={answer} />
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
  const assumed = answer.lines.filter((line) => line.from === 'assumed').length
  return (
    <section aria-label="Price and hours">
      <dl className="grid grid-cols-3 border-y border-ink">
        {[
          { words: 'Parts', value: <Span range={answer.parts} currency={answer.currency} /> },
          {
            words: 'Hours',
            value: `${Math.round(answer.hours.low)} to ${Math.round(answer.hours.high)} h`,
          },
          {
            words: 'Parts and labour',
            value: <Span range={answer.total} currency={answer.currency} />,
          },
        ].map(({ words, value }) => (
          <div key={words} className="border-l border-line px-3 py-2 first:border-l-0 first:pl-0">
            <dt className="text-steel">{words}</dt>
            <dd className="figure text-[15px] font-semibold">{value}</dd>
          </div>
        ))}
      </dl>
      <p className="mt-1 text-steel">
        {answer.lines.length} lines, {assumed} of them by the range of their kind (
        <GradeWord grade="assumed" />
        ): every line at its least, every line at its most. To plan with, not to buy on.
        {answer.unpriced > 0
          ? ` ${answer.unpriced} have no range in ${answer.currency}: add an exchange rate to EUR in Settings.`
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

/** Until somebody confirms or drops them, these stand on every build. */
function ToSettle({ build, answer }: { build: string; answer: FirstAnswer }) {
  const lines = answer.lines.filter((line) => answer.toSettle.includes(line.need))
  const decide = (need: string, words: string, how: 'confirm' | 'drop'): Promise<boolean> =>
    act(
      () =>
        call('POST /builds/{id}/decisions', {
          params: { id: build },
          body: { needId: need, act: how },
        }),
      how === 'confirm'
        ? `${words}: confirmed, it is on the list.`
        : `${words}: dropped. Ctrl+Z takes that back.`,
    )
  return (
    <section>
      <h2 className="font-bold">Confirm or drop</h2>
      <p className="mb-1 text-steel">
        {lines.length > 0
          ? `${lines.length} small things that stop a build on the day.`
          : 'All settled.'}
      </p>
      {lines.map((line) => (
        <div key={line.need} className="flex items-start gap-3 border-b border-line py-1">
          <span className="min-w-0">
            <b>{line.words}</b>
            <span className="block text-steel">{line.why}</span>
          </span>
          <span className="ml-auto whitespace-nowrap">
            <Button
              tone="quiet"
              aria-label={`Confirm ${line.words}`}
              onClick={() => void decide(line.need, line.words, 'confirm')}
            >
              Confirm
            </Button>{' '}
            <Button
              tone="quiet"
              aria-label={`Drop ${line.words}`}
              onClick={() => void decide(line.need, line.words, 'drop')}
            >
              Drop
            </Button>
          </span>
        </div>
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
