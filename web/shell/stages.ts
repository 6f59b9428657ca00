/** Stages that exist, with their final Alt digits; one that has none is found by its name. */
export const STAGES = [
  { id: 'brief', words: 'Brief', digit: 1 },
  { id: 'known', words: 'Known', digit: null },
  { id: 'pairing', words: 'Pairing', digit: 2 },
  { id: 'donors', words: 'Donors', digit: 3 },
  { id: 'parts', words: 'Parts', digit: 4 },
  { id: 'sourcing', words: 'Sourcing', digit: 7 },
  { id: 'budget', words: 'Budget', digit: 8 },
] as const
