import { CATALOGUE_KINDS } from './catalogue-kinds.ts'

/** Words that tell no kind. */
const EMPTY: ReadonlySet<string> = new Set([
  'and',
  'of',
  'the',
  'its',
  'or',
  'a',
  'to',
  'for',
  'in',
  'at',
  'with',
])

/** Words of a text, without accents and endings of the plural. */
const termsOf = (text: string): string[] =>
  (
    text
      .normalize('NFKD')
      .replace(/\p{M}+/gu, '')
      .toLowerCase()
      .match(/\p{L}{2,}/gu) ?? []
  )
    .filter((word) => !EMPTY.has(word))
    .map((word) => word.replace(/(?<=\p{L}{3})s$/u, ''))

const TERMS = Object.entries(CATALOGUE_KINDS).map(([kind, words]) => ({
  kind,
  terms: [...new Set(termsOf(words))],
}))

/**
 * The kind of part that words tell of: the one of which they hold every word, the more words the surer; null where none is, or
 * two are as likely.
 */
export function suggestKind(words: string): string | null {
  const held = new Set(termsOf(words))
  const fitting = TERMS.filter(
    ({ terms }) => terms.length > 0 && terms.every((one) => held.has(one)),
  )
  const most = Math.max(0, ...fitting.map(({ terms }) => terms.length))
  const best = fitting.filter(({ terms }) => terms.length === most)
  return best.length === 1 ? best[0]!.kind : null
}
