/** How an issuer writes its numbers: which separators are noise, and whether case matters. */
export interface NumberRule {
  readonly upper: boolean
  /** Characters dropped before comparing. */
  readonly noise: string
}

export const DEFAULT_RULE: NumberRule = { upper: true, noise: ' .-' }

/**
 * One spelling of a part number for comparing. Leading zeros and suffixes stay; O and 0, I and 1 are never merged.
 * @example normaliseNumber('mld 417.20') // 'MLD41720'
 */
export function normaliseNumber(number: string, rule: NumberRule = DEFAULT_RULE): string {
  const spelled = [...number.trim()].filter((char) => !rule.noise.includes(char)).join('')
  return rule.upper ? spelled.toUpperCase() : spelled
}
