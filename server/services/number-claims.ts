import type { SupersessionClaim } from '../../core/identity/claims.ts'
import type { RowOf } from '../database/store.ts'

/** A supersession of the shop as a claim: one way, the old no longer serves for the new; else it does. @param issuer what numbers of it are told by */
export function supersessionClaim(
  { id, oldNumber, newNumber, oneWay }: RowOf<'supersession'>,
  issuer: string,
): SupersessionClaim {
  return {
    id,
    old: [{ issuer, number: oldNumber }],
    new: [{ issuer, number: newNumber }],
    back: oneWay ? 'no' : 'yes',
    grade: 'catalogue',
  }
}
