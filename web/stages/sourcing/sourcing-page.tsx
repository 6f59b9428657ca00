import clsx from 'clsx'
import { useEffect, useState } from 'react'
import { useHotkeys } from 'react-hotkeys-hook'
import { useParams } from 'react-router'
import type { JobView, SourcingView } from '../../../contract/answers/planning.ts'
import { refresh, useAnswer } from '../../api/answer.ts'
import { call } from '../../api/client.ts'
import { act, removeWithUndo } from '../../api/hooks.ts'
import { HistoryButton } from '../../components/history.tsx'
import {
  Button,
  ButtonLink,
  Empty,
  Loaded,
  Money,
  PageHead,
  SheetHead,
} from '../../components/ui.tsx'
import { BuildStrip } from '../build-strip.tsx'
import { NumberSays } from '../parts/number-says.tsx'
import { numberWords } from '../parts/words.ts'

type Line = SourcingView['lines'][number]

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

/** Starts a solve and follows it by server-sent events; a job under way is picked up again after a reload. */
function useSolve(build: string) {
  const key = `job:${build}`
  const [id, setId] = useState(sessionStorage.getItem(key))
  const [job, setJob] = useState<JobView | null>(null)
  useEffect(() => {
    if (!id) return
    const events = new EventSource(`/api/jobs/${id}/events`)
    const finish = (): void => {
      events.close()
      sessionStorage.removeItem(key)
      setId(null)
      void refresh()
    }
    events.addEventListener('state', (event) => {
      const state = JSON.parse(event.data) as JobView
      setJob(state)
      if (state.status !== 'running') finish()
    })
    events.onerror = finish
    return () => events.close()
  }, [id, key])
  const start = (): Promise<boolean> =>
    act(async () => {
      const made = await call('POST /builds/{id}/sourcing', { params: { id: build } })
      sessionStorage.setItem(key, made.id)
      setJob({ ...made, elapsedMs: 0 })
      setId(made.id)
    })
  const cancel = (): Promise<boolean> =>
    act(() => (id ? call('DELETE /jobs/{id}', { params: { id } }) : Promise.resolve()))
  return { job, start, cancel }
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
  const step = (by: number): void =>
    setSelected(
      (current) =>
        view.lines[
          Math.max(
            0,
            Math.min(
              view.lines.length - 1,
              view.lines.findIndex((one) => one.need === current) + by,
            ),
          )
        ]?.need ?? null,
    )
  const lockIn = (one: Line): Promise<boolean> =>
    act(
      () =>
        call('POST /builds/{id}/locks', {
          params: { id: build },
          body: one.bundle
            ? { way: 'in', bundle: one.bundle }
            : { way: 'in', candidate: one.candidate },
        }),
      'Locked. Solve again to see what it costs.',
    )
  useHotkeys('j', () => step(1), [view])
  useHotkeys('k', () => step(-1), [view])
  useHotkeys('l', () => line && void lockIn(line), [line])
  useHotkeys('esc', () => setSelected(null))
  const running = job?.status === 'running'
  return (
    <div className="grid h-full grid-cols-[minmax(0,1fr)_340px] max-[1000px]:h-auto max-[1000px]:grid-cols-1">
      <div className="min-h-0 min-w-0 overflow-y-auto">
        <BuildStrip build={build} />
        <PageHead
          title={headline(view)}
          detail={
            view.isCurrent
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
            <p>Take one of them off and solve again.</p>
          </div>
        )}
        {!view.status && !running && (
          <Empty>
            Solve weighs every kept part, kit, donor and offer with shipping, free-over and minimum
            orders, and proves that nothing cheaper exists.
          </Empty>
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
        {[...new Set(view.excluded.map((one) => one.why))].slice(0, 6).map((why) => (
          <p key={why} className="mx-4 my-2 border-l-[3px] border-unmeasured pl-2.5">
            {why}
          </p>
        ))}
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
  const sourced = view.needs - view.open.length
  if (view.status === 'proven') return `Proven for ${sourced} of ${view.needs} lines`
  if (view.status === 'gap') return `Best found for ${sourced} of ${view.needs} lines, not proven`
  if (view.status === 'infeasible') return 'No plan is possible'
  return view.status === 'none'
    ? 'Stopped before a plan was found'
    : `${view.needs} lines to source`
}

function Progress({ job, currency }: { job: JobView; currency: string }) {
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

function PlanTable({
  view,
  selected,
  onSelect,
}: {
  view: SourcingView
  selected: string | null
  onSelect: (need: string) => void
}) {
  return (
    <table className="w-full">
      <thead>
        <tr className="border-b border-ink">
          <th className="py-1 pl-4">Line</th>
          <th>Source</th>
          <th>Number says</th>
          <th className="text-right">Packs</th>
          <th className="pr-4 text-right">{view.currency}</th>
        </tr>
      </thead>
      <tbody>
        {view.lines.map((line) => (
          <tr
            key={line.need}
            aria-selected={line.need === selected}
            className={clsx(
              'border-b border-line',
              line.need === selected ? 'bg-chosen' : 'hover:bg-bench/50',
            )}
          >
            <td className="py-1.5 pl-4">
              <button
                type="button"
                className="text-left font-bold"
                onClick={() => onSelect(line.need)}
              >
                {line.words}
              </button>
            </td>
            <td>{line.source?.words ?? line.bundleName}</td>
            <td>{line.source ? <NumberSays verdict={line.source.number} /> : ''}</td>
            <td className="figure text-right">{line.packs}</td>
            <td className="pr-4 text-right">
              <Money minor={line.costMinor} currency={view.currency} />
            </td>
          </tr>
        ))}
        {view.bundles.map((bundle) => (
          <tr key={bundle.bundle} className="border-b border-line">
            <td className="py-1.5 pl-4 font-bold">{bundle.name}</td>
            <td className="text-steel" colSpan={3}>
              price <Money minor={bundle.priceMinor} currency={view.currency} />
              {bundle.resaleMinor + bundle.scrapMinor > 0 && (
                <>
                  , less resale and scrap{' '}
                  <Money minor={bundle.resaleMinor + bundle.scrapMinor} currency={view.currency} />
                </>
              )}
            </td>
            <td className="pr-4 text-right">
              <Money
                minor={bundle.priceMinor - bundle.resaleMinor - bundle.scrapMinor}
                currency={view.currency}
              />
            </td>
          </tr>
        ))}
        {view.baskets.map((basket) => (
          <tr key={basket.supplier} className="border-b border-line">
            <td className="py-1.5 pl-4">Shipping, {basket.name}</td>
            <td colSpan={3} />
            <td className="pr-4 text-right">
              <Money minor={basket.shippingMinor} currency={view.currency} />
            </td>
          </tr>
        ))}
        <tr className="border-b border-ink">
          <td className="py-2 pl-4 font-bold" colSpan={4}>
            Total, tax included
            {view.boundMinor !== null && view.status === 'gap' ? ', nothing is below ' : ''}
            {view.boundMinor !== null && view.status === 'gap' && (
              <Money minor={view.boundMinor} currency={view.currency} />
            )}
          </td>
          <td className="pr-4 text-right font-bold">
            <Money minor={view.totalMinor} currency={view.currency} />
          </td>
        </tr>
      </tbody>
    </table>
  )
}

/** What was chosen for a line, and what else there was. */
function WhyThis({
  build,
  view,
  line,
  onLock,
  onClose,
}: {
  build: string
  view: SourcingView
  line: Line
  onLock: () => void
  onClose: () => void
}) {
  const unit = line.bundle ? null : line.costMinor
  const lock = (way: 'in' | 'out', rival: Line['rivals'][number]): Promise<boolean> =>
    act(
      () =>
        call('POST /builds/{id}/locks', {
          params: { id: build },
          body: {
            way,
            ...(rival.bundle ? { bundle: rival.bundle } : { candidate: rival.id }),
          },
        }),
      'Locked. Solve again to see what it costs.',
    )
  return (
    <aside aria-label={`Why this: ${line.words}`} className="flex flex-col gap-3">
      <SheetHead title={line.words} onClose={onClose} />
      <p>{line.source?.words}</p>
      <p className="text-steel">
        {line.bundle
          ? `It comes with ${line.bundleName}, whose price is counted once; on this line only its strip labour.`
          : `The plan as a whole is cheapest with it: a lower price elsewhere can cost a second shipping charge or lose a free-over.`}
      </p>
      <div className="flex gap-2">
        <Button onClick={onLock}>Keep this</Button>
        <Button
          onClick={() =>
            void act(
              () =>
                call('POST /builds/{id}/locks', {
                  params: { id: build },
                  body: line.bundle
                    ? { way: 'out', bundle: line.bundle }
                    : { way: 'out', candidate: line.candidate },
                }),
              'Left out. Solve again.',
            )
          }
        >
          Leave this out
        </Button>
      </div>
      <h3 className="font-bold">What else there was</h3>
      {line.rivals.length === 0 && <p className="text-steel">Nothing else meets this line.</p>}
      <ul className="max-h-[46vh] overflow-y-auto">
        {line.rivals.map((rival) => (
          <li key={rival.id} className="border-b border-line py-1.5">
            <div className="flex gap-2">
              {rival.words}
              <span className="ml-auto">
                {rival.minor === null ? (
                  <span className="text-steel">in the bundle</span>
                ) : (
                  <Money minor={rival.minor} currency={view.currency} />
                )}
              </span>
            </div>
            <div className="flex items-center text-steel">
              {numberWords(rival.number)}
              {rival.minor !== null && unit !== null
                ? ` · ${rival.minor - unit >= 0 ? '+' : '−'}${(Math.abs(rival.minor - unit) / 100).toFixed(2)} by itself`
                : ''}
              <span className="ml-auto">
                <Button tone="quiet" onClick={() => void lock('in', rival)}>
                  Take this
                </Button>
              </span>
            </div>
          </li>
        ))}
      </ul>
      {line.rivalCount > line.rivals.length && (
        <p className="text-steel">
          {line.rivalCount - line.rivals.length} more, none cheaper than the last shown.
        </p>
      )}
    </aside>
  )
}

function Baskets({ build, view }: { build: string; view: SourcingView }) {
  return (
    <aside aria-label="Baskets and locks" className="flex flex-col gap-4">
      <section>
        <h2 className="text-[15px] font-bold">Baskets</h2>
        {view.baskets.length === 0 && (
          <p className="text-steel">One basket a supplier, once there is a plan.</p>
        )}
        {view.baskets.map((basket) => (
          <div key={basket.supplier} className="border-b border-line py-2">
            <div className="flex">
              <b>{basket.name}</b>
              <span className="ml-auto">
                <Money minor={basket.goodsMinor + basket.shippingMinor} currency={view.currency} />
              </span>
            </div>
            <div className="text-steel">
              {basket.items.length} {basket.items.length === 1 ? 'item' : 'items'}, shipping{' '}
              {basket.shippingMinor === 0 ? (
                'free'
              ) : (
                <Money minor={basket.shippingMinor} currency={view.currency} />
              )}
            </div>
            <Button
              tone="quiet"
              onClick={() =>
                void act(
                  () =>
                    call('POST /builds/{id}/locks', {
                      params: { id: build },
                      body: { way: 'out', supplierId: basket.supplier },
                    }),
                  `${basket.name} is left out. Solve again.`,
                )
              }
            >
              Buy nothing there
            </Button>
          </div>
        ))}
      </section>
      <section>
        <h2 className="text-[15px] font-bold">Locks</h2>
        {view.locks.length === 0 && (
          <p className="text-steel">Select a line and press l to keep its source.</p>
        )}
        {view.locks.map((lock) => (
          <p key={lock.id} className="flex items-start gap-2 border-b border-line py-1">
            {lock.words}
            <span className="ml-auto">
              <Button
                tone="quiet"
                onClick={() =>
                  void removeWithUndo(
                    'DELETE /builds/{id}/locks/{lock}',
                    { params: { id: build, lock: lock.id } },
                    'The lock is off.',
                  )
                }
              >
                Unlock
              </Button>
            </span>
          </p>
        ))}
      </section>
    </aside>
  )
}
