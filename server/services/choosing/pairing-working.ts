import { jointNamed } from '../../../core/joints/index.ts'
import { axleLoads } from '../../../core/mechanics/axle-loads.ts'
import {
  cruiseSteps,
  hillSteps,
  type RoadStep,
  runSteps,
} from '../../../core/mechanics/road/working.ts'
import { LEVELS } from '../../../core/money/draw.ts'
import {
  type EstimatedLine,
  estimatedLines,
  estimateList,
} from '../../../core/needs/list-estimate.ts'
import { effective } from '../../../core/pairing/order.ts'
import { roadOfTrain } from '../../../core/pairing/road-of-train.ts'
import { stoppersOpen } from '../../../core/pairing/stoppers.ts'
import type { FigureId, Working, WorkingLine } from '../../../core/pairing/working.ts'
import { GRADES } from '../../../core/quantity/grade.ts'
import type { Store } from '../../database/store.ts'
import type { BuildView } from '../builds/build-view.ts'
import { type PairingRun, runBuildPairing } from '../trains/pairing-run.ts'
import {
  CRUISE_KMH,
  HILL,
  massOf,
  STEP_S,
  type StandingMass,
  standingMasses,
} from '../trains/road.ts'
import {
  estimateInputOf,
  type Ground,
  groundOf,
  type PairOf,
  rowOfPair,
} from './pairing-figures.ts'

type Row = ReturnType<typeof rowOfPair>
type Work = Omit<Working, 'figure'>

/** So many lines of a list are shown by themselves: the dearest. */
const MOST_LINES = 40

const line = (
  words: string,
  value: number | null,
  unit: string,
  { note = '', low = null, high = null }: Partial<WorkingLine> = {},
): WorkingLine => ({ words, note, low, value, high, unit })

/** How one figure of a pairing came about: what it was worked out from, and how. */
export async function workingOf(
  store: Store,
  view: BuildView,
  pair: PairOf,
  figure: FigureId,
): Promise<Working> {
  const ground = await groundOf(store, view, [pair])
  const run = runBuildPairing(view, pair.engineId, pair.transmissionId, pair.transferId, false)
  return { figure, ...WORKINGS[figure](ground, run, rowOfPair(ground, pair)) }
}

