import { useParams } from 'react-router'
import type { DonorSheet } from '../../../contract/answers/sheets.ts'
import { risksOf, SHEET_STEPS } from '../../../core/donors/sheet.ts'
import { mergeAnswers, type SheetAnswers } from '../../../core/sheets/sheet.ts'
import { useAnswer } from '../../api/answer.ts'
import { useAnswerQueue } from '../../api/answer-queue.ts'
import { call } from '../../api/client.ts'
import { usePerson } from '../../api/person.ts'
import { Photos } from '../../components/photos/photos.tsx'
import { QueueState } from '../../components/queue-state.tsx'
import { SheetQuestionRow } from '../../components/sheet-question.tsx'
import { SheetSteps } from '../../components/sheet-steps.tsx'
import { Button, ButtonLink, Loaded, PageHead } from '../../components/ui.tsx'

/** The sheet of one donor, to print or to fill on a tablet beside the vehicle. */
export function Component() {
  const { build = '', donor = '' } = useParams()
  const sheet = useAnswer('GET /builds/{id}/donors/{donor}/sheet', { params: { id: build, donor } })
  return (
    <Loaded of={sheet} what="the sheet">
      {(data) => (
        <Fill
          build={build}
          sheet={data}
          onKept={(answers) => sheet.mutate({ ...data, answers }, { revalidate: false })}
        />
      )}
    </Loaded>
  )
}

function Fill({
  build,
  sheet,
  onKept,
}: {
  build: string
  sheet: DonorSheet
  onKept: (answers: SheetAnswers) => unknown
}) {
  const { waiting, fault, passedOver, give } = useAnswerQueue(
    `/builds/${build}/donors/${sheet.donor.id}/sheet`,
    (answers) =>
      call('PATCH /builds/{id}/donors/{donor}/sheet', {
        params: { id: build, donor: sheet.donor.id },
        body: { answers },
      }),
    onKept,
  )
  const person = usePerson()
  const answers = mergeAnswers(sheet.answers, waiting)
  const say = (question: string, value: string): void =>
    give(question, { value, at: new Date().toISOString(), by: person.name })
  const risks = risksOf(answers)
  return (
    <>
      <PageHead
        title={sheet.donor.name}
        detail={[sheet.donor.place, `for ${sheet.build}`].filter(Boolean).join(', ')}
      >
        <Button onClick={() => window.print()}>Print</Button>
        <ButtonLink to={`/builds/${build}/donors`}>Side by side</ButtonLink>
      </PageHead>
      <QueueState
        waiting={waiting}
        fault={fault}
        passedOver={passedOver}
        kept="Every answer is kept with the donor as it is given."
      />
      <div className="max-w-3xl px-4 pb-16 text-[15px]">
        <div className="mb-4">
          <Photos of={{ donorId: sheet.donor.id }} what={sheet.donor.name} />
        </div>
        <SheetSteps steps={SHEET_STEPS} answers={answers} onSay={say} />
        <section className="mb-5">
          <h2 className="border-b border-ink pb-1 font-bold">Complete, for this pairing</h2>
          {sheet.pieces.length === 0 && (
            <p className="py-1 text-steel">
              Choose a pairing, and what it needs from a donor stands here.
            </p>
          )}
          {sheet.pieces.map((piece) => (
            <SheetQuestionRow
              key={piece.question}
              question={{ id: piece.question, words: piece.words, type: 'yes-no' }}
              value={answers[piece.question]?.value ?? ''}
              onSay={(value) => say(piece.question, value)}
            />
          ))}
        </section>
        <section aria-label="Put at risk">
          <h2 className="border-b border-ink pb-1 font-bold">Put at risk by what was found</h2>
          {risks.length === 0 && <p className="py-1 text-steel">Nothing yet.</p>}
          {risks.map((risk) => (
            <p key={risk.question} className="my-1 border-l-[3px] border-clash pl-2.5">
              <b>{risk.words}</b>: {risk.risk}
            </p>
          ))}
          <p className="mt-3 text-steel">
            What must be shown to an authority, and who may open fuel, refrigerant or airbag
            systems, is set by local law: ask licensed people.
          </p>
        </section>
      </div>
    </>
  )
}
