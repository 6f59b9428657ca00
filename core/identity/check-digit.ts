/** Lengths of a global trade item number. */
const GTIN_LENGTHS: ReadonlySet<number> = new Set([8, 12, 13, 14])

/**
 * Whether digits are a trade item number with its right check digit: 8, 12, 13 or 14 of them, weights 3, 1, 3 … leftward from
 * the neighbour of the check digit, up to the next ten. Source: GS1 General Specifications, from memory.
 */
export function isGtin(digits: string): boolean {
  if (!/^\d+$/.test(digits) || !GTIN_LENGTHS.has(digits.length)) return false
  const sum = [...digits.slice(0, -1)]
    .reverse()
    .reduce((total, digit, i) => total + Number(digit) * (i % 2 === 0 ? 3 : 1), 0)
  return (10 - (sum % 10)) % 10 === Number(digits.at(-1))
}
