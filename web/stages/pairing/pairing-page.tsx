import clsx from 'clsx'
import { useEffect, useRef, useState } from 'react'
import { useHotkeys } from 'react-hotkeys-hook'
import { useParams, useSearchParams } from 'react-router'
import type { PairingRow } from '../../../contract/answers/pairings.ts'
import { JOINTS } from '../../../core/joints/index.ts'
import { useAnswer } from '../../api/answer.ts'
import { useBuild, usePairing } from '../../api/hooks.ts'
import { HistoryButton } from '../../components/history.tsx'
import { Legend } from '../../components/joint-shape.tsx'
import {
  Button,
  ButtonLink,
  Empty,
  Failed,
  Loaded,
  Loading,
  PageHead,
} from '../../components/ui.tsx'
import { PairingStrip } from '../build-strip.tsx'
import { PairingPanel } from './pairing-panel.tsx'
import { keyOf, Row } from './pairing-row.tsx'
import { WhySheet } from './why-sheet.tsx'

/** Pairings as rows, joints as columns of shapes; the why sheet beside. */
export function Component() {
  const { build = '' } = useParams()
  const [most, setMost] = useState<number | undefined>(undefined)
  const pairings = useAnswer('GET /builds/{id}/pairings', {
    params: { id: build },
    query: { most: most },
  })
  const [params] = useSearchParams()
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
          <Empty
            action={
              <span className="flex gap-2">
                <ButtonLink to="/catalogue/new/engine" tone="main">
                  Add an engine
                </ButtonLink>
                <ButtonLink to="/catalogue/new/transmission">Add a transmission</ButtonLink>
              </span>
            }
          >
            A pairing is an engine with a transmission. Type at least one of each, with what you
            know of them; what you leave out is asked for later, where it decides something.
          </Empty>
        ) : (
          <Pairings build={build} items={items} of={of} onMore={() => setMost(items.length + 48)} />
        )
      }
    </Loaded>
  )
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
  onMore: () => void
}) {
  const [params, setParams] = useSearchParams()
  const header = useBuild(build)
  const chosen =
    items.find(
      (row) =>
        row.engineId === params.get('engine') && row.transmissionId === params.get('transmission'),
    ) ??
    items.find((row) => row.chosen) ??
    items[0]!
  const joint = params.get('joint')
  const detail = usePairing(build, chosen.engineId, chosen.transmissionId)
  const columns = JOINTS.filter(({ id }) =>
    items.some((row) => row.joints.some((one) => one.joint === id)),
  )
  // Keys may come faster than the page is drawn: each starts from where the last one left, also where the page is drawn
  // meanwhile as it was before.
  const at = keyOf(chosen)
  const now = useRef({ at, joint })
  useEffect(() => {
    now.current = { at, joint }
  }, [at, joint])
  const rowNow = (): number =>
    Math.max(
      0,
      items.findIndex((row) => keyOf(row) === now.current.at),
    )
  const select = (row: PairingRow, next: string | null = now.current.joint): void => {
    now.current = { at: keyOf(row), joint: next }
    setParams(
      { engine: row.engineId, transmission: row.transmissionId, ...(next ? { joint: next } : {}) },
      { replace: true },
    )
  }
  const step = (by: number): void =>
    select(items[Math.max(0, Math.min(items.length - 1, rowNow() + by))]!)
  const across = (by: number): void => {
    const column = columns.findIndex(({ id }) => id === now.current.joint) + by
    select(items[rowNow()]!, columns[Math.max(0, Math.min(columns.length - 1, column))]!.id)
  }
  useHotkeys('j', () => step(1), [items])
  useHotkeys('k', () => step(-1), [items])
  useHotkeys('right', () => across(1), { preventDefault: true }, [items])
  useHotkeys('left', () => across(-1), { preventDefault: true }, [items])
  useHotkeys('w', () => select(items[rowNow()]!, now.current.joint ?? columns[0]!.id), [items])
  const data =
    detail.data &&
    detail.data.engine === chosen.engineId &&
    detail.data.transmission === chosen.transmissionId
      ? detail.data
      : undefined
  const table = useRef<HTMLTableElement>(null)
  const hasStrip = data !== undefined
  // biome-ignore lint/correctness/useExhaustiveDependencies: the strip pushes the list down when it comes.
  useEffect(() => {
    table.current
      ?.querySelector(`[data-key="${CSS.escape(keyOf(chosen))}"]`)
      ?.scrollIntoView({ block: 'nearest' })
  }, [chosen, hasStrip])

  const open = data?.joints.find((one) => one.joint === joint)
  return (
    <div className="grid h-full grid-cols-[minmax(0,1fr)_372px] max-[1000px]:h-auto max-[1000px]:grid-cols-1">
      <div className={clsx('flex min-h-0 min-w-0 flex-col', open && 'print:hidden')}>
        {data && (
          <PairingStrip pairing={data} selected={joint} onSelect={(id) => select(chosen, id)} />
        )}
        <PageHead
          title={
            items.length < of
              ? `${items.length} of ${of} pairings`
              : `${items.length} ${items.length === 1 ? 'pairing' : 'pairings'}`
          }
          detail={
            header.data?.build.school === 'set-back'
              ? 'engine set back'
              : 'gearbox stays where it was'
          }
        >
          <ButtonLink to={`/builds/${build}/mating`}>Mating card</ButtonLink>
          <HistoryButton
            entity="build"
            id={build}
            title={header.data?.build.name ?? 'this build'}
          />
          <ButtonLink to="/catalogue/new/engine">Add an engine</ButtonLink>
        </PageHead>
        <div className="min-h-0 overflow-auto">
          <table ref={table} className="w-full">
            <thead className="sticky top-0 z-10 bg-paper">
              <tr className="border-b border-ink align-bottom">
                <th className="sticky left-0 bg-paper py-1.5 pl-4">
                  Engine
                  <br />
                  Transmission
                </th>
                {columns.map(({ id, short }) => (
                  <th key={id} className="px-0 align-bottom">
                    <span className="mx-auto block rotate-180 whitespace-nowrap pt-1 [writing-mode:vertical-rl]">
                      {short}
                    </span>
                  </th>
                ))}
                <th className="pl-2 text-right">Open</th>
                <th className="pl-2 text-right">Hours</th>
                <th className="text-right">
                  Torque
                  <br />
                  N·m
                </th>
                <th className="pl-4">Closed by</th>
              </tr>
            </thead>
            <tbody>
              {items.map((row) => (
                <Row
                  key={keyOf(row)}
                  row={row}
                  columns={columns}
                  isSelected={row === chosen}
                  joint={joint}
                  onSelect={(id) => select(row, id)}
                />
              ))}
            </tbody>
          </table>
          {items.length < of && (
            <p className="px-4 py-2 text-steel">
              The most promising by what is known.{' '}
              <Button tone="quiet" onClick={onMore}>
                Show more
              </Button>
            </p>
          )}
        </div>
        <div className="mt-auto">
          <Legend />
        </div>
      </div>
      <div className="overflow-y-auto border-l border-line bg-ground max-[1000px]:border-l-0 max-[1000px]:border-t">
        {detail.error && !data ? (
          <Failed error={detail.error} retry={() => void detail.mutate()} />
        ) : !data ? (
          <Loading what="the pairing" />
        ) : open ? (
          <WhySheet
            key={`${open.id}|${data.chosen.join()}`}
            joint={open}
            build={build}
            pairing={data}
            onClose={() =>
              setParams(
                { engine: chosen.engineId, transmission: chosen.transmissionId },
                { replace: true },
              )
            }
          />
        ) : (
          <PairingPanel build={build} detail={data} />
        )}
      </div>
    </div>
  )
}
