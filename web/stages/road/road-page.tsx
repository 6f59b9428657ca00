import { lazy, Suspense, useDeferredValue, useMemo } from 'react'
import { useParams } from 'react-router'
import type { PairingDetail } from '../../../contract/answers/pairings.ts'
import { inGears } from '../../../core/mechanics/road/acceleration.ts'
import {
  expectations,
  type RoadSheet,
  roadSheet,
} from '../../../core/mechanics/road/expectations.ts'
import { roadOf, withWhatIf } from '../../../core/mechanics/road/what-if.ts'
import type { RoadFigure } from '../../../core/pairing/road-of-train.ts'
import { useAnswer } from '../../api/answer.ts'
import { useBuild, usePairing, useReading } from '../../api/hooks.ts'
import { Field, INPUT } from '../../components/fields/field.tsx'
import type { Column } from '../../components/table/column.ts'
import { DataTable } from '../../components/table/data-table.tsx'
import { Button, ButtonLink, Caution, Empty, Loaded, PageHead } from '../../components/ui.tsx'
import { useAddress } from '../../components/use-address.ts'
import { roadLines } from './road-lines.ts'
import { readTried, TRIED_FIELDS, type Tried, type TriedId } from './tried.ts'

const EffortGraph = lazy(() => import('./effort-graph.tsx'))

/** The build's vehicle on the road, with a pairing of it: as it is, as it was, and as it would be. */
export function Component() {
  const { build = '' } = useParams()
  const [params] = useAddress()
  const header = useBuild(build).data
  const engine = params.get('engine') ?? header?.engineId ?? null
  const transmission = params.get('transmission') ?? header?.transmissionId ?? null
  const pairing = usePairing(build, engine, transmission, params.get('transfer'))
  if (header && (engine === null || transmission === null))
    return (
      <Empty action={<ButtonLink to={`/builds/${build}/pairing`}>Choose a pairing</ButtonLink>}>
        What it does on the road follows from an engine and a gearbox in this vehicle.
      </Empty>
    )
  return (
    <Loaded of={pairing} what="the road">
      {(detail) => <OnTheRoad build={build} detail={detail} />}
    </Loaded>
  )
}

function OnTheRoad({ build, detail }: { build: string; detail: PairingDetail }) {
  const { after, before, missing, beforeName } = detail.road
  const brief = useAnswer('GET /builds/{id}/brief', { params: { id: build } }).data
  const title = `The road: ${detail.engineName} with ${detail.transmissionName}`
  const back = `/builds/${build}/pairing?engine=${detail.engine}&transmission=${detail.transmission}`
  return (
    <>
      <PageHead title={title} detail={beforeName ? `before: ${beforeName}` : ''}>
        <ButtonLink to={back}>Back to the pairing</ButtonLink>
        <Button onClick={() => window.print()}>Print</Button>
      </PageHead>
      {after === null ? (
        <Empty action={<ButtonLink to={back}>See what is known of it</ButtonLink>}>
          It cannot be told before these are known: {missing.join('; ')}.
        </Empty>
      ) : (
        <Figures after={after} before={before} targetNm={brief?.targetNm ?? null} />
      )}
    </>
  )
}

