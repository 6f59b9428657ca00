import { briefOperations } from './brief.ts'
import { buildOperations } from './builds.ts'
import { catalogueOperations } from './catalogue.ts'
import { checkOperations } from './check.ts'
import { documentOperations } from './documents.ts'
import { factOperations } from './facts.ts'
import { historyOperations } from './history.ts'
import { jobOperations } from './jobs.ts'
import { kitOperations } from './kits.ts'
import { marketOperations } from './market.ts'
import { numberOperations } from './numbers.ts'
import { patternOperations } from './patterns.ts'
import { photoOperations } from './photos.ts'
import { planOperations } from './plan.ts'
import { sessionOperations } from './session.ts'
import { settingOperations } from './settings.ts'

/** Every operation, by the subject it is listed under. */
export const SUBJECTS = {
  Check: checkOperations,
  Plan: planOperations,
  Builds: buildOperations,
  'Brief and recipient': briefOperations,
  Facts: factOperations,
  Catalogue: catalogueOperations,
  Numbers: numberOperations,
  Market: marketOperations,
  'Kits and arrivals': kitOperations,
  Documents: documentOperations,
  Patterns: patternOperations,
  Photos: photoOperations,
  Jobs: jobOperations,
  History: historyOperations,
  Session: sessionOperations,
  Settings: settingOperations,
} as const

/** Every operation by its name. An interface: looked up, never expanded. */
type Intersection<U> = (U extends unknown ? (one: U) => void : never) extends (one: infer I) => void
  ? I
  : never
export interface AllOperations extends Intersection<(typeof SUBJECTS)[keyof typeof SUBJECTS]> {}
