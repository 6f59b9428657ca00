import type { AskedTarget } from '../../../core/identity/claims.ts'
import type { RowOf } from '../../database/store.ts'

/** A part as numbers are listed for it, by its family; undefined without one. */
export const askedTarget = ({
  family,
  generation,
  built,
  fromYear,
  toYear,
  serial,
}: Pick<RowOf<'part'>, 'family' | 'generation' | 'built' | 'fromYear' | 'toYear' | 'serial'>):
  | AskedTarget
  | undefined => {
  if (!family) return undefined
  const year = fromYear !== null && fromYear === toYear ? String(fromYear) : undefined
  const builtIn = built ?? year
  return {
    family,
    // What the shop has it down as.
    grade: 'catalogue',
    ...(generation ? { generation } : {}),
    ...(builtIn ? { built: builtIn } : {}),
    ...(serial ? { serial } : {}),
  }
}
