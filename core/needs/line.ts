import type { Three } from '../money/three.ts'
import type { CautionId } from './cautions.ts'
import type { Condition } from './condition.ts'
import type { Level, WaitsFor } from './need.ts'

/** From the front of the vehicle to its back, then what is nowhere. */
export const LINE_PLACES = [
  'radiator',
  'front',
  'engine top',
  'engine under',
  'crank',
  'face',
  'coupling',
  'gearbox',
  'transfer case',
  'tunnel',
  'shafts',
  'axle',
  'tank',
  'cab',
  'body',
  'wiring',
  'papers',
  'shop',
] as const
export type LinePlace = (typeof LINE_PLACES)[number]

/** A place as a heading. */
export const placeWords = (place: string): string =>
  `${place.slice(0, 1).toUpperCase()}${place.slice(1).replaceAll('-', ' ')}`

/** In the order of the work. */
export const STAGES = [
  'before',
  'stripping',
  'mating',
  'mock-up',
  'final fit',
  'wiring',
  'first fire',
  'shakedown',
  'after',
] as const
export type Stage = (typeof STAGES)[number]

export const SORTS = ['part', 'task', 'service', 'paper', 'tool', 'blocker'] as const
export type Sort = (typeof SORTS)[number]

/** How a line written by hand stands, as a spreadsheet may say it. */
export const OWN_STATES = ['needed', 'had', 'ordered', 'paid', 'wrong'] as const

/** Currency the rows are priced in. */
export const ROW_CURRENCY = 'EUR'

/** One thing a build may need, with when, where and what it costs: the row is the kind of line. */
export interface LineRow {
  readonly kind: string
  /** Kinds it had in older lists: decisions follow. */
  readonly was?: readonly string[]
  readonly words: string
  readonly place: LinePlace
  readonly stage: Stage
  readonly sort: Sort
  /** Each is a reason, and says why the line stands. */
  readonly when: readonly Reasoned[]
  readonly level?: Exclude<Level, 'confirm'>
  readonly slots?: readonly string[]
  readonly quantity?: number
  readonly eur: Three
  readonly hours: Three
  /** What is said to bring it: the better of two is kept. */
  readonly comes?: readonly Bringer[]
  /** Kind of part it is sought as in the catalogue; its own kind where absent. */
  readonly part?: string
  /** New every time it is undone; or only once more. */
  readonly renew?: 'always' | 'twice'
  readonly waits?: WaitsFor
  readonly caution?: readonly CautionId[]
  /** Kinds of line any of which, chosen, answers a blocker. */
  readonly cured?: readonly string[]
  /** What it does that a build may not want, or a shop cannot. */
  readonly work?: readonly ('weld' | 'cut')[]
}

/** Engine and gearbox as bought, the whole donor, or the vehicle that stays. */
export type Bringer = 'engine' | 'gearbox' | 'vehicle' | 'recipient'

export interface Reasoned {
  readonly if: Condition
  readonly says: string
  readonly level?: Exclude<Level, 'confirm'>
}
