/** Joint codes in order of gravity; a joint is the greatest code of its limits. */
export const CODES = ['fits', 'work', 'bridge', 'unmeasured', 'clash'] as const
export type Code = (typeof CODES)[number]
export const FITS = 0
export const WORK = 1
export const BRIDGE = 2
export const UNMEASURED = 3
export const CLASH = 4
