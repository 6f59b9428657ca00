/** Ids of what a need can be met by. */
export const keptId = (need: string): string => `keep@${need}`
export const comesId = (need: string): string => `comes@${need}`
export const typedId = (need: string): string => `typed@${need}`
export const offeredId = (offer: string, need: string): string => `offer:${offer}@${need}`
export const kitId = (kit: string): string => `kit:${kit}`
export const donorId = (donor: string): string => `donor:${donor}`
export const itemKey = (bundle: string, item: string): string => `${bundle}\u0000${item}`

/** The id of the source that a line of a plan takes. */
export const takenBy = (line: {
  readonly candidate?: string | undefined
  readonly bundle?: string | undefined
  readonly item?: string | undefined
}): string => line.candidate ?? itemKey(line.bundle ?? '', line.item ?? '')
