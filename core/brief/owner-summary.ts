import type { RoadSheet } from '../mechanics/road/expectations.ts'
import type { Range } from '../money/range.ts'
import { lowerFirst } from '../quantity/plain-text.ts'

/** What the summary for a vehicle's owner is made from: nothing of suppliers, margins or hours is in it. */
export interface OwnerFigures {
  readonly vehicle: string
  readonly before: string | null
  readonly after: string | null
  /** Money, in words of the build's currency. */
  readonly money: (minor: number) => string
  /** Likely in nine builds of ten between these, minor units; null before there is a list. */
  readonly likely: Range | null
  readonly repairMinor: number | null
  /** What must still work, in words, and whether it will. */
  readonly keeps: readonly { readonly words: string; readonly kept: boolean }[]
  /** Joints that are not settled, and what stops the build, in words. */
  readonly open: readonly string[]
  readonly blockers: readonly string[]
  /** Questions of law that are not answered yes, in words. */
  readonly law: readonly string[]
  readonly road: { readonly before: RoadSheet | null; readonly after: RoadSheet } | null
  readonly massChangeKg: number | null
}

export interface SummarySection {
  readonly title: string
  readonly lines: readonly string[]
  /** Before and after, side by side. */
  readonly table?: readonly {
    readonly words: string
    readonly before: string
    readonly after: string
  }[]
}

const listed = (words: readonly string[]): string => words.join(', ')
const signed = (value: number): string => `${value < 0 ? '−' : '+'}${Math.abs(Math.round(value))}`

/** One page for the owner, in plain words: before and after, kept and lost, risks, law, price range. */
export function ownerSummary(of: OwnerFigures): readonly SummarySection[] {
  const { road } = of
  const wordsOf = (isKept: boolean): readonly string[] =>
    of.keeps.flatMap(({ words, kept }) => (kept === isKept ? lowerFirst(words) : []))
  const [kept, lost] = [wordsOf(true), wordsOf(false)]
  const rows: readonly (readonly [string, (sheet: RoadSheet) => string])[] = [
    [
      '0 to 100 km/h',
      ({ toHundred }) => (toHundred === null ? 'never' : `${toHundred.toFixed(1)} s`),
    ],
    ['Engine at 80 km/h in top', ({ cruiseRpm }) => `${Math.round(cruiseRpm / 10) * 10} rpm`],
    [
      'A hill of 6 % in top',
      ({ hillByGear }) => {
        const top = Math.round(hillByGear.at(-1) ?? 0)
        return top === 0 ? 'not held' : `${top} km/h`
      },
    ],
  ]
  return [
    {
      title: 'Before and after',
      lines: [
        `Now: ${of.before ?? 'the engine and gearbox it came with'}.`,
        `Planned: ${of.after ?? 'not chosen yet'}.`,
        ...(of.massChangeKg === null
          ? []
          : [`The new train weighs ${signed(of.massChangeKg)} kg against the old.`]),
        ...(road
          ? ['Figures are estimates from what is known of engine, gearbox, axle and tyres.']
          : []),
      ],
      ...(road
        ? {
            table: rows.map(([words, value]) => ({
              words,
              before: road.before ? value(road.before) : '–',
              after: value(road.after),
            })),
          }
        : {}),
    },
    {
      title: 'Kept and lost',
      lines: [
        kept.length === 0
          ? 'Nothing was asked to keep working beside the drive itself.'
          : `Keeps working: ${listed(kept)}.`,
        ...(lost.length === 0
          ? []
          : [`Not asked for, and given up where the vehicle has it: ${listed(lost)}.`]),
      ],
    },
    {
      title: 'What is not certain',
      lines: [
        ...of.blockers.map((words) => `Stops the work until it is answered: ${words}.`),
        ...of.open.map((words) => `Not measured yet: ${words}.`),
        ...(of.blockers.length + of.open.length === 0
          ? ['Every place where the new train meets the vehicle is measured and settled.']
          : []),
        'A computed fit is not an engineering approval.',
      ],
    },
    {
      title: 'Law and papers',
      lines: [
        ...(of.law.length === 0
          ? ['Nothing is open as far as it was asked.']
          : of.law.map((words) => `To be settled: ${words}`)),
        'Rules differ by place and date: the local authority, and a licensed engineer where one is wanted, decide.',
      ],
    },
    {
      title: 'Price',
      lines: [
        of.likely === null
          ? 'No price yet: the pairing is not chosen.'
          : `In eight builds of ten between ${of.money(of.likely.low)} and ${of.money(of.likely.high)}, work and tax included.`,
        ...(of.repairMinor === null
          ? []
          : [`Repairing it as it was: ${of.money(of.repairMinor)}.`]),
        'A range, not an offer: it narrows as open questions are answered.',
      ],
    },
  ]
}
