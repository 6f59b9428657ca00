import clsx from 'clsx'
import { useEffect, useMemo, useState } from 'react'
import { useParams } from 'react-router'
import type { PartLine, PartsList } from '../../../contract/answers/planning.ts'
import { LINE_PLACES, placeWords, STAGES } from '../../../core/needs/line.ts'
import { DEAR_MINOR } from '../../../core/needs/proof.ts'
import { isWeak } from '../../../core/quantity/grade.ts'
import { useAnswer } from '../../api/answer.ts'
import { useBuild, usePairing } from '../../api/hooks.ts'
import { BELOW_DIALOGS } from '../../components/dialog.tsx'
import { SwitchRow } from '../../components/fields/switch-row.tsx'
import { HistoryButton } from '../../components/history.tsx'
import { LIKE } from '../../components/likes.tsx'
import { DataTable } from '../../components/table/data-table.tsx'
import { Button, ButtonLink, Empty, Loaded, PageHead } from '../../components/ui.tsx'
import { useAddress } from '../../components/use-address.ts'
import { usePageKey } from '../../components/use-page-key.ts'
import { ToldHere } from '../arrivals/told.tsx'
import { BuildStrip } from '../build-strip.tsx'
import { AddLines } from './add-lines.tsx'
import { Dropped, dropLine, LeftOut } from './dropped-lines.tsx'
import { lineColumns } from './line-columns.tsx'
import { LineSheet } from './line-sheet.tsx'
import { useSinceLooked } from './since-looked.ts'
import { useSmallPieces } from './small-pieces.ts'
import { STATE_WORDS } from './words.ts'

const stands = (line: PartLine): boolean => line.outcome === 'yes' || line.outcome === 'leans yes'
const isWork = (line: PartLine): boolean => line.sort === 'task'
const FILTERS = [
  {
    id: 'deciding',
    words: 'What decides',
    holds: (line: PartLine) =>
      stands(line) &&
      (line.state === 'blocker' ||
        line.aside !== null ||
        line.joint !== null ||
        (line.costMinor ?? line.price?.[2] ?? 0) >= DEAR_MINOR),
  },
  {
    id: 'get',
    words: 'To get',
    holds: (line: PartLine) => stands(line) && (line.sort === 'part' || line.sort === 'tool'),
  },
  { id: 'work', words: 'To do', holds: (line: PartLine) => stands(line) && isWork(line) },
  {
    id: 'papers',
    words: 'Papers, services',
    holds: (line: PartLine) => stands(line) && (line.sort === 'paper' || line.sort === 'service'),
  },
  {
    id: 'open',
    words: 'Open',
    holds: (line: PartLine) =>
      stands(line) && line.sort === 'part' && (line.state === 'open' || line.state === 'to solve'),
  },
  { id: 'asked', words: 'Asked', holds: (line: PartLine) => line.outcome === 'open' },
  {
    id: 'weak',
    words: 'Weak evidence',
    holds: (line: PartLine) =>
      (line.source?.evidence != null && isWeak(line.source.evidence)) ||
      ((line.source?.confirm.length ?? 0) > 0 && line.state !== 'comes' && line.state !== 'kept'),
  },
  { id: 'waits', words: 'Waits', holds: (line: PartLine) => line.waits !== 'nothing' },
  { id: 'all', words: 'All', holds: () => true },
] as const
type FilterId = (typeof FILTERS)[number]['id']

/** How many of what changed are named. */
const NAMED = 4
const STOPS = 'This stops the build'
/** What stops the build stands before every other group, whichever way the rest is grouped. */
const stopsFirst =
  (of: (line: PartLine) => string) =>
  (line: PartLine): string =>
    line.state === 'blocker' ? STOPS : of(line)
const VIEWS = [
  { id: 'place', words: 'By place', of: stopsFirst((line) => line.group) },
  { id: 'stage', words: 'By stage', of: stopsFirst((line) => placeWords(line.stage)) },
  {
    id: 'source',
    words: 'By source',
    of: stopsFirst((line) => (line.source ? line.source.source : STATE_WORDS[line.state])),
  },
  {
    id: 'unknown',
    words: 'By question',
    of: stopsFirst((line) => line.hangs[0] ?? 'Hangs on no question'),
  },
] as const
const PLACES = new Map<string, number>(LINE_PLACES.map((place, i) => [place, i]))
const ORDER = new Map<string, number>(STAGES.map((stage, i) => [stage, i]))

