import { lazy, Suspense, useMemo } from 'react'
import { useParams } from 'react-router'
import type { PairingDetail, PairingFigures } from '../../../contract/answers/pairings.ts'
import type { PlacementSchool } from '../../../core/joints/joint.ts'
import { type RoadSheet, roadSheet } from '../../../core/mechanics/road/expectations.ts'
import { LEVEL } from '../../../core/mechanics/road/road-car.ts'
import { useBuild, usePairing } from '../../api/hooks.ts'
import { JointShape } from '../../components/joint-shape.tsx'
import { light } from '../../components/lit-joint.ts'
import { Button, ButtonLink, Empty, Loading, PageHead } from '../../components/ui.tsx'
import { useAddress } from '../../components/use-address.ts'
import { choosePairing } from '../pairing/choose-pairing.ts'
import { CostBar, OnScale } from '../pairing/cost-bar.tsx'
import { pairingKey } from '../pairing/pairing-rows.ts'
import { useFigures } from '../pairing/use-figures.ts'
import { roadLines } from '../road/road-lines.ts'
import { differencesOf } from './differences.ts'
import { Letter } from './letter.tsx'
import { LETTERS, type PickedPair, usePicks } from './picked.ts'
import { TrainOverlay } from './train-overlay.tsx'

const EffortGraph = lazy(() => import('../road/effort-graph.tsx'))
const HILL = { ...LEVEL, grade: 0.06 }
const CRUISE = 80

/** Two to four pairings side by side: trains over one another, only the joints that differ, what each lacks, the road. */
export function Component() {
  const { build = '' } = useParams()
  const { picks } = usePicks()
  const [params] = useAddress()
  const back = `/builds/${build}/pairing?${params}`
  if (picks.length < 2)
    return (
      <Empty action={<ButtonLink to={back}>All pairings</ButtonLink>}>
        Pick two to four pairings, with c on a row or its box, and they stand here side by side.
      </Empty>
    )
  return <Fetched build={build} picks={picks} back={back} />
}

function Fetched({
  build,
  picks,
  back,
}: {
  build: string
  picks: readonly PickedPair[]
  back: string
}) {
  const said = useAddress()[0].get('school')
  const school = said === 'keep' || said === 'set-back' ? said : undefined
  const asked = (at: number) =>
    [
      build,
      picks[at]?.engineId ?? null,
      picks[at]?.transmissionId ?? null,
      picks[at]?.transferId ?? null,
      school,
    ] as const
  // As many as can be picked: one that is not is not asked for.
  const answers = [
    usePairing(...asked(0)),
    usePairing(...asked(1)),
    usePairing(...asked(2)),
    usePairing(...asked(3)),
  ].slice(0, picks.length)
  const details = answers.flatMap(({ data }) => (data ? [data] : []))
  if (answers.some(({ error, data }) => error && !data))
    return (
      <Empty action={<ButtonLink to={back}>All pairings</ButtonLink>}>
        One of them is not here any more. Pick again.
      </Empty>
    )
  if (details.length < picks.length) return <Loading what="the pairings" />
  return <Compared build={build} details={details} school={school} back={back} />
}

