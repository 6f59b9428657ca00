import { useParams } from 'react-router'
import type { MatingCard } from '../../../contract/answers/sheets.ts'
import { tolerances } from '../../../core/joints/tolerances.ts'
import { BORE, FACE, judgeMating } from '../../../core/mating/card.ts'
import { mergeAnswers, type SheetAnswers } from '../../../core/sheets/sheet.ts'
import { useAnswer } from '../../api/answer.ts'
import { useAnswerQueue } from '../../api/answer-queue.ts'
import { call } from '../../api/client.ts'
import { useReading, useSettings } from '../../api/hooks.ts'
import { usePerson } from '../../api/person.ts'
import { Photos } from '../../components/photos/photos.tsx'
import { QueueState } from '../../components/queue-state.tsx'
import { SheetQuestionRow } from '../../components/sheet-question.tsx'
import { Button, ButtonLink, Caution, Empty, Loaded, PageHead } from '../../components/ui.tsx'
import { ClockSweep } from './clock-sweep.tsx'

/** The mating card: to print, or to fill on a tablet beside the floor. */
export function Component() {
  const { build = '' } = useParams()
  const card = useAnswer('GET /builds/{id}/mating', { params: { id: build } })
  return (
    <Loaded of={card} what="the mating card">
      {(data) =>
        data.pairing === null ? (
          <Empty action={<ButtonLink to={`/builds/${build}/pairing`}>Choose a pairing</ButtonLink>}>
            A mating card is of one engine with one gearbox. Choose the pairing first.
          </Empty>
        ) : (
          <Fill
            build={build}
            card={data}
            onKept={(answers) => card.mutate({ ...data, answers }, { revalidate: false })}
          />
        )
      }
    </Loaded>
  )
}

function Fill({
  build,
  card,
  onKept,
}: {
  build: string
  card: MatingCard
  onKept: (answers: SheetAnswers) => unknown
}) {
  const { waiting, fault, passedOver, give } = useAnswerQueue(
    `/builds/${build}/mating`,
    (answers) => call('PATCH /builds/{id}/mating', { params: { id: build }, body: { answers } }),
    onKept,
  )
  const person = usePerson()
  const reading = useReading()
  const answers = mergeAnswers(card.answers, waiting)
  const judgement = judgeMating(
    answers,
    card.isAutomatic,
    tolerances(useSettings().data?.tolerances),
    reading,
  )
  const say = (question: string, value: string): void =>
    give(question, { value, at: new Date().toISOString(), by: person.name })
  return (
    <>
      <PageHead title="Mating card" detail={card.pairing}>
        <Button onClick={() => window.print()}>Print</Button>
        <ButtonLink to={`/builds/${build}/bench`}>Loose gearbox</ButtonLink>
        <ButtonLink to={`/builds/${build}/pairing`}>Pairing</ButtonLink>
      </PageHead>
      <QueueState
        waiting={waiting}
        fault={fault}
        passedOver={passedOver}
        kept="Every answer is kept with the build as it is given."
      />
      <div className="grid grid-cols-[minmax(0,1.4fr)_minmax(0,1fr)] gap-8 px-4 pb-16 text-[15px] max-[1000px]:grid-cols-1">
        <div>
          <Photos of={{ buildId: build, spot: 'sheet:mating' }} what="the mating" />
          {card.steps.map((step) => (
            <section key={step.id} className="mb-5">
              <h2 className="border-b border-ink pb-1 font-bold">{step.title}</h2>
              {step.cautions.map((caution) => (
                <Caution key={caution}>{caution}</Caution>
              ))}
              {step.id === BORE || step.id === FACE ? (
                <ClockSweep
                  questions={step.questions}
                  answers={answers}
                  sweep={step.id === BORE ? judgement.bore : judgement.face}
                  correction={step.id === BORE ? judgement.correction : null}
                  onSay={say}
                />
              ) : (
                step.questions.map((question) => (
                  <SheetQuestionRow
                    key={question.id}
                    question={question}
                    value={answers[question.id]?.value ?? ''}
                    onSay={(value) => say(question.id, value)}
                  />
                ))
              )}
            </section>
          ))}
        </div>
        <section
          aria-label="What it says so far"
          className="self-start max-[1000px]:order-first min-[1001px]:sticky min-[1001px]:top-2"
        >
          <h2 className="border-b border-ink pb-1 font-bold">What it says so far</h2>
          {judgement.findings.length === 0 && (
            <p className="py-1 text-steel">Nothing yet: figures are judged as they come in.</p>
          )}
          {judgement.findings.map((finding) => (
            <p
              key={finding.words}
              className={`my-1.5 border-l-[3px] pl-2.5 ${finding.code === 'stop' ? 'border-clash' : finding.code === 'acceptable' ? 'border-rule' : 'border-fits'}`}
            >
              {finding.code === 'stop' && <b>Stop. </b>}
              {finding.words}
            </p>
          ))}
          <p className="mt-3 text-steel">
            Readings grow where the plunger is pushed in. Directions are seen from the gearbox
            looking at the engine. Computed; not an engineering approval: the maker’s limits come
            first.
          </p>
        </section>
      </div>
    </>
  )
}
