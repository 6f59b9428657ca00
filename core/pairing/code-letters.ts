import type { Code } from '../joints/code.ts'

/** A letter a code, for a row of joints in one word; `-` where a joint does not apply. */
export const CODE_LETTERS: Readonly<Record<Code, string>> = {
  fits: 'f',
  work: 'w',
  bridge: 'b',
  unmeasured: 'u',
  clash: 'c',
}
const BY_LETTER = new Map(
  Object.entries(CODE_LETTERS).map(([code, letter]) => [letter, code as Code]),
)

/** The code a letter stands for; null for none. */
export const codeOfLetter = (letter: string | undefined): Code | null =>
  BY_LETTER.get(letter ?? '-') ?? null
