/** Whether answers given here have arrived, and why not. */
export function QueueState({ waiting, fault, kept }: { waiting: Readonly<Record<string, unknown>>; fault: string; kept: string }) {
  const count = Object.keys(waiting).length
  return (
    <>
      <p role="status" className="px-4 pb-2 text-steel print:hidden">
        {count > 0 ? `${count} ${count === 1 ? 'answer waits' : 'answers wait'} here until Junket answers; none is lost.` : kept}
      </p>
      {fault && (
        <p role="alert" className="mx-4 mb-2 border-l-[3px] border-clash pl-2.5">
          {fault}
        </p>
      )}
    </>
  )
}
