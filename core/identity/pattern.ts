/** Whether a text is of a shape: `#` a digit, `@` a letter A–Z, `*` either, the rest itself, a character each. */
export function fitsPattern(text: string, shape: string): boolean {
  if (text.length !== shape.length) return false
  for (let i = 0; i < shape.length; i++) {
    const [wanted, char] = [shape[i]!, text[i]!]
    const isDigit = char >= '0' && char <= '9'
    const isLetter = char >= 'A' && char <= 'Z'
    if (
      wanted === '#'
        ? !isDigit
        : wanted === '@'
          ? !isLetter
          : wanted === '*'
            ? !isDigit && !isLetter
            : wanted !== char
    )
      return false
  }
  return true
}

/** What of a shape stands for itself. */
export const literalsOf = (shape: string): string => shape.replace(/[#@*]/g, '')

/** Lengths of shapes, the longest first. */
export const patternLengths = (shapes: readonly string[]): readonly number[] =>
  [...new Set(shapes.map(({ length }) => length))].sort((p, q) => q - p)
