export const USES = [
  { value: 'road', words: 'Road' },
  { value: 'delivery', words: 'Delivery' },
  { value: 'towing', words: 'Towing' },
  { value: 'trail', words: 'Trail' },
  { value: 'track', words: 'Track' },
] as const

/** The use of a word; null where it is none. */
export const asUse = (word: string): (typeof USES)[number]['value'] | null =>
  USES.find(({ value }) => value === word)?.value ?? null
