import type { SheetAnswers, SheetStep } from '../../core/sheets/sheet.ts'
import { SheetQuestionRow } from './sheet-question.tsx'
import { Caution } from './ui.tsx'

/** The steps of a sheet in order: each with its cautions and its questions. */
export const SheetSteps = ({
  steps,
  answers,
  onSay,
}: {
  steps: readonly SheetStep[]
  answers: SheetAnswers
  onSay: (question: string, value: string) => void
}) =>
  steps.map((step) => (
    <section key={step.id} className="mb-5">
      <h2 className="border-b border-ink pb-1 font-bold">{step.title}</h2>
      {step.cautions.map((caution) => (
        <Caution key={caution}>{caution}</Caution>
      ))}
      {step.questions.map((question) => (
        <SheetQuestionRow
          key={question.id}
          question={question}
          value={answers[question.id]?.value ?? ''}
          onSay={(value) => onSay(question.id, value)}
        />
      ))}
    </section>
  ))
