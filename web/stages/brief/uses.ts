export const USES = [
  { value: 'road', words: 'Road' },
  { value: 'delivery', words: 'Delivery' },
  { value: 'towing', words: 'Towing' },
  { value: 'trail', words: 'Trail' },
  { value: 'track', words: 'Track' },
] as const
