import { oneEdit } from './identity/one-edit.ts'

const LETTERS = 'abcdefghijklmnopqrstuvwxyz'
/** Shortest word in which a typing error is looked for: with fewer letters it might be any. */
const SHORTEST_MENDED = 4
const wordsOf = (text: string): readonly string[] =>
  text.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? []

/**
 * Whether a text holds what is typed: as it is typed, or with every word of it beginning one of the text's, in any order.
 * @param isMended whether words are taken with one typing error too: a letter more, fewer or other, or two swapped
 */
export function holdsWords(text: string, typed: string, isMended = false): boolean {
  if (text.toLowerCase().includes(typed.trim().toLowerCase())) return true
  const words = wordsOf(text)
  const begins = (term: string): boolean => words.some((word) => word.startsWith(term))
  const terms = wordsOf(typed)
  return (
    terms.length > 0 &&
    terms.every(
      (term) =>
        begins(term) ||
        (isMended && term.length >= SHORTEST_MENDED && [...oneEdit(term, LETTERS)].some(begins)),
    )
  )
}
