/** What a person may decide of a line; the last four say how far it is. */
export const DECISION_ACTS = [
  'drop',
  'price',
  'estimate',
  'keep',
  'confirm',
  'postpone',
  'order',
  'receive',
  'fit',
  'return',
] as const

/** What a person decided of a line. */
export interface Decision {
  readonly needId: string
  readonly act: (typeof DECISION_ACTS)[number]
  readonly priceMinor: number | null
  readonly source: string | null
}