const WORKINGS: Readonly<Record<FigureId, (ground: Ground, run: PairingRun, row: Row) => Work>> = {
  open: (_, run, row) => ({
    title: 'Joints that are not measured',
    method:
      'A joint is open where a limit of it needs a measurement that nobody has made. What it leans to is what its known limits and the ranges of the others say.',
    lines: joints(run).flatMap(({ joint, verdict, answered }) =>
      verdict.code === 'unmeasured' && !answered
        ? [
            line(titleOf(joint), verdict.minutes, 'min', {
              note: `leans ${verdict.lean}; ${verdict.known} of ${verdict.stated} limits known`,
            }),
          ]
        : [],
    ),
    result: line('open', row.open, 'joints'),
  }),
  stoppers: ({ view }, run, row) => ({
    title: 'Questions that stop builds',
    method: 'Of the questions that stop builds, those nobody answered and no joint judges yet.',
    lines: stoppersOpen(view.stoppers, codeOf(run)).map(({ question, find }) =>
      line(question, null, '', { note: find }),
    ),
    result: line('open', row.stoppers, 'questions'),
  }),
  weakest: (_, run) => {
    const known = joints(run).flatMap(({ joint, evidence }) =>
      evidence === null ? [] : [{ joint, evidence }],
    )
    const rank = ({ evidence }: (typeof known)[number]): number => GRADES.indexOf(evidence)
    const sorted = known.toSorted((p, q) => rank(p) - rank(q))
    const weakest = sorted[0]
    return {
      title: 'The weakest it leans on',
      method:
        'A joint is known as well as the weakest claim that decides it, a pairing as well as its weakest joint. What is not measured at all counts as open, not as weak.',
      lines: sorted.map(({ joint, evidence }) =>
        line(titleOf(joint), null, '', { note: evidence }),
      ),
      result: line(weakest?.evidence ?? 'nothing is known', null, ''),
    }
  },
  cost: (ground, run, row) => {
    const input = estimateInputOf(ground, run)
    const lines = estimatedLines(input)
    const { likelyHours } = estimateList(input)
    const minor = lines.reduce((sum, { addsMinor }) => sum + addsMinor, 0)
    return {
      title: 'What the whole comes to',
      method: `Each line of the list adds its price in the middle, as often as it stands and is bought. The level of prices is told by a triangle of ${triangle(LEVELS.price)}, that of hours by ${triangle(LEVELS.hours)}. From–to is where one build in ten ends below and one in ten above, the sum taken as normal.`,
      lines: [
        ...dearest(lines, 'minor'),
        line('all lines at the level of prices', Math.round(minor * middle(LEVELS.price)), 'minor'),
        line('work', Math.round(likelyHours * input.rateMinor), 'minor', {
          note: `${likelyHours.toFixed(1)} h at the rate of the build`,
        }),
      ],
      result: row.money
        ? line('the build', row.money.likely, 'minor', row.money)
        : line('no rate of exchange, so no money', null, 'minor'),
    }
  },
  hours: (ground, run, row) => {
    const input = estimateInputOf(ground, run)
    return {
      title: 'Hours of the whole list',
      method: `Each line adds its hours in the middle, as often as it stands; a first-timer's hours are the high end. The level of hours is told by a triangle of ${triangle(LEVELS.hours)}.`,
      lines: dearest(estimatedLines(input), 'h'),
      result: line('hours', estimateList(input).likelyHours, 'h', row.hours),
    }
  },
  mass: ({ view, own }, { train }, row) => ({
    title: 'What it weighs more than before',
    method:
      'The new engine and gearbox less the old ones, dry, as their maker or a scale gave them.',
    lines: [
      ...[train.engine, train.transmission].map((part) => massLine(view, part.id, 1)),
      ...(own ? [own.engine, own.transmission].map((part) => massLine(view, part.id, -1)) : []),
    ],
    result: line('change', row.massChangeKg, 'kg', { note: own ? '' : NO_OWN }),
  }),
  front: ({ view, own }, { train }, row) => {
    const [now, before] = [standingMasses(view, train), own && standingMasses(view, own)]
    const { axles } = now
    const part = ({ partId, kg, alongMm }: StandingMass, sign: 1 | -1): WorkingLine =>
      line(
        `${nameOf(view, partId)}, its part on the front`,
        kg === null || axles.rearMm <= axles.frontMm
          ? null
          : sign * axleLoads([{ kg, alongMm }], axles).frontKg,
        'kg',
        { note: `${kg ?? '?'} kg, its middle ${Math.round(alongMm)} mm behind the radiator` },
      )
    return {
      title: 'What of it stands on the front axle',
      method: 'Moments about the rear axle, each half as if its weight were in its middle.',
      lines: [
        line('front axle behind the radiator', axles.frontMm, 'mm'),
        line('rear axle behind the radiator', axles.rearMm, 'mm'),
        part(now.engine, 1),
        part(now.gearbox, 1),
        ...(before ? [part(before.engine, -1), part(before.gearbox, -1)] : []),
      ],
      result: line('change on the front axle', row.frontChangeKg, 'kg', {
        note: own ? '' : NO_OWN,
      }),
    }
  },
  margin: (_, run, row) => {
    const limits =
      run.result.joints
        .find(({ joint }) => joint === 'torque')
        ?.bare.limits.filter(({ id }) => id === 'torque') ?? []
    return {
      title: 'Torque margin at the gearbox input',
      method: 'What the gearbox is rated for, less what the engine gives it, worst case of both.',
      lines: limits.flatMap(({ label, words, terms, margin }) => [
        line(label, margin, 'N·m', { note: words }),
        ...terms.map((term) =>
          line(term.label, term.value, 'N·m', {
            note: `± ${term.plusMinus ?? '?'}, ${term.grade ?? 'not known'}`,
          }),
        ),
      ]),
      result: line('margin', row.marginNm, 'N·m'),
    }
  },
  hill: roadWorking(
    'The fastest it holds a hill of 6 % in top',
    'Where the pull at the tyres in top last meets what the slope, rolling and air take.',
    (car, { hillTopKmh }) => hillSteps(car, HILL, hillTopKmh ?? 0),
    ({ hillTopKmh }) => line('held at', hillTopKmh, 'km/h'),
  ),
  cruise: roadWorking(
    'Engine speed in top at 80 km/h',
    'Road speed over the way one turn of the wheel goes, times the ratios.',
    (car) => cruiseSteps(car, CRUISE_KMH),
    ({ cruiseRpm }) => line('engine', cruiseRpm, 'rpm'),
  ),
  hundred: roadWorking(
    'Seconds from rest to 100 km/h',
    'A run at full throttle on the level in small steps: the gear that pulls most, no pull between gears, what turns counted as mass.',
    (car) => runSteps(car, 100, STEP_S),
    ({ toHundredS }) => line('from rest to 100 km/h', toHundredS, 's'),
  ),
  pieces: ({ view }, { result }, row) => ({
    title: 'What the pieces that close it cost',
    method:
      'The least each is known to cost by itself, or all of them in one kit where that is less.',
    lines: result.chosen.map((id) => {
      const cost = view.insertables.cost(id)
      return line(nameOf(view, id), Number.isFinite(cost) ? cost : null, 'minor')
    }),
    result: line('pieces', row.piecesMinor, 'minor'),
  }),
}

