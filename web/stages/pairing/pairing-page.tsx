import clsx from 'clsx'
import { useEffect, useMemo, useRef, useState } from 'react'
import { useHotkeys } from 'react-hotkeys-hook'
import { useParams } from 'react-router'
import type { PairingRow } from '../../../contract/answers/pairings.ts'
import { JOINTS } from '../../../core/joints/index.ts'
import { useAnswer } from '../../api/answer.ts'
import { useBuild, usePairing } from '../../api/hooks.ts'
import { HistoryButton } from '../../components/history.tsx'
import { Legend } from '../../components/joint-shape.tsx'
import { LIKE } from '../../components/likes.tsx'
import { DataTable } from '../../components/table/data-table.tsx'
import { Button, ButtonLink, Empty, Loaded, PageHead } from '../../components/ui.tsx'
import { useAddress } from '../../components/use-address.ts'
import { Blockers } from '../blockers.tsx'
import { FoldingStrip } from '../build-strip.tsx'
import { usePicks } from '../compare/picked.ts'
import { Tray } from '../compare/tray.tsx'
import { LookedInto, Picked, pairingColumns, pairingKey } from './pairing-columns.tsx'
import { PairingSide } from './pairing-side.tsx'
import { SinceUpgrade } from './since-upgrade.tsx'

/** Pairings as rows, joints as columns of shapes; the why sheet beside. */
export function Component() {
  const { build = '' } = useParams()
  const [most, setMost] = useState<number | undefined>(undefined)
  const pairings = useAnswer('GET /builds/{id}/pairings', {
    params: { id: build },
    query: { most },
  })
  const [params] = useAddress()
  const [engine, transmission] = [params.get('engine'), params.get('transmission')]
  // A link may name a pairing that is not among the most promising: then all are read.
  const isShort = pairings.data !== undefined && pairings.data.items.length < pairings.data.of
  const isMissing =
    engine !== null &&
    isShort &&
    !pairings.data!.items.some(
      (row) => row.engineId === engine && row.transmissionId === transmission,
    )
  useEffect(() => {
    if (isMissing) setMost(pairings.data!.of)
  }, [isMissing, pairings.data])
  return (
    <Loaded of={pairings} what="the pairings">
      {({ items, of }) =>
        items.length === 0 ? (
          <NoPairings />
        ) : (
          <Pairings build={build} items={items} of={of} onMore={setMost} />
        )
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
function useLook(items: readonly PairingRow[]) {
  const [params, change] = useAddress()
  const chosen =
    items.find(
      (row) =>
        row.engineId === params.get('engine') && row.transmissionId === params.get('transmission'),
    ) ??
    items.find((row) => row.chosen) ??
    items[0]!
  const joint = params.get('joint')
  const look = (row: PairingRow, next: string | null = joint): void =>
    change({ engine: row.engineId, transmission: row.transmissionId, joint: next })
  const joints = JOINTS.filter(({ id }) => chosen.joints.some((one) => one.joint === id))
  const across = (by: number): void => {
    const column = joints.findIndex(({ id }) => id === joint) + by
    look(chosen, joints[Math.max(0, Math.min(joints.length - 1, column))]!.id)
  }
  useHotkeys('right', () => across(1), { preventDefault: true })
  useHotkeys('left', () => across(-1), { preventDefault: true })
  useHotkeys('w', () => look(chosen, joint ?? joints[0]!.id))
  return { chosen, joint, look }
}

function Pairings({
  build,
  items,
  of,
  onMore,
}: {
  build: string
  items: readonly PairingRow[]
  of: number
  onMore: (most: number) => void
}) {
  const { chosen, joint, look } = useLook(items)
  const { picks, toggle } = usePicks()
  useHotkeys('c', () => toggle(chosen))
  const glance = useBuild(build).data
  const header = glance?.build
  const detail = usePairing(build, chosen.engineId, chosen.transmissionId)
  const isHere =
    detail.data?.engine === chosen.engineId && detail.data.transmission === chosen.transmissionId
  const data = isHere ? detail.data : undefined
  const latest = useRef(look)
  latest.current = look
  const currency = header?.currency ?? 'EUR'
  const pick = useRef(toggle)
  pick.current = toggle
  const columns = useMemo(
    () =>
      pairingColumns(
        items,
        currency,
        (row, next) => latest.current(row, next),
        (row) => pick.current(row),
      ),
    [items, currency],
  )
  const isOpen = joint !== null && data !== undefined
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
            items.length < of
              ? `${items.length} of ${of} pairings`
              : `${items.length} ${items.length === 1 ? 'pairing' : 'pairings'}`
          }
          detail={header?.school === 'set-back' ? 'engine set back' : 'gearbox stays where it was'}
        >
          <ButtonLink to={`/builds/${build}/mating`}>Mating card</ButtonLink>
          <HistoryButton entity="build" id={build} title={header?.name ?? 'this build'} />
          <ButtonLink to="/catalogue/new/engine">Add an engine</ButtonLink>
          <ButtonLink to="/catalogue/new/transmission">Add a gearbox</ButtonLink>
        </PageHead>
        {glance && (
          <div className="px-4">
            <Blockers build={build} blockers={glance.blockers} />
          </div>
        )}
        <SinceUpgrade build={build} />
        <div className="min-h-0 flex-1 overflow-auto">
          <Picked value={picks}>
            <LookedInto value={joint}>
              <DataTable
                id="pairings"
                what="pairings"
                isMain
                rows={items}
                columns={columns}
                keyOf={pairingKey}
                marked={pairingKey(chosen)}
                onMark={look}
                isPartial={items.length < of}
              >
                {items.length < of && (
                  <span className="flex items-center gap-2">
                    <Button tone="quiet" onClick={() => onMore(items.length + 48)}>
                      Show more
                    </Button>
                    <Button tone="quiet" onClick={() => onMore(of)}>
                      Show all {of}
                    </Button>
                  </span>
                )}
              </DataTable>
            </LookedInto>
          </Picked>
        </div>
        <Legend />
        <Tray build={build} picks={picks} rows={items} onTake={toggle} />
      </div>
      <PairingSide
        build={build}
        detail={detail}
        data={data}
        joint={joint}
        onClose={() => look(chosen, null)}
      />
    </div>
  )
}
