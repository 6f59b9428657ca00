import clsx from 'clsx'
import { useMemo, useRef } from 'react'
import { useHotkeys } from 'react-hotkeys-hook'
import { useParams } from 'react-router'
import type { Pairings as Listed } from '../../../contract/answers/pairings.ts'
import { JOINTS, jointNamed } from '../../../core/joints/index.ts'
import type { FigureId } from '../../../core/pairing/working.ts'
import { useAnswer } from '../../api/answer.ts'
import { useBuild, usePairing } from '../../api/hooks.ts'
import { HistoryButton } from '../../components/history.tsx'
import { Legend } from '../../components/joint-shape.tsx'
import { LIKE } from '../../components/likes.tsx'
import { DataTable } from '../../components/table/data-table.tsx'
import { Button, ButtonLink, Empty, Loaded, PageHead } from '../../components/ui.tsx'
import { useAddress } from '../../components/use-address.ts'
import { usePageKey } from '../../components/use-page-key.ts'
import { Blockers } from '../blockers.tsx'
import { FoldingStrip } from '../build-strip.tsx'
import { isSamePick, usePicks } from '../compare/picked.ts'
import { Tray } from '../compare/tray.tsx'
import { ChangedChoice } from './choice.tsx'
import { choosePairing } from './choose-pairing.ts'
import { OnScale, type Scale } from './cost-bar.tsx'
import { figureNamed } from './figure-cell.tsx'
import { FilterChips, useNarrowed } from './filter-chips.tsx'
import { alikeIn, jointColumns, LookedInto, placeColumns } from './joint-cells.tsx'
import { Picked, pairingColumns } from './pairing-columns.tsx'
import { narrow } from './pairing-filters.ts'
import { type PairingRow, rowsOf, withFigures } from './pairing-rows.ts'
import { PairingSide, usePanel } from './pairing-side.tsx'
import { SinceUpgrade } from './since-upgrade.tsx'
import { useFigures } from './use-figures.ts'

/** Pairings as rows, joints as columns of shapes; the why sheet beside. */
export function Component() {
  const { build = '' } = useParams()
  const [params] = useAddress()
  const school = params.get('school')
  const pairings = useAnswer('GET /builds/{id}/pairings', {
    params: { id: build },
    query: { school: school === 'keep' || school === 'set-back' ? school : undefined },
  })
  return (
    <Loaded of={pairings} what="the pairings">
      {(listed) =>
        listed.rows.length === 0 ? <NoPairings /> : <Pairings build={build} listed={listed} />
      }
    </Loaded>
  )
}

const NoPairings = () => (
  <Empty
    like={LIKE.pairings}
    action={
      <span className="flex gap-2">
        <ButtonLink to="/catalogue/new/engine" tone="main">
          Add an engine
        </ButtonLink>
        <ButtonLink to="/catalogue/new/transmission">Add a transmission</ButtonLink>
      </span>
    }
  >
    A pairing is an engine with a transmission. Type at least one of each, with what you know of
    them; what you leave out is asked for later, where it decides something.
  </Empty>
)

/** Which pairing is looked at and which of its joints, in the address; and the keys that move across. */
function useLook(rows: readonly PairingRow[]) {
  const [params, change] = useAddress()
  const asked = {
    engineId: params.get('engine') ?? '',
    transmissionId: params.get('transmission') ?? '',
    transferId: params.get('transfer'),
  }
  const chosen =
    rows.find((row) => isSamePick(row, asked)) ?? rows.find((row) => row.chosen) ?? rows[0]!
  const joint = params.get('joint')
  const figure = joint === null ? figureNamed(params.get('figure')) : null
  const go = (row: PairingRow, at: { joint: string | null; figure: string | null }): void =>
    change({
      engine: row.engineId,
      transmission: row.transmissionId,
      transfer: row.transferId,
      ...at,
    })
  /** What is looked into stays from row to row, until something else is. */
  const look = (row: PairingRow, next?: string | null): void =>
    go(row, next === undefined ? { joint, figure } : { joint: next, figure: null })
  const open = (row: PairingRow, next: FigureId): void => go(row, { joint: null, figure: next })
  const joints = JOINTS.filter(({ id }) => chosen.joints.some((one) => one.joint === id))
  const across = (by: number): void => {
    const column = joints.findIndex(({ id }) => id === joint) + by
    look(chosen, joints[Math.max(0, Math.min(joints.length - 1, column))]!.id)
  }
  useHotkeys('right', () => across(1), { preventDefault: true })
  useHotkeys('left', () => across(-1), { preventDefault: true })
  usePageKey('w', () => look(chosen, joint ?? joints[0]!.id))
  return { chosen, joint, figure, look, open }
}