function Figures({
  after,
  before,
  targetNm,
}: {
  after: RoadFigure
  before: RoadFigure | null
  /** The torque that the brief wants in the end, N·m. */
  targetNm: number | null
}) {
  const [params, change] = useAddress()
  const reading = useReading()
  const typed = (id: TriedId): string => params.get(id) ?? ''
  const tried = readTried(typed, reading)
  const key = JSON.stringify(tried)
  const deferred = useDeferredValue(key)
  const worked = useMemo(
    () => workOut(JSON.parse(deferred) as Tried, after, before, targetNm),
    [deferred, after, before, targetNm],
  )
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_260px] gap-6 px-4 pb-12 max-[1000px]:grid-cols-1">
      <div className="flex min-w-0 flex-col gap-3">
        <ul className="max-w-3xl list-disc pl-5" aria-label="What to expect">
          {worked.said.map((one) => (
            <li key={one}>{one}</li>
          ))}
        </ul>
        <figure className="bg-ground">
          <figcaption className="narrow px-2 pt-1 text-steel">
            Pull at the tyres by gear against speed. Pale: as it was. Dashed: what the road takes.
            The ring: the fastest it holds the hill.
          </figcaption>
          <Suspense fallback={<div className="h-[300px]" />}>
            <EffortGraph {...worked.graph} />
          </Suspense>
        </figure>
        <DataTable
          id="road"
          what="gears"
          isFixedOrder
          hasTools={false}
          rows={worked.gears}
          columns={COLUMNS}
          keyOf={({ gear }) => String(gear)}
        />
        <Sheet columns={worked.sheets} cruise={tried.cruiseKmh} />
        {after.standIns.length > 0 && (
          <p className="max-w-3xl text-steel">
            Nobody said, and so assumed: {after.standIns.join(', ')}. Record them on the vehicle and
            the figures follow.
          </p>
        )}
        {after.isGross && (
          <Caution>
            Its figures are gross, as old brochures told them: taken down by a sixth to what the
            engine gives with all it drives.
          </Caution>
        )}
        <p className="max-w-3xl text-steel">
          Reckoned from figures, on a dry road; of 400 cars it was held against, half came within a
          twelfth. Brakes, tyres and axle must be fit for what it will do: that is for who inspects
          it.
        </p>
      </div>
      <aside aria-label="What if" className="flex flex-col gap-2 print:hidden">
        <h2 className="font-bold">What if</h2>
        <Field label="Gear ratios" fault={tried.faults.gears} hint={after.car.gears.join(' ')}>
          {(shared) => (
            <input
              {...shared}
              className={`${INPUT} figure`}
              value={typed('gears')}
              onChange={(event) => change({ gears: event.target.value })}
            />
          )}
        </Field>
        <div className="grid grid-cols-2 gap-2">
          {TRIED_FIELDS.map(({ id, label, unit, plain }) => (
            <Field
              key={id}
              label={label}
              fault={tried.faults[id]}
              hint={hintOf(id, plain, unit, after)}
            >
              {(shared) => (
                <input
                  {...shared}
                  className={`${INPUT} figure`}
                  value={typed(id)}
                  onChange={(event) => change({ [id]: event.target.value })}
                />
              )}
            </Field>
          ))}
        </div>
        <Button
          tone="quiet"
          className="self-start"
          onClick={() =>
            change(
              Object.fromEntries(
                ['gears', ...TRIED_FIELDS.map(({ id }) => id)].map((id) => [id, null]),
              ),
            )
          }
        >
          As it is
        </Button>
      </aside>
    </div>
  )
}

/** What stands where nothing is typed. */
function hintOf(id: TriedId, plain: number | null, unit: string, { car }: RoadFigure): string {
  const own: Partial<Record<TriedId, string>> = {
    final: String(car.final),
    radius: `${Math.round(car.radiusM * 1000)} mm`,
    torque: `${Math.round(Math.max(...car.curve.points.map(({ nm }) => nm)))} N·m`,
    more: `to ${Math.round(car.massKg)} kg`,
    drag: String(car.dragM2),
  }
  return own[id] ?? `${plain ?? ''}${unit && ` ${unit}`}`
}

interface GearRow {
  readonly gear: number
  readonly ratio: number
  readonly held: number
  readonly heldBefore: number | null
  readonly run: number | null
  readonly runBefore: number | null
}

const figure = (value: number | null, digits = 0): string =>
  value === null || value === 0 ? '–' : value.toFixed(digits)
