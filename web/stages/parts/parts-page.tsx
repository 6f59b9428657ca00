import clsx from 'clsx'
import { useState } from 'react'
import { useHotkeys } from 'react-hotkeys-hook'
import { useParams } from 'react-router'
import type { PartLine, PartsList } from '../../../contract/answers/planning.ts'
import { isWeak } from '../../../core/quantity/grade.ts'
import { useAnswer } from '../../api/answer.ts'
import { useBuild, usePairing } from '../../api/hooks.ts'
import { HistoryButton } from '../../components/history.tsx'
import { ButtonLink, Empty, Loaded, PageHead } from '../../components/ui.tsx'
import { BuildStrip } from '../build-strip.tsx'
import { Dropped, dropLine } from './dropped-lines.tsx'
import { LineRow } from './line-row.tsx'
import { LineSheet } from './line-sheet.tsx'

const FILTERS = [
  { id: 'all', words: 'All', holds: () => true },
  {
    id: 'open',
    words: 'Open',
    holds: (line: PartLine) => line.state === 'open' || line.state === 'to solve',
  },
  {
    id: 'weak',
    words: 'Weak evidence',
    holds: (line: PartLine) =>
      (line.source?.evidence != null && isWeak(line.source.evidence)) ||
      (line.source?.confirm.length ?? 0) > 0,
  },
  { id: 'waits', words: 'Waits', holds: (line: PartLine) => line.waits !== 'nothing' },
  {
    id: 'dear',
    words: 'Dear',
    holds: (line: PartLine) => (line.costMinor ?? line.estimateMinor ?? 0) >= 10_000,
  },
] as const

/** The list grouped by place along the train; each line's source, number, evidence and why. */
export function Component() {
  const { build = '' } = useParams()
  const parts = useAnswer('GET /builds/{id}/parts', { params: { id: build } })
  return (
    <Loaded of={parts} what="the parts list">
      {(list) =>
        list.pairing === null ? (
          <Empty
            action={
              <ButtonLink to={`/builds/${build}/pairing`} tone="main">
                Choose a pairing
              </ButtonLink>
            }
          >
            The parts list follows from a pairing: its joints say which pieces are needed and why.
            Choose one first.
          </Empty>
        ) : (
          <Lines build={build} list={list} />
        )
      }
    </Loaded>
  )
}

function Lines({ build, list }: { build: string; list: PartsList }) {
  const [filter, setFilter] = useState<(typeof FILTERS)[number]['id']>('all')
  const [selectedId, setSelected] = useState<string | null>(null)
  const header = useBuild(build).data
  const pairing = usePairing(build, header?.engineId ?? null, header?.transmissionId ?? null).data
  const shown = list.lines.filter(FILTERS.find((one) => one.id === filter)!.holds)
  const groups = new Map<string, PartLine[]>()
  for (const line of shown) groups.set(line.group, [...(groups.get(line.group) ?? []), line])
  const order = [...groups.values()].flat()
  const selected = list.lines.find((line) => line.id === selectedId) ?? null
  const step = (by: number): void =>
    setSelected(
      (current) =>
        order[
          Math.max(
            0,
            Math.min(order.length - 1, order.findIndex((line) => line.id === current) + by),
          )
        ]?.id ?? null,
    )
  const drop = (line: PartLine): void => void dropLine(build, line)
  useHotkeys('j', () => step(1), [order])
  useHotkeys('k', () => step(-1), [order])
  useHotkeys('x', () => selected && drop(selected), [selected, build])
  useHotkeys('esc', () => setSelected(null))
  const count = (id: (typeof FILTERS)[number]['id']): number =>
    list.lines.filter(FILTERS.find((one) => one.id === id)!.holds).length
  return (
    <div
      className={clsx(
        'grid h-full max-[1000px]:h-auto max-[1000px]:grid-cols-1',
        selected ? 'grid-cols-[minmax(0,1fr)_372px]' : 'grid-cols-1',
      )}
    >
      <div className="min-h-0 min-w-0 overflow-y-auto">
        <BuildStrip build={build} selected={selected?.joint ?? null} />
        <PageHead
          title={`${list.lines.length} lines`}
          detail={`${count('open')} open · ${list.dropped.length} dropped${list.planStatus && !list.planIsCurrent ? ' · changed since the last plan: solve again' : ''}`}
        >
          <HistoryButton entity="build" id={build} title={header?.build.name ?? 'this build'} />
          <a
            className="inline-flex items-center rounded border border-ink bg-ground px-3 py-1.5 font-semibold hover:bg-bench print:hidden"
            href={`/api/builds/${build}/parts.csv`}
          >
            Export CSV
          </a>
          <ButtonLink to={`/builds/${build}/sourcing`} tone={list.planIsCurrent ? 'plain' : 'main'}>
            Sourcing
          </ButtonLink>
        </PageHead>
        <div className="flex gap-1 px-4 pb-2 print:hidden" role="group" aria-label="Filter">
          {FILTERS.map(({ id, words }) => (
            <button
              key={id}
              type="button"
              aria-pressed={filter === id}
              onClick={() => setFilter(id)}
              className="rounded border border-line px-2.5 py-0.5 aria-pressed:border-ink aria-pressed:bg-bench aria-pressed:font-semibold"
            >
              {words} <span className="figure text-steel">{count(id)}</span>
            </button>
          ))}
        </div>
        {shown.length === 0 && <Empty>No line is like that now.</Empty>}
        <table className="w-full">
          <thead>
            <tr className="border-b border-ink">
              <th className="py-1 pl-4">Line, and why in short</th>
              <th className="text-right">Off</th>
              <th className="pl-4">From</th>
              <th>Number says</th>
              <th>Evidence</th>
              <th className="text-right">{list.currency}</th>
              <th className="pl-4">State</th>
            </tr>
          </thead>
          {[...groups].map(([group, lines]) => (
            <tbody key={group}>
              <tr className="border-b border-line bg-bench">
                <th
                  colSpan={7}
                  scope="rowgroup"
                  className="py-1 pl-4 text-[13px] text-ink [font-stretch:100%]"
                >
                  <b>{group}</b>
                  <span className="ml-2 font-normal text-steel">
                    {lines.length} {lines.length === 1 ? 'line' : 'lines'}
                  </span>
                </th>
              </tr>
              {lines.map((line) => (
                <LineRow
                  key={line.id}
                  line={line}
                  currency={list.currency}
                  isSelected={line === selected}
                  joint={pairing?.joints.find((one) => one.joint === line.joint)}
                  onSelect={() => setSelected(line.id)}
                />
              ))}
            </tbody>
          ))}
        </table>
        <Dropped build={build} list={list} />
        {list.excluded.slice(0, 5).map((one) => (
          <p key={one.id} className="mx-4 my-2 border-l-[3px] border-unmeasured pl-2.5">
            {one.why}
          </p>
        ))}
      </div>
      {selected && (
        <LineSheet
          key={selected.id}
          build={build}
          line={selected}
          currency={list.currency}
          onDrop={() => drop(selected)}
          onClose={() => setSelected(null)}
        />
      )}
    </div>
  )
}
