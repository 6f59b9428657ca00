import type { PairingRow } from './pairing-rows.ts'

/** What a list of pairings is narrowed by, each a word in the address. */
export const ONLY = ['no-clash', 'bolt-in', 'closed', 'under', 'own', 'donor'] as const
export type Only = (typeof ONLY)[number]
export const ONLY_WORDS: Readonly<Record<Only, string>> = {
  'no-clash': 'No clash',
  'bolt-in': 'Bolt-in',
  closed: 'Closed by a piece in reach',
  under: 'Under the money',
  own: 'Owned',
  donor: 'Donor at hand',
}

export interface Narrowed {
  readonly only: readonly Only[]
  readonly family: string | null
  readonly type: string | null
}

export const readOnly = (text: string | null): readonly Only[] =>
  ONLY.filter((one) => (text ?? '').split(',').includes(one))
export const writeOnly = (only: readonly Only[]): string | null => only.join(',') || null

const isAtHand = (at: PairingRow['engineAt']): boolean => at === 'vehicle' || at === 'shelf'

/** Those that a figure decides, which may not be there yet. */
const HOLDS: Readonly<Record<Only, (row: PairingRow, limitMinor: number | null) => boolean>> = {
  'no-clash': ({ joints }) => joints.every(({ code, closed }) => (closed ?? code) !== 'clash'),
  'bolt-in': ({ joints, figures }) =>
    figures !== null &&
    figures.makes === 0 &&
    figures.cuts === 0 &&
    joints.every(({ code, closed }) => !['clash', 'bridge'].includes(closed ?? code)),
  closed: ({ joints, figures }) =>
    figures !== null && joints.every(({ code, closed }) => (closed ?? code) !== 'bridge'),
  // In more builds of two than not.
  under: ({ figures }, limitMinor) =>
    limitMinor === null || (figures?.money != null && figures.money.likely <= limitMinor),
  own: ({ engineAt, transmissionAt }) => isAtHand(engineAt) || isAtHand(transmissionAt),
  donor: ({ engineAt, transmissionAt }) => engineAt === 'donor' || transmissionAt === 'donor',
}
/** Filters that wait for figures. */
export const WAITS: ReadonlySet<Only> = new Set(['bolt-in', 'closed', 'under'])

/** Rows that every filter lets through. @param limitMinor money of the brief; null where it has none */
export const narrow = (
  rows: readonly PairingRow[],
  { only, family, type }: Narrowed,
  limitMinor: number | null,
): readonly PairingRow[] =>
  rows.filter(
    (row) =>
      (family === null || row.family === family) &&
      (type === null || row.type === type) &&
      only.every((one) => HOLDS[one](row, limitMinor)),
  )
