import { useState } from 'react'
import { useParams, useSearchParams } from 'react-router'
import type { KnownFactView, KnownView } from '../../../contract/answers/facts.ts'
import { useAnswer } from '../../api/answer.ts'
import { Select } from '../../components/fields/select.tsx'
import { LIKE } from '../../components/likes.tsx'
import { Button, ButtonLink, Empty, Folded, Loaded, PageHead } from '../../components/ui.tsx'
import { QuestionRow, valueWords } from './question-row.tsx'
import { Switches } from './switches.tsx'
import { useAnswerFact } from './use-answer-fact.ts'

const OWNERS: Readonly<Record<string, string>> = {
  build: 'The build',
  keep: 'What must still work',
  vehicle: 'The vehicle',
  engine: 'The engine that goes in',
  gearbox: 'The gearbox that will be in',
  donor: 'What is bought',
  bench: 'The gearbox on the bench',
  kit: 'The kit',
  choice: 'Ways out',
  joint: 'Joints',
  room: 'Room',
  can: 'What this shop can',
  law: 'The law',
}
const AT_FIRST = 10

/** What we know of this build: the questions that decide most first, then everything by whom it belongs to. */
export function Component() {
  const { build = '' } = useParams()
  const known = useAnswer('GET /builds/{id}/facts', { params: { id: build } })
  return (
    <Loaded of={known} what="what is known of this build">
      {(view) =>
        view.pairing === null ? (
          <Empty
            like={LIKE.lines}
            action={
              <ButtonLink to={`/builds/${build}/pairing`} tone="main">
                Choose a pairing
              </ButtonLink>
            }
          >
            What must be asked follows from engine and gearbox. A type of each is enough to start.
          </Empty>
        ) : (
          <Known build={build} view={view} />
        )
      }
    </Loaded>
  )
}

function Known({ build, view }: { build: string; view: KnownView }) {
  const { shown, answer } = useAnswerFact(build)
  const [most, setMost] = useState(AT_FIRST)
  const wanted = useSearchParams()[0].get('fact')
  const all = view.owners.flatMap(({ facts }) => facts)
  const count = (holds: (fact: KnownFactView) => boolean): number => all.filter(holds).length
  return (
    <>
      <PageHead
        title="What we know of this build"
        detail={`${count(({ value, isAssumed }) => value !== null && !isAssumed)} said or measured · ${count(({ isAssumed }) => isAssumed)} assumed · ${view.questions.length} to ask`}
      >
        <ButtonLink to={`/builds/${build}/parts`}>Parts</ButtonLink>
      </PageHead>
      <div className="grid grid-cols-[minmax(0,1.1fr)_minmax(0,1fr)] gap-x-8 px-4 pb-12 max-[1000px]:grid-cols-1">
        <section aria-label="To ask, what moves most first">
          <h2 className="mb-1 font-bold">Ask these first</h2>
          {view.questions.length === 0 && (
            <p className="text-steel">Nothing hangs on a question.</p>
          )}
          {view.questions.slice(0, most).map((question) => (
            <QuestionRow
              key={question.key}
              question={question}
              currency={view.currency}
              said={shown(question.key, null)}
              onAnswer={(value) => answer(question.key, value)}
            />
          ))}
          {view.questions.length > most && (
            <p className="pt-2">
              <Button onClick={() => setMost(most + 20)}>
                {view.questions.length - most} more that move less
              </Button>
            </p>
          )}
        </section>
        <div>
          <Switches build={build} view={view} />
          {view.owners.map(({ owner, facts }) => (
            <Folded
              key={owner}
              isOpen={facts.some(({ key }) => key === wanted) || undefined}
              words={`${OWNERS[owner] ?? owner}: ${facts.filter(({ value }) => value !== null).length} of ${facts.length} known`}
            >
              <table className="w-full border-collapse">
                <tbody>
                  {facts.map((fact) => (
                    <FactRow
                      key={fact.key}
                      fact={fact}
                      isWanted={fact.key === wanted}
                      shown={shown(fact.key, fact.value)}
                      onAnswer={(value) => answer(fact.key, value)}
                    />
                  ))}
                </tbody>
              </table>
            </Folded>
          ))}
        </div>
      </div>
    </>
  )
}

function FactRow({
  fact,
  isWanted,
  shown,
  onAnswer,
}: {
  fact: KnownFactView
  /** Another page asked for it. */
  isWanted: boolean
  shown: string | null
  onAnswer: (value: string) => void
}) {
  const { words, isAsked, isAssumed, from, values } = fact
  return (
    <tr
      ref={isWanted ? (row) => row?.scrollIntoView({ block: 'center' }) : undefined}
      className={`border-b border-line align-baseline ${isWanted ? 'bg-bench' : ''}`}
    >
      <th scope="row" className="py-1 pr-3 text-left font-normal">
        {words}
      </th>
      <td className="w-[168px] py-1">
        {isAsked ? (
          <Select
            aria-label={words}
            value={shown ?? 'unknown'}
            options={[
              ...values.map((value) => ({ value, words: valueWords(value) })),
              { value: 'unknown', words: "Don't know" },
            ]}
            onChange={onAnswer}
          />
        ) : (
          <b>{shown ? valueWords(shown) : 'Not measured'}</b>
        )}
      </td>
      <td className="py-1 pl-3 text-steel">
        {from ?? ''}
        {isAssumed && ', assumed'}
      </td>
    </tr>
  )
}
