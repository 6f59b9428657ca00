/** What a person decided of a line. */
export interface Decision {
  readonly needId: string
  readonly act: 'drop' | 'price' | 'estimate' | 'keep' | 'confirm'
  readonly priceMinor: number | null
  readonly source: string | null
}
