import type { Stopper, StopperSays } from '../../../core/pairing/stoppers.ts'
import { Radios } from '../../components/fields/radios.tsx'
import type { Option } from '../../components/fields/select.tsx'

const ANSWERS: readonly Option<StopperSays>[] = [
  { value: 'yes', words: 'Yes' },
  { value: 'no', words: 'No' },
  { value: 'unknown', words: "Don't know" },
]

/** The twelve questions that stop a build; what an answer means stands under it. */
export function StopperQuestions({
  stoppers,
  onAnswer,
}: {
  stoppers: readonly (Stopper & { readonly says: StopperSays | null })[]
  onAnswer: (question: string, says: StopperSays) => void
}) {
  return (
    <section aria-label="Questions that stop a build">
      <h2 className="font-bold">Twelve questions that stop a build</h2>
      <p className="mb-1 text-steel">Each is cheap to ask now and dear to learn later.</p>
      {stoppers.map(({ id, question, no, find, joint, says }) => (
        <fieldset key={id} className="border-t border-line py-1.5">
          <legend className="float-left w-[calc(100%-216px)] pr-3">{question}</legend>
          <Radios
            label={question}
            value={says ?? ''}
            options={ANSWERS}
            onChange={(answer) => onAnswer(id, answer)}
            className="w-[216px] flex-nowrap! justify-end gap-x-3! whitespace-nowrap"
          />
          {(says === 'no' || says === 'unknown') && (
            <p
              className={`clear-both border-l-[3px] pl-2 ${says === 'no' ? 'border-clash' : 'border-unmeasured'}`}
            >
              {says === 'no' ? no : find}
            </p>
          )}
          {says !== null && (
            <p className="clear-both text-steel">
              {joint === null
                ? 'Asked, not judged: no joint computes this yet.'
                : 'Kept as a claim; its joint is computed.'}
            </p>
          )}
        </fieldset>
      ))}
    </section>
  )
}
