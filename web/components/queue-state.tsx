import type { PassedOver } from '../api/answer-queue.ts'

/** Whether answers given here have arrived, and why not. */
export function QueueState({
  waiting,
  fault,
  passedOver,
  kept,
}: {
  waiting: Readonly<Record<string, unknown>>
  fault: string
  passedOver: readonly PassedOver[]
  kept: string
}) {
  const count = Object.keys(waiting).length
  return (
    <>
      <p role="status" className="px-4 pb-2 text-steel print:hidden">
        {count > 0
          ? `${count} ${count === 1 ? 'answer waits' : 'answers wait'} here until Junket answers; none is lost.`
          : kept}
      </p>
      {passedOver.map(({ question, yours, stands }) => (
        <p
          key={question}
          role="alert"
          className="mx-4 mb-2 border-l-[3px] border-work pl-2.5 print:hidden"
        >
          "{yours}" did not stand: {stands.by ?? 'somebody'} answered later, "{stands.value}".
          Answer it again to change it.
        </p>
      ))}
      {fault && (
        <p role="alert" className="mx-4 mb-2 border-l-[3px] border-clash pl-2.5">
          {fault}
        </p>
      )}
    </>
  )
}