function Compared({
  build,
  details,
  school,
  back,
}: {
  build: string
  details: readonly PairingDetail[]
  school: PlacementSchool | undefined
  back: string
}) {
  const header = useBuild(build).data
  const { picks, toggle } = usePicks()
  const { differing, alike } = useMemo(() => differencesOf(details), [details])
  const trains = useMemo(() => details.map(({ train }) => train), [details])
  return (
    <>
      <TrainOverlay trains={trains} />
      <PageHead
        title={`${details.length} pairings compared`}
        detail={
          (school ?? header?.build.school) === 'set-back'
            ? 'engine set back'
            : 'gearbox stays where it was'
        }
      >
        <ButtonLink to={back}>All pairings</ButtonLink>
        <Button onClick={() => window.print()}>Print</Button>
      </PageHead>
      <div className="overflow-x-auto px-4 pb-12">
        <table
          aria-label="Compared"
          className="w-full table-fixed border-collapse"
          style={{ minWidth: 120 + details.length * 230 }}
        >
          <tbody>
            <Row words="">
              {details.map((detail, i) => (
                <div key={detail.engine + detail.transmission} className="flex gap-2 pb-1">
                  <Letter>{LETTERS[i]!}</Letter>
                  <div className="min-w-0">
                    <b>{detail.engineName}</b>
                    <div className="text-steel">{detail.transmissionName}</div>
                    <div className="flex gap-3 print:hidden">
                      {detail.chosenPairing ? (
                        <span className="text-steel">chosen</span>
                      ) : (
                        <Button
                          tone="quiet"
                          onClick={() => void choosePairing(build, detail, undefined, school)}
                        >
                          Choose {LETTERS[i]}
                        </Button>
                      )}
                      <Button tone="quiet" onClick={() => toggle(picks[i]!)}>
                        Take out {LETTERS[i]}
                      </Button>
                    </div>
                  </div>
                </div>
              ))}
            </Row>
            <Sums build={build} picks={picks} school={school ?? header?.build.school ?? 'keep'} />
            <Row words="Joints">
              {details.map((detail) => (
                <span key={detail.engine + detail.transmission} className="figure">
                  {countWords(detail)}
                </span>
              ))}
            </Row>
            <Roads details={details} />
            {differing.map(({ joint, short, title, cells }) => (
              <Row key={joint} words={short} title={title} joint={joint}>
                {cells.map((cell, i) =>
                  cell === null ? (
                    <span key={LETTERS[i]} className="text-steel">
                      –
                    </span>
                  ) : (
                    <span key={LETTERS[i]} className="flex items-start gap-2">
                      <JointShape code={cell.bare} closed={cell.code} />
                      <span className={cell.code === 'fits' ? 'text-steel' : ''}>{cell.words}</span>
                    </span>
                  ),
                )}
              </Row>
            ))}
            <Row words="Not known yet">
              {details.map((detail) => (
                <Lacks key={detail.engine + detail.transmission} detail={detail} />
              ))}
            </Row>
          </tbody>
        </table>
        <p className="pt-2 text-steel">
          {alike} {alike === 1 ? 'joint reads' : 'joints read'} alike in all of them.
        </p>
      </div>
    </>
  )
}

function Row({
  words,
  title,
  joint,
  children,
}: {
  words: string
  title?: string
  joint?: string
  children: readonly React.ReactNode[]
}) {
  return (
    <tr
      className="border-line border-t align-top"
      {...(joint ? { onPointerEnter: () => light(joint), onPointerLeave: () => light(null) } : {})}
    >
      <th scope="row" title={title} className="w-28 py-1 pr-3 text-left font-semibold">
        {words}
      </th>
      {children.map((child, i) => (
        <td key={LETTERS[i]} className="py-1 pr-3">
          {child}
        </td>
      ))}
    </tr>
  )
}

const countWords = ({ joints }: PairingDetail): string => {
  const of = (code: string): number =>
    joints.filter(({ bare, closed }) => (closed ?? bare).code === code).length
  return [
    `${of('fits')} mate`,
    ...(of('work') ? [`${of('work')} want work`] : []),
    ...(of('bridge') ? [`${of('bridge')} want a piece`] : []),
    ...(of('unmeasured') ? [`${of('unmeasured')} not measured`] : []),
    ...(of('clash') ? [`${of('clash')} clash`] : []),
  ].join(' · ')
}

/** Money and hours of each, as the list has them, the bars on one scale. */
function Sums({
  build,
  picks,
  school,
}: {
  build: string
  picks: readonly PickedPair[]
  school: PlacementSchool
}) {
  const header = useBuild(build).data?.build
  const keyed = useMemo(() => picks.map((one) => ({ ...one, key: pairingKey(one) })), [picks])
  const { known } = useFigures(build, school, keyed)
  const figures = keyed.map(({ key }) => known.get(key))
  const money = figures.flatMap((one) => one?.money ?? [])
  const repair = header?.likeForLikeMinor ?? null
  const ends = [
    ...money.flatMap(({ low, high }) => [low, high]),
    ...(repair === null ? [] : [repair]),
  ]
  return (
    <OnScale value={{ low: Math.min(...ends), high: Math.max(...ends), repair }}>
      <Row words="Cost">
        {figures.map((one, i) =>
          one?.money ? (
            <CostBar key={LETTERS[i]} money={one.money} currency={header?.currency ?? 'EUR'} />
          ) : (
            <span key={LETTERS[i]}>{one ? '–' : '…'}</span>
          ),
        )}
      </Row>
      <Row words="Hours">
        {figures.map((one, i) => (
          <span key={LETTERS[i]} className="figure">
            {one ? `${Math.round(one.hours.low)}–${Math.round(one.hours.high)}` : '…'}
          </span>
        ))}
      </Row>
      <Row words="Mass">
        {figures.map((one, i) => (
          <span key={LETTERS[i]} className="figure">
            {massWords(one)}
          </span>
        ))}
      </Row>
    </OnScale>
  )
}

