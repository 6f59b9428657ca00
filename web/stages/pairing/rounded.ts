/** A figure with as many digits as such a one is known to. */
export function rounded(value: number): string {
  const size = Math.abs(value)
  const text = String(Number(size.toFixed(size >= 100 ? 0 : size >= 10 ? 1 : 3)))
  return value < 0 && text !== '0' ? `−${text}` : text
}
