import { Link } from 'react-router'
import type { PartLine } from '../../../contract/answers/planning.ts'
import { useAnswer } from '../../api/answer.ts'
import { Select } from '../../components/fields/select.tsx'
import { valueWords } from '../known/question-row.tsx'
import { useAnswerFact } from '../known/use-answer-fact.ts'

/** What must still be found out for a line, each question answered where it stands. */
export function FoundOut({ build, line }: { build: string; line: PartLine }) {
  const known = useAnswer('GET /builds/{id}/facts', { params: { id: build } }).data
  const { shown, answer } = useAnswerFact(build)
  if (line.because.length === 0) return null
  const facts = new Map(known?.owners.flatMap(({ facts }) => facts.map((one) => [one.key, one])))
  return (
    <section>
      <h3 className="font-bold">What must be found out</h3>
      {line.because.map((key, i) => {
        const fact = facts.get(key)
        const words = line.hangs[i] ?? key
        return (
          <div key={key} className="flex flex-wrap items-baseline gap-2 border-b border-line py-1">
            <Link
              to={`/builds/${build}/known?fact=${key}`}
              className="min-w-0 flex-1 text-accent underline"
            >
              {words}
            </Link>
            {fact?.isAsked && (
              <Select
                aria-label={words}
                isNarrow
                value={shown(key, fact.isAssumed ? null : fact.value) ?? 'unknown'}
                options={[
                  ...fact.values.map((value) => ({ value, words: valueWords(value) })),
                  { value: 'unknown', words: "Don't know" },
                ]}
                onChange={(value) => answer(key, value)}
              />
            )}
          </div>
        )
      })}
    </section>
  )
}