const NO_OWN = 'The engine and gearbox that came with the vehicle are not both in the catalogue.'

function roadWorking(
  title: string,
  method: string,
  steps: (car: Parameters<typeof cruiseSteps>[0], row: Row) => readonly RoadStep[],
  result: (row: Row) => WorkingLine,
) {
  return ({ view }: Ground, { train }: PairingRun, row: Row): Work => {
    const told = roadOfTrain(train, {
      vehicle: massOf(view, train.recipient),
      change: row.massChangeKg,
    })
    return {
      title,
      method,
      lines:
        'road' in told
          ? [
              ...steps(told.road.car, row).map(({ words, value, unit }) =>
                line(words, Number.isFinite(value) ? value : null, unit),
              ),
              ...told.road.standIns.map((words) =>
                line(words, null, '', { note: 'nobody said, so assumed' }),
              ),
            ]
          : told.missing.map((words) => line(words, null, '', { note: 'not known' })),
      result: result(row),
    }
  }
}

const titleOf = (joint: string): string => jointNamed(joint)?.title ?? joint
const nameOf = ({ catalogue }: BuildView, id: string): string => catalogue.parts.get(id)?.name ?? id

/** Joints as they count, front to back: closed where they are, and what a person said of them. */
const joints = ({ result, heard }: PairingRun) =>
  result.joints.map(({ joint, bare, closed }) => {
    const answer = heard.get(joint)?.answer
    return {
      joint,
      verdict: effective({ bare, closed }),
      answered: answer !== undefined,
      evidence: answer ? answer.evidence : bare.evidence,
    }
  })

const codeOf = (run: PairingRun) => {
  const codes = new Map(joints(run).map(({ joint, verdict }) => [joint as string, verdict.code]))
  return (joint: string) => codes.get(joint) ?? null
}

function massLine(view: BuildView, id: string, sign: 1 | -1): WorkingLine {
  const kg = massOf(view, view.catalogue.parts.get(id) ?? null)
  return line(nameOf(view, id), kg === null ? null : sign * kg, 'kg', {
    note: sign < 0 ? 'as it was' : '',
  })
}

const middle = ([low, likely, high]: readonly [number, number, number]): number =>
  (low + likely + high) / 3
const triangle = (three: readonly [number, number, number]): string => three.join(', ')

/** Lines by what they add, most first; the rest in one. */
function dearest(lines: readonly EstimatedLine[], unit: 'minor' | 'h'): readonly WorkingLine[] {
  const adds = (one: EstimatedLine): number => (unit === 'h' ? one.addsHours : one.addsMinor)
  const sorted = lines
    .filter((one) => adds(one) !== 0)
    .toSorted((p, q) => Math.abs(adds(q)) - Math.abs(adds(p)))
  const rest = sorted.slice(MOST_LINES)
  return [
    ...sorted.slice(0, MOST_LINES).map((one) => {
      const [low, , high] = unit === 'h' ? one.hours : one.price
      const often = unit === 'h' ? one.stands : one.stands * one.chance
      return line(one.words, adds(one), unit, {
        low,
        high,
        note: often === 1 ? '' : `in ${Math.round(often * 100)} of 100 builds`,
      })
    }),
    ...(rest.length > 0
      ? [
          line(
            `${rest.length} others`,
            rest.reduce((sum, one) => sum + adds(one), 0),
            unit,
          ),
        ]
      : []),
  ]
}
