/** What a word may hold beside what is typed. */
const LETTERS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ0123456789'

/**
 * Every word that is one edit from another: a letter more, fewer or other, or two neighbours swapped. Longest typed numbers
 * have some 900, each looked up by itself: that is less than reading all that share half of it.
 */
export function oneEdit(word: string, letters = LETTERS): Set<string> {
  const alphabet = new Set([...letters, ...word])
  const found = new Set<string>()
  for (let i = 0; i <= word.length; i++) {
    const [head, tail] = [word.slice(0, i), word.slice(i)]
    for (const letter of alphabet) {
      found.add(head + letter + tail)
      if (tail !== '') found.add(head + letter + tail.slice(1))
    }
    if (tail !== '') found.add(head + tail.slice(1))
    if (tail.length > 1) found.add(head + tail[1] + tail[0] + tail.slice(2))
  }
  found.delete(word)
  return found
}
