import type { JobView } from '../../../contract/answers/planning.ts'
import { Money } from '../../components/ui.tsx'

/** How far a solve is: best so far and bound. */
export function Progress({ job, currency }: { job: JobView; currency: string }) {
  return (
    <p role="status" className="mx-4 my-2 border-l-[3px] border-accent pl-2.5">
      Solving for <span className="figure">{Math.round(job.elapsedMs / 1000)} s</span>
      {job.best !== null && (
        <>
          {' '}
          · best so far <Money minor={Math.round(job.best)} currency={currency} />
        </>
      )}
      {job.bound !== null && (
        <>
          , none below <Money minor={Math.ceil(job.bound)} currency={currency} />
        </>
      )}
    </p>
  )
}
