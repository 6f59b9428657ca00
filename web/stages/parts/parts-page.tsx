import clsx from 'clsx'
import { useMemo, useState } from 'react'
import { useHotkeys } from 'react-hotkeys-hook'
import { useParams } from 'react-router'
import type { PartLine, PartsList } from '../../../contract/answers/planning.ts'
import { isWeak } from '../../../core/quantity/grade.ts'
import { useAnswer } from '../../api/answer.ts'
import { useBuild, usePairing } from '../../api/hooks.ts'
import { BELOW_DIALOGS } from '../../components/dialog.tsx'
import { SwitchRow } from '../../components/fields/switch-row.tsx'
import { HistoryButton } from '../../components/history.tsx'
import { LIKE } from '../../components/likes.tsx'
import { DataTable } from '../../components/table/data-table.tsx'
import { ButtonLink, Empty, Loaded, PageHead } from '../../components/ui.tsx'
import { useAddress } from '../../components/use-address.ts'
import { BuildStrip } from '../build-strip.tsx'
import { Dropped, dropLine } from './dropped-lines.tsx'
import { lineColumns } from './line-columns.tsx'
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
type FilterId = (typeof FILTERS)[number]['id']

const groupOf = (line: PartLine): string => line.group

/** The list grouped by place along the train; each line's source, number, evidence and why. */
export function Component() {
  const { build = '' } = useParams()
  const parts = useAnswer('GET /builds/{id}/parts', { params: { id: build } })
  return (
    <Loaded of={parts} what="the parts list">
      {(list) =>
        list.pairing === null ? (
          <Empty
            like={LIKE.lines}
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
  const [params, change] = useAddress()
  const filter = FILTERS.find(({ id }) => id === params.get('show')) ?? FILTERS[0]
  const [selectedId, setSelected] = useState<string | null>(null)
  const header = useBuild(build).data
  const pairing = usePairing(build, header?.engineId ?? null, header?.transmissionId ?? null).data
  const shown = useMemo(() => list.lines.filter(filter.holds), [list.lines, filter])
  const selected = list.lines.find((line) => line.id === selectedId) ?? null
  const drop = (line: PartLine): void => void dropLine(build, line)
  useHotkeys('x', () => selected && drop(selected))
  useHotkeys('esc', () => setSelected(null), BELOW_DIALOGS)
  const columns = useMemo(
    () =>
      lineColumns(
        list.currency,
        (joint) => pairing?.joints.find((one) => one.joint === joint)?.bare.code,
      ),
    [list.currency, pairing],
  )
  const count = (id: FilterId): number =>
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
          <ButtonLink to={`/builds/${build}/sourcing`} tone={list.planIsCurrent ? 'plain' : 'main'}>
            Sourcing
          </ButtonLink>
        </PageHead>
        <DataTable
          id="lines"
          what="lines"
          isMain
          rows={shown}
          columns={columns}
          keyOf={(line) => line.id}
          groupOf={groupOf}
          marked={selectedId}
          onMark={(line) => setSelected(line.id)}
        >
          <SwitchRow
            label="Show"
            value={filter.id}
            options={FILTERS.map(({ id, words }) => ({
              value: id,
              words: (
                <>
                  {words} <span className="figure text-steel">{count(id)}</span>
                </>
              ),
            }))}
            onChange={(id) => change({ show: id === 'all' ? null : id })}
          />
        </DataTable>
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