const right = (
  id: keyof GearRow,
  head: string,
  title: string,
  digits: number,
): Column<GearRow> => ({
  id,
  head,
  title,
  align: 'right',
  value: (row) => row[id],
  cell: (row) => figure(row[id], digits),
})
const COLUMNS: readonly Column<GearRow>[] = [
  { id: 'gear', head: 'Gear', isFixed: true, value: ({ gear }) => gear },
  right('ratio', 'Ratio', 'Engine turns for one of the output', 3),
  right('held', 'Holds the hill at, km/h', 'The fastest it holds the hill in this gear', 0),
  right('heldBefore', 'Before', 'The same, as it was', 0),
  right('run', '80 to 120, s', 'Seconds from 80 to 120 km/h in this gear alone', 1),
  right('runBefore', 'Before', 'The same, as it was', 1),
]

function workOut(
  tried: Tried,
  after: RoadFigure,
  before: RoadFigure | null,
  targetNm: number | null,
) {
  const car = withWhatIf(after.car, tried.whatIf)
  const hill = roadOf(tried.where, after.isCharged)
  const hillBefore = before && roadOf(tried.where, before.isCharged)
  const asked = { cruiseKmh: tried.cruiseKmh, hill, fuel: after.fuel }
  const sheet = roadSheet(car, asked)
  const was = before && roadSheet(before.car, { ...asked, hill: hillBefore!, fuel: before.fuel })
  const runs = inGears(car, 80, 120, { ...hill, grade: 0 })
  const runsBefore = before && inGears(before.car, 80, 120, { ...hillBefore!, grade: 0 })
  return {
    said: expectations(was, sheet, asked),
    sheets: [
      { head: tried.whatIf.torqueNm === null ? 'At today’s torque' : 'As tried', sheet },
      ...(targetNm === null
        ? []
        : [
            {
              head: `At the ${Math.round(targetNm)} N·m wanted`,
              sheet: roadSheet(
                withWhatIf(after.car, { ...tried.whatIf, torqueNm: targetNm }),
                asked,
              ),
            },
          ]),
      { head: 'Before', sheet: was },
    ],
    graph: roadLines(car, before?.car ?? null, hill, sheet.hillByGear),
    gears: car.gears.map(
      (ratio, i): GearRow => ({
        gear: i + 1,
        ratio,
        held: sheet.hillByGear[i]!,
        heldBefore: was?.hillByGear[i] ?? null,
        run: runs[i] ?? null,
        runBefore: runsBefore?.[i] ?? null,
      }),
    ),
  }
}

/** The other figures: with the pairing as it is, at the torque wanted in the end, and as it was. */
function Sheet({
  columns,
  cruise,
}: {
  columns: readonly { readonly head: string; readonly sheet: RoadSheet | null }[]
  cruise: number
}) {
  const fuel = (sheet: RoadSheet): string =>
    sheet.fuel ? `${sheet.fuel.low.toFixed(1)} to ${sheet.fuel.high.toFixed(1)}` : '–'
  const rows: readonly (readonly [string, (sheet: RoadSheet) => string])[] = [
    ['0 to 100 km/h, s', ({ toHundred }) => figure(toHundred, 1)],
    ['Top speed, km/h', ({ topKmh, topGear }) => `${Math.round(topKmh)} in ${topGear}`],
    [`Engine at ${cruise} km/h in top, rpm`, ({ cruiseRpm }) => String(Math.round(cruiseRpm))],
    ['Crawls at idle in first, km/h', ({ crawlKmh }) => crawlKmh.toFixed(1)],
    [`Fuel at ${cruise} km/h, L/100 km, an estimate`, fuel],
  ]
  return (
    <table className="max-w-2xl">
      <thead>
        <tr className="narrow border-b border-ink text-left text-steel">
          <th className="py-1 font-semibold">On the road</th>
          {columns.map(({ head }) => (
            <th key={head} className="py-1 text-right font-semibold">
              {head}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map(([words, value]) => (
          <tr key={words} className="border-b border-line">
            <th className="py-1 text-left font-normal">{words}</th>
            {columns.map(({ head, sheet }, i) => (
              <td
                key={head}
                className={`figure py-1 text-right ${i === columns.length - 1 ? 'text-steel' : ''}`}
              >
                {sheet ? value(sheet) : '–'}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  )
}
