import { useCallback, useEffect, useRef, useState } from 'react'
import {
  type Joined,
  mergeAnswers,
  type SheetAnswer,
  type SheetAnswers,
} from '../../core/sheets/sheet.ts'
import { ApiProblem } from './client.ts'

const RETRY_MS = 4000

/** An answer that did not stand: somebody's later one was there already. */
export interface PassedOver {
  readonly question: string
  readonly yours: string
  readonly stands: SheetAnswer
}

const readQueue = (key: string): SheetAnswers => {
  try {
    return JSON.parse(localStorage.getItem(key) ?? '{}')
  } catch {
    return {}
  }
}

/**
 * Answers given on a tablet, kept in the browser until the server has them: a reload or a lost connection loses none.
 * They are joined question by question on arrival, so sending late or twice does no harm.
 *
 * @param path names the sheet in this browser
 * @param send brings answers to the server
 * @param onKept told what the server holds after each sending
 */
export function useAnswerQueue(
  path: string,
  send: (answers: SheetAnswers) => Promise<Joined>,
  onKept: (answers: SheetAnswers) => unknown = () => undefined,
): {
  waiting: SheetAnswers
  fault: string
  passedOver: readonly PassedOver[]
  give: (question: string, answer: SheetAnswer) => void
} {
  const key = `queue:${path}`
  const [waiting, setWaiting] = useState<SheetAnswers>(() => readQueue(key))
  const [fault, setFault] = useState('')
  const [passedOver, setPassedOver] = useState<readonly PassedOver[]>([])
  const kept = useRef(onKept)
  kept.current = onKept
  const sender = useRef(send)
  sender.current = send

  const keep = useCallback(
    (answers: SheetAnswers) => {
      if (Object.keys(answers).length === 0) localStorage.removeItem(key)
      else localStorage.setItem(key, JSON.stringify(answers))
      setWaiting(answers)
    },
    [key],
  )

  const bring = useCallback(async (): Promise<void> => {
    const sending = readQueue(key)
    if (Object.keys(sending).length === 0) return
    try {
      const { answers, passedOver: passed } = await sender.current(sending)
      setFault('')
      if (passed.length > 0)
        setPassedOver(
          passed.map((question) => ({
            question,
            yours: sending[question]!.value,
            stands: answers[question]!,
          })),
        )
      // Shown from what is kept before it leaves the queue: an answer never blinks away.
      await kept.current(answers)
      // What was given meanwhile stays in the queue.
      keep(
        Object.fromEntries(
          Object.entries(readQueue(key)).filter(([id, answer]) => sending[id]?.at !== answer.at),
        ),
      )
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error
      setFault(error.isLostConnection ? '' : error.message)
    }
  }, [key, keep])

  const give = (question: string, answer: SheetAnswer): void => {
    setPassedOver([])
    keep(mergeAnswers(readQueue(key), { [question]: answer }))
    void bring()
  }

  useEffect(() => {
    void bring()
    const again = (): void => void bring()
    const timer = setInterval(again, RETRY_MS)
    window.addEventListener('online', again)
    return () => {
      clearInterval(timer)
      window.removeEventListener('online', again)
    }
  }, [bring])

  return { waiting, fault, passedOver, give }
}
