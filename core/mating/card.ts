import type { Tolerances } from '../joints/tolerances.ts'
import {
  CLOCK,
  type Correction,
  dowelCorrection,
  type Sweep,
  sweepOf,
} from '../mechanics/concentricity.ts'
import { parseQuantity, type Reading } from '../quantity/units.ts'
import {
  figure,
  free,
  risksIn,
  type SheetAnswers,
  type SheetQuestion,
  type SheetStep,
  yesNo,
} from '../sheets/sheet.ts'

export const BORE = 'bore'
export const FACE = 'face'
const readingId = (of: string, index: number): string => `${of}:${index}`

/** The eight readings of a sweep, one question each. */
export const sweepQuestions = (of: typeof BORE | typeof FACE): SheetQuestion[] =>
  CLOCK.map(({ words }, index) => ({
    id: readingId(of, index),
    words,
    type: 'quantity',
    unit: 'mm',
  }))

const AUTOMATIC: SheetStep = {
  id: 'converter',
  title: 'Converter, before the bolts',
  cautions: [
    'The converter is heavy and slides off the shafts: two hands, and a strap once it is home.',
  ],
  questions: [
    yesNo(
      'home',
      'Converter dropped home: turned and pressed until it no longer moves back',
      'Pump lugs half engaged: they break, and the pump with them',
    ),
    figure('pull-1', 'Pull-up at the first pad', 'mm'),
    figure('pull-2', 'at the second', 'mm'),
    figure('pull-3', 'at the third', 'mm'),
  ],
}

/** What is measured and done at the mating of engine and gearbox, in order. Common practice, no published source. */
export const matingSteps = (isAutomatic: boolean): readonly SheetStep[] => [
  {
    id: 'before',
    title: 'Before',
    cautions: [
      'Engine on a stand or the floor, chocked; plugs out; nobody’s fingers at the ring gear while it is turned.',
    ],
    questions: [
      figure('float-before', 'Crank end float', 'mm'),
      figure('torque-before', 'Torque to turn the crank, plugs out', 'N·m'),
    ],
  },
  {
    id: 'bore',
    title: 'Bell on, indicator on the crank, round the bore',
    cautions: [],
    questions: sweepQuestions(BORE),
  },
  { id: 'face', title: 'The same, on the face', cautions: [], questions: sweepQuestions(FACE) },
  ...(isAutomatic ? [AUTOMATIC] : []),
  {
    id: 'mate',
    title: 'Mating',
    cautions: [
      'Case carried level on a jack that tilts, never hung from its input shaft; nobody under it.',
    ],
    questions: [
      yesNo(
        'by-hand',
        'Case went home by hand, all round, before any bolt was tightened',
        'Drawn in by its bolts: an ear, the pump or the disc is broken',
      ),
      yesNo('bolts', 'Bolts tightened crosswise to the maker’s torque', 'A case drawn crooked'),
    ],
  },
  {
    id: 'after',
    title: 'After',
    cautions: [],
    questions: [
      figure('float-after', 'Crank end float', 'mm'),
      figure('torque-after', 'Torque to turn the crank, plugs out', 'N·m'),
      yesNo(
        'turns',
        'Two full turns by hand, free and without a sound',
        'Something touches: take it apart, do not crank it',
      ),
      free('signed-first', 'Signed'),
      free('signed-second', 'and by a second person'),
    ],
  },
]

export const isMatingQuestion = (id: string): boolean =>
  [true, false].some((isAutomatic) =>
    matingSteps(isAutomatic).some((step) => step.questions.some((question) => question.id === id)),
  )

export interface Finding {
  readonly code: 'good' | 'acceptable' | 'stop'
  readonly words: string
}

export interface MatingJudgement {
  readonly bore: Sweep | null
  readonly face: Sweep | null
  readonly correction: Correction | null
  readonly findings: readonly Finding[]
}

