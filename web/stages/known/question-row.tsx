import type { Question } from '../../../contract/answers/facts.ts'
import { Radios } from '../../components/fields/radios.tsx'
import { Money } from '../../components/ui.tsx'

const UNKNOWN = { value: 'unknown', words: "Don't know" }
/** How many of the lines that hang on a question are named. */
const NAMED = 4

/** How the value of a fact reads. */
export const valueWords = (value: string): string =>
  `${value.slice(0, 1).toUpperCase()}${value.slice(1).replaceAll('-', ' ')}`

/** One question with what it may move, what hangs on it, and how it is found out. */
export function QuestionRow({
  question,
  currency,
  said,
  onAnswer,
}: {
  question: Question
  currency: string
  said: string | null
  onAnswer: (value: string) => void
}) {
  const { asks, found, values, assumed, spreadMinor, lines } = question
  return (
    <fieldset className="border-t border-line py-2">
      <legend className="float-left w-full pr-3 font-semibold">{asks}</legend>
      <div className="clear-both flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <Radios
          label={asks}
          value={said ?? ''}
          options={[...values.map((value) => ({ value, words: valueWords(value) })), UNKNOWN]}
          onChange={onAnswer}
        />
        <span className="ml-auto whitespace-nowrap text-steel">
          moves <Money minor={spreadMinor} currency={currency} whole />
        </span>
      </div>
      <p className="text-steel">
        {assumed === null ? 'Not known. ' : `Assumed: ${valueWords(assumed).toLowerCase()}. `}
        {found && `Found out by: ${found}. `}
        {lines.length === 1 ? 'On it hangs ' : `On it hang ${lines.length} lines: `}
        {lines
          .slice(0, NAMED)
          .map(({ words }) => words.toLowerCase())
          .join('; ')}
        {lines.length > NAMED && ', and more'}.
      </p>
    </fieldset>
  )
}
