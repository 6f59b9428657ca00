import type { Problem } from '../../contract/problem.ts'
import { fieldWords, placeWords } from './field-words.ts'

const UUID = /\b[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}\b/gi
/** What a request to a program says and a person need not read. */
const OF_THE_PROGRAM = / with id \S+?(?=[.,;:]?(?:\s|$))| \(version \d+, yours was \d+\)/g
const CAMEL = /\b[a-z]+(?:[A-Z][a-z0-9]*)+\b/g

const plain = (sentence: string): string =>
  sentence.replace(OF_THE_PROGRAM, '').replace(UUID, 'it').replace(CAMEL, fieldWords)
const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1)

/** A refusal of the server in a person's words: where it is by the name on the page, without ids and versions. Paths of faults stay, for the form that has their fields. */
export function problemWords({ detail = 'Not done.', errors = [] }: Partial<Problem>): {
  readonly detail: string
  readonly errors: readonly { readonly path: string; readonly message: string }[]
} {
  const first = errors[0]?.path
  const sentence =
    first && detail.startsWith(`${first}: `)
      ? `${capital(placeWords(first))}: ${detail.slice(first.length + 2)}`
      : detail
  return {
    detail: plain(sentence),
    errors: errors.map(({ path, message }) => ({ path, message: plain(message) })),
  }
}
