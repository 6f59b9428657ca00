import { SUFFIX_KINDS, type SuffixKind, type SuffixRule } from './number-rule.ts'

const isKind = (word: string): word is SuffixKind =>
  (SUFFIX_KINDS as readonly string[]).includes(word)

/**
 * Suffixes as a person writes them, one kind a line: the kind, its shapes, and whether it decides what the number is where that
 * is not as usual: `colour # ##`, `revision @, decides`, `grade A B, does not decide`.
 *
 * @throws RangeError saying which line cannot be read, and how it is written
 */
export function readSuffixes(text: string): readonly SuffixRule[] {
  return text
    .split('\n')
    .map((line) => line.trim())
    .filter((line) => line !== '')
    .map((line): SuffixRule => {
      const [own = '', tail] = line.split(',').map((part) => part.trim())
      const [kind = '', ...shapes] = own.split(/[\s:]+/).filter(Boolean)
      const word = kind.toLowerCase()
      if (!isKind(word))
        throw new RangeError(
          `"${line}": begin with what the suffix says, one of ${SUFFIX_KINDS.join(', ')}.`,
        )
      if (shapes.length === 0)
        throw new RangeError(
          `"${line}": write its shapes behind it, # for a digit, @ for a letter, * for either.`,
        )
      if (tail !== undefined && tail !== 'decides' && tail !== 'does not decide')
        throw new RangeError(`"${line}": behind the comma stands "decides" or "does not decide".`)
      return { kind: word, shapes, ...(tail === undefined ? {} : { decides: tail === 'decides' }) }
    })
}

/** The same as it is written. */
export const writeSuffixes = (suffixes: readonly SuffixRule[]): string =>
  suffixes
    .map(
      ({ kind, shapes, decides }) =>
        `${kind} ${shapes.join(' ')}${decides === undefined ? '' : decides ? ', decides' : ', does not decide'}`,
    )
    .join('\n')

/** Words apart, by spaces, commas or lines. */
export const readWords = (text: string): readonly string[] => text.split(/[\s,;]+/).filter(Boolean)