/** What the card says so far: runout by its windows, what changed between before and after, and what was answered badly. */
export function judgeMating(
  answers: SheetAnswers,
  isAutomatic: boolean,
  tolerances: Tolerances,
  reading: Reading = {},
): MatingJudgement {
  const findings: Finding[] = []
  const read = (id: string, unit: 'mm' | 'N·m'): number | null => {
    const typed = answers[id]?.value.trim()
    if (!typed) return null
    try {
      return parseQuantity(typed, unit, reading)
    } catch {
      findings.push({ code: 'stop', words: `"${typed}" cannot be read: type it again.` })
      return null
    }
  }
  const sweep = (of: string): Sweep | null => {
    const all = CLOCK.map((_, index) => read(readingId(of, index), 'mm'))
    return all.every((one) => one !== null) ? sweepOf(all as number[]) : null
  }
  const bore = sweep(BORE)
  const face = sweep(FACE)
  let correction: Correction | null = null
  if (bore) {
    const { boreTirGoodMm: good, boreTirMostMm: most } = tolerances
    if (bore.tirMm <= good)
      findings.push({
        code: 'good',
        words: `Bore runs out ${bore.tirMm.toFixed(2)} mm: good, within ${good}.`,
      })
    else if (bore.tirMm <= most)
      findings.push({
        code: 'acceptable',
        words: `Bore runs out ${bore.tirMm.toFixed(2)} mm: acceptable, within ${most}.`,
      })
    else {
      correction = dowelCorrection(bore)
      findings.push({
        code: 'stop',
        words: `Bore runs out ${bore.tirMm.toFixed(2)} mm, more than ${most}: offset dowels of ${correction.dowelMm.toFixed(2)} mm with their high side at ${Math.round(correction.degrees)}° would leave ${correction.leftMm.toFixed(2)}.`,
      })
    }
    if (bore.restMm > good)
      findings.push({
        code: 'stop',
        words: `${bore.restMm.toFixed(2)} mm of it is no offset: bore out of round, dirt, or a reading gone wrong. Sweep it again.`,
      })
  }
  if (face)
    findings.push(
      face.tirMm <= tolerances.faceTirMm
        ? {
            code: 'good',
            words: `Face runs out ${face.tirMm.toFixed(2)} mm, within ${tolerances.faceTirMm}.`,
          }
        : {
            code: 'stop',
            words: `Face runs out ${face.tirMm.toFixed(2)} mm, more than ${tolerances.faceTirMm}: burrs, paint, or a case not true.`,
          },
    )
  const pulls = isAutomatic
    ? ['pull-1', 'pull-2', 'pull-3'].map((id) => read(id, 'mm')).filter((one) => one !== null)
    : []
  if (pulls.length === 3) {
    const spread = Math.max(...pulls) - Math.min(...pulls)
    findings.push(
      spread <= tolerances.padSpreadMm
        ? { code: 'good', words: 'Pull-up is equal at three pads.' }
        : {
            code: 'stop',
            words: `Pull-up differs by ${spread.toFixed(2)} mm: the converter is not home, or the plate is bent.`,
          },
    )
    for (const pull of pulls)
      if (pull < tolerances.pullUpLowMm || pull > tolerances.pullUpHighMm)
        findings.push({
          code: 'stop',
          words: `Pull-up of ${pull} mm is outside ${tolerances.pullUpLowMm} to ${tolerances.pullUpHighMm}: do not draw it in with the bolts.`,
        })
  }
  const changed = (
    before: string,
    after: string,
    unit: 'mm' | 'N·m',
    most: number,
    words: string,
  ): void => {
    const [was, is] = [read(before, unit), read(after, unit)]
    if (was === null || is === null) return
    const by = Math.abs(is - was)
    findings.push(
      by <= most
        ? { code: 'good', words: `${words}: as before.` }
        : {
            code: 'stop',
            words: `${words}: ${was} before, ${is} after. Something presses on the crank: pilot, pull-up or stack. Take it apart before it is run.`,
          },
    )
  }
  changed('float-before', 'float-after', 'mm', tolerances.floatChangeMm, 'End float')
  changed('torque-before', 'torque-after', 'N·m', tolerances.turnChangeNm, 'Turning torque')
  for (const { words, risk } of risksIn(matingSteps(isAutomatic), answers))
    findings.push({ code: 'stop', words: `${words}: no. ${risk}.` })
  return { bore, face, correction, findings }
}