const signed = (kg: number): string => `${kg < 0 ? '−' : '+'}${Math.abs(Math.round(kg))}`
const massWords = (one: PairingFigures | undefined): string =>
  one === undefined
    ? '…'
    : one.massChangeKg === null
      ? '–'
      : `${signed(one.massChangeKg)} kg${one.frontChangeKg === null ? '' : `, ${signed(one.frontChangeKg)} on the front axle`}`

/** What of a pairing is to be measured, first to last along the train. */
function Lacks({ detail }: { detail: PairingDetail }) {
  const missing = detail.joints.flatMap(({ bare, closed }) =>
    (closed ?? bare).code === 'unmeasured' ? (closed ?? bare).missing : [],
  )
  const fields = [
    ...new Map(missing.map((field) => [`${field.port}.${field.field}`, field])).values(),
  ]
  if (fields.length === 0) return <span className="text-steel">Nothing that decides.</span>
  const minutes = fields.reduce((sum, field) => sum + field.minutes, 0)
  return (
    <span>
      {fields.slice(0, 4).map((field) => (
        <span key={field.port + field.field} className="block">
          {field.label}, {field.partName}
        </span>
      ))}
      {fields.length > 4 && <span className="block text-steel">and {fields.length - 4} more</span>}
      <span className="text-steel">
        <span className="figure">{minutes}</span> min in all
      </span>
    </span>
  )
}

/** Pull against the road, and its figures, for each that has them. */
function Roads({ details }: { details: readonly PairingDetail[] }) {
  const worked = useMemo(
    () =>
      details.map(({ road: { after, before } }) => {
        if (!after) return null
        const sheet = roadSheet(after.car, { cruiseKmh: CRUISE, hill: HILL, fuel: after.fuel })
        return {
          sheet,
          graph: roadLines(after.car, before?.car ?? null, HILL, sheet.hillByGear),
        }
      }),
    [details],
  )
  const most = {
    kmh: Math.max(0, ...worked.flatMap((one) => (one ? [one.graph.most.kmh] : []))),
    n: Math.max(0, ...worked.flatMap((one) => (one ? [one.graph.most.n] : []))),
  }
  const rows: readonly (readonly [string, (sheet: RoadSheet) => string])[] = [
    ['Holds 6 % at', ({ hillByGear }) => `${Math.round(Math.max(...hillByGear))} km/h`],
    ['In top at', ({ hillByGear }) => `${Math.round(hillByGear.at(-1)!) || '–'} km/h`],
    ['0 to 100', ({ toHundred }) => (toHundred === null ? 'never' : `${toHundred.toFixed(1)} s`)],
    [`At ${CRUISE} in top`, ({ cruiseRpm }) => `${Math.round(cruiseRpm)} rpm`],
  ]
  return (
    <>
      <Row words="Pull by gear">
        {worked.map((one, i) =>
          one ? (
            <Suspense key={LETTERS[i]} fallback={<div className="h-[200px]" />}>
              <EffortGraph {...one.graph} most={most} height={200} />
            </Suspense>
          ) : (
            <span key={LETTERS[i]} className="text-steel">
              Not told before these are known: {details[i]!.road.missing.join('; ')}.
            </span>
          ),
        )}
      </Row>
      {rows.map(([words, value]) => (
        <Row key={words} words={words}>
          {worked.map((one, i) => (
            <span key={LETTERS[i]} className="figure">
              {one ? value(one.sheet) : '–'}
            </span>
          ))}
        </Row>
      ))}
    </>
  )
}
