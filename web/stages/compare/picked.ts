import { useAddress } from '../../components/use-address.ts'

/** As many as can be told apart over one another. */
export const MOST_PICKED = 4
export const LETTERS = ['A', 'B', 'C', 'D'] as const

/** A pairing that is picked, by its parts. */
export interface PickedPair {
  readonly engineId: string
  readonly transmissionId: string
  /** Another transfer case than the build's own. */
  readonly transferId: string | null
}

const BETWEEN = ':'
const written = ({ engineId, transmissionId, transferId }: PickedPair): string =>
  [engineId, transmissionId, ...(transferId === null ? [] : [transferId])]
    .map(encodeURIComponent)
    .join(BETWEEN)

/** Picks as they stand in an address; what is no pair is left out. */
export function readPicks(text: string | null): readonly PickedPair[] {
  return (text ?? '')
    .split(',')
    .flatMap((one): PickedPair[] => {
      const [engineId, transmissionId, transferId = ''] = one.split(BETWEEN).map(decoded)
      return engineId && transmissionId
        ? [{ engineId, transmissionId, transferId: transferId || null }]
        : []
    })
    .slice(0, MOST_PICKED)
}

/** Decoded, or nothing where somebody mangled it. */
function decoded(text: string): string {
  try {
    return decodeURIComponent(text)
  } catch {
    return ''
  }
}

export const writePicks = (picks: readonly PickedPair[]): string | null =>
  picks.length === 0 ? null : picks.map(written).join(',')

export const isSamePick = (a: PickedPair, b: PickedPair): boolean =>
  a.engineId === b.engineId &&
  a.transmissionId === b.transmissionId &&
  a.transferId === b.transferId

/** Picks with one put in or taken out; a fifth is not taken. */
export const togglePick = (
  picks: readonly PickedPair[],
  pick: PickedPair,
): readonly PickedPair[] =>
  picks.some((one) => isSamePick(one, pick))
    ? picks.filter((one) => !isSamePick(one, pick))
    : picks.length < MOST_PICKED
      ? [
          ...picks,
          {
            engineId: pick.engineId,
            transmissionId: pick.transmissionId,
            transferId: pick.transferId,
          },
        ]
      : picks

/** The pairings picked to be compared, kept in the address. */
export function usePicks(): {
  readonly picks: readonly PickedPair[]
  readonly toggle: (pick: PickedPair) => void
} {
  const [params, change] = useAddress()
  const picks = readPicks(params.get('pick'))
  return {
    picks,
    toggle: (pick) => change({ pick: writePicks(togglePick(picks, pick)) }),
  }
}
