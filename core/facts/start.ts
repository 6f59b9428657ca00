import type { FactKey } from './index.ts'

/** Asked at the start beside types and ticks: each has a value where nobody says. */
export const START_FACTS = [
  'build.engine',
  'build.school',
  'donor.kind',
  'build.runs',
] as const satisfies readonly FactKey[]
export type StartFact = (typeof START_FACTS)[number]

/** What must be so of what is chosen for a stopper to be asked at all; where it is not known, it is asked. */
export const STOPPER_ASKED: Readonly<Partial<Record<string, readonly [FactKey, string]>>> = {
  'pilot-bore': ['gearbox.type', 'manual'],
  'front-output': ['vehicle.driven', 'four'],
  'load-signal': ['gearbox.type', 'automatic'],
}