/** The one order of pairings (`core/pairing/order.ts`), from what each row has worked out once. */
const byRank = (p: PairingRow, q: PairingRow): number =>
  Number(q.chosen) - Number(p.chosen) ||
  Number(q.figures !== null) - Number(p.figures !== null) ||
  p.promise - q.promise

/** Rows with as many of their figures as are there, in the one order; and how many that are. */
function useRows(build: string, listed: Listed) {
  const plain = useMemo(() => rowsOf(listed), [listed])
  const { known, done } = useFigures(build, listed.school, plain)
  const rows = useMemo(
    () =>
      plain
        .map((row) => {
          const figures = known.get(row.key)
          return figures ? withFigures(row, figures, listed.joints) : row
        })
        .sort(byRank),
    [plain, known, listed.joints],
  )
  return { plain, rows, done }
}

/** The one scale of the bars of a list. */
function scaleOf(rows: readonly PairingRow[], repair: number | null): Scale {
  let [low, high] = [repair ?? Infinity, repair ?? 0]
  for (const { figures } of rows)
    if (figures?.money) {
      low = Math.min(low, figures.money.low)
      high = Math.max(high, figures.money.high)
    }
  return { low: low === Infinity ? 0 : low, high, repair }
}

const GROUPS = { engine: 'engine', transmission: 'transmission' } as const
type Group = keyof typeof GROUPS

