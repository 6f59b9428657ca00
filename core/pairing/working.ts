/** The figures of a list of pairings that are worked out, by their columns. */
export const FIGURES = [
  'open',
  'stoppers',
  'weakest',
  'cost',
  'hours',
  'mass',
  'front',
  'margin',
  'hill',
  'cruise',
  'hundred',
  'pieces',
] as const
export type FigureId = (typeof FIGURES)[number]

/** One line of a working: what it is, and its figure from–to; nulls where nobody said. */
export interface WorkingLine {
  readonly words: string
  readonly note: string
  readonly low: number | null
  readonly value: number | null
  readonly high: number | null
  /** `minor` for the build's money, else a unit. */
  readonly unit: string
}

/** How a figure of a pairing came about. */
export interface Working {
  readonly figure: FigureId
  readonly title: string
  /** The method, in words. */
  readonly method: string
  readonly lines: readonly WorkingLine[]
  /** What it comes to. */
  readonly result: WorkingLine
}
