import useSWR from 'swr'
import { mergeAnswers, type SheetAnswers } from '../../core/sheets/sheet.ts'
import { useAnswerQueue } from './answer-queue.ts'
import { usePerson } from './person.ts'

/** One sheet of a build: what is kept with what still waits in this browser, and a way to say something. */
export function useBuildSheet(
  build: string,
  kind: string,
  onKept: () => unknown = () => undefined,
) {
  const path = `/builds/${build}/sheets/${kind}`
  const kept = useSWR<{ answers: SheetAnswers }>(path)
  const person = usePerson()
  const { waiting, fault, passedOver, give } = useAnswerQueue(path, async (answers) => {
    await kept.mutate({ answers }, { revalidate: false })
    await onKept()
  })
  return {
    answers: mergeAnswers(kept.data?.answers ?? {}, waiting),
    waiting,
    fault,
    passedOver,
    say: (question: string, value: string): void =>
      give(question, { value, at: new Date().toISOString(), by: person.name }),
  }
}
