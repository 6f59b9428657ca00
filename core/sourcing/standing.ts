/** How far something offered has come: said to come, tried by a few, sold, no longer sold. */
export const STANDINGS = ['announced', 'trial', 'shipping', 'ended'] as const
export type Standing = (typeof STANDINGS)[number]

/** Why it cannot be planned, as it follows its name; null where it can. Nothing said is sold. */
export function standingRefusal(standing: Standing | null | undefined): string | null {
  if (standing === 'announced')
    return 'announced, not sold yet: it closes no plan. It is taken up when it ships.'
  if (standing === 'ended') return 'no longer sold.'
  return null
}
