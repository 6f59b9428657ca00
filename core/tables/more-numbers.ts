/** A number as a cell names it: of another issuer, or of the row's. */
export interface MoreNumber {
  readonly issuer: string | null
  readonly number: string
}

/**
 * Numbers of one cell, parted by semicolons or lines: `417.20; Kessarn: K-88`. What stands before the first colon is whose
 * it is; those without one are of the row's issuer.
 */
export const readMoreNumbers = (cell: string): readonly MoreNumber[] =>
  cell
    .split(/[;\n\r]/)
    .map((text) => text.trim())
    .filter(Boolean)
    .map((text) => {
      const at = text.indexOf(':')
      return {
        issuer: text.slice(0, Math.max(0, at)).trim() || null,
        number: text.slice(at + 1).trim(),
      }
    })

/** Numbers as one cell that reads back as them: those that would not are left to the list of numbers. */
export const writeMoreNumbers = (
  numbers: readonly { readonly issuer: string; readonly number: string }[],
): string | null =>
  numbers
    .filter(({ issuer, number }) => !/[;:\n\r]/.test(issuer) && !/[;\n\r]/.test(number))
    .map(({ issuer, number }) => `${issuer}: ${number}`)
    .join('; ') || null
