import { useState } from 'react'
import { useParams } from 'react-router'
import type { JobView, SourcingView } from '../../../contract/answers/planning.ts'
import { useAnswer } from '../../api/answer.ts'
import { BELOW_DIALOGS } from '../../components/dialog.tsx'
import { HistoryButton } from '../../components/history.tsx'
import { LIKE } from '../../components/likes.tsx'
import { Button, ButtonLink, Empty, Loaded, PageHead } from '../../components/ui.tsx'
import { usePageKey } from '../../components/use-page-key.ts'
import { BuildStrip } from '../build-strip.tsx'
import { Baskets } from './baskets.tsx'
import { LeftOut } from './left-out.tsx'
import { lock } from './lock.ts'
import { PlanTable } from './plan-table.tsx'
import { Progress } from './solve-progress.tsx'
import { useSolve } from './use-solve.ts'
import { type Line, sourceOf, WhyThis } from './why-this.tsx'

/** Solve with progress and cancel, the plan, locks, and why this. */
export function Component() {
  const { build = '' } = useParams()
  const sourcing = useAnswer('GET /builds/{id}/sourcing', { params: { id: build } })
  const { job, start, cancel } = useSolve(build)
  return (
    <Loaded of={sourcing} what="the plan">
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
            Sourcing finds the cheapest exact choice of kits, donors and offers for a parts list.
            The list follows from a pairing: choose one first.
          </Empty>
        ) : (
          <Plan build={build} view={view} job={job} start={start} cancel={cancel} />
        )
      }
    </Loaded>
  )
}

function Plan({
  build,
  view,
  job,
  start,
  cancel,
}: {
  build: string
  view: SourcingView
  job: JobView | null
  start: () => Promise<boolean>
  cancel: () => Promise<boolean>
}) {
  const [selected, setSelected] = useState<string | null>(null)
  const line = view.lines.find((one) => one.need === selected) ?? null
  const lockIn = (one: Line): Promise<boolean> =>
    lock(build, { way: 'in', ...sourceOf(one) }, 'Locked. Solve again to see what it costs.')
  usePageKey('l', () => line && void lockIn(line))
  usePageKey('esc', () => setSelected(null), BELOW_DIALOGS)
  const running = job?.status === 'running'
  const toProve = view.lines.filter((one) => one.toProve.length > 0).length
  return (
    <div className="grid h-full grid-cols-[minmax(0,1fr)_340px] max-[1000px]:h-auto max-[1000px]:grid-cols-1">
      <div className="min-h-0 min-w-0 overflow-y-auto max-[1000px]:overflow-y-visible">
        <BuildStrip build={build} />
        <PageHead
          title={headline(view)}
          detail={
            view.isOld
              ? `below stands the last that held, made ${view.day}`
              : view.isCurrent
                ? view.day && `made ${view.day}`
                : view.status && 'changed since: solve again'
          }
        >
          <HistoryButton entity="build" id={build} title="this build" />
          {running ? (
            <Button onClick={() => void cancel()}>Stop, keep the best</Button>
          ) : (
            <Button tone={view.isCurrent ? 'plain' : 'main'} onClick={() => void start()}>
              {view.status ? 'Solve again' : 'Solve'}
            </Button>
          )}
        </PageHead>
        {running && <Progress job={job} currency={view.currency} />}
        {job?.status === 'failed' && (
          <p role="alert" className="mx-4 my-2 border-l-[3px] border-clash pl-2.5">
            The solve broke off: {job.error}. Start it again.
          </p>
        )}
        {view.because && (
          <div role="alert" className="mx-4 my-3 border-l-[3px] border-clash pl-2.5">
            <p className="font-bold">No plan can hold all of this together:</p>
            <ul className="list-disc pl-5">
              {view.because.map((words) => (
                <li key={words}>{words}</li>
              ))}
            </ul>
            {view.without.length > 0 && (
              <p>
                Left without any source: <b>{view.without.join(', ')}</b>.
              </p>
            )}
            <p>
              Take one of them off and solve again.
              {view.isOld &&
                ' The plan below is the last that held; it is kept until another does.'}
            </p>
          </div>
        )}
        {!view.status && !running && (
          <Empty>
            Solve weighs every kept part, kit, donor and offer with shipping, free-over and minimum
            orders, and proves that nothing cheaper exists.
          </Empty>
        )}
        {toProve > 0 && (
          <p className="mx-4 my-2 border-l-[3px] border-unmeasured pl-2.5">
            Proven cheapest is not proven to fit: {toProve}{' '}
            {toProve === 1 ? 'line waits' : 'lines wait'} for something to be measured or decided.
            Open a line to see what.
          </p>
        )}
        {view.lines.length > 0 && (
          <PlanTable view={view} selected={selected} onSelect={setSelected} />
        )}
        {view.open.length > 0 && (
          <section className="px-4 py-3">
            <h2 className="font-bold">Open: no source yet</h2>
            <p className="text-steel">
              {view.open.map((need) => need.words).join(' · ')}. Type a price on their lines in
              Parts.
            </p>
          </section>
        )}
        <LeftOut reasons={view.excluded.map(({ why }) => why)} />
      </div>
      <div className="overflow-y-auto border-l border-line bg-ground px-4 py-3 max-[1000px]:border-l-0">
        {line ? (
          <WhyThis
            build={build}
            view={view}
            line={line}
            onLock={() => void lockIn(line)}
            onClose={() => setSelected(null)}
          />
        ) : (
          <Baskets build={build} view={view} />
        )}
      </div>
    </div>
  )
}

function headline(view: SourcingView): string {
  if (view.isOld)
    return view.because ? 'No plan is possible' : 'Stopped before a new plan was found'
  const sourced = view.needs - view.open.length
  if (view.status === 'proven') return `Proven cheapest for ${sourced} of ${view.needs} lines`
  if (view.status === 'gap') return `Best found for ${sourced} of ${view.needs} lines, not proven`
  if (view.status === 'infeasible') return 'No plan is possible'
  return view.status === 'none'
    ? 'Stopped before a plan was found'
    : `${view.needs} lines to source`
}