function Pairings({ build, listed }: { build: string; listed: Listed }) {
  const { plain, rows, done } = useRows(build, listed)
  const { chosen, joint, figure, look, open } = useLook(rows)
  const { picks, toggle } = usePicks()
  const [params, change] = useAddress()
  const { narrowed, set } = useNarrowed()
  const panel = usePanel()
  usePageKey('c', () => toggle(chosen))
  useHotkeys('space', () => toggle(chosen), { preventDefault: true })
  const glance = useBuild(build).data
  const header = glance?.build
  const detail = usePairing(
    build,
    chosen.engineId,
    chosen.transmissionId,
    chosen.transferId,
    listed.school,
  )
  const isHere =
    detail.data?.engine === chosen.engineId && detail.data.transmission === chosen.transmissionId
  const data = isHere ? detail.data : undefined
  const latest = useRef({ look, open })
  latest.current = { look, open }
  const pick = useRef(toggle)
  pick.current = toggle
  const isDone = done >= rows.length
  const limitMinor = listed.limits.money
  const shown = useMemo(() => narrow(rows, narrowed, limitMinor), [rows, narrowed, limitMinor])
  const isNarrow = joint !== null || figure !== null || !panel.isFolded
  const alike = useMemo(() => alikeIn(shown), [shown])
  const alikeKey = [...alike].join()
  const columns = useMemo(() => {
    const turn = (row: PairingRow, next: string | null): void => latest.current.look(row, next)
    return pairingColumns({
      currency: listed.currency,
      isNarrow,
      joints: isNarrow
        ? placeColumns(turn)
        : jointColumns(plain, new Set(alikeKey ? alikeKey.split(',') : []), turn),
      pick: (row) => pick.current(row),
      open: (row, next) => latest.current.open(row, next),
    })
  }, [plain, listed.currency, isNarrow, alikeKey])
  const scale = useMemo(() => scaleOf(rows, listed.repairMinor), [rows, listed.repairMinor])
  const isOpen = figure !== null || (joint !== null && data !== undefined)
  const group = params.get('group')
  const groupBy = group !== null && Object.hasOwn(GROUPS, group) ? (group as Group) : null
  const school = listed.school === 'keep' ? 'set-back' : 'keep'
  return (
    <div className="flex h-full max-[1000px]:block max-[1000px]:h-auto">
      <div className={clsx('flex min-h-0 min-w-0 flex-1 flex-col', isOpen && 'print:hidden')}>
        {data && (
          <FoldingStrip
            pairing={data}
            selected={joint}
            onSelect={(id) => look(chosen, id)}
            place="strip:pairing"
          />
        )}
        <PageHead
          title={
            rows.length < listed.of
              ? `${rows.length} of ${listed.of} pairings`
              : `${rows.length} ${rows.length === 1 ? 'pairing' : 'pairings'}`
          }
          detail={
            <>
              {listed.school === 'set-back' ? 'engine set back' : 'gearbox stays where it was'}
              {!isDone && (
                <span role="status">
                  {' '}
                  · <span className="figure">{done}</span> of{' '}
                  <span className="figure">{rows.length}</span> worked out
                </span>
              )}
            </>
          }
        >
          {data &&
            (data.chosenPairing ? (
              <ButtonLink to={`/builds/${build}/parts`}>See its parts</ButtonLink>
            ) : (
              <Button
                tone="main"
                onClick={() => void choosePairing(build, data, undefined, listed.school)}
              >
                Choose this pairing
              </Button>
            ))}
          <Button
            tone="quiet"
            onClick={() =>
              change({ school: school === (header?.school ?? 'keep') ? null : school })
            }
          >
            {school === 'set-back' ? 'Set back instead' : 'Keep the gearbox instead'}
          </Button>
          <ButtonLink tone="quiet" to={`/builds/${build}/kits`}>
            Kits
          </ButtonLink>
          <ButtonLink tone="quiet" to={`/builds/${build}/mating`}>
            Mating card
          </ButtonLink>
          <HistoryButton entity="build" id={build} title={header?.name ?? 'this build'} />
          <ButtonLink tone="quiet" to="/catalogue/new/engine">
            Add an engine
          </ButtonLink>
          <ButtonLink tone="quiet" to="/catalogue/new/transmission">
            Add a gearbox
          </ButtonLink>
        </PageHead>
        {glance && (
          <div className="px-4">
            <Blockers build={build} blockers={glance.blockers} />
          </div>
        )}
        <SinceUpgrade build={build} />
        <ChangedChoice build={build} />
        <div className="min-h-0 flex-1 overflow-auto max-[1000px]:max-h-[85dvh]">
          <Picked value={picks}>
            <LookedInto value={joint}>
              <OnScale value={scale}>
                <DataTable
                  id="pairings"
                  what="pairings"
                  isMain
                  isDense
                  rows={shown}
                  columns={columns}
                  keyOf={({ key }) => key}
                  marked={chosen.key}
                  onMark={(row) => look(row)}
                  {...(groupBy ? { groupOf: (row: PairingRow) => row[groupBy] } : {})}
                >
                  <FilterChips
                    listed={listed}
                    narrowed={narrowed}
                    hasLimit={limitMinor !== null}
                    isDone={isDone}
                    group={groupBy}
                    set={set}
                    onGroup={(to) => change({ group: to })}
                  />
                  {alike.size > 0 && !isNarrow && (
                    <span className="text-steel">
                      alike in every row:{' '}
                      {[...alike].map((id) => jointNamed(id)?.short ?? id).join(', ')}
                    </span>
                  )}
                </DataTable>
              </OnScale>
            </LookedInto>
          </Picked>
        </div>
        <Legend />
        <Tray build={build} picks={picks} rows={rows} onTake={toggle} />
      </div>
      <PairingSide
        build={build}
        detail={detail}
        data={data}
        joint={joint}
        figure={figure}
        row={chosen}
        panel={panel}
        listed={listed}
        rows={rows}
        isDone={isDone}
        onLook={(row) => look(row)}
        onClose={() => look(chosen, null)}
      />
    </div>
  )
}