/** The list grouped by place along the train; each line's source, number, evidence and why. */
export function Component() {
  const { build = '' } = useParams()
  const parts = useAnswer('GET /builds/{id}/parts', { params: { id: build } })
  return (
    <Loaded of={parts} what="the parts list">
      {(list) =>
        list.pairing === null && list.lines.length === 0 ? (
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
  const view = VIEWS.find(({ id }) => id === params.get('by')) ?? VIEWS[0]
  const [selectedId, setSelected] = useState<string | null>(params.get('line'))
  const header = useBuild(build).data
  const pairing = usePairing(build, header?.engineId ?? null, header?.transmissionId ?? null).data
  const shown = useMemo(() => {
    const rank = (line: PartLine): number =>
      line.state === 'blocker'
        ? -1
        : view.id === 'stage'
          ? (ORDER.get(line.stage) ?? 99)
          : (PLACES.get(line.place) ?? 99)
    return list.lines.filter(filter.holds).toSorted((p, q) => rank(p) - rank(q))
  }, [list.lines, filter, view])
  const selected = list.lines.find((line) => line.id === selectedId) ?? null
  const drop = (line: PartLine): void => void dropLine(build, line)
  const [isAdding, setAdding] = useState(false)
  const since = useSinceLooked(build, list.lines)
  const { markSeen } = since
  // The first look is one that was had.
  useEffect(() => {
    if (localStorage.getItem(`looked:${build}`) === null) markSeen()
  }, [build, markSeen])
  usePageKey('a', () => setAdding(true), { preventDefault: true })
  usePageKey('x', () => selected && drop(selected))
  usePageKey('esc', () => setSelected(null), BELOW_DIALOGS)
  const { rows, small, groupOf } = useSmallPieces(shown, view.of, view.id === 'place', selectedId)
  const columns = useMemo(
    () =>
      lineColumns(
        list.currency,
        (joint) => pairing?.joints.find((one) => one.joint === joint)?.bare.code,
        small,
      ),
    [list.currency, pairing, small],
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
      <div className="min-h-0 min-w-0 overflow-y-auto max-[1000px]:overflow-y-visible">
        <BuildStrip build={build} selected={selected?.joint ?? null} />
        <ToldHere build={build} />
        <PageHead
          title={`${list.lines.filter(stands).length} lines`}
          detail={`${count('open')} open · ${count('asked')} hang on a question · ${list.folded.length} left out by assumption · ${list.dropped.length} dropped${list.planListVersion !== null && list.planListVersion !== list.listVersion ? ` · planned by list ${list.planListVersion}, now ${list.listVersion}` : ''}${list.planStatus && !list.planIsCurrent ? ' · changed since the last plan: solved again' : ''}`}
        >
          <Button onClick={() => setAdding(true)}>Add a line</Button>
          <HistoryButton entity="build" id={build} title={header?.build.name ?? 'this build'} />
          <ButtonLink to={`/builds/${build}/sourcing`} tone={list.planIsCurrent ? 'plain' : 'main'}>
            Sourcing
          </ButtonLink>
        </PageHead>
        {(since.came.size > 0 || since.went.length > 0) && (
          <p role="status" className="mx-4 mb-2 flex flex-wrap items-baseline gap-x-3">
            <span>
              Since you last looked: {since.came.size} came
              {since.went.length > 0 && `, ${since.went.length} went`}
              <span className="text-steel">
                {' '}
                {[
                  ...list.lines
                    .filter(({ id }) => since.came.has(id))
                    .map(({ words }) => `+ ${words}`),
                  ...since.went.map((words) => `− ${words}`),
                ]
                  .slice(0, NAMED)
                  .join(', ')}
                {since.came.size + since.went.length > NAMED && ', and more'}
              </span>
            </span>
            <Button tone="quiet" onClick={since.markSeen}>
              Seen
            </Button>
          </p>
        )}
        <DataTable
          id="lines"
          what="lines"
          isMain
          rows={rows}
          isFolded={small.isFolded}
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
            onChange={(id) => change({ show: id === 'deciding' ? null : id })}
          />
          <SwitchRow
            label="Group"
            value={view.id}
            options={VIEWS.map(({ id, words }) => ({ value: id, words }))}
            onChange={(id) => change({ by: id === 'place' ? null : id })}
          />
        </DataTable>
        <Dropped build={build} list={list} />
        <LeftOut build={build} list={list} />
        {list.excluded.slice(0, 5).map((one) => (
          <p key={one.id} className="mx-4 my-2 border-l-[3px] border-unmeasured pl-2.5">
            {one.why}
          </p>
        ))}
      </div>
      {isAdding && (
        <AddLines
          build={build}
          place={selected?.place ?? 'shop'}
          currency={list.currency}
          onClose={() => setAdding(false)}
        />
      )}
      {selected && (
        <LineSheet
          key={selected.id}
          build={build}
          line={selected}
          follows={list.lines.filter((one) =>
            one.why.some(({ parent }) => parent === selected.kind),
          )}
          lines={list.lines}
          currency={list.currency}
          onDrop={() => drop(selected)}
          onClose={() => setSelected(null)}
        />
      )}
    </div>
  )
}
