/**
 * What a person may decide of a line: what it is, how far it is, who sees to it, which number it wants, and that a source
 * serves though its number alone does not say so.
 */
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
  'assign',
  'number',
  'tick',
] as const

/** What a person decided of a line. */
export interface Decision {
  readonly needId: string
  readonly act: (typeof DECISION_ACTS)[number]
  readonly priceMinor: number | null
  readonly source: string | null
}
