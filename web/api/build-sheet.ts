import { mergeAnswers } from '../../core/sheets/sheet.ts'
import { useAnswer } from './answer.ts'
import { useAnswerQueue } from './answer-queue.ts'
import { call } from './client.ts'
import { usePerson } from './person.ts'

/** One sheet of a build: what is kept with what still waits in this browser, and a way to say something. */
export function useBuildSheet(
  build: string,
  kind: string,
  onKept: () => unknown = () => undefined,
) {
  const params = { id: build, kind }
  const kept = useAnswer('GET /builds/{id}/sheets/{kind}', { params })
  const person = usePerson()
  const { waiting, fault, passedOver, give } = useAnswerQueue(
    `/builds/${build}/sheets/${kind}`,
    (answers) => call('PATCH /builds/{id}/sheets/{kind}', { params, body: { answers } }),
    async (answers) => {
      await kept.mutate({ answers }, { revalidate: false })
      await onKept()
    },
  )
  return {
    answers: mergeAnswers(kept.data?.answers ?? {}, waiting),
    waiting,
    fault,
    passedOver,
    say: (question: string, value: string): void =>
      give(question, { value, at: new Date().toISOString(), by: person.name }),
  }
}
